import type { GearSetSetup, PlanetarySet } from '../geartrain';
import type { Block, BlockKind, Lesson, LessonStep } from './lesson';
import type { Question } from './question';

/** What a new lesson, step, block or question starts as. Ids come from the caller. */
export const defaultSet = (kind: PlanetarySet['kind'] = 'single-pinion'): PlanetarySet =>
  kind === 'single-pinion'
    ? { kind, teeth: { sun: 30, pinion: 20, ring: 70 }, pinions: 4 }
    : { kind, teeth: { sun: 30, inner: 18, outer: 18, ring: 78 }, pinions: 3 };

export const defaultSetup = (): GearSetSetup => ({
  set: defaultSet(),
  roles: { drives: 'sun', driven: 'carrier', reaction: 'held' },
  inputSpeedRpm: 1200,
  inputTorqueNm: 150,
});

export function newQuestion(
  kind: Question['kind'],
  setup: GearSetSetup = defaultSetup(),
): Question {
  const base = { prompt: '', setup, vary: false };
  switch (kind) {
    case 'number':
      return {
        ...base,
        kind,
        ask: 'ratio',
        tolerance: { kind: 'percent', value: 1 },
        direction: true,
      };
    case 'choice':
      return { ...base, kind, ask: 'effect', goal: 'largest-reduction' };
    case 'roles':
      return { ...base, kind };
  }
}

/** @param setup the gear set a new bench or question starts from */
export function newBlock(kind: BlockKind, id: string, setup: GearSetSetup = defaultSetup()): Block {
  switch (kind) {
    case 'text':
      return { id, kind, markdown: '' };
    case 'caution':
      return { id, kind, topic: 'heavy-parts', markdown: '' };
    case 'picture':
      return { id, kind, media: '', alt: '', caption: '' };
    case 'bench':
      return {
        id,
        kind,
        bench: 'gear-set',
        setup,
        allow: { roles: true, teeth: true, speed: true },
      };
    case 'question':
      return { id, kind, question: newQuestion('number', setup) };
  }
}

export const newStep = (id: string, title: string): LessonStep => ({ id, title, blocks: [] });

export const newLesson = (id: string, title: string, firstStep: LessonStep): Lesson => ({
  format: 'fair-sprocket/lesson',
  version: 1,
  id,
  title,
  summary: '',
  steps: [firstStep],
});
