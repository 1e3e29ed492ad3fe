import { Spin } from 'antd';
import { useEffect, useRef } from 'react';
import { useTranslation } from 'react-i18next';
import { useNavigate } from 'react-router';
import { newLesson, newStep } from '../../../core/lesson';
import { useServices } from '../../state/hooks';
import { useKeep } from '../../state/useKeep';

/** A new lesson for one who has never built one: opened in the builder with what comes next beside it. */
export function FirstLesson() {
  const { t } = useTranslation();
  const services = useServices();
  const keep = useKeep();
  const navigate = useNavigate();
  const begun = useRef(false);
  useEffect(() => {
    if (begun.current) return;
    begun.current = true;
    const step = newStep(services.newId(), t('library.firstStep'));
    const lesson = newLesson(services.newId(), t('library.untitled'), step);
    void keep.lesson({ lesson, origin: 'own', changed: false, baseRevision: 0 }).then((kept) =>
      navigate(kept ? `/teach/lessons/${lesson.id}?first=1` : '/teach/lessons', {
        replace: true,
      }),
    );
  }, [keep, navigate, services, t]);
  return <Spin />;
}
