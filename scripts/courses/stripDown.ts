import type { Course } from './course';

/** The five lessons of the Strip-down bench. */
const SLIP = 'slip-tractor-second';
const QUAY = 'quay-hauler-noise';
const PACK = 'one-pack-bench';
const CRANE = 'bollard-clutch';

export const STRIP_COURSES: readonly Course[] = [
  {
    id: 'what-comes-off-first',
    title: 'What must come off first',
    summary: 'A stack of parts leaves in an order, and each step of it has a why.',
    models: [`jobs/${SLIP}`],
    steps: [
      {
        title: 'Before the hand goes there',
        caution: 'heavy-parts',
        text: 'A part leaves when nothing lies in its way, nothing holds it, and nothing will fall. **Say what is free before you reach for it.**',
      },
      {
        title: 'The first bolt',
        text: 'The tractor stands on the lift, whole.',
        ask: {
          kind: 'free-now',
          job: SLIP,
          off: [],
          offered: [
            'fluid',
            'pan',
            'converter',
            'pump',
            'valve-body',
            'B1.servo',
            'speed-pickup',
            'extension',
          ],
        },
      },
      {
        title: 'Half way in',
        text: 'Outside, pan and valve body are off.',
        ask: {
          kind: 'free-now',
          job: SLIP,
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
          offered: [
            'pump',
            'support',
            'support-bolt',
            'park-rod',
            'C1.drum',
            'B1.band',
            'B1.anchor',
            'sun.shell',
          ],
        },
      },
      {
        title: 'The band and its drum',
        ask: { kind: 'why-first', job: SLIP, first: 'B1.band', part: 'sun.shell' },
      },
      {
        title: 'A spring behind a ring',
        caution: 'springs',
        ask: { kind: 'why-first', job: SLIP, first: 'B1.servo-ring', part: 'B1.servo' },
      },
      {
        title: 'One pack apart',
        text: 'The drum lies on the bench.',
        caution: 'compressed-air',
        ask: {
          kind: 'strip-order',
          job: SLIP,
          parts: ['C1.seals', 'C1.spring', 'C1.ring', 'C1.piston', 'C1.pack'],
        },
      },
      {
        title: 'In a row',
        ask: {
          kind: 'lay-out',
          job: SLIP,
          parts: ['C1.drum', 'C2.drum', 'P1.ring', 'support', 'sun.shell', 'P2.carrier'],
        },
      },
    ],
  },
  {
    id: 'which-way-round',
    title: 'Which way round',
    summary: 'Most parts fit two ways. One of them is a fault that the driver will meet.',
    models: [`jobs/${SLIP}`, `jobs/${CRANE}`],
    steps: [
      {
        title: 'It fits, and is wrong',
        text: 'What fits the wrong way does not tell you by itself. **Know the rule, know the check, know what the road would say.**',
      },
      { title: 'A one-way clutch', ask: { kind: 'way-round', job: SLIP, part: 'F1.race' } },
      { title: 'A lip', ask: { kind: 'way-round', job: SLIP, part: 'C1.seals' } },
      { title: 'A ring in its groove', ask: { kind: 'way-round', job: SLIP, part: 'C2.ring' } },
      { title: 'Plates by turns', ask: { kind: 'way-round', job: SLIP, part: 'C1.pack' } },
      { title: 'The pump', ask: { kind: 'way-round', job: SLIP, part: 'pump' } },
      {
        title: 'A dry disc',
        caution: 'dust',
        ask: { kind: 'way-round', job: CRANE, part: 'disc' },
      },
    ],
  },
  {
    id: 'reuse-it-or-not',
    title: 'Reuse it or not',
    summary: 'Eye, hand and gauge; then reuse, clean or replace, with a reason that fits.',
    models: [`jobs/${SLIP}`, `jobs/${QUAY}`, `jobs/${PACK}`],
    steps: [
      {
        title: 'Three ways to know',
        text: 'The eye tells cracks and heat. The hand tells what catches. **Where neither tells, measure**, and judge by the limits of the maker.',
      },
      { title: 'The band', ask: { kind: 'verdict', job: SLIP, part: 'B1.band' } },
      { title: 'The drum', ask: { kind: 'verdict', job: SLIP, part: 'C2.drum' } },
      { title: 'The seals', ask: { kind: 'verdict', job: SLIP, part: 'C2.seals' } },
      { title: 'A carrier', ask: { kind: 'verdict', job: QUAY, part: 'P1.carrier' } },
      { title: 'Its pinions', ask: { kind: 'verdict', job: QUAY, part: 'P1.pinions' } },
      { title: 'A pack that looks good', ask: { kind: 'verdict', job: QUAY, part: 'C3.pack' } },
      { title: 'Is a new one worth it?', ask: { kind: 'worth-it', job: QUAY, part: 'thrust-2' } },
    ],
  },
  {
    id: 'set-it',
    title: 'Set it',
    summary: 'Read the scale, then choose the part that the play asks for.',
    models: [`jobs/${SLIP}`, `jobs/${PACK}`, `jobs/${CRANE}`],
    steps: [
      {
        title: 'Read, then judge',
        text: 'A scale is read, not guessed: small hand first, then the long one. **A thicker part leaves less play.**',
      },
      {
        title: 'End play',
        ask: { kind: 'read-gauge', job: SLIP, part: 'input-shaft', measure: 'end-play-in' },
      },
      {
        title: 'A friction plate',
        ask: { kind: 'read-gauge', job: SLIP, part: 'C1.pack', measure: 'lining' },
      },
      {
        title: 'The clutch disc',
        ask: { kind: 'read-gauge', job: CRANE, part: 'disc', measure: 'disc-thickness' },
      },
      {
        title: 'The washer behind the pump',
        ask: { kind: 'choose-size', job: SLIP, part: 'thrust-1' },
      },
      { title: 'The ring of a pack', ask: { kind: 'choose-size', job: PACK, part: 'C1.ring' } },
      { title: 'Another pack', ask: { kind: 'choose-size', job: PACK, part: 'C3.ring' } },
    ],
  },
  {
    id: 'your-own-work',
    title: 'Your own work on the road',
    summary: 'A whole clutch job, from the first bolt to the road. What you get wrong stays in.',
    models: [`jobs/${CRANE}`],
    steps: [
      {
        title: 'The job',
        caution: 'lifting',
        text: 'The crane truck judders. **Strip it, judge every part, order, put it together and drive it**: if something is wrong then, it is yours.',
      },
      {
        title: 'Why the battery first',
        ask: { kind: 'why-first', job: CRANE, first: 'battery', part: 'box' },
      },
      { title: 'The whole of it', ask: { kind: 'whole-job', job: CRANE } },
    ],
  },
];
