import { Button } from 'antd';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { solveUnit, type Unit } from '../../../core/geartrain';
import {
  gradeUnit,
  type AttemptAnswer,
  type UnitAnswer,
  type UnitQuestion,
} from '../../../core/lesson';
import { WhyPanel } from '../../apply/panels/WhyPanel';
import { unitAnswerText, unitKeyText, unitPrompt, unitReason } from '../unitWords';
import { rangeName } from '../../shared/unitNames';
import type { Next } from './NextButton';
import { RevealFrame } from './RevealFrame';

interface Props {
  question: UnitQuestion;
  unit: Unit;
  answer: AttemptAnswer;
  next: Next;
  onAgain: () => void;
}

/** The prediction about a unit beside the model's answer, and how the ratio comes about. */
export function UnitReveal({ question, unit, answer, next, onAgain }: Props) {
  const { t } = useTranslation();
  const [worked, setWorked] = useState(false);
  const said = answer.answer as UnitAnswer;
  const graded = gradeUnit(question, unit, said);
  const model = unitKeyText(t, question, unit);
  if (!graded.ok || !model) return null;
  const solution = derivable(question, unit);
  return (
    <RevealFrame
      prompt={unitPrompt(t, question, unit)}
      answer={answer}
      parts={graded.grade.parts.map(({ part, right, of }) => ({
        name: t(`gradedParts.${part}`, { range: of === undefined ? '' : rangeName(unit, of) }),
        right,
      }))}
      said={unitAnswerText(t, question, unit, said)}
      model={model}
      reason={unitReason(t, answer.misconception ?? null, question, unit)}
      next={next}
      onAgain={onAgain}
      again={t('reveal.againSame')}
    >
      {solution &&
        (worked ? (
          <WhyPanel unit={unit} solution={solution} />
        ) : (
          <Button onClick={() => setWorked(true)}>{t('reveal.workItOut')}</Button>
        ))}
    </RevealFrame>
  );
}

/** What can be worked out line by line: a ratio, or the power's way through one. */
function derivable(question: UnitQuestion, unit: Unit) {
  const apply =
    question.kind === 'row-outcome'
      ? question.apply
      : question.kind === 'trace-path'
        ? unit.ranges.find((r) => r.id === question.range)?.apply
        : undefined;
  const load = question.kind === 'row-outcome' ? question.load : 'drive';
  const solution = apply && solveUnit(unit, apply, load);
  return solution?.outcome === 'drives' ? solution : null;
}
