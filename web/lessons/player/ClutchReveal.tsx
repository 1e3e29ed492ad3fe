import { useTranslation } from 'react-i18next';
import { AS_BUILT, bearingRuns, NOISE_TESTS, type Clutch } from '../../../core/clutch';
import {
  gradeClutch,
  handedOut,
  type AttemptAnswer,
  type ClutchAnswer,
  type ClutchKeyResult,
  type ClutchQuestion,
  type ClutchRig,
} from '../../../core/lesson';
import { LinkageTable } from '../../clutch/LinkageTable';
import { formatNumber, useNumbers } from '../../shared/numbers';
import { clutchAnswerText, clutchKeyText, clutchPrompt, clutchReason } from '../clutchWords';
import { FeetPads } from '../../clutch/FeetPads';
import type { Next } from './NextButton';
import { RevealFrame } from './RevealFrame';

interface Props {
  question: ClutchQuestion;
  rig: ClutchRig;
  /** The question's key, computed once for the whole stage. */
  known: ClutchKeyResult;
  answer: AttemptAnswer;
  next: Next;
  onAgain: () => void;
}

/** The prediction about a clutch beside the model's answer. */
export function ClutchReveal({ question, rig, known, answer, next, onAgain }: Props) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const said = answer.answer as ClutchAnswer;
  const graded = gradeClutch(question, rig, said, known);
  const model = clutchKeyText(t, numbers, question, rig, known);
  if (!graded.ok || !model) return null;
  return (
    <RevealFrame
      prompt={clutchPrompt(t, numbers, question, rig)}
      answer={answer}
      parts={graded.grade.parts.map(({ part, right }) => ({
        name: t(`clutchParts.${part}`),
        right,
      }))}
      said={clutchAnswerText(t, numbers, rig, said)}
      model={model}
      reason={clutchReason(t, answer.misconception ?? null, question, rig)}
      next={next}
      onAgain={onAgain}
      again={t('reveal.againSame')}
    >
      {said.kind === 'set-free-play' && question.kind === 'set-free-play' && rig.clutch && (
        <LinkageTable
          clutch={rig.clutch}
          state={{ ...handedOut(rig.clutch, question.wear), air: 0, ...said }}
        />
      )}
      {question.kind === 'noise-test' && rig.clutch && rig.engine && (
        <BearingsTable clutch={rig.clutch} engineRpm={rig.engine.idleRpm} />
      )}
      {known.ok && known.key.kind === 'draw-start' && (
        <div className="example-feet">
          <FeetPads pedal={known.key.pedal} throttle={known.key.throttle} />
        </div>
      )}
    </RevealFrame>
  );
}

/** Which bearings turn in each test: the reason for the answer. */
function BearingsTable({ clutch, engineRpm }: { clutch: Clutch; engineRpm: number }) {
  const { t } = useTranslation();
  return (
    <table className="plain noise-table">
      <caption className="quiet">{t('clutchPrompts.betweenRaces')}</caption>
      <thead>
        <tr>
          <th scope="col">{t('clutch.tests.listen')}</th>
          {(['release', 'pilot', 'input'] as const).map((b) => (
            <th key={b} scope="col" className="num">
              {t(`clutch.bearings.${b}`)}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {NOISE_TESTS.map((test) => (
          <tr key={test.id}>
            <th scope="row">{t(`clutch.noise.${test.id}`)}</th>
            {bearingRuns(clutch, AS_BUILT, test, engineRpm).map((r) => (
              <td key={r.bearing} className="num">
                {r.turns ? formatNumber(r.slipRpm, 0) : t('clutch.noise.still')}
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
}
