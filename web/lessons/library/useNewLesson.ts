import { useTranslation } from 'react-i18next';
import { newLesson, newStep, type Lesson } from '../../../core/lesson';
import { useServices } from '../../state/hooks';

/** Makes an empty lesson of one step; nothing is kept yet. */
export function useNewLesson(): () => Lesson {
  const { t } = useTranslation();
  const services = useServices();
  return () =>
    newLesson(
      services.newId(),
      t('library.untitled'),
      newStep(services.newId(), t('library.firstStep')),
    );
}
