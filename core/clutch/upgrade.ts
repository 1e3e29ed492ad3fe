import {
  endPlateNeeded,
  grooveLoad,
  gaugeReading,
  HAIR,
  packTorque,
  pistonForce,
  stackHeight,
  type ClutchPack,
  type Plate,
} from './clutchPack';
import { packHeat, steadyEngagement, type PackHeat } from './packHeat';

/**
 * Three ways to make a pack hold more, each as the pack it gives, and what limits each: the room in the drum, too much of
 * it (the piston runs out of travel, and the pack applies late), the ring's groove, the heat in the steels, the end plate.
 */
export type Upgrade = 'one-plate-more' | 'more-pressure' | 'thinner-steels';
export const UPGRADES: readonly Upgrade[] = ['one-plate-more', 'more-pressure', 'thinner-steels'];

export const UPGRADE_LIMITS = ['room', 'slack', 'groove', 'heat', 'end-plate', 'none'] as const;
export type UpgradeLimit = (typeof UPGRADE_LIMITS)[number];

/** An engagement to judge heat by. */
export interface Duty {
  /** J and s of slip in one engagement. */
  readonly joules: number;
  readonly seconds: number;
  /** How many, one after the other, and how often one comes, s. */
  readonly times: number;
  readonly every: number;
  /** °C of the oil. */
  readonly oilC: number;
}

export interface UpgradeResult {
  readonly upgrade: Upgrade | 'as-it-is';
  readonly pack: ClutchPack;
  /** N·m, m, °C. */
  readonly torque: number;
  readonly clearance: number;
  readonly peakC: number;
  /** Piston force over what the groove bears. */
  readonly groove: number;
  /** Everything that is past its limit, the worst first; `none` alone when nothing is. */
  readonly limits: readonly UpgradeLimit[];
}

/** °C of a steel's face above which lining chars (memory). */
export const LINING_LIMIT_C = 300;
/** What "more pressure" means here. */
const MORE_PRESSURE = 1.25;

/** Least share of a steel that is left of it. */
const THINNEST = 0.3;
const stackHeightOf = (stack: readonly Plate[]): number => stackHeight({ stack: [...stack] });

const insertPair = (pack: ClutchPack): Plate[] => {
  const friction = pack.stack.findLast((p) => p.kind === 'friction');
  const steel = pack.stack.findLast((p) => p.kind === 'steel');
  if (!friction || !steel) return pack.stack;
  const at = pack.stack.lastIndexOf(friction);
  const copy = (p: Plate): Plate => ({ ...p, id: `${p.id}+` });
  // Beside the last friction, so that friction and metal go on by turns.
  return [...pack.stack.slice(0, at), copy(friction), copy(steel), ...pack.stack.slice(at)];
};

/** The pack after an upgrade. "Thinner steels" makes room for one pair more. */
export function upgraded(pack: ClutchPack, upgrade: Upgrade): ClutchPack {
  switch (upgrade) {
    case 'one-plate-more':
      return { ...pack, stack: insertPair(pack) };
    case 'more-pressure':
      return { ...pack, pressure: pack.pressure * MORE_PRESSURE };
    case 'thinner-steels': {
      const stack = insertPair(pack);
      // Just so thin that the pair more takes no room.
      const [before, after] = [pack.stack, stack].map(stackHeightOf);
      const steels = stackHeightOf(stack.filter((p) => p.kind === 'steel'));
      const share = steels > 0 ? Math.max(THINNEST, (steels - (after! - before!)) / steels) : 1;
      return {
        ...pack,
        stack: stack.map((p) =>
          p.kind === 'steel' ? { ...p, thickness: p.thickness * share } : p,
        ),
      };
    }
  }
}

export function judgePack(
  pack: ClutchPack,
  duty: Duty,
  upgrade: UpgradeResult['upgrade'] = 'as-it-is',
): UpgradeResult {
  const clearance = gaugeReading(pack);
  const [least, most] = pack.clearance;
  const groove = pistonForce(pack, pack.pressure) / grooveLoad(pack);
  const { peakC } = dutyHeat(pack, duty);
  const end = pack.stack.at(-1);
  const bulge = end ? endPlateNeeded(pack) / end.thickness : 0;
  const over: [UpgradeLimit, number][] = [
    ['room', clearance < least - HAIR ? 1 + (least - clearance) / least : 0],
    ['slack', clearance > most + HAIR ? clearance / most : 0],
    ['groove', groove],
    ['heat', (peakC - duty.oilC) / (LINING_LIMIT_C - duty.oilC)],
    ['end-plate', bulge],
  ];
  const past = over.filter(([, share]) => share > 1).sort((a, b) => b[1] - a[1]);
  return {
    upgrade,
    pack,
    torque: packTorque(pack, pack.pressure),
    clearance,
    peakC,
    groove,
    limits: past.length > 0 ? past.map(([limit]) => limit) : ['none'],
  };
}

const HEAT_STEPS = 40;

/** Temperatures while the pack does its duty. */
export function dutyHeat(
  pack: ClutchPack,
  { joules, seconds, times, every, oilC }: Duty,
): PackHeat {
  const once = steadyEngagement(joules, seconds);
  const rest = Math.max(every, seconds);
  return packHeat(pack, {
    heatUntil: (time) => {
      const before = Math.floor(time / rest);
      return before * joules + once(time - before * rest);
    },
    seconds: (times - 1) * rest + seconds,
    step: seconds / HEAT_STEPS,
    startC: oilC,
  });
}

/** As it is, then the three upgrades. */
export const compareUpgrades = (pack: ClutchPack, duty: Duty): UpgradeResult[] => [
  judgePack(pack, duty),
  ...UPGRADES.map((u) => judgePack(upgraded(pack, u), duty, u)),
];
