import type { KindTable } from './documents';
import { attemptV1, setAsideUnread } from './attemptV1';
import { lessonV1 } from './lessonV1';
import { MODEL_TABLE } from './modelTable';
import { packV1 } from './packV1';

/** Every kind of document that can be opened. */
export const KINDS: KindTable = {
  'fair-sprocket/lesson': { version: 1, schema: lessonV1, migrations: [] },
  'fair-sprocket/attempt': {
    version: 1,
    schema: attemptV1,
    migrations: [],
    without: setAsideUnread,
  },
  ...MODEL_TABLE,
  'fair-sprocket/pack': { version: 1, schema: packV1, migrations: [] },
};
