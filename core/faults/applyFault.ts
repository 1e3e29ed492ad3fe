import { CASE, portsOf, type ElementKind, type ShiftElement, type Unit } from '../geartrain';
import { UNIT_FAULT_KINDS, type ElementFault, type Fault, type UnitFaultKind } from './fault';

/**
 * Faults of a unit as changes of its constraints, exactly. `broken` splits a member at one port of one gear set (stripped
 * splines): the port stays with a stub of its own. `stripped` takes a gear set's teeth away.
 */

export type FaultProblem =
  | 'unknown-element'
  | 'unknown-port'
  | 'unknown-gearset'
  | 'fault-does-not-fit';

export type FaultResult =
  | {
      readonly ok: true;
      readonly unit: Unit;
      readonly applyAlso: readonly string[];
      readonly never: readonly string[];
    }
  | { readonly ok: false; readonly problem: FaultProblem; readonly target: string };

/** Faults that can befall an element of each kind. */
export const FAULTS_OF: Readonly<Record<ElementKind, readonly ElementFault[]>> = {
  clutch: ['will-not-apply', 'stuck-on'],
  dog: ['will-not-apply', 'stuck-on'],
  brake: ['will-not-apply', 'stuck-on'],
  band: ['will-not-apply', 'stuck-on'],
  'one-way': ['will-not-hold', 'seized', 'reversed'],
};

/** Every link that can break, as `GEARSET.PORT`. */
export const portTargets = (unit: Unit): string[] =>
  unit.gearsets.flatMap((set) => portsOf(set).map(({ port }) => `${set.id}.${port}`));

/** The unit as the faults leave it, with what is now always or never applied. */
export function withFaults(unit: Unit, faults: readonly Fault[]): FaultResult {
  let current = unit;
  const applyAlso: string[] = [];
  const never: string[] = [];
  for (const fault of faults) {
    const changed = changeUnit(current, fault);
    if (typeof changed === 'string') return { ok: false, problem: changed, target: fault.target };
    current = changed;
    if (fault.kind === 'stuck-on' || fault.kind === 'seized') applyAlso.push(fault.target);
    if (fault.kind === 'will-not-apply') never.push(fault.target);
  }
  return { ok: true, unit: current, applyAlso, never };
}

/** What a range applies on a faulty unit. */
export const appliedWithFaults = (
  apply: readonly string[],
  {
    applyAlso,
    never,
  }: { readonly applyAlso: readonly string[]; readonly never: readonly string[] },
): string[] => [...new Set([...apply, ...applyAlso])].filter((id) => !never.includes(id));

/** @returns the changed unit; the unit itself for a fault that leaves its constraints alone */
function changeUnit(unit: Unit, { target, kind }: Fault): Unit | FaultProblem {
  if (!isUnitFault(kind)) return 'fault-does-not-fit';
  if (kind === 'broken') return breakLink(unit, target);
  if (kind === 'stripped') return stripTeeth(unit, target);
  return changeElement(unit, target, kind);
}

const isUnitFault = (kind: Fault['kind']): kind is UnitFaultKind =>
  (UNIT_FAULT_KINDS as readonly string[]).includes(kind);

function stripTeeth(unit: Unit, target: string): Unit | FaultProblem {
  if (!unit.gearsets.some((g) => g.id === target)) return 'unknown-gearset';
  return { ...unit, gearsets: unit.gearsets.filter((g) => g.id !== target) };
}

function changeElement(unit: Unit, target: string, kind: ElementFault): Unit | FaultProblem {
  const element = unit.elements.find((e) => e.id === target);
  if (!element) return 'unknown-element';
  if (!FAULTS_OF[element.kind].includes(kind)) return 'fault-does-not-fit';
  const replaced = changedElement(element, kind);
  if (replaced === element) return unit;
  const elements = unit.elements.flatMap((e) => (e !== element ? [e] : replaced ? [replaced] : []));
  return { ...unit, elements };
}

function changedElement(element: ShiftElement, kind: ElementFault): ShiftElement | null {
  const [a, b] = element.between;
  switch (kind) {
    case 'will-not-apply':
    case 'stuck-on':
      return element;
    case 'will-not-hold':
      return null;
    case 'seized':
      return { ...element, kind: a === CASE || b === CASE ? 'brake' : 'clutch' };
    case 'reversed':
      return { ...element, between: [b, a] };
  }
}

function breakLink(unit: Unit, target: string): Unit | FaultProblem {
  const dot = target.lastIndexOf('.');
  const set = unit.gearsets.find((g) => g.id === target.slice(0, dot));
  const port = target.slice(dot + 1);
  if (!set || !portsOf(set).some((p) => p.port === port)) return 'unknown-port';
  const stub = `${target}.stub`;
  const gearsets = unit.gearsets.map((g) => (g === set ? { ...g, [port]: stub } : g));
  return { ...unit, gearsets, members: [...unit.members, { id: stub, name: stub }] };
}
