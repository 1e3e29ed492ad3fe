import type { Clutch, Coupling } from '../clutch';
import type { Converter, Engine } from '../converter';
import { CASE, isSleeveSide, portsOf, type Unit } from '../geartrain';
import { mainClutchOf } from '../shift';
import type { Vehicle } from '../vehicle';
import { portTargets } from './applyFault';
import { FAULT_KINDS, FAULT_SPECS, PARTS, type Fault, type FaultSite, type Part } from './fault';

/** What stands in the shop: the models that a complaint is about. Parts that it has not are `null`. */
export interface Rig {
  readonly unit: Unit | null;
  readonly engine: Engine | null;
  readonly converter: Converter | null;
  readonly clutch: Clutch | null;
  readonly vehicle: Vehicle | null;
  readonly coupling: Coupling | null;
  /** Driven like this before it came in; what slipped has left its mark. */
  readonly minutes: number;
}

export const BARE_RIG: Rig = {
  unit: null,
  engine: null,
  converter: null,
  clutch: null,
  vehicle: null,
  coupling: null,
  minutes: 30,
};

export type RigKind = 'automatic' | 'manual' | 'dual-clutch' | 'coupling' | 'unit' | 'clutch';

export function rigKind({ unit, converter, clutch, coupling, vehicle }: Rig): RigKind {
  if (!unit) return clutch ? 'clutch' : 'coupling';
  if (converter) return 'automatic';
  if (clutch) return 'manual';
  if (coupling) return 'coupling';
  return vehicle && unit.elements.some((e) => e.kind === 'dog') ? 'dual-clutch' : 'unit';
}

/** Elements pressed together by oil: a dry clutch in the unit's own place is not one. */
export function oilElements({ unit, clutch }: Rig): string[] {
  if (!unit) return [];
  const dry = clutch ? mainClutchOf(unit)?.id : undefined;
  return unit.elements
    .filter((e) => e.kind !== 'one-way' && e.kind !== 'dog' && e.id !== dry)
    .map((e) => e.id);
}

/** Sides of sliding sleeves. */
export const sleeveSides = ({ unit }: Rig): string[] =>
  (unit?.elements ?? []).filter(isSleeveSide).map((e) => e.id);

/** Shafts with bearings of their own: those that carry several gears or sleeves, or that a clutch drives. */
export function shaftsOf({ unit, clutch }: Rig): string[] {
  if (!unit?.gearsets.every((g) => g.kind === 'mesh')) return [];
  const inClutch = clutch ? mainClutchOf(unit)?.driven : undefined;
  return unit.members
    .filter(({ id }) => {
      if (id === CASE || id === unit.input || id === inClutch) return false;
      const ports = unit.gearsets.flatMap(portsOf).filter((p) => p.member === id).length;
      const touching = unit.elements.filter((e) => e.between.includes(id));
      const dogs = touching.filter((e) => e.kind === 'dog').length;
      return (
        id === unit.output || ports >= 2 || dogs >= 2 || touching.some((e) => e.kind === 'clutch')
      );
    })
    .map((m) => m.id);
}

function partsOf(rig: Rig): Part[] {
  const oil = oilElements(rig).length > 0;
  const has: Readonly<Record<Part, boolean>> = {
    'oil-pump': oil,
    'pressure-cable': oil && rig.converter !== null,
    regulator: oil,
    fluid: oil,
    converter: rig.converter?.model.kind === 'streamline',
    'lock-up': rig.converter?.lockUpCapacity !== undefined,
    engine: rig.engine !== null && rig.converter !== null,
    clutch: rig.clutch !== null,
    coupling: rig.coupling !== null,
  };
  return PARTS.filter((p) => has[p]);
}

/** Where a kind of fault can sit in this rig. */
export function sitesOf(rig: Rig, site: FaultSite): string[] {
  const { unit } = rig;
  switch (site) {
    case 'friction':
      return oilElements(rig);
    case 'one-way':
      return (unit?.elements ?? []).filter((e) => e.kind === 'one-way').map((e) => e.id);
    case 'sleeve':
      return sleeveSides(rig);
    case 'link':
      return unit ? portTargets(unit) : [];
    case 'gearset':
      return (unit?.gearsets ?? []).map((g) => g.id);
    case 'shaft':
      return shaftsOf(rig);
    case 'oil-pump':
    case 'pressure-cable':
    case 'regulator':
    case 'fluid':
    case 'converter':
    case 'lock-up':
    case 'engine':
    case 'clutch':
    case 'coupling':
      return partsOf(rig).filter((p) => p === site);
  }
}

export type RigFaultProblem = 'no-such-part' | 'severity-out-of-range';

/** What is wrong with saying that this rig has this fault; `null` when it can have it. */
export function rigFaultProblem(rig: Rig, fault: Fault): RigFaultProblem | null {
  const { sites, levels } = FAULT_SPECS[fault.kind];
  if (!sites.some((site) => sitesOf(rig, site).includes(fault.target))) return 'no-such-part';
  if (!fits(rig, fault)) return 'no-such-part';
  if (fault.severity === undefined) return null;
  if (!levels) return 'severity-out-of-range';
  const [a, b] = [Math.min(...levels), Math.max(...levels)];
  return fault.severity < a / 2 || fault.severity > b * 1.5 ? 'severity-out-of-range' : null;
}

/** Air and leaks need hydraulics at the pedal. */
const fits = ({ clutch }: Rig, { kind }: Fault): boolean =>
  (kind !== 'clutch-air' && kind !== 'clutch-leak') || clutch?.linkage.drive.kind === 'hydraulic';

/** Every single fault that can befall a rig. */
export const singleFaults = (rig: Rig): Fault[] =>
  FAULT_KINDS.flatMap((kind) =>
    FAULT_SPECS[kind].sites.flatMap((site) =>
      sitesOf(rig, site).map((target): Fault => ({ target, kind })),
    ),
  ).filter((fault) => fits(rig, fault));
