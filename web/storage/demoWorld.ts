import { isModel, openValue, type DocumentKind, type Model } from '../../core/formats';
import type { Attempt, Lesson } from '../../core/lesson';
import { DEMO_ORDER } from './demoOrder';

/** The made-up training shop, loaded when it is needed. */
export interface DemoWorld {
  readonly lessons: Lesson[];
  readonly attempts: Attempt[];
  /** Everything of it that stands in the library as a model. */
  readonly models: Model[];
}

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
