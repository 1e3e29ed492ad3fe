import type { Unit } from '../geartrain';
import { demoFile } from '../tests/demoFile';
import { demandsOf } from './demands';
import { gearsOf } from './gears';
import { rangeMotions } from './rangeMotions';
import { USUAL_PRESSURES } from './wishes';

const unit = demoFile<Unit>('units/skerry-three');
const WISHES = { inputNm: 200, startTimes: 2 };
const demands = demandsOf(unit, gearsOf(unit), WISHES);
const motionOf = rangeMotions(unit);
const shareIn = (id: string, element: string) =>
  motionOf(unit.ranges.find((r) => r.id === id)!).factorOf(element);

// By hand: an element is made for the most that any range asks of it, where the converter multiplies in the gears to start
// in; in reverse the pressure is raised, and the element need hold so much less by itself.
test('what an element is made for', () => {
  const asked = (element: string) =>
    Math.max(
      0.5,
      ...unit.ranges.map(({ id, lever }) => {
        const { ratio } = motionOf(unit.ranges.find((r) => r.id === id)!);
        const lowest = Math.max(...unit.ranges.map((r) => motionOf(r).ratio ?? 0));
        const times =
          lever === 'R'
            ? WISHES.startTimes / USUAL_PRESSURES.reverseBoost
            : ratio !== null && ratio > 0.99 * lowest
              ? WISHES.startTimes
              : 1;
        return shareIn(id, element) * times;
      }),
    );
  for (const { id, kind } of unit.elements)
    if (kind !== 'one-way')
      expect(demands.capacity(id)).toBeCloseTo(1.4 * WISHES.inputNm * asked(id), 6);
  // The brake that holds in reverse alone with the engine driving: reverse sizes it, boost and all.
  const reverse = unit.ranges.find((r) => r.lever === 'R')!;
  expect(demands.capacity('B2')).toBeCloseTo(
    (1.4 * 200 * 2 * shareIn(reverse.id, 'B2')) / USUAL_PRESSURES.reverseBoost,
    6,
  );
});
