import type { z } from 'zod';
import type { attemptV1 } from './attemptV1';
import type { clutchPackV1 } from './clutchPackV1';
import type { clutchV1 } from './clutchV1';
import type { converterV1 } from './converterV1';
import type { engineV1 } from './engineV1';
import type { faultCaseV1 } from './faultCaseV1';
import type { hydraulicsV1 } from './hydraulicsV1';
import type { Documents } from './documents';
import type { jobV1 } from './jobV1';
import type { lessonV1 } from './lessonV1';
import type { packV1 } from './packV1';
import type { unitV1 } from './unitV1';
import type { vehicleV1 } from './vehicleV1';

/** What each schema lets through. */
interface Parsed {
  'fair-sprocket/lesson': z.output<typeof lessonV1>;
  'fair-sprocket/attempt': z.output<typeof attemptV1>;
  'fair-sprocket/unit': z.output<typeof unitV1>;
  'fair-sprocket/converter': z.output<typeof converterV1>;
  'fair-sprocket/engine': z.output<typeof engineV1>;
  'fair-sprocket/vehicle': z.output<typeof vehicleV1>;
  'fair-sprocket/clutch': z.output<typeof clutchV1>;
  'fair-sprocket/clutch-pack': z.output<typeof clutchPackV1>;
  'fair-sprocket/hydraulics': z.output<typeof hydraulicsV1>;
  'fair-sprocket/fault-case': z.output<typeof faultCaseV1>;
  'fair-sprocket/job': z.output<typeof jobV1>;
  'fair-sprocket/pack': z.output<typeof packV1>;
}

type Same<A, B> = [A] extends [B]
  ? [B] extends [A]
    ? true
    : 'the schema lets less through'
  : 'the schema lets more through';

/**
 * Every document that its type allows is let through by its schema, and no other kind is: what one has and the other has
 * not is named here by the compiler.
 */
type SchemasAreTypes = {
  [K in keyof Documents]: Same<Parsed[K], Documents[K]>;
};
/** Of the type `true`, or the kinds that differ. */
type Differs = {
  [K in keyof Documents]: SchemasAreTypes[K] extends true ? never : K;
}[keyof Documents];
const schemasAreTypes: [Differs] extends [never] ? true : Differs = true;

test('schemas and types say the same', () => {
  expect(schemasAreTypes).toBe(true);
});
