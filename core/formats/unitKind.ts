import type { Unit } from '../geartrain';
import type { KindDefinition } from './documents';
import { unitV1 } from './unitV1';

/** The kind of units by itself: their editor needs none of the others. */
export const UNIT: KindDefinition<Unit> = { version: 1, schema: unitV1, migrations: [] };
