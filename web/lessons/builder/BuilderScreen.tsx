import { Spin } from 'antd';
import { useEffect } from 'react';
import { useParams } from 'react-router';
import { useAppDispatch, useAppSelector } from '../../app/hooks';
import { NotFound } from '../../app/NotFound';
import { selectLesson } from '../librarySlice';
import { Builder } from './Builder';
import { draftClosed, draftOpened } from './draftSlice';

/** Opens a stored lesson as the draft, and lets go of it on leaving. */
export function BuilderScreen() {
  const { lessonId } = useParams();
  const dispatch = useAppDispatch();
  const record = useAppSelector(selectLesson(lessonId));
  const draft = useAppSelector((state) => state.draft.present);
  const known = record !== undefined;

  useEffect(() => {
    if (record && draft?.id !== record.lesson.id) dispatch(draftOpened(record.lesson));
  }, [record, draft, dispatch]);
  useEffect(() => () => void dispatch(draftClosed()), [dispatch, lessonId]);

  if (!known) return <NotFound />;
  if (draft?.id !== lessonId || !draft) return <Spin />;
  return <Builder key={draft.id} draft={draft} record={record} />;
}
