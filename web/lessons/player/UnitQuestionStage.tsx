import { useMemo, useState, type ReactNode } from 'react';
import { useTranslation } from 'react-i18next';
import { solveUnit, type Solution, type Unit } from '../../../core/geartrain';
import { ZERO } from '../../../core/numerics';
import {
  cellKey,
  unitKey,
  type QuestionBlock,
  type UnitAnswer,
  type UnitQuestion,
} from '../../../core/lesson';
import { toggled } from '../../apply/applySlice';
import { UnitSheet } from '../../apply/UnitSheet';
import { useTurning } from '../../ratio/useTurning';
import { useShortcuts } from '../../shared/useShortcuts';
import { useAppDispatch, useAppSelector } from '../../app/hooks';
import { unitPrompt } from '../unitWords';
import { FillChart } from './FillChart';
import type { Next } from './NextButton';
import { answerNow, roundBegun, selectPlayer } from './playerSlice';
import { QuestionAside } from './QuestionAside';
import type { SheetDraft } from './sheetDraft';
import { UnitPrediction } from './UnitPrediction';
import { UnitReveal } from './UnitReveal';
import { useCommit } from './useCommit';
import { useKept } from '../../shared/kept';
import './UnitQuestionStage.css';

interface Props {
  block: QuestionBlock & { question: UnitQuestion };
  unit: Unit;
  round: number;
  heading: ReactNode;
  blocks: ReactNode;
  next: Next;
}

const STAGE_RPM = 1200;

/** A question about a whole unit: predict, commit, see. Until the commit the drawing tells nothing. */
export function UnitQuestionStage({ block, unit, round, heading, blocks, next }: Props) {
  const { t } = useTranslation();
  const dispatch = useAppDispatch();
  const { question } = block;
  const { commit, unsaved } = useCommit(block, { kind: 'unit', unit }, round);
  const player = useAppSelector(selectPlayer);
  const committed = answerNow(player, block.id);
  const [draft, setDraft] = useKept<SheetDraft>('UnitQuestionStage draft', () => ({
    on: givenOn(question, unit),
    members: [],
  }));
  const [shownRange, setShownRange] = useState<string | null>(null);
  // After the commit a chart shows its first row until another one is chosen.
  const row =
    shownRange ?? (committed && question.kind === 'fill-chart' ? question.ranges[0] : null);
  const apply = appliedIn(question, unit, row ?? null);
  const load = question.kind === 'row-outcome' ? question.load : 'drive';
  const solution = useMemo(
    () => (committed ? solveUnit(unit, apply, load) : sealedSolution(unit, apply)),
    [committed, unit, apply, load],
  );
  const turning = useTurning(STAGE_RPM, committed !== undefined);
  useShortcuts(committed ? { ' ': turning.toggle } : {});
  const key = useMemo(() => unitKey(question, unit), [question, unit]);
  const tracing = question.kind === 'trace-path' && !committed;
  const given = committed?.answer as UnitAnswer | undefined;
  const traced = given?.kind === 'trace-path' ? given.members : draft.members;
  return (
    <>
      <div className="player-sheet unit-stage" data-chart={question.kind === 'fill-chart'}>
        <UnitSheet
          unit={unit}
          solution={solution}
          turning={turning}
          sealed={!committed}
          chosen={question.kind === 'trace-path' ? traced : []}
          onMember={
            tracing
              ? (id) => setDraft({ ...draft, members: toggled(draft.members, id) })
              : undefined
          }
        />
        {question.kind === 'fill-chart' && (
          <FillChart
            question={question}
            unit={unit}
            on={given?.kind === 'fill-chart' ? given.on : draft.on}
            onCell={
              committed ? undefined : (cell) => setDraft({ ...draft, on: toggled(draft.on, cell) })
            }
            shown={row ?? null}
            onRange={committed ? setShownRange : undefined}
          />
        )}
        {!committed && question.kind !== 'fill-chart' && (
          <p className="sheet-sealed">
            {t(tracing ? 'player.clickMembers' : 'player.standsStill')}
          </p>
        )}
      </div>
      <QuestionAside
        heading={heading}
        blocks={blocks}
        unsaved={unsaved}
        fault={key.ok ? null : key.fault}
      >
        {committed ? (
          <UnitReveal
            question={question}
            unit={unit}
            answer={committed}
            next={next}
            onAgain={() => dispatch(roundBegun(block.id))}
          />
        ) : (
          <UnitPrediction
            question={question}
            unit={unit}
            prompt={unitPrompt(t, question, unit)}
            draft={draft}
            onClear={() => setDraft({ on: givenOn(question, unit), members: [] })}
            onCommit={commit}
          />
        )}
      </QuestionAside>
    </>
  );
}

/** Cells of the chart that are shown and on. */
function givenOn(question: UnitQuestion, unit: Unit): string[] {
  if (question.kind !== 'fill-chart') return [];
  return unit.ranges.flatMap((range) =>
    range.apply.map((id) => cellKey(range.id, id)).filter((cell) => question.given.includes(cell)),
  );
}

const NOTHING: readonly string[] = [];

/** What the question puts on; a chart has nothing on until a row of it is looked at. */
function appliedIn(question: UnitQuestion, unit: Unit, shown: string | null): readonly string[] {
  if (question.kind === 'row-outcome') return question.apply;
  const id = question.kind === 'fill-chart' ? shown : question.range;
  return unit.ranges.find((r) => r.id === id)?.apply ?? NOTHING;
}

/** Applied elements are seen; what follows from them is not. */
function sealedSolution(unit: Unit, apply: readonly string[]): Solution {
  return {
    outcome: 'neutral',
    ratio: null,
    outputTorque: null,
    speeds: new Map(unit.members.map((m) => [m.id, null])),
    elements: new Map(
      unit.elements.map((e) => [
        e.id,
        apply.includes(e.id)
          ? { state: 'applied' as const, torque: null }
          : { state: 'open' as const, torque: ZERO },
      ]),
    ),
    setTorques: new Map(),
    freedom: 0,
  };
}
