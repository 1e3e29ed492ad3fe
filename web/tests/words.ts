import { readFileSync } from 'node:fs';
import i18next, { type TFunction } from 'i18next';
import { convertToDisplay, displayUnit } from '../../core/quantities';
import { formatReading, type Numbers } from '../shared/numbers';

/** The English catalogue by its parts: the first screen's words, and all others. */
export const CATALOGUE_PARTS = ['start.en', 'en', 'bench.en', 'teach.en'] as const;

export const wordsIn = (part: (typeof CATALOGUE_PARTS)[number]): Record<string, unknown> =>
  JSON.parse(readFileSync(`web/app/words/${part}.json`, 'utf8')) as Record<string, unknown>;

/** The whole catalogue. */
export const catalogue = (): Record<string, unknown> =>
  Object.assign({}, ...CATALOGUE_PARTS.map(wordsIn)) as Record<string, unknown>;

/** The English catalogue's words for tests; a word that is missing shows as its key. */
export async function testWords(): Promise<TFunction> {
  const instance = i18next.createInstance();
  return instance.init({
    lng: 'en',
    resources: { en: { translation: catalogue() } },
    interpolation: { escapeValue: false },
  });
}

/** Numbers as a screen shows them, with plain spaces between thousands: the thin ones are for the eye. */
export function testNumbers(t: TFunction, system: 'si' | 'inch-pound'): Numbers {
  const numbers: Numbers = {
    system,
    unit: (q) => t(`units.${displayUnit(q, system)}`),
    value: (v, q) => formatReading(convertToDisplay(v, q, system)).replace(/\u202f/g, ' '),
    quantity: (v, q) => `${numbers.value(v, q)} ${numbers.unit(q)}`,
    toDisplay: (v, q) => convertToDisplay(v, q, system),
    fromDisplay: (v) => v,
  };
  return numbers;
}
