import type { Documents, DocumentKind } from '../core/formats';
import { unitFindings, type Unit } from '../core/geartrain';
import {
  answerKey,
  isUnitQuestion,
  unitKey,
  unitOf,
  type Lesson,
  type Question,
} from '../core/lesson';

/** What the schema lets through and is still wrong or odd: findings of units, questions that have no answer. */
interface Notes {
  readonly problems: string[];
  readonly notes: string[];
}

export function notesOn(document: Documents[DocumentKind]): Notes {
  const found: Notes = { problems: [], notes: [] };
  if (document.format === 'fair-sprocket/unit') noteUnit(document, '', found);
  if (document.format === 'fair-sprocket/lesson') noteLesson(document, found);
  return found;
}

function noteUnit(unit: Unit, prefix: string, found: Notes): void {
  for (const { code, path, values, weight } of unitFindings(unit)) {
    const facts = Object.entries(values).map(([k, v]) => `${k} ${v}`);
    const line = `${prefix}${path}: ${code}${facts.length > 0 ? ` (${facts.join(', ')})` : ''}`;
    (weight === 'wrong' ? found.problems : found.notes).push(line);
  }
}

function noteLesson(lesson: Lesson, found: Notes): void {
  (lesson.units ?? []).forEach((unit, k) => noteUnit(unit, `units[${k}].`, found));
  lesson.steps.forEach((step, s) =>
    step.blocks.forEach((block, k) => {
      const path = `steps[${s}].blocks[${k}]`;
      if (block.kind === 'unit-bench' && !unitOf(lesson, block))
        found.notes.push(`${path}.unit: unit-missing (${block.unit})`);
      if (block.kind !== 'question') return;
      const fault = faultOf(lesson, block.question);
      if (fault) found.notes.push(`${path}.question: ${fault}`);
    }),
  );
}

function faultOf(lesson: Lesson, question: Question): string | null {
  if (!isUnitQuestion(question)) {
    const key = answerKey(question);
    return key.ok ? null : key.fault;
  }
  const unit = unitOf(lesson, question);
  if (!unit) return `unit-missing (${question.unit})`;
  const key = unitKey(question, unit);
  return key.ok ? null : key.fault;
}
