import type { Course } from './course';
import {
  LIGHTER,
  LIGHTER_MODELS,
  QUAY,
  QUAY_MODELS,
  FIVE_PERCENT,
  TEN_PERCENT,
  driveQuay,
  CABLE,
} from './oilPlans';

/** How a shift comes about: the cable, two pressures, the foot to the floor. */
export const SHIFT_COURSES: readonly Course[] = [
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
  {
    id: 'bolt-by-bolt',
    title: 'Bolt by bolt',
    summary:
      'A valve body on its springs: which bolts first, which last, and what a turn at a time is for.',
    models: QUAY_MODELS,
    steps: [
      {
        title: 'What holds the springs',
        caution: 'springs',
        text: 'The pan is off, the fluid has run out and is no longer hot. Between the valve body and the case stand the accumulators’ springs: **while it is bolted down, its bolts hold all of them.** Long thick bolts carry it; short thin ones only keep its edge tight.\n\nGoggles on; a hand under the body before the last bolts; the maker’s manual has the order for the unit on your bench.',
      },
      {
        title: 'Off',
        text: 'Think of the last bolt: what is it left alone with, and what does it do under a body that swings down?',
        ask: {
          kind: 'bolt-order',
          ...QUAY,
          job: 'off',
          body: { spring: 180, travel: 0.012, thin: 'M6' },
        },
      },
      {
        title: 'On',
        text: 'The same springs, the other way. What draws the body down on them, and what happens at the far end meanwhile?',
        ask: {
          kind: 'bolt-order',
          ...QUAY,
          job: 'on',
          body: { spring: 180, travel: 0.012, thin: 'M6' },
        },
      },
      {
        title: 'Another body',
        text: 'Other springs, other bolts. Does your order still do?',
        ask: {
          kind: 'bolt-order',
          ...QUAY,
          vary: true,
          job: 'off',
          body: { spring: 180, travel: 0.012, thin: 'M5' },
        },
      },
    ],
  },
  {
    id: 'what-the-unit-believes',
    title: 'What the control unit believes',
    summary: 'No governor, no cable: sensors say how fast and how hard. What if they are wrong?',
    models: LIGHTER_MODELS,
    steps: [
      {
        title: 'Solenoids instead of springs',
        text: 'Here a control unit opens the ways and sets the pressure. It knows the road speed from a **pickup** with a magnet, the pressure from a **sensor**, and the pedal. But for the lever’s own valve nothing else moves: what it believes is what they do. _Break it_ has _swarf on the speed pickup’s magnet_ and the pressure sensor, too.',
        oil: { plan: LIGHTER.hydraulics, unit: LIGHTER.unit, lever: 'D', throttle: 0.4 },
      },
      {
        title: 'Swarf on the magnet',
        text: 'Pulses are lost: a quarter of them.',
        ask: {
          kind: 'oil-fault-row',
          ...LIGHTER,
          throttle: 0.4,
          fault: { part: 'control', kind: 'pickup-swarf', amount: 0.25 },
        },
      },
      {
        title: 'By how much?',
        text: 'Three of four pulses come. Which speed does the output have when it believes the old one?',
        ask: {
          kind: 'shift-speed',
          ...LIGHTER,
          gear: 2,
          throttle: 0.4,
          fault: { part: 'control', kind: 'pickup-swarf', amount: 0.25 },
          tolerance: FIVE_PERCENT,
        },
      },
      {
        title: 'Two schools',
        text: 'The pan is off and the sensors are in reach. **One shop replaces them all** while the unit is apart: they age, and getting there again costs hours. **Another replaces what reads wrong**: it has measured, and a new part can be wrong, too. Both wipe the magnets, both read the codes first, and both reset what has been learned. Ignition off before a plug is pulled; the maker’s manual says which parts are to be had at all.',
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
];
