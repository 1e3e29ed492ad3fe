import { readFileSync } from 'node:fs';
import i18next, { type TFunction } from 'i18next';
import type { UnitSystem } from '../../core/quantities';
import { numbersIn, type Numbers } from '../shared/numbers';

/** The English catalogue by its parts: the first screen's words, and all others. */
export const CATALOGUE_PARTS = ['start.en', 'en', 'bench.en', 'strip.en', 'teach.en'] as const;

export const wordsIn = (part: (typeof CATALOGUE_PARTS)[number]): Words =>
  JSON.parse(readFileSync(`web/app/words/${part}.json`, 'utf8')) as Words;

type Words = Record<string, unknown>;

/** A part laid over those before it, branch by branch. */
const over = (words: Words, part: Words): Words => {
  const all = { ...words };
  for (const [key, said] of Object.entries(part))
    all[key] = typeof said === 'string' ? said : over((words[key] ?? {}) as Words, said as Words);
  return all;
};

/** The whole catalogue. */
export const catalogue = (): Words => CATALOGUE_PARTS.map(wordsIn).reduce(over, {});

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
export function testNumbers(t: TFunction, system: UnitSystem): Numbers {
  const numbers = numbersIn(system, t);
  const plain = (text: string) => text.replace(/\u202f/g, ' ');
  return {
    ...numbers,
    value: (v, q) => plain(numbers.value(v, q)),
    quantity: (v, q) => plain(numbers.quantity(v, q)),
  };
}
