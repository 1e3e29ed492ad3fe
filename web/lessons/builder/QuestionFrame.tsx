import { Input } from 'antd';
import type { ReactNode } from 'react';
import { useTranslation } from 'react-i18next';
import type { AnyFault } from '../../../core/lesson';
import { QuestionFaultAlert } from '../QuestionFaultAlert';
import type { Worded } from '../worded';

interface Props {
  prompt: string;
  /** How the program words it. */
  worded: string;
  onPrompt: (prompt: string) => void;
  /** Why it can't be asked; `null` when it can. */
  fault: AnyFault | null;
  /** The model's answer now. */
  answer: Worded | null;
  /** Whose answer it is; the model's where left out. */
  said?: string;
  children: ReactNode;
}

/** What is asked, the instructor's own wording, and the answer that the model gives at this moment. */
export function QuestionFrame({ prompt, worded, onPrompt, fault, answer, said, children }: Props) {
  const { t } = useTranslation();
  return (
    <>
      <div className="field-row">{children}</div>
      <label className="field">
        <span className="label">{t('question.wording')}</span>
        <Input.TextArea
          autoSize={{ minRows: 1, maxRows: 5 }}
          placeholder={worded}
          value={prompt}
          onChange={(e) => onPrompt(e.target.value)}
        />
      </label>
      {fault ? (
        <QuestionFaultAlert fault={fault} />
      ) : (
        <p className="key-now">
          {said ?? t('question.modelSays')} <strong>{answer?.main}</strong> {answer?.detail}
        </p>
      )}
    </>
  );
}
