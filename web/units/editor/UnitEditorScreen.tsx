import { Spin } from 'antd';
import { useEffect } from 'react';
import { useParams } from 'react-router';
import { useAppDispatch, useAppSelector } from '../../app/hooks';
import { NotFound } from '../../app/NotFound';
import { selectUnits } from '../unitsSlice';
import { UnitEditor } from './UnitEditor';
import { unitDraftClosed, unitDraftOpened } from './unitDraftSlice';

/** Opens a stored unit as the draft, and lets go of it on leaving. */
export function UnitEditorScreen() {
  const { unitId } = useParams();
  const dispatch = useAppDispatch();
  const units = useAppSelector(selectUnits);
  const unit = unitId === undefined ? undefined : units.byId[unitId];
  const draft = useAppSelector((state) => state.unitDraft.present);

  useEffect(() => {
    if (unit && draft?.id !== unit.id) dispatch(unitDraftOpened(unit));
  }, [unit, draft, dispatch]);
  useEffect(() => () => void dispatch(unitDraftClosed()), [dispatch, unitId]);

  if (!unit) return <NotFound />;
  if (draft?.id !== unitId || !draft) return <Spin />;
  return <UnitEditor key={draft.id} draft={draft} />;
}
