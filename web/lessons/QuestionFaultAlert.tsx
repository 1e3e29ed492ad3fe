import { useTranslation } from 'react-i18next';
import type { AnyFault } from '../../core/lesson';

/** A question that the model can't answer as it stands, and why. */
export function QuestionFaultAlert({ fault }: { fault: AnyFault }) {
  const { t } = useTranslation();
  return (
    <div className="question-fault" role="status">
      <strong>{t('question.cannotAsk')}</strong>
      <p>{t(`questionFaults.${fault}`)}</p>
    </div>
  );
}
