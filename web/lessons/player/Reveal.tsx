import { Button } from 'antd';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import type { GearSetSetup } from '../../../core/geartrain';
import { grade, type AttemptAnswer, type SetAnswer, type SetQuestion } from '../../../core/lesson';
import { WorkedStepsList } from '../../ratio/WorkedStepsList';
import { useNumbers } from '../../shared/numbers';
import { answerText, keyText, promptOf } from '../questionWords';
import { reasonFor } from '../reasonWords';
import type { Next } from './NextButton';
import { RevealFrame } from './RevealFrame';

interface Props {
  question: SetQuestion;
  setup: GearSetSetup;
  answer: AttemptAnswer;
  next: Next;
  onAgain: () => void;
}

/** The prediction beside the model's answer, why they differ, and the lines that lead there. */
export function Reveal({ question, setup, answer, next, onAgain }: Props) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const [worked, setWorked] = useState(false);
  const said = answer.answer as SetAnswer;
  const graded = grade(question, setup, said);
  if (!graded.ok) return null;
  const { key, parts } = graded.grade;
  const derivable = setup.roles.reaction !== 'free' && question.kind !== 'roles';
  return (
    <RevealFrame
      prompt={promptOf(t, numbers, question, setup)}
      answer={answer}
      parts={parts.map(({ part, right }) => ({ name: t(`gradedParts.${part}`), right }))}
      said={answerText(t, numbers, question, said)}
      model={keyText(t, numbers, question, key)}
      reason={reasonFor(t, answer.misconception ?? null, setup)}
      next={next}
      onAgain={onAgain}
      again={t('reveal.again')}
    >
      {derivable &&
        (worked ? (
          <WorkedStepsList setup={setup} />
        ) : (
          <Button onClick={() => setWorked(true)}>{t('reveal.workItOut')}</Button>
        ))}
    </RevealFrame>
  );
}
