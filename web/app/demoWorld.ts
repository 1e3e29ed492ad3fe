import { openValue, type DocumentKind, type Model } from '../../core/formats';
import type { Converter, Engine } from '../../core/converter';
import type { Unit } from '../../core/geartrain';
import type { Attempt, Lesson } from '../../core/lesson';
import type { Vehicle } from '../../core/vehicle';

/** The made-up training shop, loaded when it is needed. */
export interface DemoWorld {
  readonly lessons: Lesson[];
  readonly attempts: Attempt[];
  readonly units: Unit[];
  readonly converters: Converter[];
  readonly engines: Engine[];
  readonly vehicles: Vehicle[];
}

/** Everything of the demo world that stands in the library as a model. */
export const demoModels = ({ units, converters, engines, vehicles }: DemoWorld): Model[] => [
  ...units,
  ...converters,
  ...engines,
  ...vehicles,
];

/** Order in which the demo lessons stand in the library. */
export const DEMO_ORDER: readonly string[] = [
  'name-the-parts',
  'hold-one-drive-one',
  'what-the-held-part-feels',
  'two-pinions-in-a-row',
  'fill-the-chart',
  'follow-the-power',
  'what-does-this-row-do',
  'who-holds',
  'drive-or-coast',
  'why-it-multiplies',
  'read-the-crossing',
  'stator-and-launch',
];

export async function loadDemoWorld(): Promise<DemoWorld> {
  const files = await import('./demoFiles');
  const { demoLessons, demoAttempts, demoUnits, demoConverters, demoEngines } = files;
  const lessons = demoLessons.map((value) => opened(value, 'fair-sprocket/lesson'));
  lessons.sort((a, b) => DEMO_ORDER.indexOf(a.id) - DEMO_ORDER.indexOf(b.id));
  return {
    lessons,
    attempts: demoAttempts.map((v) => opened(v, 'fair-sprocket/attempt')),
    units: demoUnits.map((v) => opened(v, 'fair-sprocket/unit')),
    converters: demoConverters.map((v) => opened(v, 'fair-sprocket/converter')),
    engines: demoEngines.map((v) => opened(v, 'fair-sprocket/engine')),
    vehicles: files.demoVehicles.map((v) => opened(v, 'fair-sprocket/vehicle')),
  };
}

function opened<K extends DocumentKind>(value: unknown, kind: K) {
  const result = openValue(value, kind);
  if (!result.ok) throw new Error(`demo world: ${JSON.stringify(result.failure)}`);
  return result.document;
}
