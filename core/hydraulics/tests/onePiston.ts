import type { Accumulator, Feed, HydraulicPart, HydraulicPlan, ManualValve, Piston } from '../plan';
import { planWith, SUPPLY } from './handPlans';

/** One element behind the lever's valve: 100 cm² over 2 mm against 1 kN on touching. Fills with 20 cm³ between 50 and 100 kPa. */
export const PISTON: Piston = {
  id: 'piston',
  name: '',
  kind: 'piston',
  line: 'C1',
  element: 'C1',
  area: 0.01,
  travel: 2e-3,
  cushion: 0.5e-3,
  returnForce: 1000,
  torquePerForce: 0.05,
  leak: 0,
  steel: 1,
};

export const FEED: Feed = {
  id: 'feed',
  name: '',
  kind: 'feed',
  from: 'port',
  to: 'C1',
  in: 2e-7,
  out: 4e-7,
};

/** 10 cm³ from 400 to 600 kPa, and 100 kPa later for each 200 kPa of throttle pressure behind it. */
export const ACCUMULATOR: Accumulator = {
  id: 'accumulator',
  name: '',
  kind: 'accumulator',
  line: 'C1',
  area: 1e-3,
  travel: 0.01,
  spring: 400,
  springEnd: 600,
  back: { line: 'throttle', area: 5e-4 },
};

const LEVER: ManualValve = {
  id: 'manual-valve',
  name: '',
  kind: 'manual-valve',
  from: 'line',
  places: [
    { lever: 'N', opens: [] },
    { lever: 'D', opens: ['port'] },
  ],
};

export const onePiston = (...more: HydraulicPart[]): HydraulicPlan =>
  planWith(['line', 'throttle', 'port', 'C1'], [...SUPPLY, LEVER, FEED, PISTON, ...more]);
