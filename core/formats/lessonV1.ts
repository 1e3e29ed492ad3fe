import { z } from 'zod';
import { CAUTION_TOPICS, CHOICE_ASKS, GOALS, NUMBER_ASKS } from '../lesson';
import { gearSetSetup } from './gearSetSchema';
import { MOST_BLOCKS, MOST_ELEMENTS, MOST_RANGES, MOST_STEPS } from './limits';
import { id, markdown, name, refuseDuplicates } from './parts';
import { unitV1 } from './unitV1';

/** Schema of `fair-sprocket/lesson`, version 1. The type is `lesson/lesson.ts`. */
const questionBase = { prompt: markdown, setup: gearSetSetup, vary: z.boolean() };

const tolerance = z.strictObject({
  kind: z.enum(['percent', 'absolute']),
  value: z.number().min(0).max(1e6),
});

/** Ids of a unit the lesson carries; empty while none is chosen. */
const reference = z.string().regex(/^$|^[A-Za-z0-9][A-Za-z0-9._-]{0,79}$/);
const unitBase = { prompt: markdown, unit: reference };
const load = z.enum(['drive', 'coast']);
const elements = z.array(id).max(MOST_ELEMENTS);

const question = z.discriminatedUnion('kind', [
  z.strictObject({
    ...questionBase,
    kind: z.literal('number'),
    ask: z.enum(NUMBER_ASKS),
    tolerance,
    direction: z.boolean(),
  }),
  z.strictObject({
    ...questionBase,
    kind: z.literal('choice'),
    ask: z.enum(CHOICE_ASKS),
    goal: z.enum(GOALS),
  }),
  z.strictObject({ ...questionBase, kind: z.literal('roles') }),
  z.strictObject({
    ...unitBase,
    kind: z.literal('fill-chart'),
    ranges: z.array(id).max(MOST_RANGES),
    given: z.array(z.string().max(161)).max(MOST_RANGES * MOST_ELEMENTS),
  }),
  z.strictObject({ ...unitBase, kind: z.literal('trace-path'), range: reference }),
  z.strictObject({
    ...unitBase,
    kind: z.literal('row-outcome'),
    apply: elements,
    load,
    tolerance,
  }),
  z.strictObject({ ...unitBase, kind: z.literal('reaction'), range: reference }),
  z.strictObject({ ...unitBase, kind: z.literal('drive-or-coast'), range: reference }),
]);

/** `media/` and a plain file name; nothing that could leave the folder. */
const mediaPath = z
  .string()
  .regex(/^$|^media\/[A-Za-z0-9][A-Za-z0-9._-]{0,100}\.(png|jpg|gif|webp)$/);

const block = z.discriminatedUnion('kind', [
  z.strictObject({ id, kind: z.literal('text'), markdown }),
  z.strictObject({
    id,
    kind: z.literal('caution'),
    topic: z.enum(CAUTION_TOPICS),
    markdown,
  }),
  z.strictObject({ id, kind: z.literal('picture'), media: mediaPath, alt: name, caption: name }),
  z.strictObject({
    id,
    kind: z.literal('bench'),
    bench: z.literal('gear-set'),
    setup: gearSetSetup,
    allow: z.strictObject({ roles: z.boolean(), teeth: z.boolean(), speed: z.boolean() }),
  }),
  z.strictObject({
    id,
    kind: z.literal('unit-bench'),
    unit: reference,
    apply: elements,
    load,
    allow: z.strictObject({ elements: z.boolean(), lever: z.boolean() }),
  }),
  z.strictObject({ id, kind: z.literal('question'), question }),
]);

export const lessonV1 = z
  .strictObject({
    format: z.literal('fair-sprocket/lesson'),
    version: z.literal(1),
    id,
    title: name,
    summary: markdown,
    author: z.exactOptional(name),
    steps: z
      .array(z.strictObject({ id, title: name, blocks: z.array(block).max(MOST_BLOCKS) }))
      .max(MOST_STEPS),
    units: z.exactOptional(z.array(unitV1).max(MOST_STEPS)),
  })
  .check((context) => {
    const lesson = context.value;
    refuseDuplicates(lesson.steps, (s) => s.id, ['steps'], context);
    refuseDuplicates(lesson.units ?? [], (u) => u.id, ['units'], context);
    const blocks = lesson.steps.flatMap((step) => step.blocks);
    refuseDuplicates(blocks, (b) => b.id, ['blocks'], context);
  });
