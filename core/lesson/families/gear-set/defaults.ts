import type { GearSetSetup, PlanetarySet } from '../../../geartrain';
import type { SetQuestion } from './kinds';

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

/** What a new question about one gear set starts as. */
export function newSetQuestion(
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
