import i18next from 'i18next';
import { initReactI18next } from 'react-i18next';
import { provideWords, WORD_PARTS, type WordPart } from '../shared/moreWords';
import start from './words/start.en.json';

let ready: () => void;
/** The catalogue can take words in. */
const catalogue = new Promise<void>((done) => (ready = done));

/** All words come from one catalogue a language, English first: those of the first screen, and all others in parts. */
export async function startWords(): Promise<void> {
  provideWords(moreWords);
  await i18next.use(initReactI18next).init({
    lng: 'en',
    fallbackLng: 'en',
    resources: { en: { translation: start } },
    interpolation: { escapeValue: false },
    saveMissing: true,
    // A word that is not there, or not yet, is a mistake of the program.
    missingKeyHandler: (_languages, _space, key, said) => {
      if (said === key) console.error(`no word for ${key}`);
    },
  });
  ready();
}

const PARTS: Readonly<Record<WordPart, () => Promise<{ default: object }>>> = {
  rest: () => import('./words/en.json'),
  bench: () => import('./words/bench.en.json'),
  strip: () => import('./words/strip.en.json'),
  teach: () => import('./words/teach.en.json'),
};
const asked = new Map<WordPart, Promise<void>>();

/** Words of everything but the first screen, all where no part is named: here before what says them is shown. */
export async function moreWords(...parts: readonly WordPart[]): Promise<void> {
  await Promise.all((parts.length > 0 ? parts : WORD_PARTS).map(wordsOf));
}

function wordsOf(part: WordPart): Promise<void> {
  let words = asked.get(part);
  if (!words) {
    words = Promise.all([PARTS[part](), catalogue]).then(
      ([{ default: said }]) => void i18next.addResourceBundle('en', 'translation', said, true),
    );
    asked.set(part, words);
    // What could not be fetched is asked for again.
    words.catch(() => asked.delete(part));
  }
  return words;
}
