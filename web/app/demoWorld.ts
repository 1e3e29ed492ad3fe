import { isModel, openValue, type DocumentKind, type Model } from '../../core/formats';
import type { Attempt, Lesson } from '../../core/lesson';

/** The made-up training shop, loaded when it is needed. */
export interface DemoWorld {
  readonly lessons: Lesson[];
  readonly attempts: Attempt[];
  /** Everything of it that stands in the library as a model. */
  readonly models: Model[];
}

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
  'pedal-to-plate',
  'new-to-rivets',
  'listen-and-start',
  'plates-and-rings',
  'good-gears-bad-gears',
  'before-you-strip-it',
];

export async function loadDemoWorld(): Promise<DemoWorld> {
  const { demoLessons, demoAttempts, demoModels } = await import('./demoFiles');
  const lessons = demoLessons.map((value) => opened(value, 'fair-sprocket/lesson'));
  lessons.sort((a, b) => DEMO_ORDER.indexOf(a.id) - DEMO_ORDER.indexOf(b.id));
  return {
    lessons,
    attempts: demoAttempts.map((v) => opened(v, 'fair-sprocket/attempt')),
    models: demoModels.map(modelOf),
  };
}

function modelOf(value: unknown): Model {
  const result = openValue(value);
  if (!result.ok) throw new Error(`demo world: ${JSON.stringify(result.failure)}`);
  if (!isModel(result.document)) throw new Error('demo world: expected a model');
  return result.document;
}

function opened<K extends DocumentKind>(value: unknown, kind: K) {
  const result = openValue(value, kind);
  if (!result.ok) throw new Error(`demo world: ${JSON.stringify(result.failure)}`);
  return result.document;
}
