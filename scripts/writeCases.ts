import { mkdirSync, writeFileSync } from 'node:fs';
import { USUAL_COUPLING } from '../core/clutch';
import { caseProblems, type FaultCase } from '../core/faults';
import { openValue } from '../core/formats';
import { model, yard } from './demoModels';

/** `npm run demo`: puts the models of the demo library into the demo cases and writes demo/fault-cases/. */
const petrol = () => ({
  engine: model('engines/pilot-petrol'),
  vehicle: model('vehicles/yard-tractor'),
});

type Story = Omit<FaultCase, 'format' | 'version'>;

const STORIES: readonly Story[] = [
  {
    id: 'slipway-two-gears',
    name: 'Slipway tractor, lost on the quay road',
    notes: 'Second and fourth share one band. Driving tells which element; fluid and pan tell why.',
    complaint:
      'She pulls the tug up the slip in first as she always did, but on the quay road, where she should run in fourth, **the engine runs up and nothing pulls**.',
    unit: model('units/quay-four'),
    ...yard(),
    cause: [{ target: 'B1', kind: 'burnt' }],
    minutes: 90,
    limitMinutes: 60,
  },
  {
    id: 'pier-crawler',
    name: 'Pier crawler that will not start in D',
    notes:
      'A one-way clutch that no longer holds: low range is good, because a brake stands beside it.',
    complaint:
      'In **D it will not move off**, engine just runs. Put it in **low and away it goes**; rolling, D is fine.',
    unit: model('units/skerry-three'),
    ...yard(),
    cause: [{ target: 'F1', kind: 'will-not-hold' }],
    minutes: 20,
    limitMinutes: 45,
  },
  {
    id: 'lazy-on-the-ramp',
    name: 'Yard tractor, lazy on the ramp',
    notes:
      'Nothing inside is broken yet: the pressure cable was set too long. Whoever strips this down pays for it.',
    complaint: '',
    unit: model('units/quay-four'),
    ...yard(),
    cause: [{ target: 'pressure-cable', kind: 'cable-long', severity: 10 }],
    minutes: 15,
    limitMinutes: 60,
  },
  {
    id: 'crane-truck-second',
    name: 'Crane truck, second stops short',
    notes:
      'One sleeve’s tips are rounded; its neighbours are sharp. Clutch and synchronizer are the tempting wrong answers.',
    complaint:
      'Since the relief driver had her, **the lever stops half way to second** while she rolls. First, third and the rest slip in as they always did.',
    unit: model('units/winch-manual'),
    clutch: model('clutches/bollard-nine'),
    ...petrol(),
    cause: [{ target: 'S2', kind: 'rounded', severity: 0.85 }],
    minutes: 40,
    limitMinutes: 45,
  },
  {
    id: 'winch-hand-jumps-out',
    name: 'Winch truck, second jumps out on the overrun',
    notes:
      'The flanks of second’s side that carry on the overrun are worn round: lifted off down the slip, it works itself out. It pulls as ever, and first, on the same sleeve, is sound.',
    complaint:
      'Down the slip with the drum on, **second jumps out as soon as he lifts his foot**. Pulling, it stays in; first never does it.',
    unit: model('units/winch-manual'),
    clutch: model('clutches/bollard-nine'),
    ...petrol(),
    cause: [{ target: 'S2', kind: 'jumps-out-coast', severity: 2 }],
    minutes: 40,
    limitMinutes: 45,
  },
  {
    id: 'crane-truck-all-grind',
    name: 'Crane truck, every gear grinds',
    notes:
      'If one gear grinds it is the box; if all do, it is the clutch. The free play at the pedal is far too much.',
    complaint:
      '**Every gear grinds**, reverse worst of all. He has been told that the gearbox is done for.',
    unit: model('units/winch-manual'),
    clutch: model('clutches/bollard-nine'),
    ...petrol(),
    cause: [{ target: 'clutch', kind: 'clutch-too-much-play' }],
    minutes: 20,
    limitMinutes: 45,
  },
  {
    id: 'ferry-odd-gears',
    name: 'Ferry shuttle that flares in the odd gears',
    notes: 'First, third and fifth hang on one clutch; even gears and reverse on the other.',
    complaint: '',
    unit: model('units/ferry-dual'),
    ...petrol(),
    cause: [{ target: 'K1', kind: 'slips', severity: 0.4 }],
    minutes: 60,
    limitMinutes: 60,
  },
  {
    id: 'quay-hopper',
    name: 'Rope-yard buggy that hops in tight circles',
    notes: 'The ball ramp of the rear coupling does not roll back: it drags with the current off.',
    complaint:
      'Turned round between the rope sheds it **hops and groans**, as if somebody stood on the brakes. On the straight it runs like any other.',
    coupling: USUAL_COUPLING,
    cause: [{ target: 'coupling', kind: 'ramp-jammed', severity: 0.35 }],
    minutes: 60,
    limitMinutes: 60,
  },
];

mkdirSync('demo/fault-cases', { recursive: true });
for (const story of STORIES) {
  const document = { format: 'fair-sprocket/fault-case', version: 1, ...story } as FaultCase;
  const opened = openValue(JSON.parse(JSON.stringify(document)), 'fair-sprocket/fault-case');
  if (!opened.ok) throw new Error(`${story.id}: ${JSON.stringify(opened.failure)}`);
  const problems = caseProblems(document);
  if (problems.length > 0) throw new Error(`${story.id}: ${JSON.stringify(problems)}`);
  writeFileSync(`demo/fault-cases/${story.id}.json`, `${JSON.stringify(document, null, 2)}\n`);
}
