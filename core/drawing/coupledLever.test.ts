import { solveUnit, type Unit } from '../geartrain';
import { toNumber } from '../numerics';
import { randomFromSeed } from '../numerics';
import { randomUnit } from '../geartrain/tests/randomUnit';
import { ravigneaux, simpson } from '../geartrain/tests/textbookUnits';
import { coupledLevers } from './index';

const placesOf = (unit: Unit) =>
  coupledLevers(unit).map(({ sets, points }) => ({
    sets,
    at: Object.fromEntries(points.map((p) => [p.member, p.place])),
  }));

// Published: two sets that share two members make a lever of four points, sun–carrier : carrier–ring = Nr : Ns
// (Benford & Leising, SAE paper 810102; memory for the page).
test('coupled sets make one lever of four points in the right proportions', () => {
  const [lever, ...others] = placesOf(simpson(30, 70));
  expect(others).toEqual([]);
  expect(lever!.sets).toEqual(['P1', 'P2']);
  const { s, c2, out, r1 } = lever!.at as { s: number; c2: number; out: number; r1: number };
  expect((out - s) / (r1 - out)).toBeCloseTo(70 / 30, 12);
  expect((c2 - s) / (out - c2)).toBeCloseTo(70 / 30, 12);
  const two = placesOf(ravigneaux(30, 36, 78));
  expect(two).toHaveLength(1);
  expect(Object.keys(two[0]!.at)).toEqual(['a', 'r', 'c', 'b']);
});

test('a straight line through the points is a state of the train', () => {
  let checked = 0;
  for (let k = 0; k < 200; k++) {
    const random = randomFromSeed(`lever-${k}`);
    const unit = randomUnit(random);
    const applied = unit.elements.filter(() => random.next() < 0.6).map((e) => e.id);
    const { outcome, speeds } = solveUnit(unit, applied);
    if (outcome !== 'drives') continue;
    for (const { points } of coupledLevers(unit)) {
      const known = points.flatMap((p) => {
        const speed = p.member === 'case' ? null : speeds.get(p.member);
        return speed ? [{ place: p.place, speed: toNumber(speed) }] : [];
      });
      if (known.length < 3) continue;
      const [a, b] = [known[0]!, known.at(-1)!];
      for (const p of known) {
        const straight =
          a.speed + ((p.place - a.place) / (b.place - a.place)) * (b.speed - a.speed);
        expect([k, p.speed]).toEqual([k, expect.closeTo(straight, 8)]);
      }
      checked++;
    }
  }
  expect(checked).toBeGreaterThan(40);
});

test('sets that share one member only stand as levers of their own', () => {
  const unit = simpson(30, 70);
  const apart: Unit = {
    ...unit,
    members: [...unit.members, { id: 's2', name: '' }],
    gearsets: [unit.gearsets[0]!, { ...unit.gearsets[1]!, sun: 's2' } as Unit['gearsets'][number]],
  };
  expect(coupledLevers(apart).map((l) => l.sets)).toEqual([['P1'], ['P2']]);
});
