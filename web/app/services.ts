import { nanoid } from '@reduxjs/toolkit';
import type { Signer } from '../../core/lesson';
import { browserMarks, type Marks } from '../storage/marks';
import { browserStore } from '../storage/browserStore';
import type { DocumentStore } from '../storage/documentStore';
import { lazyDocuments } from '../storage/lazyDocuments';
import { keptForNowOnly } from '../storage/persistence';
import { browserTabs, type Tabs } from '../storage/tabs';
import { layOutSection } from '../workers/drawingWorker';
import { sectionLayouts, type SectionLayouts } from '../workers/sectionLayouts';
import type { DemoWorld } from './demoWorld';

/** What state changes may reach outside the state: storage, other tabs, the clock and new ids. */
export interface Services {
  readonly documents: DocumentStore;
  readonly tabs: Tabs;
  /** The key that this device seals records with. */
  readonly signer: () => Promise<Signer>;
  /** What is remembered beside the database, so that its loss is seen. */
  readonly marks: Marks;
  /** What is kept here goes with the window, or so it seems. */
  readonly passing: () => Promise<boolean>;
  now(): string;
  newId(): string;
  readonly loadDemo: () => Promise<DemoWorld>;
  readonly sections: SectionLayouts;
}

export function browserServices(): Services {
  const store = browserStore();
  let own: Promise<Signer> | null = null;
  return {
    documents: lazyDocuments(store, Date.now),
    signer: () =>
      (own ??= import('../storage/deviceKey').then(({ deviceSigner }) => deviceSigner(store))),
    marks: browserMarks(),
    passing: keptForNowOnly,
    tabs: browserTabs(),
    now: () => new Date().toISOString(),
    // Ids start with a letter, so that they fit the format whatever nanoid draws.
    newId: () => `k${nanoid(12)}`,
    loadDemo: async () => (await import('./demoWorld')).loadDemoWorld(),
    sections: sectionLayouts(layOutSection),
  };
}
