import { mkdirSync, writeFileSync } from 'node:fs';
import { jobProblems, newJob, planOfJob, USUAL_DEMANDS, type Job } from '../core/assembly';
import { openValue } from '../core/formats';
import { model, yard } from './demoModels';

/** `npm run demo`: puts the models of the demo library into the demo jobs and writes demo/jobs/. */
type Told = Pick<Job, 'id' | 'name' | 'notes' | 'complaint' | 'hidden'> & Partial<Job>;

const JOBS: readonly Told[] = [
  {
    id: 'slip-tractor-second',
    name: 'Slip tractor that lost second',
    notes: 'The band is plain to see; what starved it is the valve that hangs.',
    complaint:
      'She lost **second** on the slip, a little more each week, and smelt of it at the end.',
    unit: model('units/skerry-three'),
    ...yard(),
    seed: 'slip-tractor',
    hidden: [
      { part: 'valve-body', damage: 'hanging-valve' },
      { part: 'B1.band', damage: 'burnt-band', because: 'valve-body' },
      { part: 'C2.drum', damage: 'light-scratch' },
    ],
  },
  {
    id: 'quay-hauler-noise',
    name: 'Quay hauler with a howl',
    notes:
      'The cracked carrier is found with a light; the loose pinions beside it by rocking them.',
    complaint: 'It **howls in first and reverse** and is quiet in the gear that turns as one.',
    unit: model('units/quay-four'),
    ...yard(),
    seed: 'quay-hauler',
    hidden: [
      { part: 'P1.carrier', damage: 'cracked-carrier' },
      { part: 'P1.pinions', damage: 'loose-pinions' },
      { part: 'C3.pack', damage: 'worn-lining' },
    ],
    school: { bearings: 'replace', tier: 3, cushion: 'free' },
  },
  {
    id: 'lighter-held-slope',
    name: 'Lighter tractor that rolls back',
    notes:
      'A step in the race: only the hand finds it. The thin washer is what let the drum wander.',
    complaint: 'On the ramp in D it **rolls back** a hand’s breadth before it takes hold.',
    unit: model('units/lighter-six'),
    ...yard(),
    seed: 'lighter-ramp',
    hidden: [
      { part: 'F1.race', damage: 'stepped-race' },
      { part: 'thrust-1', damage: 'thin-washer' },
      { part: 'C1.spring', damage: 'weak-spring' },
    ],
    school: { bearings: 'reuse', tier: 2, cushion: 'left-out' },
    demands: { ...USUAL_DEMANDS, labels: 'lost' },
  },
  {
    id: 'bollard-clutch',
    name: 'Crane truck, a clutch that judders',
    notes: 'Oil from the crankshaft seal: a new disc alone comes back within the month.',
    complaint: 'It **judders away** from the fish hall and grates into reverse.',
    clutch: model('clutches/bollard-nine'),
    seed: 'crane-truck',
    hidden: [
      { part: 'crank-seal', damage: 'weeping-seal' },
      { part: 'disc', damage: 'oiled-disc', because: 'crank-seal' },
      { part: 'cover', damage: 'uneven-fingers' },
      { part: 'flywheel', damage: 'hot-flywheel' },
    ],
  },
  {
    id: 'one-pack-bench',
    name: 'One pack on the bench',
    notes: 'Only the clutch packs are judged and set here; everything is laid out already.',
    complaint: '',
    unit: model('units/quay-four'),
    seed: 'pack-bench',
    hidden: [
      { part: 'C1.seals', damage: 'torn-lip' },
      { part: 'C1.pack', damage: 'burnt', because: 'C1.seals' },
      { part: 'C2.pack', damage: 'blue-steels' },
    ],
    stations: ['inspect', 'order', 'together', 'prove'],
  },
  {
    id: 'crane-truck-third',
    name: 'Crane truck, third grinds and stops',
    notes:
      'One side of one sleeve. Fourth, on its other side, is as good as new; the second gear’s ring is worn down and grinds only when it is hurried.',
    complaint:
      'Third **grinds and will not go in**; fourth beside it slips in. Hurried, second grinds, too.',
    unit: model('units/winch-manual'),
    engine: model('engines/pilot-petrol'),
    clutch: model('clutches/bollard-nine'),
    vehicle: model('vehicles/yard-tractor'),
    seed: 'crane-third',
    hidden: [
      { part: 'H34.sleeve', damage: 'rounded-front' },
      { part: 'S2.blocker-rings', damage: 'worn-ring' },
    ],
    stations: ['off', 'inspect', 'order', 'together', 'prove'],
  },
  {
    id: 'wherry-whole',
    name: 'Wherry four-speed, the whole of it',
    notes:
      'The largest of the shop’s units, down to its bolts, with the most to find. Somebody was at the tray over lunch.',
    complaint: 'Nobody could say what it does right. It came in **on a pallet**.',
    unit: model('units/wherry-four'),
    ...yard(),
    seed: 'wherry-pallet',
    hidden: [
      { part: 'pump', damage: 'scored-pump' },
      { part: 'C1.pack', damage: 'burnt', because: 'pump' },
      { part: 'F2.cage', damage: 'broken-cage' },
      { part: 'P2.ring', damage: 'pitted-teeth' },
      { part: 'C2.ring', damage: 'stretched-ring' },
      { part: 'extension', damage: 'worn-bush' },
      { part: 'C2.accumulator', damage: 'sticky-accumulator' },
    ],
    demands: { parts: 'all', labels: 'kept', visitor: true, help: false, minutes: 720 },
    school: { bearings: 'replace', tier: 3, cushion: 'pressed' },
  },
];

mkdirSync('demo/jobs', { recursive: true });
for (const told of JOBS) {
  const document = newJob(told);
  const opened = openValue(JSON.parse(JSON.stringify(document)), 'fair-sprocket/job');
  if (!opened.ok) throw new Error(`${told.id}: ${JSON.stringify(opened.failure)}`);
  const problems = jobProblems(document, planOfJob(document));
  if (problems.length > 0) throw new Error(`${told.id}: ${JSON.stringify(problems)}`);
  writeFileSync(`demo/jobs/${told.id}.json`, `${JSON.stringify(document, null, 2)}\n`);
}
