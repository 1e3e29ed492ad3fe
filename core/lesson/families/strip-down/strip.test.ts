import type { Job } from '../../../assembly';
import { demoFile } from '../../../tests/demoFile';
import {
  assess,
  graderOf,
  keyFor,
  newStripQuestion,
  stripKey,
  type StripAnswer,
  type StripQuestion,
} from '../..';
import { kindsOf } from '../../question';
import { marked } from '../../tests/marked';
import { openingOrder } from '../../openingOrder';
import { laidJob, measuredGap, orderAnswers, shownOn } from './bench';
import { perfectWork } from '../../../assembly';

const SLIP = demoFile<Job>('jobs/slip-tractor-second');
const QUAY = demoFile<Job>('jobs/quay-hauler-noise');
const CRANE = demoFile<Job>('jobs/bollard-clutch');
const of = (job: Job) => ({ kind: 'strip-down' as const, subject: { job } });

type Told = StripQuestion extends infer Q
  ? Q extends StripQuestion
    ? Omit<Q, 'prompt' | 'job'>
    : never
  : never;
const ask = (told: Told, job: Job): StripQuestion => ({ ...told, prompt: '', job: job.id });
const graded = (told: Told, answer: StripAnswer, job = SLIP) => {
  const result = assess(ask(told, job), of(job), answer);
  if (!result.ok) throw new Error(result.fault);
  return { ...marked(result.grade), why: result.grade.why };
};
const keyed = (told: Told, job = SLIP) => {
  const result = stripKey(ask(told, job), { job });
  return result.ok ? result.key : result.fault;
};

/** Whether anybody can have answered so. */
function fits(question: StripQuestion, job: Job, answer: StripAnswer): boolean {
  const grader = graderOf(question, of(job));
  return grader.ok && grader.fits(answer);
}

// The order of work: common practice, no source.
describe('which next', () => {
  const question: Told = {
    kind: 'free-now',
    off: [
      'fluid',
      'solenoid-plug',
      'cable',
      'speed-pickup',
      'converter',
      'pan',
      'filter',
      'valve-body',
    ],
    offered: ['pump', 'support', 'C1.drum', 'B1.band', 'B1.anchor', 'sun.shell'],
  };
  const answer = (...parts: string[]): StripAnswer => ({ kind: 'free-now', parts });

  test('with outside, pan and valve body off: the pump, and the band’s anchor', () => {
    expect(keyed(question)).toEqual({ kind: 'free-now', free: ['pump', 'B1.anchor'] });
    expect(graded(question, answer('pump', 'B1.anchor'))).toMatchObject({
      score: 1,
      misconception: null,
    });
    expect(graded(question, answer('B1.anchor', 'pump')).score).toBe(1);
  });
  test('a drum with its band still round it, and what lies behind the pump', () => {
    const drum = graded(question, answer('pump', 'B1.anchor', 'sun.shell'));
    expect(drum).toMatchObject({ score: 0.5, misconception: 'drum-before-band' });
    expect(drum.why.named[0]!.claims).toContainEqual({
      claim: 'comes-first',
      part: 'sun.shell',
      first: 'B1.band',
      rule: 'band-slack',
    });
    expect(graded(question, answer('pump', 'B1.anchor', 'C1.drum')).misconception).toBe(
      'what-lies-behind-first',
    );
    expect(graded(question, answer('pump', 'B1.anchor', 'support')).misconception).toBe(
      'frees-the-retained',
    );
  });
  test('one where two are free; two slips at once accuse nobody', () => {
    const one = graded(question, answer('pump'));
    expect(one).toMatchObject({ score: 0.5, misconception: 'stops-at-one' });
    expect(one.why.named[0]!.claims).toEqual([{ claim: 'free-now', part: 'B1.anchor' }]);
    expect(graded(question, answer('sun.shell', 'C1.drum')).misconception).toBeNull();
    // Fewer than are free, and wrong for another reason: only that one is named.
    expect(graded(question, answer('sun.shell')).misconception).toBe('drum-before-band');
  });
  test('the pan before the fluid is out burns a hand', () => {
    const first: Told = { kind: 'free-now', off: [], offered: ['fluid', 'pan', 'converter'] };
    expect(graded(first, answer('fluid', 'converter', 'pan')).misconception).toBe(
      'outside-left-on',
    );
  });
  test('nothing that is offered is free, or all of it: nothing to ask', () => {
    expect(keyed({ ...question, offered: ['sun.shell'] })).toBe('nothing-free');
    expect(keyed({ ...question, offered: ['pump'] })).toBe('nothing-free');
    expect(keyed({ ...question, offered: ['pump', 'nowhere'] })).toBe('part-not-there');
  });
});

describe('strip it in order, and why', () => {
  const parts = ['C1.ring', 'C1.pack', 'C1.spring', 'C1.piston', 'C1.seals'];
  const order = (...o: number[]): StripAnswer => ({
    kind: 'strip-order',
    order: o.map((k) => parts[k]!),
  });
  const question: Told = { kind: 'strip-order', parts };

  test('a pack: ring, plates, spring in its press, piston, seals', () => {
    expect(graded(question, order(0, 1, 2, 3, 4))).toMatchObject({ score: 1, misconception: null });
    // The spring flies when the piston is drawn first: hurts, five marks, all of them.
    const flies = graded(question, order(0, 1, 3, 2, 4));
    expect(flies).toMatchObject({ score: 0, misconception: 'frees-the-retained' });
    expect(flies.why.named[0]!.claims).toContainEqual({
      claim: 'comes-first',
      part: 'C1.piston',
      first: 'C1.spring',
      rule: 'spring-press',
    });
    // Plates before their ring: wasted work, one mark of five.
    expect(graded(question, order(1, 0, 2, 3, 4)).score).toBeCloseTo(0.8, 9);
  });
  test('parts that wait for nothing among themselves are no question', () => {
    expect(keyed({ kind: 'strip-order', parts: ['C1.ring', 'C2.ring'] })).toBe('any-order-will-do');
  });
  test('all that is not among the cards is off: a part on either way out waits for no one else', () => {
    expect(keyed({ kind: 'strip-order', parts: ['B1.band', 'B1.anchor', 'B1.servo'] })).toEqual({
      kind: 'strip-order',
    });
    const band: StripAnswer = { kind: 'strip-order', order: ['B1.anchor', 'B1.servo', 'B1.band'] };
    expect(
      graded({ kind: 'strip-order', parts: ['B1.band', 'B1.anchor', 'B1.servo'] }, band).score,
    ).toBe(1);
  });
  test('cards never open in an order that is right', () => {
    for (const told of [
      question,
      { kind: 'lay-out', parts: ['C1.drum', 'P1.ring', 'support'] },
    ] as Told[]) {
      const asked = ask(told, SLIP) as Extract<StripQuestion, { parts: string[] }>;
      const laid = laidJob(SLIP, asked)!;
      expect(orderAnswers(laid, asked, asked.parts)).toBe(true);
      for (let k = 0; k < 40; k++) {
        const cards = openingOrder(asked.parts, `seed ${k}`, (o) => orderAnswers(laid, asked, o));
        expect(orderAnswers(laid, asked, cards)).toBe(false);
      }
    }
  });
  test('why the ring before the servo: its spring throws the cover', () => {
    const why: Told = { kind: 'why-first', first: 'B1.servo-ring', part: 'B1.servo' };
    expect(keyed(why)).toEqual({ kind: 'why-first', rules: ['servo-ring'] });
    expect(graded(why, { kind: 'why-first', rule: 'servo-ring' }).score).toBe(1);
    const other = graded(why, { kind: 'why-first', rule: 'band-slack' });
    expect(other.score).toBe(0);
    expect(keyed({ kind: 'why-first', first: 'B1.servo', part: 'B1.servo-ring' })).toBe(
      'no-rule-between',
    );
    for (const names of [
      { first: 'B1.servo-ring', part: 'gone' },
      { first: 'gone', part: 'B1.servo' },
    ])
      expect(keyed({ kind: 'why-first', ...names })).toBe('part-not-there');
  });
  test('laid out along the axis, front first: neighbours count', () => {
    const row: Told = { kind: 'lay-out', parts: ['support', 'C1.drum', 'sun.shell', 'P1.ring'] };
    const right = ['C1.drum', 'P1.ring', 'support', 'sun.shell'];
    expect(keyed(row)).toEqual({ kind: 'lay-out', order: right });
    const lay = (o: string[]) => graded(row, { kind: 'lay-out', order: o });
    expect(lay(right).score).toBe(1);
    expect(lay([...right].reverse())).toMatchObject({ score: 0, misconception: 'rear-to-front' });
    const swapped = lay(['P1.ring', 'C1.drum', 'support', 'sun.shell']);
    expect(swapped.misconception).toBe('neighbours-swapped');
    // Of three pairs of neighbours one is left.
    expect(swapped.score).toBeCloseTo(1 / 3, 9);
    expect(keyed({ kind: 'lay-out', parts: ['fluid', 'pan'] })).toBe('part-not-there');
  });
});

// What a wrong way is on the road: common practice, no source.
describe('which way round', () => {
  const way = (part: string, job = SLIP) => keyed({ kind: 'way-round', part }, job);
  test('what the other way becomes', () => {
    expect(way('F1.race')).toMatchObject({ becomes: 'reversed' });
    expect(way('C2.seals')).toMatchObject({ becomes: 'seal-leaks' });
    expect(way('C1.pack')).toMatchObject({ becomes: 'slips' });
    expect(way('C1.ring')).toMatchObject({ becomes: 'ring-out' });
    expect(way('B1.anchor')).toMatchObject({ becomes: 'stuck-on' });
    expect(way('thrust-2')).toMatchObject({ becomes: 'nothing' });
    expect(way('disc', CRANE)).toMatchObject({ becomes: 'clutch-warped-disc' });
    expect(way('crank-seal', CRANE)).toMatchObject({ becomes: 'clutch-oiled' });
    expect(way('fluid')).toBe('nothing-to-choose');
  });
  test('half right is half, and each half has its slip', () => {
    const race: Told = { kind: 'way-round', part: 'F1.race' };
    const answer = (
      w: 'right' | 'wrong',
      becomes: 'reversed' | 'seized' | 'burnt',
    ): StripAnswer => ({ kind: 'way-round', way: w, becomes });
    expect(graded(race, answer('right', 'reversed')).score).toBe(1);
    expect(graded(race, answer('wrong', 'reversed'))).toMatchObject({
      score: 0.5,
      misconception: 'turned-round',
    });
    // Not among what is offered: nobody can have answered so.
    expect(fits(ask(race, SLIP), SLIP, answer('right', 'burnt'))).toBe(false);
  });
});

describe('reuse it or not', () => {
  const judge = (part: string, decision: string, reason: string, job = SLIP) =>
    graded({ kind: 'verdict', part }, { kind: 'verdict', decision, reason } as StripAnswer, job);
  test('a burnt band, scratches that a nail does not catch, a lip that has been out', () => {
    expect(judge('B1.band', 'replace', 'bare').score).toBe(1);
    expect(judge('B1.band', 'reuse', 'sound').misconception).toBe('reuses-the-bad');
    expect(judge('B1.band', 'clean', 'dirty-only').misconception).toBe('cleans-the-bad');
    expect(judge('B1.band', 'measure', 'cannot-be-seen').misconception).toBe(
      'measures-what-is-plain',
    );
    expect(judge('C2.drum', 'clean', 'dirty-only').score).toBe(1);
    expect(judge('C2.drum', 'replace', 'step-or-groove').misconception).toBe('replaces-the-sound');
    expect(judge('C2.seals', 'replace', 'one-use-only').score).toBe(1);
    expect(judge('C2.seals', 'reuse', 'sound').misconception).toBe('reuses-one-use');
  });
  test('the right thing for a wrong reason is half right', () => {
    expect(judge('P1.carrier', 'replace', 'heat-marks', QUAY)).toMatchObject({
      score: 0.5,
      misconception: 'reason-does-not-fit',
    });
    expect(judge('C3.pack', 'replace', 'out-of-window', QUAY).score).toBe(1);
    const [named] = judge('P1.carrier', 'reuse', 'sound', QUAY).why.named;
    expect(named!.claims).toContainEqual({
      claim: 'has',
      part: 'P1.carrier',
      damage: 'cracked-carrier',
    });
  });
});

describe('read it, set it, is it worth it', () => {
  const gauge: Told = { kind: 'read-gauge', part: 'C1.pack', measure: 'lining' };
  const value = shownOn(laidJob(SLIP, ask(gauge, SLIP))!, 'C1.pack', 'lining');
  const read = (v: number, side: 'inside' | 'outside') =>
    graded(gauge, { kind: 'read-gauge', value: v, side });

  test('a micrometer: to a step and a half; a turn of its drum is half a millimetre', () => {
    expect(value).toBeGreaterThan(1.8);
    expect(read(value, 'inside').score).toBe(1);
    expect(read(value + 0.014, 'inside').score).toBe(1);
    expect(read(value + 0.017, 'inside').score).toBe(0.5);
    expect(read(value - 0.5, 'inside').misconception).toBe('missed-a-turn');
    expect(read(value, 'outside')).toMatchObject({ score: 0.5, misconception: 'limits-misread' });
    expect(read(10 * value, 'inside').misconception).toBe('decimal-place');
    expect(keyed({ kind: 'read-gauge', part: 'fluid', measure: 'lining' })).toBe(
      'nothing-to-choose',
    );
  });
  test('a thicker part leaves less: who thinks otherwise goes the other way', () => {
    const size: Told = { kind: 'choose-size', part: 'thrust-1' };
    const { selective, gap } = measuredGap(laidJob(SLIP, ask(size, SLIP))!, 'thrust-1')!;
    const key = keyed(size) as { size: number };
    const choose = (s: number) => graded(size, { kind: 'choose-size', size: s });
    expect(choose(key.size).score).toBe(1);
    // The middle of 0.1 to 0.8 mm; by hand: now + gap − middle, to the nearest of the row.
    const wanted = selective.now + gap - 0.45;
    expect(Math.abs(key.size - wanted)).toBeLessThanOrEqual(0.15 / 2 + 1e-9);
    const upside = selective.now - gap + 0.45;
    const nearest = selective.sizes.reduce((a, b) =>
      Math.abs(b - upside) < Math.abs(a - upside) ? b : a,
    );
    if (nearest !== key.size)
      expect(choose(nearest).why.named.map((n) => n.slip)).toContain('thicker-gives-more');
    expect(keyed({ kind: 'choose-size', part: 'pump' })).toBe('nothing-to-choose');
  });
  test('a washer at 7 and six minutes at 60 an hour, over what coming back costs', () => {
    const worth: Told = { kind: 'worth-it', part: 'thrust-2' };
    const { value: right } = keyed(worth) as { value: number };
    const answer = (v: number) => graded(worth, { kind: 'worth-it', value: v });
    expect(answer(right).score).toBe(1);
    expect(answer(1.049 * right).score).toBe(1);
    expect(answer(1.06 * right).score).toBe(0);
    // 13 with the work, 7 without.
    expect(answer((right * 7) / 13).misconception).toBe('forgets-the-work');
    expect(answer(right / 100).misconception).toBe('decimal-place');
  });
});

describe('a whole job', () => {
  const { plan, job } = laidJob(CRANE, ask({ kind: 'whole-job' }, CRANE))!;
  const good = perfectWork(job, plan);
  const hand = (work: typeof good) =>
    graded({ kind: 'whole-job' }, { kind: 'whole-job', work }, CRANE);

  test('done as it should be, all of it is right', () => {
    const { parts, misconception, score } = hand(good);
    expect({ misconception, score }).toEqual({ misconception: null, score: 1 });
    // Nothing has to be measured before a dry clutch comes out: nothing is counted for it.
    expect(parts.map((p) => p.part)).toEqual(['off', 'inspect', 'order', 'together']);
  });
  test('the new disc without the seal that oiled it comes back', () => {
    const { 'crank-seal': _seal, ...judged } = good.judged;
    const only = hand({ ...good, judged });
    expect(only.misconception).toBe('replaced-only-the-burnt');
    expect(only.why.named[0]!.claims).toContainEqual(
      expect.objectContaining({ claim: 'fails-again', part: 'disc', cause: 'crank-seal' }),
    );
  });
  test('a mistake that is left in, and damage that is overlooked', () => {
    const turned = good.fits.map((f) => (f.part === 'disc' ? { ...f, turned: true } : f));
    expect(hand({ ...good, fits: turned }).misconception).toBe('left-a-mistake-in');
    const { flywheel: _wheel, ...judged } = good.judged;
    expect(hand({ ...good, judged }).misconception).toBe('overlooked-damage');
  });
  test('work on parts that the machine has not is no answer', () => {
    const strange = { ...good, tried: ['nowhere'] };
    const question = ask({ kind: 'whole-job' }, CRANE);
    expect(fits(question, CRANE, { kind: 'whole-job', work: good })).toBe(true);
    expect(fits(question, CRANE, { kind: 'whole-job', work: strange })).toBe(false);
  });
});

test('a new question of each kind can be asked at once; without a job, or with a broken one, it says so', () => {
  for (const kind of kindsOf('strip-down')) {
    expect([kind, keyFor(newStripQuestion(kind, SLIP), of(SLIP)).ok]).toEqual([kind, true]);
    const broken: Job = { ...SLIP, hidden: [{ part: 'C9.pack', damage: 'burnt' }] };
    expect(keyFor(newStripQuestion(kind, SLIP), of(broken))).toEqual({
      ok: false,
      fault: 'job-broken',
    });
    const bare: Job = { ...SLIP };
    delete bare.unit;
    expect(keyFor(newStripQuestion(kind, SLIP), of(bare))).toEqual({
      ok: false,
      fault: 'job-broken',
    });
  }
});
