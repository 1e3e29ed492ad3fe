import { Spin } from 'antd';
import { useEffect, useRef } from 'react';
import { useParams } from 'react-router';
import { useAppDispatch, useAppSelector } from '../../state/hooks';
import { NotFound } from '../../shared/NotFound';
import { selectLesson } from '../../state/librarySlice';
import { Builder } from './Builder';
import { draftClosed, draftOpened } from './draftSlice';

/** The address has gone on to this lesson's own trial. */
const triedNow = (lessonId: string | undefined): boolean =>
  window.location.pathname.startsWith(`/teach/lessons/${lessonId ?? ''}/preview`);

/** Opens a stored lesson as the draft, and lets go of it on leaving. */
export function BuilderScreen() {
  const { lessonId } = useParams();
  const dispatch = useAppDispatch();
  const record = useAppSelector(selectLesson(lessonId));
  const draft = useAppSelector((state) => state.draft.present);
  const known = record !== undefined;
  const fresh = useRef<string | undefined>(undefined);

  useEffect(() => {
    if (record && (draft?.id !== record.lesson.id || fresh.current !== lessonId)) {
      // What was tried and has not changed meanwhile keeps its undo.
      if (JSON.stringify(draft) !== JSON.stringify(record.lesson))
        dispatch(draftOpened(record.lesson));
      fresh.current = lessonId;
    }
  }, [record, draft, lessonId, dispatch]);
  // A lesson that is only being tried stays open, with all that can be undone.
  useEffect(
    () => () => {
      if (!triedNow(lessonId)) dispatch(draftClosed());
    },
    [dispatch, lessonId],
  );

  if (!known) return <NotFound />;
  if (draft?.id !== lessonId || !draft) return <Spin />;
  return <Builder key={draft.id} draft={draft} record={record} />;
}
