import { jobProblems, planOfJob, type Job } from '../core/assembly';
import type { Documents, DocumentKind } from '../core/formats';
import { clutchFindings, packFindings, type Clutch, type ClutchPack } from '../core/clutch';
import { pairFindings } from '../core/converter';
import { caseProblems, type FaultCase } from '../core/faults';
import { unitFindings, type Unit } from '../core/geartrain';
import { planFindings, type HydraulicPlan } from '../core/hydraulics';
import {
  clutchRigOf,
  isOf,
  keyFor,
  missingFault,
  oilRigOf,
  rigOf,
  subjectFor,
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
  if (document.format === 'fair-sprocket/clutch') noteClutch(document, '', found);
  if (document.format === 'fair-sprocket/clutch-pack') notePack(document, '', found);
  if (document.format === 'fair-sprocket/hydraulics') notePlan(document, '', found);
  if (document.format === 'fair-sprocket/fault-case') noteCase(document, '', found);
  if (document.format === 'fair-sprocket/job') noteJob(document, '', found);
  if (document.format === 'fair-sprocket/lesson') noteLesson(document, found);
  return found;
}

function notePlan(plan: HydraulicPlan, prefix: string, found: Notes): void {
  for (const { kind, weight, about } of planFindings(plan))
    (weight === 'error' ? found.problems : found.notes).push(`${prefix}${about}: ${kind}`);
}

function noteUnit(unit: Unit, prefix: string, found: Notes): void {
  for (const { code, path, values, weight } of unitFindings(unit)) {
    const facts = Object.entries(values).map(([k, v]) => `${k} ${v}`);
    const line = `${prefix}${path}: ${code}${facts.length > 0 ? ` (${facts.join(', ')})` : ''}`;
    (weight === 'wrong' ? found.problems : found.notes).push(line);
  }
}

/** A clutch or a pack that is odd may be meant so, to be found by a student: notes, not problems. */
function noteClutch(clutch: Clutch, prefix: string, found: Notes): void {
  for (const { code, ...values } of clutchFindings(clutch))
    found.notes.push(`${prefix}${line(code, values)}`);
}

function notePack(pack: ClutchPack, prefix: string, found: Notes): void {
  for (const { code, ...values } of packFindings(pack))
    found.notes.push(`${prefix}${line(code, values)}`);
}

/** A case that can't be given out is wrong: its cause is not there, or nobody would notice it. */
function noteCase(faultCase: FaultCase, prefix: string, found: Notes): void {
  for (const { code, ...values } of caseProblems(faultCase))
    found.problems.push(`${prefix}cause: ${line(code, values)}`);
}

/** A job whose hidden damage has no place in its machine can't be given out. */
function noteJob(job: Job, prefix: string, found: Notes): void {
  for (const { code, ...values } of jobProblems(job, planOfJob(job)))
    found.problems.push(`${prefix}hidden: ${line(code, values)}`);
}

function line(code: string, values: Readonly<Record<string, unknown>>): string {
  const facts = Object.entries(values).map(
    ([k, v]) => `${k} ${typeof v === 'number' ? Number(v.toPrecision(3)) : String(v)}`,
  );
  return facts.length > 0 ? `${code} (${facts.join(', ')})` : code;
}

function noteLesson(lesson: Lesson, found: Notes): void {
  (lesson.hydraulics ?? []).forEach((plan, k) => notePlan(plan, `hydraulics[${k}].`, found));
  (lesson.units ?? []).forEach((unit, k) => noteUnit(unit, `units[${k}].`, found));
  (lesson.clutches ?? []).forEach((c, k) => noteClutch(c, `clutches[${k}]: `, found));
  (lesson.clutchPacks ?? []).forEach((p, k) => notePack(p, `clutchPacks[${k}]: `, found));
  (lesson.cases ?? []).forEach((c, k) => noteCase(c, `cases[${k}].`, found));
  (lesson.jobs ?? []).forEach((j, k) => noteJob(j, `jobs[${k}].`, found));
  lesson.steps.forEach((step, s) =>
    step.blocks.forEach((block, k) => {
      const path = `steps[${s}].blocks[${k}]`;
      if ((block.kind === 'unit-bench' || block.kind === 'fault-table') && !unitOf(lesson, block))
        found.notes.push(`${path}.unit: unit-missing (${block.unit})`);
      if (block.kind === 'converter-bench') noteRig(lesson, block, path, found);
      if (block.kind === 'shift-bench' && !oilRigOf(lesson, block))
        found.notes.push(`${path}.hydraulics: plan-missing (${block.hydraulics})`);
      if (block.kind === 'clutch-bench' && !clutchRigOf(lesson, block))
        found.notes.push(`${path}.clutch: clutch-missing (${block.clutch})`);
      if (block.kind === 'pack-bench' && !clutchRigOf(lesson, block))
        found.notes.push(`${path}.pack: pack-missing (${block.pack})`);
      if (block.kind !== 'question') return;
      if (isOf('converter', block.question))
        noteRig(lesson, block.question, `${path}.question`, found);
      const fault = faultOf(lesson, block.question);
      if (fault) found.notes.push(`${path}.question: ${fault}`);
    }),
  );
}

/** A converter and an engine that are missing, or do not fit each other. */
function noteRig(
  lesson: Lesson,
  named: { converter: string; engine: string },
  path: string,
  found: Notes,
): void {
  const rig = rigOf(lesson, named);
  if (!rig) {
    found.notes.push(`${path}: converter-missing (${named.converter}, ${named.engine})`);
    return;
  }
  for (const { code, asked, there } of pairFindings(rig.engine, rig.converter))
    found.notes.push(`${path}: ${code} (asked ${Math.round(asked)}, there ${Math.round(there)})`);
}

/** Why a question can't be asked; what a converter question lacks is noted with its rig. */
function faultOf(lesson: Lesson, question: Question): string | null {
  const subject = subjectFor(lesson, question);
  if (!subject) {
    if (isOf('converter', question)) return null;
    return isOf('unit', question) ? `unit-missing (${question.unit})` : missingFault(question);
  }
  const key = keyFor(question, subject);
  return key.ok ? null : key.fault;
}
