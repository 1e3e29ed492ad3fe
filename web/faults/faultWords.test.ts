import { readFileSync } from 'node:fs';
import { USUAL_COUPLING } from '../../core/clutch';
import {
  BARE_RIG,
  complaintOf,
  examine,
  faultKey,
  levelsOf,
  openShop,
  readingClass,
  readingOf,
  type FaultCase,
  type Rig,
} from '../../core/faults';
import { testNumbers, testWords } from '../tests/words';
import { complaintText } from './complaintWords';
import { boardOf, expectable, placeOf, standsFor } from './deskWork';
import { NEW_WORK } from './work';
import {
  checkName,
  faultsOfKey,
  faultText,
  readingText,
  severityText,
  targetName,
  wordText,
} from './faultWords';

const t = await testWords();

const numbers = () => testNumbers(t, 'si');

const cases = ['slipway-two-gears', 'crane-truck-second', 'ferry-odd-gears'].map(
  (id) => JSON.parse(readFileSync(`demo/fault-cases/${id}.json`, 'utf8')) as FaultCase,
);
const rigs: [string, Rig][] = [
  ...cases.map((c): [string, Rig] => [
    c.id,
    {
      ...BARE_RIG,
      unit: c.unit ?? null,
      engine: c.engine ?? null,
      converter: c.converter ?? null,
      clutch: c.clutch ?? null,
      vehicle: c.vehicle ?? null,
    },
  ]),
  ['coupling', { ...BARE_RIG, coupling: USUAL_COUPLING }],
];

/** Checks that step the drivetrain through time are left out: their words are few, and the tests of core meet them all. */
const QUICK = (kind: string) => kind !== 'start' && kind !== 'shift';
const WELL_PUT = /\{\{|undefined|NaN|faults\.|desk\./;

test('what another unit had is called by its id: it stands in a case until its cause is chosen again', () => {
  const unit = cases[0]!.unit ?? null;
  expect(targetName(t, unit, 'M2')).toBe('M2');
  expect(targetName(t, unit, 'oil-pump')).toBe('Oil pump');
});

test.each(rigs)('every fault, check and reading of the %s has words', (_name, rig) => {
  const shop = openShop(rig);
  const checks = shop.checks.filter((c) => QUICK(c.kind));
  const sound = examine(shop, [], checks);
  const said = new Set<string>();
  for (const check of shop.checks) said.add(checkName(t, rig.unit, check));
  for (const fault of shop.faults) {
    said.add(faultText(t, rig.unit, [fault]));
    for (const level of levelsOf(fault)) said.add(severityText(t, numbers(), level));
    const { answers } = examine(shop, [levelsOf(fault).at(-1)!], checks);
    for (const check of checks) {
      const answer = readingOf(check, { answers });
      said.add(readingText(t, numbers(), check, answer));
      said.add(wordText(t, readingClass(check, answer, readingOf(check, sound))));
    }
  }
  for (const text of said) expect(text).not.toMatch(WELL_PUT);
  expect(said.size).toBeGreaterThan(12);
});

test('a complaint is told in a driver’s sentences', () => {
  const [, rig] = rigs[0]!;
  const shop = openShop(rig);
  const sound = examine(shop, []);
  const truth = examine(shop, [{ target: 'B1', kind: 'burnt' }]);
  const text = complaintText(t, rig.unit, complaintOf(shop, truth, sound, 'words'));
  expect(text).toMatch(/In D 4 it does not pull/);
  expect(text).not.toMatch(WELL_PUT);
});

test('the controls decide what can be tried from the seat', () => {
  const [, rig] = rigs[1]!;
  const shop = openShop(rig);
  const at = (change: Partial<typeof NEW_WORK.controls>) =>
    shop.checks
      .filter((c) => placeOf(c) === 'seat')
      .filter((c) => standsFor(c, { ...NEW_WORK.controls, ...change }))
      .map((c) => c.id);
  expect(at({ range: 'G3' })).toEqual(expect.arrayContaining(['road G3', 'listen G3']));
  expect(at({ range: 'G3' })).not.toContain('road G2');
  expect(at({ engine: 'off', range: 'G3' })).toEqual(['standing G3', 'pedal', 'play']);
  expect(at({ pedal: 'touch' })).toContain('noise touch-neutral');
  expect(at({ pedal: 'down' })).toEqual(
    expect.arrayContaining(['drag-test', 'noise down-in-gear']),
  );
  expect(at({ throttle: 'full' })).toEqual(expect.arrayContaining(['slip-test', 'road-slip']));
});

test('expectations start with the sound reading, and the board holds every fault once', () => {
  const [, rig] = rigs[3]!;
  const shop = openShop(rig);
  const candidates = shop.faults.flatMap(levelsOf).map((f) => examine(shop, [f]));
  const desk = { checks: shop.checks, candidates, sound: examine(shop, []), complaint: [] };
  const circle = shop.checks.find((c) => c.id === 'circle')!;
  expect(expectable(desk, circle)).toEqual(['rolls', 'hops', 'shudders']);
  const keys = boardOf(candidates).flatMap((g) => g.faults.map(([key]) => key));
  expect(new Set(keys).size).toBe(shop.faults.length);
  for (const key of keys) expect(faultKey(faultsOfKey(key))).toBe(key);
});
