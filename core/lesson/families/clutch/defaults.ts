import { selectiveChoices, type ClutchPack } from '../../../clutch';
import type { Unit } from '../../../geartrain';
import type { ClutchQuestion, ClutchRig } from './kinds';

/** What a new question about a clutch or a pack starts as. */
export function newClutchQuestion(kind: ClutchQuestion['kind'], rig: ClutchRig): ClutchQuestion {
  const clutch = { prompt: '', clutch: rig.clutch?.id ?? '' };
  const pack = { prompt: '', pack: rig.pack?.id ?? '' };
  const engine = rig.engine?.id ?? '';
  const driven = { engine, vehicle: rig.vehicle?.id ?? '', unit: rig.unit?.id ?? '' };
  const tolerance = { kind: 'percent' as const, value: 10 };
  switch (kind) {
    case 'set-free-play':
      return { ...clutch, kind, wear: 0 };
    case 'adjust-order':
      return { ...clutch, kind };
    case 'noise-test':
      return { ...clutch, kind, engine, first: 'release', second: 'pilot' };
    case 'will-it-hold':
      return {
        ...clutch,
        ...driven,
        kind,
        ask: 'holds',
        range: gearOf(rig.unit, true),
        throttle: 1,
        grade: 0.05,
        wear: 0.001,
        oil: 0,
        tolerance,
      };
    case 'draw-start':
      return {
        ...clutch,
        ...driven,
        kind,
        range: gearOf(rig.unit, false),
        grade: 0.08,
        brakeUntil: 1,
        heat: 50_000,
      };
    case 'choose-selective':
      return { ...pack, kind, fitted: rig.pack ? outside(rig.pack) : 0 };
    case 'upgrade-limit':
      return {
        ...pack,
        kind,
        ask: 'limit',
        upgrade: 'one-plate-more',
        duty: { joules: 20_000, seconds: 0.6, times: 1, every: 5, oilC: 90 },
        load: 100,
        tolerance,
      };
  }
}

/** The first or the last forward gear by its name. */
function gearOf(unit: Unit | null, last: boolean): string {
  const forward = (unit?.ranges ?? []).filter((r) => /^\d+$/.test(r.gear));
  return (last ? forward.at(-1) : forward[0])?.id ?? '';
}

/** A part that leaves the clearance outside its window, to begin with; 0: the one that is in. */
const outside = (pack: ClutchPack): number =>
  selectiveChoices(pack).find((c) => !c.inside)?.thickness ?? 0;
