import { useMemo } from 'react';
import { endView, type EndView } from '../../core/drawing';
import {
  checkTeeth,
  readSet,
  shownSpeeds,
  solveSet,
  type GearSetSetup,
  type Port,
  type SetReading,
  type SetSolution,
  type ToothFinding,
} from '../../core/geartrain';

/** All that a bench shows about a setup, computed from it. */
export interface SetModel {
  readonly solution: SetSolution;
  readonly readings: Record<Port, SetReading>;
  readonly findings: readonly ToothFinding[];
  readonly view: EndView;
  /** Drawn speeds, × input speed. */
  readonly shown: Record<Port, number>;
}

export function useSetModel(setup: GearSetSetup): SetModel {
  const { set, roles } = setup;
  const view = useMemo(() => endView(set), [set]);
  const findings = useMemo(() => checkTeeth(set), [set]);
  const solved = useMemo(
    () => ({ solution: solveSet(set, roles), shown: shownSpeeds(set, roles) }),
    [set, roles],
  );
  const readings = useMemo(() => readSet(setup, solved.solution), [setup, solved]);
  return { ...solved, readings, findings, view };
}
