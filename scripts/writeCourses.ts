import { readFileSync, writeFileSync } from 'node:fs';
import { openValue } from '../core/formats';
import {
  carrying,
  keyFor,
  subjectFor,
  type Block,
  type Carried,
  type Lesson,
} from '../core/lesson';
import { GEARBOX_COURSES } from './courses/gearbox';
import { OIL_COURSES } from './courses/oil';
import { SHIFT_COURSES } from './courses/oilShifts';
import { STRIP_COURSES } from './courses/stripDown';
import type { Course, Told } from './courses/course';

/** `npm run demo`: lessons that are told by their steps, with the demo models in them. */
const model = (path: string): Carried =>
  JSON.parse(readFileSync(`demo/${path}.json`, 'utf8')) as Carried;

function blocksOf({ text, caution, drive, oil, ask }: Told, k: number): Block[] {
  return [
    ...(text === undefined ? [] : [{ id: `t${k}`, kind: 'text' as const, markdown: text }]),
    ...(caution === undefined
      ? []
      : [{ id: `c${k}`, kind: 'caution' as const, topic: caution, markdown: '' }]),
    ...(drive === undefined
      ? []
      : [
          {
            id: `b${k}`,
            kind: 'unit-bench' as const,
            unit: drive.unit,
            apply: [...drive.apply],
            load: 'drive' as const,
            allow: { elements: true, lever: true },
          },
        ]),
    ...(oil === undefined
      ? []
      : [
          {
            id: `o${k}`,
            kind: 'shift-bench' as const,
            hydraulics: oil.plan,
            unit: oil.unit,
            lever: oil.lever,
            throttle: oil.throttle,
            outputRpm: 0,
            fault: oil.broken ?? null,
            allow: { driving: true, fault: oil.broken === undefined },
          },
        ]),
    ...(ask === undefined
      ? []
      : [{ id: `q${k}`, kind: 'question' as const, question: { ...ask, prompt: '' } }]),
  ];
}

function lessonOf({ id, title, summary, models, steps }: Course): Lesson {
  const bare: Lesson = {
    format: 'fair-sprocket/lesson',
    version: 1,
    id,
    title,
    summary,
    author: 'Harbour training shop',
    steps: steps.map((step, k) => ({
      id: `s${k + 1}`,
      title: step.title,
      blocks: blocksOf(step, k + 1),
    })),
  };
  return carrying(bare, models.map(model));
}

for (const course of [...STRIP_COURSES, ...GEARBOX_COURSES, ...OIL_COURSES, ...SHIFT_COURSES]) {
  const lesson = lessonOf(course);
  const opened = openValue(JSON.parse(JSON.stringify(lesson)), 'fair-sprocket/lesson');
  if (!opened.ok) throw new Error(`${course.id}: ${JSON.stringify(opened.failure)}`);
  for (const step of lesson.steps)
    for (const block of step.blocks)
      if (block.kind === 'question') {
        const subject = subjectFor(lesson, block.question);
        const key = subject && keyFor(block.question, subject);
        if (!key?.ok) throw new Error(`${course.id}, ${step.title}: ${JSON.stringify(key)}`);
      }
  writeFileSync(`demo/lessons/${course.id}.json`, `${JSON.stringify(lesson, null, 2)}\n`);
}
