import { Select } from 'antd';
import { useMemo, type ReactNode } from 'react';
import { useTranslation } from 'react-i18next';
import {
  DRIVE_SYMPTOMS,
  roadAnswer,
  type Check,
  type DriveSymptom,
  type Reading,
  type SymptomCell,
} from '../../../core/faults';
import type { Unit } from '../../../core/geartrain';
import {
  faultAnswerKey,
  gradeFault,
  type FaultAnswer,
  type FaultQuestion,
  type QuestionBlock,
  type SymptomRowQuestion,
  type WhichElementQuestion,
} from '../../../core/lesson';
import { useAppDispatch, useAppSelector } from '../../app/hooks';
import { ChartOverlay } from '../../faults/ChartOverlay';
import { cellText, wordText } from '../../faults/faultWords';
import { gearName, rangeName } from '../../shared/unitNames';
import { faultAnswerText, faultKeyText, faultPrompt, faultReason } from '../faultQuestionWords';
import { Choices } from './Choices';
import type { Next } from './NextButton';
import { answerNow, roundBegun, selectPlayer } from './playerSlice';
import { PredictionForm } from './PredictionForm';
import { QuestionAside } from './QuestionAside';
import { RevealFrame } from './RevealFrame';
import { useCommit } from './useCommit';
import { useKept } from '../../shared/kept';
import './FaultStage.css';

interface Props {
  block: QuestionBlock & { question: SymptomRowQuestion | WhichElementQuestion };
  unit: Unit;
  round: number;
  heading: ReactNode;
  blocks: ReactNode;
  next: Next;
}

/** A row of the symptom table to predict from a fault, or the element to name from its row. */
export function FaultRowStage({ block, unit, round, heading, blocks, next }: Props) {
  const { t } = useTranslation();
  const dispatch = useAppDispatch();
  const { question } = block;
  const subject = useMemo(() => ({ unit, faultCase: null }), [unit]);
  const { commit, unsaved } = useCommit(block, { kind: 'fault', subject }, round);
  const committed = answerNow(useAppSelector(selectPlayer), block.id);
  const key = useMemo(() => faultAnswerKey(question, subject), [question, subject]);
  const [said, setSaid] = useKept<Readonly<Record<string, DriveSymptom>>>('FaultRowStage said', {});
  const [element, setElement] = useKept<string | null>('FaultRowStage element', null);
  const given = committed?.answer as FaultAnswer | undefined;
  const cells = key.ok && 'cells' in key.key ? key.key.cells : [];
  const asked = question.kind === 'symptom-row' ? question.ranges : [];
  const answer: FaultAnswer | null =
    question.kind === 'which-element'
      ? element === null
        ? null
        : { kind: 'which-element', element }
      : asked.every((r) => said[r])
        ? { kind: 'symptom-row', cells: asked.map((range) => ({ range, drive: said[range]! })) }
        : null;
  const graded = committed && key.ok ? gradeFault(question, subject, given!, key) : null;
  const model = faultKeyText(t, question, subject, key);
  // The bad and the good ranges are what is asked in one question, and what is given in the other.
  const shown = question.kind === 'which-element' || committed ? cells : [];
  return (
    <>
      <div className="player-sheet fault-stage">
        <h2>{unit.name}</h2>
        <ChartOverlay
          unit={unit}
          readings={roadReadings(shown)}
          reasoned={committed !== undefined}
        />
        <SymptomRowTable
          unit={unit}
          question={question}
          cells={shown}
          said={given?.kind === 'symptom-row' ? saidIn(given) : said}
          onSaid={committed ? undefined : (range, drive) => setSaid({ ...said, [range]: drive })}
        />
      </div>
      <QuestionAside
        heading={heading}
        blocks={blocks}
        unsaved={unsaved}
        fault={key.ok ? null : key.fault}
      >
        {committed && graded?.ok && model ? (
          <RevealFrame
            prompt={faultPrompt(t, question, subject)}
            answer={committed}
            parts={graded.grade.parts.map((p) => ({
              name: p.of ? rangeName(unit, p.of) : t(`faultParts.${p.part}`),
              right: p.right,
            }))}
            said={faultAnswerText(t, subject, given!)}
            model={model}
            reason={faultReason(t, committed.misconception ?? null)}
            next={next}
            onAgain={() => dispatch(roundBegun(block.id))}
            again={t('reveal.againSame')}
          />
        ) : (
          <PredictionForm
            prompt={faultPrompt(t, question, subject)}
            answer={answer}
            onCommit={commit}
          >
            {question.kind === 'which-element' ? (
              <Choices
                label={t('question.yourChoice')}
                value={element}
                onValue={setElement}
                options={unit.elements.map((e) => ({ value: e.id, label: `${e.id} ${e.name}` }))}
              />
            ) : (
              <p className="quiet">{t('faultPrompts.rowHow')}</p>
            )}
          </PredictionForm>
        )}
      </QuestionAside>
    </>
  );
}

const saidIn = (answer: Extract<FaultAnswer, { kind: 'symptom-row' }>) =>
  Object.fromEntries(answer.cells.map((c) => [c.range, c.drive]));

const roadReadings = (cells: readonly SymptomCell[]): Reading[] =>
  cells.map((cell) => ({
    check: { id: `road ${cell.range}`, kind: 'road', target: cell.range } as Check,
    answer: roadAnswer(cell),
  }));

interface RowProps {
  unit: Unit;
  question: FaultQuestion;
  /** What the model says of the ranges, once it may be seen. */
  cells: readonly SymptomCell[];
  said: Readonly<Record<string, DriveSymptom>>;
  /** Left out once it is committed. */
  onSaid: ((range: string, drive: DriveSymptom) => void) | undefined;
}

/** One row of the table: to fill in, or filled in. */
function SymptomRowTable({ unit, question, cells, said, onSaid }: RowProps) {
  const { t } = useTranslation();
  const asked = question.kind === 'symptom-row' ? question.ranges : cells.map((c) => c.range);
  const ranges = unit.ranges.filter((r) => asked.includes(r.id));
  return (
    <table className="plain fault-row">
      <thead>
        <tr>
          <th scope="col">{t('faultPrompts.range')}</th>
          {question.kind === 'symptom-row' && <th scope="col">{t('faultPrompts.youSay')}</th>}
          {cells.length > 0 && <th scope="col">{t('faultPrompts.itDoes')}</th>}
        </tr>
      </thead>
      <tbody>
        {ranges.map((r) => {
          const cell = cells.find((c) => c.range === r.id);
          return (
            <tr key={r.id}>
              <th scope="row">{gearName(r)}</th>
              {question.kind === 'symptom-row' && (
                <td data-right={cell ? cell.drive === said[r.id] : undefined}>
                  {onSaid ? (
                    <Select<DriveSymptom>
                      aria-label={t('faultPrompts.youSayOf', { range: gearName(r) })}
                      placeholder={t('faultPrompts.choose')}
                      value={said[r.id] ?? null}
                      listHeight={320}
                      onChange={(drive) => onSaid(r.id, drive)}
                      options={DRIVE_SYMPTOMS.map((s) => ({ value: s, label: wordText(t, s) }))}
                    />
                  ) : (
                    said[r.id] && wordText(t, said[r.id]!)
                  )}
                </td>
              )}
              {cells.length > 0 && <td>{cell && cellText(t, cell)}</td>}
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}
