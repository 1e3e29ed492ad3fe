import type { KindDefinition, Documents } from './documents';
import type { ModelKind } from './modelKinds';
import { clutchPackV1 } from './clutchPackV1';
import { clutchV1 } from './clutchV1';
import { converterV1 } from './converterV1';
import { engineV1 } from './engineV1';
import { faultCaseV1 } from './faultCaseV1';
import { hydraulicsV1 } from './hydraulicsV1';
import { jobV1 } from './jobV1';
import { UNIT } from './unitKind';
import { vehicleV1 } from './vehicleV1';

/** Kinds of models: a screen that opens no lesson needs none of the others. */
export const MODEL_TABLE: { readonly [K in ModelKind]: KindDefinition<Documents[K]> } = {
  'fair-sprocket/unit': UNIT,
  'fair-sprocket/converter': { version: 1, schema: converterV1, migrations: [] },
  'fair-sprocket/engine': { version: 1, schema: engineV1, migrations: [] },
  'fair-sprocket/vehicle': { version: 1, schema: vehicleV1, migrations: [] },
  'fair-sprocket/clutch': { version: 1, schema: clutchV1, migrations: [] },
  'fair-sprocket/clutch-pack': { version: 1, schema: clutchPackV1, migrations: [] },
  'fair-sprocket/hydraulics': { version: 1, schema: hydraulicsV1, migrations: [] },
  'fair-sprocket/fault-case': { version: 1, schema: faultCaseV1, migrations: [] },
  'fair-sprocket/job': { version: 1, schema: jobV1, migrations: [] },
};
