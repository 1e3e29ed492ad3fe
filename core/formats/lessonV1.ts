import { z } from 'zod';
import {
  CARRIED_LISTS,
  CAUTION_TOPICS,
  CHANGED,
  ARRANGEMENT_KEYS,
  CHOICE_ASKS,
  GOALS,
  MATCH_ASKS,
  MEASURES,
  NUMBER_ASKS,
  SKETCHED,
} from '../lesson';
import { clutchPackV1 } from './clutchPackV1';
import { clutchV1 } from './clutchV1';
import { clutchBlocks, clutchQuestions } from './clutchParts';
import { converterSetting } from './converterSetting';
import { converterV1 } from './converterV1';
import { engineV1 } from './engineV1';
import { faultBlocks, faultQuestions } from './faultParts';
import { gearboxQuestions } from './gearboxParts';
import { oilBlocks, oilQuestions } from './oilParts';
import { ownQuestions } from './ownParts';
import { stripQuestions } from './stripParts';
import { faultCaseV1 } from './faultCaseV1';
import { jobV1 } from './jobV1';
import { gearSetSetup } from './gearSetSchema';
import {
  MOST_BLOCKS,
  MOST_ELEMENTS,
  MOST_RANGES,
  MOST_SPEED_RPM,
  MOST_STEPS,
  MOST_TAGS,
  MOST_TARGET,
} from './limits';
import { id, markdown, name, reference, refuseDuplicates, tolerance } from './parts';
import { unitV1 } from './unitV1';
import { hydraulicsV1 } from './hydraulicsV1';
import { vehicleV1 } from './vehicleV1';

/** Schema of `fair-sprocket/lesson`, version 1. The type is `lesson/lesson.ts`. */
const questionBase = { prompt: markdown, setup: gearSetSetup, vary: z.boolean() };

const vary = z.exactOptional(z.boolean());
const unitBase = { prompt: markdown, unit: reference, vary };
const load = z.enum(['drive', 'coast']);
const elements = z.array(id).max(MOST_ELEMENTS);
const converterBase = { prompt: markdown, converter: reference, engine: reference, vary };
const share = z.number().min(0).max(1);

const stallChange = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('engine'), share: z.number().min(0.1).max(2) }),
  z.strictObject({ kind: z.literal('altitude'), metres: z.number().min(-500).max(9000) }),
  z.strictObject({ kind: z.literal('size'), factor: z.number().min(0.3).max(3) }),
  z.strictObject({ kind: z.literal('stator'), fault: z.enum(['slips', 'seized']) }),
]);

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
    answered: z.exactOptional(z.enum(ARRANGEMENT_KEYS)),
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
  z.strictObject({
    ...converterBase,
    kind: z.literal('operate'),
    measure: z.enum(MEASURES),
    target: z.number().min(0).max(MOST_TARGET),
    tolerance,
    start: converterSetting,
  }),
  z.strictObject({
    ...converterBase,
    kind: z.literal('read-match'),
    ask: z.enum(MATCH_ASKS),
    throttle: share,
    turbineRpm: z.number().min(0).max(MOST_SPEED_RPM),
    tolerance,
  }),
  z.strictObject({
    ...converterBase,
    kind: z.literal('sketch-curve'),
    curve: z.enum(SKETCHED),
    tolerance: z.number().min(0.01).max(1),
  }),
  z.strictObject({
    ...converterBase,
    kind: z.literal('predict-change'),
    of: z.enum(CHANGED),
    change: stallChange,
    tolerance,
    vehicle: reference,
    unit: reference,
  }),
  ...clutchQuestions,
  ...faultQuestions,
  ...gearboxQuestions,
  ...oilQuestions,
  ...stripQuestions,
  ...ownQuestions,
  z.strictObject({
    ...converterBase,
    kind: z.literal('launch-order'),
    vehicle: reference,
    unit: reference,
    throttle: share,
    grade: z.number().min(-1).max(1),
  }),
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
  z.strictObject({
    id,
    kind: z.literal('converter-bench'),
    converter: reference,
    engine: reference,
    setting: converterSetting,
    fault: z.nullable(z.enum(['slips', 'seized'])),
    allow: z.strictObject({
      throttle: z.boolean(),
      turbine: z.boolean(),
      lockUp: z.boolean(),
      fault: z.boolean(),
    }),
  }),
  ...clutchBlocks,
  ...oilBlocks,
  ...faultBlocks,
  z.strictObject({
    id,
    kind: z.literal('question'),
    question,
    askWhy: z.exactOptional(z.boolean()),
  }),
]);

export const lessonV1 = z
  .strictObject({
    format: z.literal('fair-sprocket/lesson'),
    version: z.literal(1),
    id,
    title: name,
    summary: markdown,
    author: z.exactOptional(name),
    tags: z.exactOptional(z.array(z.string().min(1).max(40)).max(MOST_TAGS)),
    steps: z
      .array(
        z.strictObject({
          id,
          title: name,
          notes: z.exactOptional(markdown),
          blocks: z.array(block).max(MOST_BLOCKS),
        }),
      )
      .max(MOST_STEPS),
    units: z.exactOptional(z.array(unitV1).max(MOST_STEPS)),
    converters: z.exactOptional(z.array(converterV1).max(MOST_STEPS)),
    engines: z.exactOptional(z.array(engineV1).max(MOST_STEPS)),
    vehicles: z.exactOptional(z.array(vehicleV1).max(MOST_STEPS)),
    hydraulics: z.exactOptional(z.array(hydraulicsV1).max(MOST_STEPS)),
    clutches: z.exactOptional(z.array(clutchV1).max(MOST_STEPS)),
    clutchPacks: z.exactOptional(z.array(clutchPackV1).max(MOST_STEPS)),
    cases: z.exactOptional(z.array(faultCaseV1).max(MOST_STEPS)),
    jobs: z.exactOptional(z.array(jobV1).max(MOST_STEPS)),
  })
  .check((context) => {
    const lesson = context.value;
    refuseDuplicates(lesson.steps, (s) => s.id, ['steps'], context);
    for (const list of CARRIED_LISTS)
      refuseDuplicates<{ id: string }>(lesson[list] ?? [], (m) => m.id, [list], context);
    const blocks = lesson.steps.flatMap((step) => step.blocks);
    refuseDuplicates(blocks, (b) => b.id, ['blocks'], context);
  });
