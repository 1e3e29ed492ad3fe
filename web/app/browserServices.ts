import { nanoid } from '@reduxjs/toolkit';
import type { Services } from '../state/services';
import { browserMarks } from '../storage/marks';
import { browserStore } from '../storage/browserStore';
import { lazyDocuments } from '../storage/lazyDocuments';
import { keptForNowOnly } from '../storage/persistence';
import { browserTabs } from '../storage/tabs';
import { waitingIn } from '../storage/waiting';
import { layOutSection } from '../workers/drawingWorker';
import { sectionLayouts } from '../workers/sectionLayouts';
import { unitAnswers } from '../workers/unitAnswers';

export function browserServices(): Services {
  const store = browserStore();
  let seal: Promise<Services['seal']> | null = null;
  return {
    documents: lazyDocuments(store, Date.now),
    seal: async (attempt) => {
      // A part that could not be fetched is asked for again.
      seal ??= import('../storage/deviceKey').then(({ deviceSeal }) => deviceSeal(store));
      seal.catch(() => (seal = null));
      return (await seal)(attempt);
    },
    marks: browserMarks(),
    waiting: waitingIn(() => localStorage),
    passing: keptForNowOnly,
    tabs: browserTabs(),
    now: () => new Date().toISOString(),
    // Ids start with a letter, so that they fit the format whatever nanoid draws.
    newId: () => `k${nanoid(12)}`,
    loadDemo: async () => (await import('../storage/demoWorld')).loadDemoWorld(),
    sections: sectionLayouts(layOutSection),
    unitAnswers: unitAnswers(),
  };
}
