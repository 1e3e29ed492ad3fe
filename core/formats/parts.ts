import { z } from 'zod';
import { ANSWER_LIMITS } from '../lesson';
import { MOST_NAME, MOST_TEXT } from './limits';

/** Small schemas that several documents share. */

/** Ids go into file names and addresses: letters, digits, `.`, `_` and `-`. */
export const id = z
  .string()
  .min(1)
  .max(80)
  .regex(/^[A-Za-z0-9][A-Za-z0-9._-]*$/);

/** Id of a model the lesson carries; empty while none is chosen. */
export const reference = z.string().regex(/^$|^[A-Za-z0-9][A-Za-z0-9._-]{0,79}$/);

export const tolerance = z.strictObject({
  kind: z.enum(['percent', 'absolute']),
  value: z.number().min(0).max(1e6),
});

export const name = z.string().max(MOST_NAME);
export const markdown = z.string().max(MOST_TEXT);
export const timestamp = z.iso.datetime();
export const sha256 = z.string().regex(/^[0-9a-f]{64}$/);
/** This many bytes in lower-case hexadecimal. */
export const hex = (bytes: number) => z.string().regex(new RegExp(`^[0-9a-f]{${2 * bytes}}$`));

const between = ({ min, max }: { readonly min: number; readonly max: number }) =>
  z.number().min(min).max(max);
/** Numbers of answers, by the limits of the fields that they are typed into. */
export const answerNumbers = {
  signed: between(ANSWER_LIMITS.signed),
  magnitude: between(ANSWER_LIMITS.magnitude),
};

/** Reports what a schema can't say by itself: a code, the place, and the value that is wrong. */
export const reporter =
  (context: z.core.ParsePayload | z.RefinementCtx) =>
  (path: PropertyKey[], code: string, value: string | number): void =>
    void context.issues.push({
      code: 'custom',
      path,
      params: { code, id: String(value) },
      input: value,
      message: `${code}: ${value}`,
    });

/** Adds one issue for every value that occurs again; `key` names the field in the issue's path. */
export function refuseDuplicates<T>(
  items: readonly T[],
  idOf: (item: T) => string,
  path: readonly PropertyKey[],
  context: z.core.ParsePayload | z.RefinementCtx,
): void {
  const report = reporter(context);
  const seen = new Set<string>();
  items.forEach((item, k) => {
    const value = idOf(item);
    if (seen.has(value)) report([...path, k, 'id'], 'duplicate-id', value);
    seen.add(value);
  });
}
