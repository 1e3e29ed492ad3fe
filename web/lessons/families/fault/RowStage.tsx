import { Select } from 'antd';
import { useTranslation } from 'react-i18next';
import {
  DRIVE_SYMPTOMS,
  roadAnswer,
  type Check,
  type DriveSymptom,
  type Reading,
  type SymptomCell,
} from '../../../../core/faults';
import type { Unit } from '../../../../core/geartrain';
import { FAULT_FAMILY, type FaultAnswer, type FaultQuestion } from '../../../../core/lesson';
import { ChartOverlay } from '../../../faults/ChartOverlay';
import { cellText, wordText } from '../../../faults/faultWords';
import { useKept } from '../../../shared/kept';
import { gearName } from '../../../shared/unitNames';
import { Choices } from '../../player/Choices';
import { PredictionForm } from '../../player/PredictionForm';
import { StageFrame, type StageProps } from '../../player/StageFrame';
import { useAsked } from '../../player/useAsked';
import { FAULT_WORDS, faultPrompt } from './words';
import './Stage.css';

interface Props extends StageProps<'fault'> {
  unit: Unit;
}

/** A row of the symptom table to predict from a fault, or the element to name from its row. */
export function RowStage({ block, subject, unit, round, ...frame }: Props) {
  const { t } = useTranslation();
  const asked = useAsked<'fault'>(FAULT_FAMILY, block, subject, round);
  const { question, key, committed, given, commit } = asked;
  const [said, setSaid] = useKept<Readonly<Record<string, DriveSymptom>>>('RowStage said', {});
  const [element, setElement] = useKept<string | null>('RowStage element', null);
  const cells = key?.ok && 'cells' in key.key ? key.key.cells : [];
  // The bad and the good ranges are what is asked in one question, and what is given in the other.
  const shown = question.kind === 'which-element' || committed ? cells : [];
  return (
    <StageFrame
      {...frame}
      asked={asked}
      words={FAULT_WORDS}
      sheetClass="fault-stage is-long"
      sheet={
        <>
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
        </>
      }
      prediction={
        <PredictionForm
          prompt={faultPrompt(t, question, subject.subject)}
          answer={answerOf(question, said, element)}
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
      }
    />
  );
}

/** The answer, once every part of it is there. */
function answerOf(
  question: FaultQuestion,
  said: Readonly<Record<string, DriveSymptom>>,
  element: string | null,
): FaultAnswer | null {
  if (question.kind === 'which-element')
    return element === null ? null : { kind: question.kind, element };
  const asked = question.kind === 'symptom-row' ? question.ranges : [];
  if (!asked.every((r) => said[r])) return null;
  return { kind: 'symptom-row', cells: asked.map((range) => ({ range, drive: said[range]! })) };
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
