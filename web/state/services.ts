import type { Attempt } from '../../core/lesson';
import type { Marks } from '../storage/marks';
import type { DocumentStore } from '../storage/documentStore';
import type { Tabs } from '../storage/tabs';
import type { Waiting } from '../storage/waiting';
import type { SectionLayouts } from '../workers/sectionLayouts';
import type { UnitAnswers } from '../workers/unitAnswers';
import type { DemoWorld } from '../storage/demoWorld';

/** What state changes may reach outside the state: storage, other tabs, the clock and new ids. */
export interface Services {
  readonly documents: DocumentStore;
  readonly tabs: Tabs;
  /** A record with the seal of this device. */
  readonly seal: (attempt: Attempt) => Promise<Attempt>;
  /** What is remembered beside the database, so that its loss is seen. */
  readonly marks: Marks;
  readonly waiting: Waiting;
  /** What is kept here goes with the window, or so it seems. */
  readonly passing: () => Promise<boolean>;
  now(): string;
  newId(): string;
  readonly loadDemo: () => Promise<DemoWorld>;
  readonly sections: SectionLayouts;
  readonly unitAnswers: UnitAnswers;
}
