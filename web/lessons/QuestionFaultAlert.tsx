import { Alert } from 'antd';
import { useTranslation } from 'react-i18next';
import type { QuestionFault } from '../../core/lesson';

/** A question that the model can't answer as it stands, and why. */
export function QuestionFaultAlert({ fault }: { fault: QuestionFault }) {
  const { t } = useTranslation();
  return (
    <Alert
      type="warning"
      showIcon
      title={t('question.cannotAsk')}
      description={t(`questionFaults.${fault}`)}
    />
  );
}
