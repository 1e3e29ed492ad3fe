import { CASE, type GearSet, type ShiftElement, type Unit } from '../geartrain';

/**
 * A fault changes the model; the symptom is then computed from the changed model like anything else.
 * `broken` splits a member at one port of one gear set (stripped splines): the port stays with a stub of its own.
 */
export type ElementFault = 'will-not-apply' | 'stuck-on' | 'will-not-hold' | 'seized' | 'reversed';
export type FaultKind = ElementFault | 'broken';
export const FAULT_KINDS: readonly FaultKind[] = [
  'will-not-apply',
  'stuck-on',
  'will-not-hold',
  'seized',
  'reversed',
  'broken',
];

export interface Fault {
  /** Element id, or `GEARSET.PORT` for `broken`. */
  readonly target: string;
  readonly kind: FaultKind;
}

export type FaultProblem = 'unknown-element' | 'unknown-port' | 'fault-does-not-fit';

export type FaultResult =
  | {
      readonly ok: true;
      readonly unit: Unit;
      readonly applyAlso: readonly string[];
      readonly never: readonly string[];
    }
  | { readonly ok: false; readonly problem: FaultProblem; readonly target: string };

/** Elements that a fault of this kind can befall. */
const FITS: Readonly<Record<ElementFault, readonly ShiftElement['kind'][]>> = {
  'will-not-apply': ['clutch', 'brake', 'band', 'dog'],
  'stuck-on': ['clutch', 'brake', 'band', 'dog'],
  'will-not-hold': ['one-way'],
  seized: ['one-way'],
  reversed: ['one-way'],
};

/** The unit as the faults leave it, with what is now always or never applied. */
export function withFaults(unit: Unit, faults: readonly Fault[]): FaultResult {
  let current = unit;
  const applyAlso: string[] = [];
  const never: string[] = [];
  for (const fault of faults) {
    const changed =
      fault.kind === 'broken'
        ? breakLink(current, fault.target)
        : changeElement(current, fault.target, fault.kind);
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

function changeElement(unit: Unit, target: string, kind: ElementFault): Unit | FaultProblem {
  const element = unit.elements.find((e) => e.id === target);
  if (!element) return 'unknown-element';
  if (!FITS[kind].includes(element.kind)) return 'fault-does-not-fit';
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
  if (!set || !(portsOf(set) as readonly string[]).includes(port)) return 'unknown-port';
  const stub = `${target}.stub`;
  const gearsets = unit.gearsets.map((g) => (g === set ? { ...g, [port]: stub } : g));
  return { ...unit, gearsets, members: [...unit.members, { id: stub, name: stub }] };
}

const portsOf = (set: GearSet) =>
  set.kind === 'mesh' ? (['first', 'second'] as const) : (['sun', 'carrier', 'ring'] as const);
