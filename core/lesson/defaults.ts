import type { HydraulicPlan } from '../hydraulics';
import { solveUnit, type GearSetSetup, type Unit } from '../geartrain';
import { defaultSetup, newSetQuestion } from './families/gear-set/defaults';
import type { Block, BlockKind, Lesson, LessonStep } from './lesson';

/** What a new lesson, step or block starts as. Ids come from the caller. */

/**
 * @param setup the gear set a new bench or question starts from
 * @param models what a new bench of a unit, a converter or a clutch shows
 */
export function newBlock(
  kind: BlockKind,
  id: string,
  setup: GearSetSetup = defaultSetup(),
  models: {
    unit?: Unit | undefined;
    converter?: string;
    engine?: string;
    clutch?: string;
    pack?: string;
    plan?: HydraulicPlan;
  } = {},
): Block {
  const { unit } = models;
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
    case 'converter-bench':
      return {
        id,
        kind,
        converter: models.converter ?? '',
        engine: models.engine ?? '',
        setting: { throttle: 0.5, turbineRpm: 0, lockUp: false },
        fault: null,
        allow: { throttle: true, turbine: true, lockUp: true, fault: false },
      };
    case 'shift-bench':
      return {
        id,
        kind,
        hydraulics: models.plan?.id ?? '',
        unit: models.plan?.unit ?? '',
        lever: '',
        throttle: 0.4,
        outputRpm: 0,
        fault: null,
        allow: { driving: true, fault: false },
      };
    case 'clutch-bench':
      return {
        id,
        kind,
        clutch: models.clutch ?? '',
        setting: { pedal: 0, wear: 0, forkRod: 0, turnbuckle: 0, fault: null },
        allow: { pedal: true, wear: true, adjust: true, fault: false },
      };
    case 'fault-table':
      return { id, kind, unit: unit?.id ?? '', faults: [], allow: { filter: true } };
    case 'pack-bench':
      return { id, kind, pack: models.pack ?? '', allow: { plates: true, pressure: true } };
    case 'question':
      return { id, kind, question: newSetQuestion('number', setup) };
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
