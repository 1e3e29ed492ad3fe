import { z } from 'zod';
import { clutchV1 } from './clutchV1';
import { converterV1 } from './converterV1';
import { engineV1 } from './engineV1';
import { unitV1 } from './unitV1';
import { vehicleV1 } from './vehicleV1';

/** The models that a case or a job carries: parts of both, version 1. */
export const machineModels = {
  unit: z.exactOptional(unitV1),
  engine: z.exactOptional(engineV1),
  converter: z.exactOptional(converterV1),
  clutch: z.exactOptional(clutchV1),
  vehicle: z.exactOptional(vehicleV1),
};
