import { solveUnit, type GearSetSetup, type PlanetarySet, type Unit } from '../geartrain';
import type { Block, BlockKind, Lesson, LessonStep } from './lesson';
import type { SetQuestion } from './question';
import type { UnitQuestion } from './unitQuestion';

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
  kind: SetQuestion['kind'],
  setup: GearSetSetup = defaultSetup(),
): SetQuestion {
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

/** A question about a unit, asking of its first range that drives. */
export function newUnitQuestion(kind: UnitQuestion['kind'], unit: Unit): UnitQuestion {
  const base = { prompt: '', unit: unit.id };
  const driving = unit.ranges.filter((r) => solveUnit(unit, r.apply).outcome === 'drives');
  const range = (driving[0] ?? unit.ranges[0])?.id ?? '';
  switch (kind) {
    case 'fill-chart':
      return { ...base, kind, ranges: driving.map((r) => r.id), given: [] };
    case 'row-outcome':
      return {
        ...base,
        kind,
        apply: driving[0]?.apply ?? [],
        load: 'drive',
        tolerance: { kind: 'percent', value: 2 },
      };
    case 'trace-path':
    case 'reaction':
    case 'drive-or-coast':
      return { ...base, kind, range };
  }
}

/**
 * @param setup the gear set a new bench or question starts from
 * @param unit the unit a new unit bench shows
 */
export function newBlock(
  kind: BlockKind,
  id: string,
  setup: GearSetSetup = defaultSetup(),
  unit?: Unit,
): Block {
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
    case 'unit-bench': {
      const first = unit?.ranges.find((r) => solveUnit(unit, r.apply).outcome === 'drives');
      return {
        id,
        kind,
        unit: unit?.id ?? '',
        apply: first?.apply ?? [],
        load: 'drive',
        allow: { elements: true, lever: true },
      };
    }
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
