import type { DemoWorld } from '../../storage/demoWorld';
import { documentStore } from '../../storage/documentStore';
import { memoryStore, type KeyValueStore } from '../../storage/keyValueStore';
import { memoryMarks, type Marks } from '../../storage/marks';
import type { TabMessage } from '../../storage/tabs';
import { waitingIn } from '../../storage/waiting';
import { sectionLayouts } from '../../workers/sectionLayouts';
import { turns } from '../../workers/turns';
import { unitAnswers } from '../../workers/unitAnswers';
import type { Services } from '../services';

interface Given {
  readonly demo?: DemoWorld;
  readonly keyValue?: KeyValueStore;
  readonly marks?: Marks;
}

const NO_DEMO: DemoWorld = { lessons: [], attempts: [], models: [] };

/** Everything outside the state, in memory; and what was told to other tabs. */
export function memoryServices(given: Given = {}): {
  services: Services;
  posted: TabMessage[];
  keyValue: KeyValueStore;
} {
  const { demo = NO_DEMO, keyValue = memoryStore(), marks = memoryMarks() } = given;
  const posted: TabMessage[] = [];
  const services: Services = {
    documents: documentStore(keyValue, () => 0),
    tabs: { post: (m) => void posted.push(m), listen: () => () => undefined },
    seal: (attempt) => Promise.resolve(attempt),
    marks,
    waiting: waitingIn(() => null),
    passing: () => Promise.resolve(false),
    now: () => '2030-01-01T08:00:00Z',
    newId: () => 'new-id',
    sections: sectionLayouts(() => Promise.reject(new Error('nothing is drawn here')), turns(1)),
    unitAnswers: unitAnswers(turns(1)),
    loadDemo: () => Promise.resolve(demo),
  };
  return { services, posted, keyValue };
}
