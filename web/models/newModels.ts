import { newJob as soundJob, type Job } from '../../core/assembly';
import { usualBlades, type Converter, type Engine } from '../../core/converter';
import { singleFaults, rigOfUnit, type FaultCase } from '../../core/faults';
import type { Unit } from '../../core/geartrain';
import { planFor, type HydraulicPlan } from '../../core/hydraulics';
import type { Vehicle } from '../../core/vehicle';

/** What a new converter, engine, vehicle, case or job starts as: sound, of usual size, and to be changed. */
export const newConverter = (id: string, name: string): Converter => ({
  format: 'fair-sprocket/converter',
  version: 1,
  id,
  name,
  model: usualBlades(0.11),
  lockUpCapacity: 250,
});

export const newEngine = (id: string, name: string): Engine => ({
  format: 'fair-sprocket/engine',
  version: 1,
  id,
  name,
  rows: [
    { speedRpm: 800, torqueNm: 110 },
    { speedRpm: 2000, torqueNm: 165 },
    { speedRpm: 3200, torqueNm: 175 },
    { speedRpm: 4500, torqueNm: 150 },
  ],
  idleRpm: 750,
  governedRpm: 4500,
  drag: 0.12,
});

export const newVehicle = (id: string, name: string): Vehicle => ({
  format: 'fair-sprocket/vehicle',
  version: 1,
  id,
  name,
  massKg: 2000,
  tyreRadiusM: 0.34,
  finalDrive: 3.9,
  dragAreaM2: 0.8,
  rolling: 0.012,
});

/** @param unit whose first fault the case starts with */
export function newFaultCase(id: string, name: string, unit: Unit | undefined): FaultCase {
  const [fault] = unit ? singleFaults(rigOfUnit(unit)) : [];
  return {
    format: 'fair-sprocket/fault-case',
    version: 1,
    id,
    name,
    complaint: '',
    ...(unit ? { unit } : {}),
    cause: fault ? [{ target: fault.target, kind: fault.kind }] : [],
    minutes: 30,
  };
}

/** @param unit that is on the bench; nothing is hidden in it yet */
export const newJob = (id: string, name: string, unit: Unit | undefined): Job =>
  soundJob({ id, name, ...(unit ? { unit } : {}) });

/** @param unit that it feeds */
export const newPlan = (id: string, name: string, unit: Unit): HydraulicPlan => ({
  ...planFor(unit),
  id,
  name,
});
