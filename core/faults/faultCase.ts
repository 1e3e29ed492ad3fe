import type { Clutch, Coupling } from '../clutch';
import type { Converter, Engine } from '../converter';
import { unitFindings, type Unit } from '../geartrain';
import type { Vehicle } from '../vehicle';
import { hasSymptom, type Difficulty } from './cases';
import { examine } from './candidates';
import { driverChecks } from './checks';
import type { Priors } from './diagnosis';
import type { Fault, FaultKind } from './fault';
import { rigFaultProblem, type Rig } from './rig';
import { openShop } from './shop';

/** The models that a case or a job is about, each as it was when it was put in. */
export interface MachineModels {
  unit?: Unit;
  engine?: Engine;
  converter?: Converter;
  clutch?: Clutch;
  vehicle?: Vehicle;
}

/** Only the models, of a document that is about them. */
export function modelsIn({
  unit,
  engine,
  converter,
  clutch,
  vehicle,
}: MachineModels): MachineModels {
  return {
    ...(unit ? { unit } : {}),
    ...(engine ? { engine } : {}),
    ...(converter ? { converter } : {}),
    ...(clutch ? { clutch } : {}),
    ...(vehicle ? { vehicle } : {}),
  };
}

/**
 * A case for the Fault desk as people exchange it: a machine with its models, what is wrong with it, and how it came to
 * the shop. What anyone sees, hears or measures of it is computed. Its schema is `formats/faultCaseV1.ts`.
 */
export interface FaultCase extends MachineModels {
  format: 'fair-sprocket/fault-case';
  version: 1;
  id: string;
  name: string;
  /** Markdown; for the instructor. */
  notes?: string;
  /** In the driver's own words; empty: the program words what differs from a sound machine. */
  complaint: string;
  coupling?: Coupling;
  cause: CaseFault[];
  /** Driven like this before it came in. */
  minutes: number;
  /** Shop minutes that a student may spend. */
  limitMinutes?: number;
  /** How often faults are met here; kinds left out as usual. */
  priors?: Partial<Record<FaultKind, number>>;
}

/** A case as a page may have it while it is open: without its cause. */
export type LaidCase = Omit<FaultCase, 'cause'>;

/** Another fault for the machine of a case, by its seed. */
export interface Draw {
  readonly seed: string;
  readonly difficulty: Difficulty;
}

/** The case of a draw, without the cause that is drawn. @param name what it is called */
export function drawnCase(
  { cause: _cause, notes: _notes, limitMinutes: _limit, ...machine }: FaultCase,
  { seed }: Draw,
  name: string,
): LaidCase {
  return { ...machine, id: seed, name, complaint: '' };
}

export interface CaseFault {
  target: string;
  kind: FaultKind;
  severity?: number;
}

/** @param minutes driven before it came in */
export const rigOfModels = (
  m: MachineModels & Pick<FaultCase, 'coupling'>,
  minutes: number,
): Rig => ({
  unit: m.unit ?? null,
  engine: m.engine ?? null,
  converter: m.converter ?? null,
  clutch: m.clutch ?? null,
  vehicle: m.vehicle ?? null,
  coupling: m.coupling ?? null,
  minutes,
});

export const rigOfCase = (c: FaultCase): Rig => rigOfModels(c, c.minutes);

export const causeOf = ({ cause }: FaultCase): Fault[] =>
  cause.map(({ target, kind, severity }) =>
    severity === undefined ? { target, kind } : { target, kind, severity },
  );

export const priorsOf = ({ priors }: FaultCase): Priors => priors ?? {};

export type CaseProblem =
  | { readonly code: 'no-machine' }
  | { readonly code: 'unit-broken' }
  | { readonly code: 'no-cause' }
  | { readonly code: 'cause-twice'; readonly target: string }
  | {
      readonly code: 'no-such-part' | 'severity-out-of-range';
      readonly target: string;
      readonly kind: FaultKind;
    }
  /** The cause changes nothing that a driver would notice: nobody would bring it in. */
  | { readonly code: 'no-symptom' };

/** Why a case can't be given out; empty when it can. Symptoms are computed, so that this takes a moment. */
export function caseProblems(faultCase: FaultCase): CaseProblem[] {
  const rig = rigOfCase(faultCase);
  if (!rig.unit && !rig.clutch && !rig.coupling) return [{ code: 'no-machine' }];
  if (rig.unit && unitFindings(rig.unit).some((f) => f.weight === 'wrong'))
    return [{ code: 'unit-broken' }];
  const cause = causeOf(faultCase);
  if (cause.length === 0) return [{ code: 'no-cause' }];
  const bad = cause.flatMap((fault): CaseProblem[] => {
    const code = rigFaultProblem(rig, fault);
    return code ? [{ code, target: fault.target, kind: fault.kind }] : [];
  });
  if (bad.length > 0) return bad;
  const twice = cause.find((f, k) => cause.findIndex((g) => g.target === f.target) !== k);
  if (twice) return [{ code: 'cause-twice', target: twice.target }];
  const shop = openShop(rig);
  const seen = driverChecks(shop.checks);
  const [truth, sound] = [examine(shop, cause, seen), examine(shop, [], seen)];
  return hasSymptom(shop, truth, sound) ? [] : [{ code: 'no-symptom' }];
}
