import { Spin } from 'antd';
import { useEffect, useRef } from 'react';
import { useNavigate } from 'react-router';
import { useKeep } from '../../state/useKeep';
import { useNewLesson } from './useNewLesson';

/** A new lesson for one who has never built one: opened in the builder with what comes next beside it. */
export function FirstLesson() {
  const begin = useNewLesson();
  const keep = useKeep();
  const navigate = useNavigate();
  const begun = useRef(false);
  useEffect(() => {
    if (begun.current) return;
    begun.current = true;
    const lesson = begin();
    void keep.lesson({ lesson, origin: 'own', changed: false, baseRevision: 0 }).then((kept) =>
      navigate(kept ? `/teach/lessons/${lesson.id}?first=1` : '/teach/lessons', {
        replace: true,
      }),
    );
  }, [begin, keep, navigate]);
  return <Spin />;
}
