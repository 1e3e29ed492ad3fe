import { useMemo, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { derivation, solveUnit, type Solution, type Unit } from '../../../../core/geartrain';
import { ZERO } from '../../../../core/numerics';
import { UNIT_FAMILY, cellKey, type UnitQuestion } from '../../../../core/lesson';
import { toggled } from '../../../apply/applySlice';
import { WhyPanel } from '../../../apply/panels/WhyPanel';
import { UnitSheet } from '../../../apply/UnitSheet';
import { useTurning } from '../../../bench/useTurning';
import { useKept } from '../../../shared/kept';
import { useShortcuts } from '../../../shared/useShortcuts';
import { Posed, type AskedProps } from '../../player/Posed';
import { StageFrame, type StageProps } from '../../player/StageFrame';
import { useAsked } from '../../player/useAsked';
import { WorkItOut } from '../../player/WorkItOut';
import type { UnitDraft } from './draft';
import { FillChart } from './FillChart';
import { UnitPrediction } from './Prediction';
import { UNIT_WORDS, unitPrompt } from './words';
import './Stage.css';

const STAGE_RPM = 1200;

/** A question about a whole unit. Until the commit the drawing tells nothing. */
function Stage({ block, subject, round, ...frame }: StageProps<'unit'>) {
  const { t } = useTranslation();
  const { unit } = subject;
  const asked = useAsked<'unit'>(UNIT_FAMILY, block, subject, round);
  const { question, committed, given, commit } = asked;
  const [draft, setDraft] = useKept<UnitDraft>('UnitStage draft', () => ({
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
  const tracing = question.kind === 'trace-path' && !committed;
  const traced = given?.kind === 'trace-path' ? given.members : draft.members;
  const derived = derivable(question, unit);
  return (
    <StageFrame
      {...frame}
      asked={asked}
      words={UNIT_WORDS}
      sheetClass={SHEETS[question.kind] ?? 'unit-stage'}
      sheet={
        <>
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
                committed
                  ? undefined
                  : (cell) => setDraft({ ...draft, on: toggled(draft.on, cell) })
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
        </>
      }
      prediction={
        <UnitPrediction
          question={question}
          unit={unit}
          prompt={unitPrompt(t, question, unit)}
          draft={draft}
          onClear={() => setDraft({ on: givenOn(question, unit), members: [] })}
          onCommit={commit}
        />
      }
      worked={
        derived && (
          <WorkItOut lines={derivation(unit, derived).length}>
            {(parted) => <WhyPanel unit={unit} solution={derived} marked={parted} />}
          </WorkItOut>
        )
      }
    />
  );
}

/** What is marked, chart or drawing, is what is worked. */
const SHEETS: Partial<Record<UnitQuestion['kind'], string>> = {
  'fill-chart': 'unit-stage with-chart is-worked',
  'trace-path': 'unit-stage is-worked',
};

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

/** The same, as this student gets it. */
export function UnitStage(props: AskedProps) {
  return <Posed<'unit'> {...props} family={UNIT_FAMILY} Stage={Stage} />;
}
