import type { Course } from './course';
import {
  QUAY,
  SKERRY,
  QUAY_MODELS,
  SKERRY_MODELS,
  CAPSTAN,
  TEN_PERCENT,
  driveQuay,
  driveSkerry,
  CABLE,
} from './oilPlans';

/** Where oil goes, when it shifts, and what goes wrong with it. */
export const OIL_COURSES: readonly Course[] = [
  {
    id: 'where-the-oil-goes',
    title: 'Where the oil goes',
    summary: 'From the pump to the piston: which spool lets it pass, and which shuts it off.',
    models: QUAY_MODELS,
    steps: [
      {
        title: 'Drive it once',
        text: 'The fuller a passage is drawn, the higher it presses. **Move the lever, then the speed,** and watch which spool moves and which piston clamps.',
        oil: driveQuay,
      },
      {
        title: 'First gear',
        text: 'One element, one way. Start at the pump.',
        ask: {
          kind: 'trace-oil',
          ...QUAY,
          lever: 'D',
          throttle: 0.3,
          outputRpm: 200,
          element: 'C1',
        },
      },
      {
        title: 'The band in second',
        text: 'Two valves have a say in it: one has to stand up, the other down.',
        ask: {
          kind: 'trace-oil',
          ...QUAY,
          lever: 'D',
          throttle: 0.3,
          outputRpm: 650,
          element: 'B1',
        },
      },
      {
        title: 'The band in fourth',
        text: 'The same piston, another way: the ball lets in whichever side presses.',
        ask: {
          kind: 'trace-oil',
          ...QUAY,
          lever: 'D',
          throttle: 0.1,
          outputRpm: 1300,
          element: 'B1',
        },
      },
      {
        title: 'Backward',
        ask: { kind: 'trace-oil', ...QUAY, lever: 'R', throttle: 0.2, outputRpm: 0, element: 'B2' },
      },
    ],
  },
  {
    id: 'when-it-shifts',
    title: 'When it shifts',
    summary: 'Governor against spring and throttle: the map that the valves make.',
    models: QUAY_MODELS,
    steps: [
      {
        title: 'Which spool goes first',
        text: 'Governor pressure rises with the square of the road speed and pushes every shift valve up; spring and throttle pressure push it down.',
        oil: driveQuay,
      },
      {
        title: 'A light foot',
        ask: { kind: 'spool-places', ...QUAY, lever: 'D', throttle: 0.1, outputRpm: 800 },
      },
      {
        title: 'A heavy foot, the same speed',
        ask: { kind: 'spool-places', ...QUAY, lever: 'D', throttle: 0.8, outputRpm: 800 },
      },
      {
        title: 'Read the map',
        text: 'Open _Shift map_ on the Shift bench if you need it: one line up, one line back, and never the same.',
        ask: {
          kind: 'shift-speed',
          ...QUAY,
          gear: 2,
          throttle: 0.5,
          fault: null,
          tolerance: TEN_PERCENT,
        },
      },
    ],
  },
  {
    id: 'one-valve-sticks',
    title: 'One valve sticks',
    summary: 'A spring, a screen, a torn diaphragm: what each does to every shift.',
    models: SKERRY_MODELS,
    steps: [
      {
        title: 'Springs behind plugs shoot',
        caution: 'springs',
        text: 'Here a vacuum box tells the valves how far the throttle is open. **Break one thing at a time** and drive it.',
        oil: driveSkerry,
      },
      {
        title: 'A torn diaphragm',
        ask: {
          kind: 'oil-fault-row',
          ...SKERRY,
          throttle: 0.2,
          fault: { part: CABLE, kind: 'diaphragm-torn' },
        },
      },
      {
        title: 'The governor sticks',
        ask: {
          kind: 'oil-fault-row',
          ...SKERRY,
          throttle: 0.3,
          fault: { part: 'governor', kind: 'governor-stuck' },
        },
      },
      {
        title: 'One spring is broken',
        ask: {
          kind: 'oil-fault-row',
          ...SKERRY,
          throttle: 0.1,
          fault: { part: 'shift-2', kind: 'spring-broken', amount: 0.9 },
        },
      },
      {
        title: 'One valve stuck',
        ask: {
          kind: 'oil-fault-row',
          ...SKERRY,
          throttle: 0.4,
          fault: { part: 'shift-1', kind: 'valve-stuck-down' },
        },
      },
    ],
  },
  {
    id: 'where-is-the-ball',
    title: 'Where is the ball?',
    summary: 'Five loose balls, one gone: two gauges and one shift say which.',
    models: ['units/capstan-five', 'hydraulics/yard-capstan-valves'],
    steps: [
      {
        title: 'What a ball is for',
        caution: 'springs',
        text: 'An element that two passages can feed has a ball between them: **whichever side presses pushes it onto the other**. Without its ball the oil runs out through the passage that does not press, in that gear only. Find all five on the plan, then drive it.',
        oil: { plan: CAPSTAN.hydraulics, unit: CAPSTAN.unit, lever: 'D', throttle: 0.4 },
      },
      {
        title: 'Low in drive, sound in reverse',
        text: 'In which passage is the oil lost, and when is that one shut?',
        ask: {
          kind: 'which-ball',
          ...CAPSTAN,
          throttle: 0.4,
          ball: 'ball-C0-2',
          gauges: [
            { lever: 'D', gear: 1, element: 'C0' },
            { lever: 'R', gear: 1, element: 'C0' },
          ],
          gear: 2,
        },
      },
      {
        title: 'Low in reverse, sound in neutral',
        text: 'The gauge is at C0 both times.',
        ask: {
          kind: 'which-ball',
          ...CAPSTAN,
          throttle: 0.4,
          ball: 'ball-C2-1',
          gauges: [
            { lever: 'R', gear: 1, element: 'C0' },
            { lever: 'N', gear: 1, element: 'C0' },
          ],
          gear: 3,
        },
      },
      {
        title: 'One of your own',
        text: 'Everyone has another ball missing.',
        ask: {
          kind: 'which-ball',
          ...CAPSTAN,
          vary: true,
          throttle: 0.4,
          ball: 'ball-B2-1',
          gauges: [
            { lever: 'D', gear: 1, element: 'C0' },
            { lever: 'R', gear: 1, element: 'C0' },
          ],
          gear: 1,
        },
      },
    ],
  },
];
