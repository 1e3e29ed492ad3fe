import {
  atAltitude,
  bestPower,
  characteristicOf,
  engineModel,
  labours,
  matchEngine,
  pairFindings,
  resized,
  weakened,
  type Converter,
  type Engine,
} from '../converter';
import { expectApproved } from '../tests/approved';
import { demoAll, demoFile } from '../tests/demoFile';
import {
  bestChange,
  dipstick,
  fluidLook,
  fluidOf,
  fluidVerdict,
  gearAsked,
  launch,
  levelVerdict,
  pullCurves,
  scheduleOf,
  shiftSpeeds,
  STALL_CONDITIONS,
  stallBand,
  stallConditions,
  stallSuspects,
  stallTest,
  topSpeed,
  type Vehicle,
} from './index';

const RATIOS = [-0.5, 0, 0.2, 0.5, 0.7, 0.8, 0.86, 0.95, 1, 1.3];
const GEARS = [2.44, 1.44, 1];
const tractor = demoFile<Vehicle>('vehicles/yard-tractor');
const engines = demoAll<Engine>('engines');
const converters = demoAll<Converter>('converters');

test('converters alone, and with each engine', () => {
  const said: Record<string, unknown> = {};
  for (const converter of converters) {
    for (const fault of [null, 'slips', 'seized'] as const) {
      const curve = characteristicOf(converter, fault);
      if (!curve) continue;
      said[`${converter.id} ${fault}`] = RATIOS.map((r) => curve.at(r));
      for (const engine of engines) {
        const model = engineModel(engine);
        for (const throttle of [0, 0.3, 1])
          for (const lockUp of [0, 90, 1e4])
            said[`${converter.id} ${fault} ${engine.id} ${throttle} ${lockUp}`] = [
              0, 600, 1500, 2600,
            ].map((rpm) => {
              const match = matchEngine(model, curve, throttle, rpm, lockUp);
              return { ...match, labours: labours(model, match) };
            });
      }
    }
    said[`${converter.id} resized`] = resized(converter, 1.1).model;
    for (const engine of engines) {
      said[`${converter.id} ${engine.id}`] = pairFindings(engine, converter);
      const rig = { engine, converter, fluid: fluidOf(tractor), weakShare: 0.7, clutchShare: 0.5 };
      said[`${converter.id} ${engine.id} band`] = stallBand(rig);
      for (const condition of stallConditions(converter)) {
        const samples = stallTest(rig, condition);
        const reading = samples.at(-1)!.engineRpm;
        said[`${converter.id} ${engine.id} stall ${condition}`] = [
          samples.filter((_s, k) => k % 20 === 0),
          stallSuspects(rig, reading),
        ];
      }
    }
  }
  for (const engine of engines)
    said[engine.id] = [
      bestPower(engineModel(engine)),
      weakened(engine, 0.8),
      atAltitude(engine, 1500),
    ];
  for (const condition of STALL_CONDITIONS)
    said[`fluid ${condition}`] = [false, true].flatMap((water) =>
      [90, 170].map((hot) => {
        const [stick, look] = [dipstick(condition), fluidLook(condition, water, hot)];
        return [stick, levelVerdict(stick), look, fluidVerdict(look)];
      }),
    );
  expectApproved('converters', said);
});

test('pull, shift speeds and a launch through the gears', () => {
  const said: Record<string, unknown> = {};
  const schedule = scheduleOf(tractor);
  for (const engine of engines) {
    const driveline = {
      engine: engineModel(engine),
      converter: characteristicOf(converters[0]!)!,
      vehicle: tractor,
      gears: GEARS,
    };
    said[`${engine.id} pull`] = pullCurves(driveline as never, 12);
    for (const gear of [0, 1, 2])
      said[`${engine.id} ${gear}`] = [
        gear < 2 && bestChange(driveline as never, gear),
        topSpeed(driveline as never, gear, 0.02),
        [0.1, 0.5, 0.95].map((throttle) => [
          shiftSpeeds(schedule, driveline, gear, throttle),
          [2, 6, 12, 20].map((v) => gearAsked(schedule, driveline, gear, throttle, v)),
        ]),
      ];
    for (const lockUp of [0, 400]) {
      const run = launch({
        ...driveline,
        throttle: [
          { at: 0, throttle: 0.4 },
          { at: 6, throttle: 1 },
          { at: 11, throttle: 0 },
        ],
        grade: 0.01,
        schedule,
        lockUp,
        fluid: fluidOf(tractor),
        seconds: 14,
        step: 0.005,
      });
      said[`${engine.id} launch ${lockUp}`] = [run.events, run.energy];
      run.samples
        .filter((_s, k) => k % 40 === 0)
        .forEach((s) => (said[`${engine.id} launch ${lockUp} at ${s.time.toFixed(2)}`] = s));
    }
  }
  expectApproved('launches', said);
});
