import { nanoid } from '@reduxjs/toolkit';
import type { Services } from '../state/services';
import { browserMarks } from '../storage/marks';
import { browserStore } from '../storage/browserStore';
import type { DocumentsWorker } from '../storage/documentsInWorker';
import type { KeyValueStore } from '../storage/keyValueStore';
import { keptForNowOnly } from '../storage/persistence';
import { browserTabs } from '../storage/tabs';
import { waitingIn } from '../storage/waiting';
import { layOutSection } from '../workers/drawingWorker';
import { sectionLayouts } from '../workers/sectionLayouts';
import { besideThePage } from '../workers/turns';
import { unitAnswers } from '../workers/unitAnswers';

/** @param documentsOver what keeps documents in the browser's database, and has those of the demo */
export function browserServices(
  documentsOver: (store: KeyValueStore) => DocumentsWorker,
): Services {
  const store = browserStore();
  const documents = documentsOver(store);
  const inTurn = besideThePage(navigator.hardwareConcurrency);
  let seal: Promise<Services['seal']> | null = null;
  return {
    documents,
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
    loadDemo: () => documents.loadDemoWorld(),
    sections: sectionLayouts(layOutSection, inTurn),
    unitAnswers: unitAnswers(inTurn),
  };
}
