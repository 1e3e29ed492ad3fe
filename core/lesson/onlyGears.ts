import { isDualClutch } from '../geartrain';
import { familyOf, type FamilyName } from './question';
import type { Block, BlockKind, Lesson } from './lesson';

const FAMILIES: ReadonlySet<FamilyName> = new Set(['gear-set', 'unit', 'own']);
const BLOCKS: ReadonlySet<BlockKind> = new Set([
  'text',
  'caution',
  'picture',
  'bench',
  'unit-bench',
  'question',
]);

/** Both clutches of a unit over time are curves, which take more than gears do. */
const drawsCurves = (block: Block, { units = [] }: Lesson): boolean =>
  block.kind === 'unit-bench' && units.some((u) => u.id === block.unit && isDualClutch(u));

/** Whether a lesson is about gear sets and whole units alone: a player of it can leave out what other families need. */
export const onlyGears = (lesson: Lesson): boolean =>
  lesson.steps
    .flatMap((s) => s.blocks)
    .every(
      (b) =>
        BLOCKS.has(b.kind) &&
        !drawsCurves(b, lesson) &&
        (b.kind !== 'question' || FAMILIES.has(familyOf(b.question))),
    );

/** Whether a lesson asks a question of this family. */
export const asks = (lesson: Lesson, family: FamilyName): boolean =>
  lesson.steps
    .flatMap((s) => s.blocks)
    .some((b) => b.kind === 'question' && familyOf(b.question) === family);
