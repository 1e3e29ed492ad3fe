import { randomFromSeed } from '../numerics';
import {
  bestSize,
  breakEven,
  changeCost,
  clutchPlan,
  comeBackCost,
  daysOf,
  conditionIn,
  errorsIn,
  gapWith,
  gradeOrder,
  hoursOf,
  legalOrder,
  mustBeNew,
  selectivesOf,
  numberOn,
  sheetOf,
  sizesToHave,
  unasked,
  timeOf,
  USUAL_PRICES,
  windowOf,
} from './index';
import { clutch, job, plan, part } from './tests/oneJob';

test('the selective size against every size tried; a thicker part leaves less play', () => {
  const random = randomFromSeed('sizes');
  for (const selective of selectivesOf(plan)) {
    const on = part(selective.on);
    const { least, most } = windowOf(selective.measure, on);
    for (let k = 0; k < 60; k++) {
      const gap = 3 * random.next();
      const best = bestSize(selective, gap, on)!;
      const off = (size: number) => Math.abs(gapWith(gap, selective, size) - (least! + most!) / 2);
      const least2 = Math.min(...selective.sizes.map(off));
      expect(off(best)).toBeCloseTo(least2, 9);
      // A tie goes to the tighter side.
      const tied = selective.sizes.filter((s) => Math.abs(off(s) - least2) < 1e-9);
      expect(best).toBe(Math.max(...tied));
    }
    const [thin, thick] = [selective.sizes[0]!, selective.sizes.at(-1)!];
    expect(gapWith(1, selective, thick)).toBeLessThan(gapWith(1, selective, thin));
  }
  const [washer] = selectivesOf(plan);
  const shaft = part('input-shaft');
  const best = (gap: number) => bestSize(washer!, gap, shaft);
  const { sizes } = washer!;
  // A doubt as wide as one step: the neighbours are worth having at hand, no others.
  const have = sizesToHave(sizes, best, 0.6, 0.15);
  expect(have).toContain(best(0.6));
  expect(have.length).toBeGreaterThan(1);
  expect(have.length).toBeLessThan(4);
  expect(sizesToHave(sizes, best, 0.6, 0)).toEqual([best(0.6)]);
});

test('a size from another row: too tight shows as no play, no gap at all presses the plates', () => {
  const ring = selectivesOf(plan).find((s) => s.part === 'C1.ring')!;
  const gap = conditionIn(job(), part('C1.pack')).values['pack-clearance']!;
  const at = (size: number) =>
    errorsIn(job(), plan, {}, [{ part: 'C1.ring', turned: false, size }]);
  expect(at(bestSize(ring, gap, part('C1.pack'))!)).toEqual([]);
  const jammed = at(ring.now + gap + 0.2);
  expect(jammed).toMatchObject([{ kind: 'too-tight', shows: 'clearance' }]);
  expect(jammed[0]!.faults).toEqual([{ target: 'C1', kind: 'stuck-on' }]);
  // Too tight with some gap left drags, but presses nothing.
  expect(at(ring.now + gap - 0.05)).toMatchObject([{ kind: 'too-tight', faults: [] }]);
  expect(at(ring.now - 3)).toMatchObject([{ kind: 'too-loose', faults: [] }]);
});

test('what coming back costs, by hand, and what is therefore worth a new one', () => {
  const hours = hoursOf(plan);
  const used = plan.parts.filter((p) => ['seals', 'filter', 'bearing'].includes(p.kind));
  const again = used.reduce((s, p) => s + (p.kind === 'seals' ? 6 : 18), 0);
  // C_back = hours·rate + parts again + days lost (derived here): 60 an hour, two days at 150.
  expect(comeBackCost(plan, USUAL_PRICES)).toBeCloseTo(hours * 60 + again + 300, 9);
  // A washer at 7 and six minutes at 60 an hour: 13.
  const washer = part('thrust-1');
  expect(changeCost(washer, USUAL_PRICES)).toBeCloseTo(13, 9);
  const p = breakEven(washer, plan, USUAL_PRICES);
  expect(p * comeBackCost(plan, USUAL_PRICES)).toBeCloseTo(13, 9);
  expect(breakEven(part('P1.carrier'), plan, USUAL_PRICES)).toBeGreaterThan(p);
  // Each tier holds what the one below it does, and costs more.
  const must = mustBeNew(job(), plan);
  const sheets = ([1, 2, 3] as const).map((tier) => sheetOf(plan, tier, must, USUAL_PRICES));
  for (const [k, sheet] of sheets.entries()) {
    const ids = sheet.rows.map((r) => r.part.id);
    for (const id of must) expect(ids).toContain(id);
    expect(sheet.total).toBeCloseTo(sheet.partsCost + sheet.labour + sheet.standing, 9);
    expect(sheet.standing).toBe(sheet.days * USUAL_PRICES.day);
    expect(sheet.days).toBe(Math.max(...sheet.rows.map((r) => daysOf(r.part, USUAL_PRICES))));
    if (k > 0) expect(sheet.total).toBeGreaterThan(sheets[k - 1]!.total);
  }
  const cheapest = gradeOrder(plan, must, [...must], USUAL_PRICES);
  expect(cheapest).toMatchObject({ missing: [], needless: [], right: true });
  expect(gradeOrder(plan, must, [...must].slice(1), USUAL_PRICES).right).toBe(false);
  // A carrier more is far beyond a tenth of what is needed.
  expect(gradeOrder(plan, must, [...must, 'P1.carrier'], USUAL_PRICES)).toMatchObject({
    needless: ['P1.carrier'],
    right: false,
  });
  expect(
    gradeOrder(
      plan,
      must,
      plan.parts.map((q) => q.id),
      USUAL_PRICES,
    ).right,
  ).toBe(false);
});

test('what an order takes: minutes of each part, and the turns on the stand', () => {
  const order = legalOrder(plan);
  const alone = plan.parts.reduce((sum, p) => sum + timeOf(plan, [p.id]).minutes, 0);
  const { minutes, turns } = timeOf(plan, order);
  // Each turn is four minutes more (from memory), and parts alone turn nothing.
  expect(minutes).toBe(alone + 4 * turns);
  expect(turns).toBeGreaterThan(0);
  // Half of what having it apart and together takes, but for the turns.
  expect(alone / 60).toBeCloseTo(hoursOf(plan) / 2, 9);
  // To and fro costs turns: pan, pump, pan again.
  expect(timeOf(plan, ['pan', 'pump', 'filter']).turns).toBe(2);
  expect(timeOf(plan, ['pan', 'filter', 'pump']).turns).toBe(1);
  expect(timeOf(plan, ['nothing'])).toEqual({ minutes: 0, turns: 0 });
});

// Common practice, no source: a bearing goes by the number on its ring, and several discs look alike.
test('what is ordered by its number, and what is asked before a disc is ordered', () => {
  const numbers = plan.parts.map((p) => numberOn(plan, p)).filter((n) => n !== null);
  expect(numbers.length).toBeGreaterThan(1);
  expect(new Set(numbers).size).toBe(numbers.length);
  expect(numberOn(plan, part('pump'))).toBeNull();
  const box = clutchPlan(clutch);
  expect(unasked(box, ['disc'], [])).toEqual(['model', 'year', 'engine']);
  expect(unasked(box, ['disc'], ['engine', 'model'])).toEqual(['year']);
  expect(unasked(box, ['cover', 'disc'], ['engine', 'model', 'year'])).toEqual([]);
  expect(unasked(box, ['crank-seal'], [])).toEqual([]);
});
