import { isSleeveSide } from '../../../geartrain';
import { forwardSides, USUAL_SPEEDS } from '../../../shift';
import type { GearboxQuestion, GearboxRig } from './kinds';
import { clutchesOf } from './key';
import { upshifts } from './runs';

/** What a new question about a gearbox starts as. */
export function newGearboxQuestion(
  kind: GearboxQuestion['kind'],
  { unit, vehicle, engine }: GearboxRig,
): GearboxQuestion {
  const base = { prompt: '', unit: unit.id };
  switch (kind) {
    case 'which-side':
      return { ...base, kind, part: 'tips', side: middleSide(unit), value: 0.7 };
    case 'two-gears':
      return { ...base, kind, sides: firstSides(unit), clutches: clutchesOf(unit).slice(0, 1) };
    case 'set-waiting':
      return { ...base, kind, vehicle: vehicle?.id ?? '', speeds: [...USUAL_SPEEDS] };
    case 'draw-crossing': {
      const pair = upshifts(unit).at(-1);
      return {
        ...base,
        kind,
        vehicle: vehicle?.id ?? '',
        engine: engine?.id ?? '',
        from: pair?.from.id ?? '',
        to: pair?.to.id ?? '',
        dip: 0.1,
        flare: 100,
      };
    }
  }
}

const middleSide = (unit: GearboxRig['unit']): string => {
  const sides = forwardSides(unit);
  return sides[Math.floor(sides.length / 2)]?.side ?? 'none';
};

const firstSides = (unit: GearboxRig['unit']): [string, string] => {
  const [a = 'none', b = 'none'] = unit.elements.filter(isSleeveSide).map((e) => e.id);
  return [a, b];
};
