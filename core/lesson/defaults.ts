import { solveUnit, type GearSetSetup, type PlanetarySet, type Unit } from '../geartrain';
import type { ConverterQuestion, ConverterRig } from './converterQuestion';
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

/** A question about a converter, with targets near the middle of what this pair can do. */
export function newConverterQuestion(
  kind: ConverterQuestion['kind'],
  { converter, engine, vehicle, unit }: ConverterRig,
): ConverterQuestion {
  const base = { prompt: '', converter: converter.id, engine: engine.id };
  const tolerance = { kind: 'percent' as const, value: 5 };
  switch (kind) {
    case 'operate': {
      const start = { throttle: 0.3, turbineRpm: 0, lockUp: false };
      return { ...base, kind, measure: 'torque-ratio', target: 1.5, tolerance, start };
    }
    case 'read-match':
      return { ...base, kind, ask: 'stall-speed', throttle: 1, turbineRpm: 0, tolerance };
    case 'sketch-curve':
      return { ...base, kind, curve: 'torque-ratio', tolerance: 0.12 };
    case 'predict-change':
      return {
        ...base,
        kind,
        of: 'stall-speed',
        change: { kind: 'engine', share: 0.7 },
        tolerance,
        vehicle: '',
        unit: '',
      };
    case 'launch-order':
      return {
        ...base,
        kind,
        vehicle: vehicle?.id ?? '',
        unit: unit?.id ?? '',
        throttle: 0.8,
        grade: 0,
      };
  }
}

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
