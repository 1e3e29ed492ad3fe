import { mkdirSync, writeFileSync } from 'node:fs';
import { engineModel } from '../core/converter';
import { planFor, type HydraulicPlan, type PlanWishes } from '../core/hydraulics';
import { mostTorque } from '../core/shift';
import { model, yard } from './demoModels';

/** `npm run demo`: oil plans of demo units, made for the engine of the shop's yard tractors. */
const engine = engineModel(yard().engine);
const made = (unit: string, name: string, id: string, wishes: PlanWishes): HydraulicPlan => ({
  ...planFor(model(`units/${unit}`), {
    inputNm: mostTorque(engine, 1),
    idleRpm: engine.idleRpm,
    governedRpm: engine.governedRpm,
    ...wishes,
  }),
  id,
  name,
});

mkdirSync('demo/hydraulics', { recursive: true });
for (const plan of [
  made('quay-four', 'Quay four-speed, by valves', 'quay-valves', { throttle: 'cable' }),
  made('skerry-three', 'Skerry three-speed, by vacuum', 'skerry-vacuum', { throttle: 'modulator' }),
  made('lighter-six', 'Lighter six-speed, by control unit', 'lighter-electric', {
    throttle: 'solenoid',
    shifting: 'solenoids',
  }),
  made('quay-four', 'Quay four-speed, with lock-up', 'quay-lock-up', {
    throttle: 'cable',
    lockUp: true,
  }),
  made('capstan-five', 'Capstan five-speed, by valves', 'yard-capstan-valves', {
    throttle: 'cable',
  }),
])
  writeFileSync(`demo/hydraulics/${plan.id}.json`, `${JSON.stringify(plan, null, 2)}\n`);
