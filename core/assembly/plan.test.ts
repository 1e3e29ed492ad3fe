import { largestUnit } from '../geartrain/tests/largestUnit';
import { randomUnit } from '../geartrain/tests/randomUnit';
import { CASE, type Unit } from '../geartrain';
import { randomFromSeed } from '../numerics';
import { demoFile, demoUnit, demoUnits } from '../tests/demoFile';
import type { Clutch } from '../clutch';
import { clutchPlan } from './clutchPlan';
import {
  checkOrder,
  costOf,
  CONSEQUENCES,
  freeParts,
  hazardsOf,
  workOf,
  legalOrder,
  ORDER_RULES,
  planOf,
  type OrderRule,
  type StripPlan,
} from './index';

const demo = new Map(demoUnits().map((unit) => [unit.id, planOf(unit)]));
const UNITS = [...demo.keys()];
const trainer = demo.get('harbour-trainer')!;

/** Takes out all that can leave while one part stays: what is left can only come after it. */
function comesAfter(plan: StripPlan, part: string): Set<string> {
  const gone = new Set<string>();
  for (;;) {
    const next = freeParts(plan, gone).filter((id) => id !== part);
    if (next.length === 0) break;
    for (const id of next) gone.add(id);
  }
  return new Set(plan.parts.map((p) => p.id).filter((id) => !gone.has(id) && id !== part));
}
const must = (plan: StripPlan, first: string, later: string) =>
  expect([first, later, comesAfter(plan, first).has(later)]).toEqual([first, later, true]);
const may = (plan: StripPlan, first: string, later: string) =>
  expect([first, later, comesAfter(plan, first).has(later)]).toEqual([first, later, false]);

/** An order drawn at random out of what is free. */
function randomOrder(plan: StripPlan, seed: string): string[] {
  const random = randomFromSeed(seed);
  const gone = new Set<string>();
  while (gone.size < plan.parts.length) gone.add(random.pick(freeParts(plan, gone)));
  return [...gone];
}

test.each(UNITS)('%s: every part once, an order that breaks nothing, and so do others', (id) => {
  const plan = demo.get(id)!;
  const ids = plan.parts.map((p) => p.id);
  expect(new Set(ids).size).toBe(ids.length);
  for (const { after, before, any } of plan.rules)
    expect([after, ...before, ...any.flat()].filter((p) => !ids.includes(p))).toEqual([]);
  for (const order of [legalOrder(plan), randomOrder(plan, 'a'), randomOrder(plan, 'b')])
    expect(checkOrder(plan, order)).toEqual({ violations: [], complete: true });
  expect(legalOrder(plan).at(-1)).toBe('case');
});

test('two hundred units of no maker: no rules that wait for each other', () => {
  const random = randomFromSeed('strip');
  for (let k = 0; k < 200; k++) {
    const plan = planOf(randomUnit(random, true, 2));
    expect(checkOrder(plan, legalOrder(plan)).violations).toEqual([]);
    if (k % 20 === 0) expect(checkOrder(plan, randomOrder(plan, `${k}`)).violations).toEqual([]);
  }
});

test.each(UNITS)('%s: which end of a brake is written first changes nothing', (id) => {
  const unit = demoUnit(id);
  const turned: Unit = {
    ...unit,
    elements: unit.elements.map((e) =>
      e.kind !== 'one-way' && e.between.includes(CASE)
        ? { ...e, between: [e.between[1], e.between[0]] }
        : e,
    ),
  };
  expect(planOf(turned)).toEqual(demo.get(id));
});

test('what is free is all that any order can begin with: by trying every order of a small unit', () => {
  const plan: StripPlan = {
    unit: 'small',
    places: {},
    thrusts: [],
    parts: ['a', 'b', 'c', 'd'].map((id) => ({
      id,
      kind: 'fitting',
      of: 'unit',
      count: 1,
      openings: ['side'],
    })),
    rules: [
      { after: 'c', before: ['a'], any: [], rule: 'pan-first' },
      { after: 'd', before: [], any: [['b', 'c']], rule: 'way-out' },
    ],
  };
  const orders = (list: readonly string[]): string[][] =>
    list.length === 0
      ? [[]]
      : list.flatMap((x) => orders(list.filter((y) => y !== x)).map((rest) => [x, ...rest]));
  const legal = orders(['a', 'b', 'c', 'd']).filter(
    (o) =>
      o.indexOf('a') < o.indexOf('c') && o.indexOf('d') > Math.min(o.indexOf('b'), o.indexOf('c')),
  );
  const found = orders(['a', 'b', 'c', 'd']).filter(
    (o) => checkOrder(plan, o).violations.length === 0,
  );
  expect(found).toEqual(legal);
  expect(freeParts(plan)).toEqual([...new Set(legal.map(([first]) => first))].sort());
});

// Common practice, no source: what practitioners hold to when they open an automatic transmission.
test('facts of the trade hold in every order of an automatic unit', () => {
  for (const id of ['harbour-trainer', 'skerry-three', 'quay-four', 'capstan-five']) {
    const plan = demo.get(id)!;
    must(plan, 'fluid', 'pan');
    for (const fitting of ['solenoid-plug', 'cable', 'speed-pickup', 'converter'])
      must(plan, fitting, 'pan');
    must(plan, 'pan', 'filter');
    must(plan, 'filter', 'valve-body');
    must(plan, 'valve-body', 'park-rod');
    must(plan, 'park-rod', 'selector-shaft');
    must(plan, 'speed-pickup', 'extension');
    must(plan, 'converter', 'pump');
    must(plan, 'pan', 'valve-body');
    must(plan, 'valve-body', 'pump');
    must(plan, 'solenoid-plug', 'valve-body');
    must(plan, 'pump', 'C1.drum');
    must(plan, 'selector-pin', 'selector-shaft');
    must(plan, 'extension', 'output-shaft');
    for (const part of ['drum', 'ring', 'pack', 'spring'].map((p) => `C1.${p}`))
      must(plan, part, 'C1.piston');
    for (const { id: band } of demoUnit(id).elements.filter((e) => e.kind === 'band')) {
      must(plan, `${band}.anchor`, `${band}.band`);
      must(plan, `${band}.servo-ring`, `${band}.servo`);
    }
  }
  // The band lies round the sun's shell; the support before what stands behind it.
  must(trainer, 'B3.band', 'sun.shell');
  must(trainer, 'support-bolt', 'support');
  must(trainer, 'C1.drum', 'support');
  must(trainer, 'output-ring', 'P2.ring');
  // Left and right of the axis nothing waits for the other.
  may(trainer, 'converter', 'B3.anchor');
  may(trainer, 'speed-pickup', 'solenoid-plug');
});

test('a box of gear pairs has no pump; its clutch is dry or in oil as the unit says', () => {
  const ids = (id: string) => new Set(demo.get(id)!.parts.map((p) => p.id));
  const manual = ids('winch-manual');
  for (const part of ['pump', 'converter', 'valve-body', 'pan', 'K.drum'])
    expect([part, manual.has(part)]).toEqual([part, false]);
  for (const part of ['K.disc', 'H12.sleeve', 'M1.first', 'extension'])
    expect([part, manual.has(part)]).toEqual([part, true]);
  must(demo.get('winch-manual')!, 'H12.fork', 'H12.sleeve');
  const winch = demo.get('winch-manual')!;
  must(winch, 'K.cover', 'K.disc');
  must(winch, 'K.bearing', 'K.cover');
  must(winch, 'fluid', 'extension');
  must(winch, 'selector-shaft', 'H12.fork');
  must(winch, 'H12.sleeve', 'H12.hub');
  for (const later of ['M1.first', 'M1.second']) must(winch, 'extension', later);
  const hub = demoUnit('winch-manual').elements.find((e) => e.kind === 'dog')!;
  const shaft = hub.between.find((m) => winch.parts.some((p) => p.id === `${m}.nut`))!;
  must(winch, `${shaft}.nut`, `${shaft}.bearing`);
  must(winch, `${shaft}.bearing`, `${shaft}.shim`);
  must(winch, `${shaft}.bearing`, 'H12.sleeve');
  const dual = ids('ferry-dual');
  for (const part of ['pump', 'K1.drum', 'K2.pack']) expect(dual.has(part)).toBe(true);
  expect(dual.has('converter')).toBe(false);
});

test('a sun that two sets have in common is one part; frictions follow the most that is asked', () => {
  // Simpson's arrangement (published: H. W. Simpson; from memory): one sun for two sets.
  const skerry = demo.get('skerry-three')!.parts;
  expect(skerry.filter((p) => p.kind === 'sun').map((p) => p.id)).toEqual(['P1.sun']);
  expect(skerry.find((p) => p.id === 'P1.pinions')?.count).toBe(
    demoUnit('skerry-three').gearsets.map((g) => ('pinions' in g ? g.pinions : 0))[0],
  );
  const plates = (id: string, pack: string) =>
    demo.get(id)!.parts.find((p) => p.id === pack)!.count;
  // A brake that holds the reaction of a reverse is asked more than a clutch that passes the input on.
  expect(plates('skerry-three', 'B2.pack')).toBeGreaterThan(plates('skerry-three', 'C1.pack'));
});

test('each broken rule is told where it was broken, with what it does', () => {
  const order = legalOrder(trainer);
  const broken = new Set<OrderRule>();
  for (const { after, before, any, rule } of trainer.rules) {
    // Everything in turn, but the part before the first of what it waits for.
    const waits = [...before, ...any.flat()];
    const early = [after, ...order.filter((id) => id !== after)];
    const found = checkOrder(trainer, early);
    expect(found.complete).toBe(true);
    const own = found.violations.filter((v) => v.at === 0 && v.rule === rule);
    expect(own.length).toBeGreaterThan(0);
    expect(own.every((v) => v.consequence === ORDER_RULES[rule].consequence)).toBe(true);
    expect(
      own
        .flatMap((v) => v.missing)
        .every((id) =>
          trainer.rules.some(
            (r) => r.after === after && [...r.before, ...r.any.flat()].includes(id),
          ),
        ),
    ).toBe(true);
    expect(waits.length).toBeGreaterThan(0);
    broken.add(rule);
  }
  for (const rule of ['drain-first', 'spring-press', 'support-bolt', 'band-slack'] as const)
    expect(broken.has(rule)).toBe(true);
});

test('the largest unit that the format holds is planned, too', () => {
  const plan = planOf(largestUnit());
  expect(checkOrder(plan, legalOrder(plan))).toEqual({ violations: [], complete: true });
});

test('what hurts costs most, and what does no harm nothing', () => {
  const broken = (consequence: (typeof CONSEQUENCES)[number]) =>
    costOf({ violations: [{ at: 0, part: 'p', rule: 'retained', missing: [], consequence }] });
  // The scale that was asked for: 5, 3, 2, 1, 0.
  expect(CONSEQUENCES.map(broken)).toEqual([5, 3, 2, 1, 0]);
  expect(costOf({ violations: [] })).toBe(0);
});

test('what can hurt is told of the parts that do (common practice, no source)', () => {
  const hazards = (id: string) =>
    [...demo.values()].flatMap((plan) => plan.parts.filter((p) => p.id === id)).map(hazardsOf)[0];
  expect(hazards('C1.spring')).toEqual(['springs']);
  expect(hazards('B3.servo-ring')).toEqual(['springs']);
  expect(hazards('converter')).toEqual(['heavy-parts']);
  expect(hazards('pan')).toEqual(['hot-fluid']);
  expect(hazards('extension')).toEqual(['park-free']);
  // A dry clutch's cover is pressed by its spring, and hangs on its last bolt; its disc is dusty, a wet plate is not.
  expect(hazards('K.cover')).toEqual(['springs', 'last-bolt']);
  expect(hazards('K.disc')).toEqual(['dust']);
  expect(hazards('C1.pack')).toEqual([]);
});

test('work as it goes: what can’t come out stays and is wasted, what is forced is out, and costs', () => {
  const start = workOf(trainer, []);
  expect(start).toEqual({ off: [], outOfTurn: new Set(), last: [], cost: 0 });
  const stuck = workOf(trainer, ['fluid', 'C1.drum']);
  expect(stuck).toMatchObject({ off: ['fluid'], cost: 2 });
  expect(stuck.last.map((v) => v.rule).sort()).toEqual(['pump-before-drums', 'way-out']);
  // The pump with the converter on it and the valve body in: two things may break.
  const forced = workOf(trainer, ['fluid', 'C1.drum', 'pump']);
  expect(forced).toMatchObject({ off: ['fluid', 'pump'], cost: 2 + 3 + 3 });
  expect(forced.outOfTurn).toEqual(new Set([1]));
  // Of what the unit has not, or what is off already, nothing comes.
  expect(workOf(trainer, ['fluid', 'fluid', 'no-such-part']).off).toEqual(['fluid']);
  expect(workOf(trainer, legalOrder(trainer))).toMatchObject({ cost: 0, last: [] });
});

test('gear pairs beside planetary sets are parts of the stack; a clutch to the case is a brake', () => {
  const skerry = demoUnit('skerry-three');
  const unit: Unit = {
    ...skerry,
    members: [...skerry.members, { id: 'lay', name: 'Lay shaft' }],
    gearsets: [
      ...skerry.gearsets,
      {
        id: 'M1',
        kind: 'mesh',
        first: skerry.output,
        second: 'lay',
        teeth: { first: 30, second: 40 },
      },
    ],
    elements: skerry.elements.map((e) => (e.kind === 'brake' ? { ...e, kind: 'clutch' } : e)),
  };
  const plan = planOf(unit);
  const ids = plan.parts.map((p) => p.id);
  for (const id of ['M1.first', 'M1.second', 'B2.pack', 'P1.sun']) expect(ids).toContain(id);
  expect(ids).not.toContain('B2.drum');
  expect(checkOrder(plan, legalOrder(plan))).toEqual({ violations: [], complete: true });
});

// Common practice, no source: the dry clutch with the gearbox still before it.
test('a dry clutch: battery, box, marks, cover, disc, and behind it the flywheel', () => {
  const plan = clutchPlan(demoFile<Clutch>('clutches/bollard-nine'));
  for (const [first, later] of [
    ['battery', 'box'],
    ['linkage', 'box'],
    ['propeller-shaft', 'box'],
    ['box', 'bearing'],
    ['bearing', 'fork'],
    ['box', 'marks'],
    ['marks', 'cover'],
    ['cover', 'disc'],
    ['disc', 'pilot-bush'],
    ['disc', 'flywheel'],
    ['flywheel', 'crank-seal'],
  ] as const) {
    must(plan, first, later);
    may(plan, later, first);
  }
  expect(checkOrder(plan, legalOrder(plan))).toEqual({ violations: [], complete: true });
});
