import { carrying, type Carried } from '../carried';
import { newLesson, newStep } from '../defaults';
import type { Subject } from '../families/families';
import type { Lesson } from '../lesson';
import type { Question } from '../question';

function modelsOf(subject: Subject): Carried[] {
  switch (subject.kind) {
    case 'unit':
      return [subject.unit];
    case 'converter':
    case 'gearbox':
    case 'clutch':
      return Object.values(subject.rig).filter((m): m is Carried => m !== null);
    case 'oil':
      return Object.values(subject.rig).filter((m): m is Carried => m !== null);
    case 'fault':
      return Object.values(subject.subject).filter((m): m is Carried => m !== null);
    case 'strip-down':
      return [subject.subject.job];
    case 'gear-set':
    case 'own':
      return [];
  }
}

/** A lesson that asks just this, and carries what it is about. */
export function inLesson(question: Question, subject: Subject): Lesson {
  const step = newStep('s', 'S');
  const blocks = [{ id: 'q', kind: 'question' as const, question }];
  const bare = { ...newLesson('l', 'L', step), steps: [{ ...step, blocks }] };
  return carrying(bare, modelsOf(subject));
}
