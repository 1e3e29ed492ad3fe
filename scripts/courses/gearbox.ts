import type { Course } from './course';

const WINCH = 'winch-manual';
const FERRY = 'ferry-dual';
const CRANE = 'crane-truck-third';
const TRACTOR = 'yard-tractor';
const ENGINE = 'pilot-petrol';

/** Four lessons about sleeves and dual clutches. */
export const GEARBOX_COURSES: readonly Course[] = [
  {
    id: 'two-sides-of-one-sleeve',
    title: 'Two sides of one sleeve',
    summary: 'One sleeve serves two gears, and each side of it wears by itself.',
    models: [`units/${WINCH}`],
    steps: [
      {
        title: 'Move the sleeves',
        text: 'The winch’s gears turn free on the output shaft until a sleeve locks one of them. **One sleeve, two sides:** look at _Sleeves_, move each to its gears, and try to move two at once.',
        drive: { unit: WINCH, apply: ['K'] },
      },
      {
        title: 'One gear refuses',
        text: 'What the driver tells of the gears that go in well says as much as what he tells of the bad one.',
        ask: { kind: 'which-side', unit: WINCH, part: 'tips', side: 'S3', value: 0.72 },
      },
      {
        title: 'One gear grinds',
        ask: { kind: 'which-side', unit: WINCH, part: 'ring', side: 'S2', value: 0.04 },
      },
      {
        title: 'One gear comes out',
        ask: { kind: 'which-side', unit: WINCH, part: 'engagement', side: 'S2', value: 0.4 },
      },
      {
        title: 'Every gear grinds',
        ask: { kind: 'which-side', unit: WINCH, part: 'clutch', side: 'S1', value: 22 },
      },
      {
        title: 'Two at once',
        text: 'Suppose somebody left out the interlock when the box went together.',
        ask: { kind: 'two-gears', unit: WINCH, sides: ['S1', 'S3'], clutches: ['K'] },
      },
    ],
  },
  {
    id: 'judge-the-gearbox',
    title: 'Judge the gearbox',
    summary: 'Sleeves, rings and bearings, new beside used: what goes back, and what does not.',
    models: [`jobs/${CRANE}`],
    steps: [
      {
        title: 'Before the hand goes there',
        caution: 'heavy-parts',
        text: 'The crane truck’s third grinds and will not go in; fourth, on the same sleeve, slips in. **Measure before you judge:** colour of oil is no wear, a machining mark is none either.',
      },
      {
        title: 'Which next',
        ask: {
          kind: 'free-now',
          job: CRANE,
          off: ['fluid', 'speed-pickup', 'selector-pin', 'selector-shaft'],
          offered: ['extension', 'interlock', 'H34.fork', 'H34.sleeve', 'out.nut', 'out.bearing'],
        },
      },
      {
        title: 'A flat on the tips',
        ask: { kind: 'read-gauge', job: CRANE, part: 'H34.sleeve', measure: 'tips-front' },
      },
      {
        title: 'The sleeve of third and fourth',
        ask: { kind: 'verdict', job: CRANE, part: 'H34.sleeve' },
      },
      {
        title: 'A gap at the ring',
        ask: { kind: 'read-gauge', job: CRANE, part: 'S2.blocker-rings', measure: 'ring-gap' },
      },
      {
        title: 'The ring of second',
        ask: { kind: 'verdict', job: CRANE, part: 'S2.blocker-rings' },
      },
      {
        title: 'Another sleeve',
        ask: { kind: 'verdict', job: CRANE, part: 'H12.sleeve' },
      },
      {
        title: 'Which way round',
        ask: { kind: 'way-round', job: CRANE, part: 'H34.sleeve' },
      },
      {
        title: 'The shim behind the bearing',
        ask: { kind: 'choose-size', job: CRANE, part: 'out.shim' },
      },
      {
        title: 'The whole of it',
        text: 'From the first bolt to the road, with whatever you got wrong still inside.',
        ask: { kind: 'whole-job', job: CRANE },
      },
    ],
  },
  {
    id: 'the-gear-that-waits',
    title: 'The gear that waits',
    summary: 'A dual clutch has two gears in at once: one drives, the other waits.',
    models: [`units/${FERRY}`, `vehicles/${TRACTOR}`],
    steps: [
      {
        title: 'Two shafts, two clutches',
        text: 'Odd gears hang on K1, even ones on K2. **In first, second is in already** and turns along. Look at _Sleeves_ and at _Hand-over_ before you answer.',
        drive: { unit: FERRY, apply: ['K1', 'S1', 'S2'] },
      },
      {
        title: 'First and second, one clutch open',
        ask: { kind: 'two-gears', unit: FERRY, sides: ['S1', 'S2'], clutches: ['K1'] },
      },
      {
        title: 'First and third',
        ask: { kind: 'two-gears', unit: FERRY, sides: ['S1', 'S3'], clutches: ['K1'] },
      },
      {
        title: 'Both clutches closed',
        ask: { kind: 'two-gears', unit: FERRY, sides: ['S1', 'S2'], clutches: ['K1', 'K2'] },
      },
      {
        title: 'The odd clutch is burnt',
        ask: {
          kind: 'symptom-row',
          unit: FERRY,
          fault: { target: 'K1', kind: 'will-not-apply' },
          ranges: ['R', 'D1', 'D2', 'D3', 'D4', 'D5', 'D6'],
        },
      },
      {
        title: 'A sleeve that will not move',
        ask: {
          kind: 'symptom-row',
          unit: FERRY,
          fault: { target: 'S3', kind: 'will-not-apply' },
          ranges: ['R', 'D1', 'D2', 'D3', 'D4', 'D5', 'D6'],
        },
      },
      {
        title: 'Away, and to a stop',
        text: 'The one that is asked for next should wait, and only the clutch that does not drive can have it.',
        ask: {
          kind: 'set-waiting',
          unit: FERRY,
          vehicle: TRACTOR,
          speeds: [0, 2.5, 5, 7, 8, 8, 6, 3, 0.5],
        },
      },
      {
        title: 'A crawl through the yard',
        ask: {
          kind: 'set-waiting',
          unit: FERRY,
          vehicle: TRACTOR,
          speeds: [0, 3, 5, 2.5, 1, 3, 5.5, 7, 7],
        },
      },
    ],
  },
  {
    id: 'draw-the-crossing',
    title: 'Draw the crossing',
    summary: 'Two ramps, a few hundredths of a second: too early flares, too late fights.',
    models: [`units/${FERRY}`, `vehicles/${TRACTOR}`, `engines/${ENGINE}`],
    steps: [
      {
        title: 'See it first',
        text: 'In _Hand-over_ the old clutch lets go as the new one takes. Draw their ramps apart, then one over the other, and make both slow: **what does each cost?**',
        drive: { unit: FERRY, apply: ['K2', 'S4', 'S5'] },
      },
      {
        title: 'Fourth to fifth',
        ask: {
          kind: 'draw-crossing',
          unit: FERRY,
          vehicle: TRACTOR,
          engine: ENGINE,
          from: 'D4',
          to: 'D5',
          dip: 0.1,
          flare: 100,
        },
      },
      {
        title: 'Third to fourth',
        ask: {
          kind: 'draw-crossing',
          unit: FERRY,
          vehicle: TRACTOR,
          engine: ENGINE,
          from: 'D3',
          to: 'D4',
          dip: 0.1,
          flare: 100,
        },
      },
    ],
  },
];
