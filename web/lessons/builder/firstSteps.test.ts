import { newBlock, newLesson, newStep, type Block, type Lesson } from '../../../core/lesson';
import { FIRST_STEPS, firstStepsDone } from './firstSteps';

const UNTITLED = 'Untitled lesson';
const lesson = (title: string, ...blocks: Block[]): Lesson => ({
  ...newLesson('l', title, newStep('s', 'Step')),
  steps: [{ id: 's', title: 'Step', blocks }],
});
const done = (l: Lesson) => FIRST_STEPS.filter((step) => firstStepsDone(l, UNTITLED)[step]);
const text = (markdown: string): Block => ({ ...newBlock('text', 't'), markdown }) as Block;
const question = newBlock('question', 'q') as Extract<Block, { kind: 'question' }>;

test('a first lesson is ticked off by what stands in it, and by nothing else', () => {
  expect(done(lesson(UNTITLED))).toEqual([]);
  expect(done(lesson('Winch set'))).toEqual(['titled']);
  expect(done(lesson('Winch set', text('Short.')))).toEqual(['titled']);
  const told = text('The engine turns the sun, the band holds the ring.');
  expect(done(lesson('Winch set', told, question))).toEqual(['titled', 'told', 'asked']);
  const asked = { ...question, question: { ...question.question, prompt: 'How fast?' } } as Block;
  expect(done(lesson('Winch set', told, asked))).toEqual([...FIRST_STEPS]);
});
