import type { Course } from './course';

const QUAY = { unit: 'quay-four', hydraulics: 'quay-valves' } as const;
const SKERRY = { unit: 'skerry-three', hydraulics: 'skerry-vacuum' } as const;
const QUAY_MODELS = ['units/quay-four', 'hydraulics/quay-valves'];
const SKERRY_MODELS = ['units/skerry-three', 'hydraulics/skerry-vacuum'];
const CAPSTAN = { unit: 'capstan-five', hydraulics: 'yard-capstan-valves' } as const;
const FIVE_PERCENT = { kind: 'percent', value: 5 } as const;
const TEN_PERCENT = { kind: 'percent', value: 10 } as const;
const driveQuay = { plan: QUAY.hydraulics, unit: QUAY.unit, lever: 'D', throttle: 0.4 };
const driveSkerry = { plan: SKERRY.hydraulics, unit: SKERRY.unit, lever: 'D', throttle: 0.3 };
const CABLE = 'throttle-valve';

/** Seven lessons about oil: where it goes, when it shifts, and what goes wrong with it. */
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
    id: 'the-slack-cable',
    title: 'The slack cable',
    summary: 'A cable that hangs through shifts early and soft, and burns what it spares.',
    models: [...QUAY_MODELS, 'vehicles/yard-tractor'],
    steps: [
      {
        title: 'Before you touch it',
        caution: 'hot-fluid',
        text: 'At full throttle the cable has to be taut. Here it is not: drive it, and look at line pressure.',
        oil: { ...driveQuay, broken: { part: CABLE, kind: 'cable-slack' } },
      },
      {
        title: 'Early or late',
        ask: {
          kind: 'oil-fault-row',
          ...QUAY,
          throttle: 0.5,
          fault: { part: CABLE, kind: 'cable-slack' },
        },
      },
      {
        title: 'How early',
        ask: {
          kind: 'shift-speed',
          ...QUAY,
          gear: 1,
          throttle: 0.5,
          fault: { part: CABLE, kind: 'cable-slack' },
          tolerance: TEN_PERCENT,
        },
      },
      {
        title: 'Set it right',
        text: 'The shift from second to third, as the cable leaves it.',
        ask: {
          kind: 'set-shift',
          ...QUAY,
          vehicle: 'yard-tractor',
          gear: 2,
          throttle: 0.4,
          found: { slack: 0.4, feed: 1, spring: 1, out: 1 },
          jerk: 30,
          flare: 60,
          dip: 0.3,
          kelvin: 12,
        },
      },
      {
        title: 'And too short',
        ask: {
          kind: 'oil-fault-row',
          ...QUAY,
          throttle: 0.3,
          fault: { part: CABLE, kind: 'cable-short' },
        },
      },
    ],
  },
  {
    id: 'foot-to-the-floor',
    title: 'Foot to the floor',
    summary:
      'Kick-down: which gear comes, how fast the engine turns then, and when nothing happens.',
    models: QUAY_MODELS,
    steps: [
      {
        title: 'The last of the pedal',
        text: 'Past nine tenths of its travel the pedal opens a valve of its own. Drive in fourth, then put the foot down.',
        oil: { ...driveQuay, throttle: 0.2 },
      },
      {
        title: 'From fourth',
        ask: {
          kind: 'kick-down',
          ...QUAY,
          gear: 4,
          throttle: 0.2,
          outputRpm: 1150,
          tolerance: FIVE_PERCENT,
        },
      },
      {
        title: 'From fourth, faster',
        ask: {
          kind: 'kick-down',
          ...QUAY,
          gear: 4,
          throttle: 0.3,
          outputRpm: 1600,
          tolerance: FIVE_PERCENT,
        },
      },
      {
        title: 'From second',
        ask: {
          kind: 'kick-down',
          ...QUAY,
          gear: 2,
          throttle: 0.4,
          outputRpm: 580,
          tolerance: FIVE_PERCENT,
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
  {
    id: 'one-goes-one-comes',
    title: 'One goes, one comes',
    summary: 'Two pressures, drawn: what flares, what ties up, and what nobody feels.',
    models: [...QUAY_MODELS, 'vehicles/yard-tractor'],
    steps: [
      {
        title: 'What the valves make of it',
        text: 'Third lets go of the band and takes a clutch. **The one has to hold until the other does**, and not a moment longer. Look at _Pressures_ as it shifts, then draw them yourself.',
        oil: driveQuay,
      },
      {
        title: 'Second to third',
        text: 'What goes is pressed by the line until you let it go. What comes has to be filled first: its spring asks for some of the pressure before it holds anything.',
        ask: {
          kind: 'draw-pressures',
          ...QUAY,
          vehicle: 'yard-tractor',
          gear: 2,
          throttle: 0.4,
          jerk: 32,
          flare: 60,
          dip: 0.35,
          kelvin: 8,
        },
      },
      {
        title: 'Nothing to let go',
        text: 'First is held by a one-way clutch: it lets go by itself.',
        ask: {
          kind: 'draw-pressures',
          ...QUAY,
          vehicle: 'yard-tractor',
          gear: 1,
          throttle: 0.4,
          jerk: 32,
          flare: 60,
          dip: 0.25,
          kelvin: 16,
        },
      },
      {
        title: 'With a heavier foot',
        text: 'Both have more to hold. What changes in the drawing?',
        ask: {
          kind: 'draw-pressures',
          ...QUAY,
          vary: true,
          vehicle: 'yard-tractor',
          gear: 2,
          throttle: 0.6,
          jerk: 48,
          flare: 60,
          dip: 0.35,
          kelvin: 16,
        },
      },
    ],
  },
];
