import {
  AS_BUILT,
  CLUTCH_FAULTS,
  faultFits,
  withClutchFault,
  type Clutch,
  type ClutchFault,
  type ClutchPack,
} from '../clutch';
import { expectApproved } from '../tests/approved';
import { demoAll, demoFile, demoUnit } from '../tests/demoFile';
import {
  complaintsOf,
  creep,
  crossing,
  CROSSING_ENGINE,
  crossingPairs,
  crossingQuality,
  demands,
  dragTest,
  drivePreselected,
  engage,
  engagementVerdicts,
  forwardSides,
  gearsInOrder,
  goesIn,
  handOver,
  meeting,
  repeatStarts,
  shiftQuality,
  sideAsMeasured,
  slipWear,
  USUAL_CHANGES,
  USUAL_CROSSING,
  USUAL_RULE,
  USUAL_SPEEDS,
  WORN_LIMITS,
  WORN_PARTS,
  feetTrace,
  type EngagementSetup,
  type Trace,
} from './index';
import { manual, petrol, START, tractor } from './tests/aStart';

const [dual, quay] = [demoUnit('ferry-dual'), demoUnit('quay-four')];
const SLOPE: EngagementSetup = { ...START, grade: 0.03, seconds: 2.4, step: 2e-3 };

/** What is felt as it takes hold. */
const STARTED: readonly (ClutchFault | null)[] = [
  null,
  'oiled',
  'damper-lost',
  'warped-disc',
  'uneven-levers',
];

test('starts with a dry clutch, sound and not', () => {
  const said: Record<string, unknown> = {};
  for (const clutch of demoAll<Clutch>('clutches')) {
    for (const fault of [null, ...CLUTCH_FAULTS.filter((f) => faultFits(clutch, f))]) {
      const state = fault ? withClutchFault(clutch, AS_BUILT, fault) : AS_BUILT;
      said[`${clutch.id} ${fault}`] = [dragTest(clutch, state), slipWear(clutch, 240, state)];
      if (!STARTED.includes(fault)) continue;
      const { samples, summary, events } = engage({ ...SLOPE, clutch, state });
      said[`${clutch.id} ${fault} start`] = [summary, engagementVerdicts(summary), events];
      for (const s of samples.filter((_s, k) => k % 40 === 0))
        said[`${clutch.id} ${fault} at ${s.time.toFixed(2)}`] = s;
    }
    said[`${clutch.id} again`] = repeatStarts({ ...SLOPE, clutch }, 2, 20).map(
      ({ peakC, cooled }) => [peakC, cooled],
    );
  }
  for (const unit of [manual, quay])
    said[`${unit.id} asks`] = demands({
      engine: petrol,
      unit,
      vehicle: tractor,
      throttle: 0.8,
      grade: 0.1,
    });
  expectApproved('starts', said);
});

const ramp = (from: number, over: number, before: number, after: number): Trace => [
  { time: from, value: before },
  { time: from + over, value: after },
];

test('shifts under load: one goes and one comes, early, late and together', () => {
  const said: Record<string, unknown> = {};
  const applyOf = (id: string) => quay.ranges.find((r) => r.id === id)!.apply;
  for (const [on, off] of [
    [0.15, 0.3],
    [0.35, 0.2],
    [0.1, 0.7],
  ] as const) {
    const { samples, summary } = handOver({
      unit: quay,
      from: applyOf('D2'),
      to: applyOf('D3'),
      inputNm: 150,
      inputInertia: 0.25,
      vehicle: tractor,
      inputRpm: 2000,
      holds: new Map([
        ['C3', ramp(on, 0.5, 0, 260)],
        ['B1', ramp(off, 0.08, 300, 0)],
      ]),
      seconds: 1.3,
      step: 1e-3,
    });
    said[`${on} ${off}`] = [summary, shiftQuality(summary)];
    for (const s of samples.filter((_s, k) => k % 30 === 0))
      said[`${on} ${off} ${s.time.toFixed(3)}`] = s;
  }
  for (const { id, from, to, next } of crossingPairs(dual))
    for (const [late, waiting] of [
      [0, next.side],
      [0.04, next.side],
      [0, null],
    ] as const) {
      const result = crossing({
        unit: dual,
        vehicle: tractor,
        from,
        to,
        waiting,
        engineNm: CROSSING_ENGINE.nm,
        engineInertia: 0.2,
        engineRpm: CROSSING_ENGINE.rpm,
        ...USUAL_CROSSING,
        on: { ...USUAL_CROSSING.on, at: USUAL_CROSSING.on.at + late },
      });
      const { run, ...rest } = result;
      said[`${id} ${late} ${waiting}`] = [run.summary, crossingQuality(result), rest];
    }
  for (const speed of [0, 0.4])
    said[`creep ${speed}`] = creep({
      unit: quay,
      vehicle: tractor,
      pack: demoFile<ClutchPack>('clutch-packs/fender-pack'),
      range: quay.ranges.find((r) => r.id === 'D1')!,
      grade: 0.08,
      speed,
      engineRpm: 1100,
      seconds: 20,
      oilC: 85,
    });
  expectApproved('shifts', said);
});

test('sleeves and rings, a drive with a gear waiting, and what a driver says of wear', () => {
  const said: Record<string, unknown> = {};
  for (const unit of [manual, dual]) {
    const sides = forwardSides(unit).map((s) => s.side);
    for (const part of WORN_PARTS)
      for (const share of [0.2, 0.6, 1]) {
        const [sound, gone] = WORN_LIMITS[part];
        const side = part === 'clutch' ? null : sides[1]!;
        said[`${unit.id} ${part} ${share}`] = complaintsOf(unit, {
          part,
          side,
          value: sound + share * (gone - sound),
        });
      }
    said[`${unit.id} meets`] = sides.map((side) => meeting(unit, null, side, 300));
  }
  for (const tips of [0, 0.4, 1])
    for (const ringGap of [1, 0.5, 0])
      for (const engagement of [1, 0.6]) {
        const state = sideAsMeasured({ tips, ringGap, engagement });
        said[`side ${tips} ${ringGap} ${engagement}`] = [
          state,
          [false, true].flatMap((matched) => [0, 6, 30].map((nm) => goesIn(state, matched, nm))),
        ];
      }
  said['a drive'] = drivePreselected({
    unit: dual,
    vehicle: tractor,
    gears: gearsInOrder(dual),
    speed: USUAL_SPEEDS.map((value, k) => ({ time: 5 * k, value })),
    changes: USUAL_CHANGES,
    waits: USUAL_RULE,
  });
  said['feet'] = feetTrace([1, 0.5, 0.2]);
  expectApproved('sleeves', said);
});
