import { nanoid } from '@reduxjs/toolkit';
import { browserExclusive } from '../storage/exclusive';
import { browserStore } from '../storage/browserStore';
import { documentStore, type DocumentStore } from '../storage/documentStore';
import { browserTabs, type Tabs } from '../storage/tabs';
import { layOutSection } from '../workers/drawingWorker';
import { sectionLayouts, type SectionLayouts } from '../workers/sectionLayouts';
import { loadDemoWorld, type DemoWorld } from './demoWorld';

/** What state changes may reach outside the state: storage, other tabs, the clock and new ids. */
export interface Services {
  readonly documents: DocumentStore;
  readonly tabs: Tabs;
  now(): string;
  newId(): string;
  readonly loadDemo: () => Promise<DemoWorld>;
  readonly sections: SectionLayouts;
}

export function browserServices(): Services {
  return {
    documents: documentStore(browserStore(), browserExclusive()),
    tabs: browserTabs(),
    now: () => new Date().toISOString(),
    // Ids start with a letter, so that they fit the format whatever nanoid draws.
    newId: () => `k${nanoid(12)}`,
    loadDemo: loadDemoWorld,
    sections: sectionLayouts(layOutSection),
  };
}
