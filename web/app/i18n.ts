import i18next from 'i18next';
import { initReactI18next } from 'react-i18next';
import start from './words/start.en.json';

/** All words come from one catalogue a language, English first: those of the first screen, and all others. */
export async function startWords(): Promise<void> {
  await i18next.use(initReactI18next).init({
    lng: 'en',
    fallbackLng: 'en',
    resources: { en: { translation: start } },
    interpolation: { escapeValue: false },
  });
}

let more: Promise<void> | null = null;

/** The words of everything but the first screen: here before any other part is shown. */
export function moreWords(): Promise<void> {
  more ??= import('./words/en.json').then(
    ({ default: words }) => void i18next.addResourceBundle('en', 'translation', words, true),
  );
  // What could not be fetched is asked for again.
  more.catch(() => (more = null));
  return more;
}
