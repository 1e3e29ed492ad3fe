import { useTranslation } from 'react-i18next';
import {
  gradeConverter,
  type AttemptAnswer,
  type ConverterAnswer,
  type ConverterQuestion,
  type ConverterRig,
} from '../../../core/lesson';
import { Readout } from '../../converter/Readout';
import { useConverterModel } from '../../converter/useConverterModel';
import { useNumbers } from '../../shared/numbers';
import {
  converterAnswerText,
  converterKeyText,
  converterPrompt,
  converterReason,
  eventText,
} from '../converterWords';
import type { Next } from './NextButton';
import { RevealFrame } from './RevealFrame';

interface Props {
  question: ConverterQuestion;
  rig: ConverterRig;
  answer: AttemptAnswer;
  next: Next;
  onAgain: () => void;
}

/** The prediction about a converter beside the model's answer. */
export function ConverterReveal({ question, rig, answer, next, onAgain }: Props) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const said = answer.answer as ConverterAnswer;
  const graded = gradeConverter(question, rig, said);
  const model = converterKeyText(t, numbers, question, rig);
  if (!graded.ok || !model) return null;
  return (
    <RevealFrame
      prompt={converterPrompt(t, numbers, question, rig)}
      answer={answer}
      parts={graded.grade.parts.map(({ part, right, of }) => ({
        name: t(`gradedParts.${part}`, {
          first: of ? eventText(t, of[0]) : '',
          second: of ? eventText(t, of[1]) : '',
        }),
        right,
      }))}
      said={converterAnswerText(t, numbers, question, said)}
      model={model}
      reason={converterReason(t, answer.misconception ?? null, rig)}
      next={next}
      onAgain={onAgain}
      again={t('reveal.againSame')}
    >
      {said.kind === 'operate' && <AtSetting rig={rig} setting={said} />}
    </RevealFrame>
  );
}

/** What the student's own setting reads. */
function AtSetting({
  rig,
  setting,
}: {
  rig: ConverterRig;
  setting: Extract<ConverterAnswer, { kind: 'operate' }>;
}) {
  const { match } = useConverterModel(rig.converter, rig.engine, setting, null);
  return <Readout match={match} />;
}
