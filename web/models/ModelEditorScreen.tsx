import { Spin } from 'antd';
import { useDeferredValue, useEffect } from 'react';
import { useParams } from 'react-router';
import type { ModelKind } from '../../core/formats';
import { useAppDispatch, useAppSelector } from '../state/hooks';
import { lazyPart } from '../shared/lazyPart';
import { NotFound } from '../shared/NotFound';
import { modelDraftClosed, modelDraftOpened } from './modelDraftSlice';
import { selectModels } from '../state/modelsSlice';

const UnitEditor = lazyPart(async () => (await import('./units/editor/UnitEditor')).UnitEditor);
const PartEditor = lazyPart(async () => (await import('./editor/PartEditor')).PartEditor);

/** Opens a stored model as the draft, and lets go of it on leaving. */
export function ModelEditorScreen({ kind }: { kind: ModelKind }) {
  const { modelId } = useParams();
  const dispatch = useAppDispatch();
  const shelf = useAppSelector(selectModels(kind));
  const model = modelId === undefined ? undefined : shelf.byId[modelId];
  const draft = useAppSelector((state) => state.modelDraft.present);
  const open = draft?.id === modelId && draft?.format === kind ? draft : null;
  // A large one is first drawn in slices; from there on what is typed shows at once.
  const begun = useDeferredValue(open?.id);

  useEffect(() => {
    if (model && !open) dispatch(modelDraftOpened(model));
  }, [model, open, dispatch]);
  useEffect(() => () => void dispatch(modelDraftClosed()), [dispatch, modelId, kind]);

  if (!model) return <NotFound />;
  if (!open || begun !== open.id) return <Spin />;
  return open.format === 'fair-sprocket/unit' ? (
    <UnitEditor key={open.id} draft={open} />
  ) : (
    <PartEditor key={open.id} draft={open} />
  );
}
