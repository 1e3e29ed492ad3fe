import { readFileSync } from 'node:fs';
import i18next, { type TFunction } from 'i18next';

/** The English catalogue's words for tests; a word that is missing shows as its key. */
export async function testWords(): Promise<TFunction> {
  const en = JSON.parse(readFileSync('web/app/words/en.json', 'utf8')) as Record<string, unknown>;
  const instance = i18next.createInstance();
  return instance.init({
    lng: 'en',
    resources: { en: { translation: en } },
    interpolation: { escapeValue: false },
  });
}
