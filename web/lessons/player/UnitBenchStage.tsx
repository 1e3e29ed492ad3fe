import { useMemo, type ReactNode } from 'react';
import { memberRoles, solveUnit, type Unit } from '../../../core/geartrain';
import type { UnitBenchBlock } from '../../../core/lesson';
import { SECTION } from '../../apply/applySlice';
import { pressed } from '../../apply/pressed';
import { LoadSwitch } from '../../apply/LoadSwitch';
import { Outcome } from '../../apply/Outcome';
import { NowPanel } from '../../apply/panels/NowPanel';
import { Selector } from '../../apply/Selector';
import { UnitSheet } from '../../apply/UnitSheet';
import { useTurning } from '../../bench/useTurning';
import { useShortcuts } from '../../shared/useShortcuts';
import { NextButton, type Next } from './NextButton';
import { PlayerSide } from './PlayerSide';
import { useKept } from '../../shared/kept';

interface Props {
  block: UnitBenchBlock;
  unit: Unit;
  heading: ReactNode;
  blocks: ReactNode;
  next: Next;
}

const STAGE_RPM = 1200;

/** A whole unit to operate in a lesson: the student may do what the instructor allows. */
export function UnitBenchStage({ block, unit, heading, blocks, next }: Props) {
  const [applied, setApplied] = useKept<readonly string[]>('UnitBenchStage applied', block.apply);
  const [load, setLoad] = useKept('UnitBenchStage load', block.load);
  const [view, setView] = useKept('UnitBenchStage view', SECTION);
  const solution = useMemo(() => solveUnit(unit, applied, load), [unit, applied, load]);
  const roles = useMemo(() => memberRoles(unit, solution), [unit, solution]);
  const turning = useTurning(STAGE_RPM, true);
  useShortcuts({ ' ': turning.toggle, c: () => setLoad(load === 'drive' ? 'coast' : 'drive') });
  return (
    <>
      <div className="player-sheet">
        <UnitSheet
          unit={unit}
          solution={solution}
          turning={turning}
          view={view}
          onView={setView}
          onElement={
            block.allow.elements ? (id) => setApplied(pressed(unit, applied, id)) : undefined
          }
          applied={applied}
          onApplied={block.allow.elements ? setApplied : undefined}
        />
      </div>
      <PlayerSide>
        {heading}
        {blocks}
        <LoadSwitch load={load} onLoad={setLoad} />
        {block.allow.lever && (
          <Selector
            ranges={unit.ranges}
            applied={applied}
            onRange={(range) => setApplied(range.apply)}
          />
        )}
        <Outcome solution={solution} />
        <NowPanel unit={unit} solution={solution} roles={roles} />
        <NextButton {...next} />
      </PlayerSide>
    </>
  );
}
