import { useTranslation } from 'react-i18next';
import { BODY_LIMITS, THIN_THREADS, type BoltOrderQuestion } from '../../../../core/lesson';
import { ChoiceField } from '../../../bench/ChoiceField';
import { NumberField } from '../../../shared/NumberField';

interface Props {
  question: BoltOrderQuestion;
  onQuestion: (question: BoltOrderQuestion) => void;
}

const JOBS = ['off', 'on'] as const;
const NUMBERS = [
  { key: 'spring', quantity: 'force', step: 10 },
  { key: 'travel', quantity: 'length', per: 1000, step: 1 },
] as const;

/** What is done with a valve body, and what pushes it off. */
export function BodyFields({ question, onQuestion }: Props) {
  const { t } = useTranslation();
  const { body } = question;
  return (
    <>
      <ChoiceField
        label={t('oilPrompts.bolts.job')}
        value={question.job}
        of={JOBS}
        name={(job) => t(`oilPrompts.bolts.jobs.${job}`)}
        onValue={(job) => onQuestion({ ...question, job })}
      />
      <ChoiceField
        label={t('oilPrompts.bolts.thin')}
        value={body.thin}
        of={THIN_THREADS}
        onValue={(thin) => onQuestion({ ...question, body: { ...body, thin } })}
      />
      {NUMBERS.map(({ key, ...field }) => (
        <NumberField
          key={key}
          label={t(`oilPrompts.bolts.${key}`)}
          {...field}
          value={body[key]}
          within={BODY_LIMITS[key]}
          onValue={(v) => onQuestion({ ...question, body: { ...body, [key]: v } })}
        />
      ))}
    </>
  );
}
