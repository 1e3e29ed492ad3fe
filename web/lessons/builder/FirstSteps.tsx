import { useTranslation } from 'react-i18next';
import { useSearchParams } from 'react-router';
import type { Lesson } from '../../../core/lesson';
import { CheckOutlined } from '../../shared/icons';
import { LinkButton } from '../../shared/LinkButton';
import { FIRST_STEPS, firstStepsDone } from './firstSteps';

/** Beside a first lesson: what comes next, ticked off as the lesson grows, until it is tried as a student. */
export function FirstSteps({ lesson }: { lesson: Lesson }) {
  const { t } = useTranslation();
  const [asked, setAsked] = useSearchParams();
  if (!asked.has('first')) return null;
  const done = firstStepsDone(lesson, t('library.untitled'));
  const next = FIRST_STEPS.find((step) => !done[step]);
  const close = () => {
    const rest = new URLSearchParams(asked);
    rest.delete('first');
    setAsked(rest, { replace: true });
  };
  return (
    <section className="first-steps" aria-label={t('firstSteps.title')}>
      <h2>{t('firstSteps.title')}</h2>
      <ol>
        {FIRST_STEPS.map((step) => (
          <li key={step} aria-current={step === next ? 'step' : undefined} data-done={done[step]}>
            {done[step] && <CheckOutlined aria-label={t('firstSteps.done')} />}{' '}
            {t(`firstSteps.${step}`)}
          </li>
        ))}
      </ol>
      {next === undefined && (
        <p className="row" role="status">
          {t('firstSteps.ready')}
          <LinkButton to={`/teach/lessons/${lesson.id}/preview`} type="primary">
            {t('builder.preview')}
          </LinkButton>
          <LinkButton to={`/teach/lessons/${lesson.id}/run`}>{t('library.run')}</LinkButton>
        </p>
      )}
      <button type="button" className="first-steps-close" onClick={close}>
        {t('firstSteps.close')}
      </button>
    </section>
  );
}
