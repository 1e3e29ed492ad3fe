import i18next from 'i18next';
import { initReactI18next } from 'react-i18next';
import en from './words/en.json';

/** All words come from one catalogue a language; English first. */
export async function startWords(): Promise<void> {
  await i18next.use(initReactI18next).init({
    lng: 'en',
    fallbackLng: 'en',
    resources: { en: { translation: en } },
    interpolation: { escapeValue: false },
  });
}
