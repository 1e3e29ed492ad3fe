import { planFor } from '../../hydraulics';
import { demoFile, demoUnit } from '../../tests/demoFile';
import type { Vehicle } from '../../vehicle';
import { assess, graderOf, newOilQuestion, oilKey, type OilAnswer, type OilQuestion } from '..';
import { marked } from './marked';

/** The quay's four-speed with the plan that is made for it, on the yard's tractor; questions about it, keyed and graded. */
export const unit = demoUnit('quay-four');
export const plan = planFor(unit);
export const rig = { unit, plan, vehicle: demoFile<Vehicle>('vehicles/yard-tractor') };
const subject = { kind: 'oil' as const, rig };

export const ask = <K extends OilQuestion['kind']>(
  kind: K,
  change: Partial<Extract<OilQuestion, { kind: K }>> = {},
) => ({ ...newOilQuestion(kind, rig), ...change }) as Extract<OilQuestion, { kind: K }>;
export const keyed = (question: OilQuestion) => {
  const result = oilKey(question, rig);
  return result.ok ? result.key : result.fault;
};
export function graded(question: OilQuestion, answer: OilAnswer) {
  const result = assess(question, subject, answer);
  if (!result.ok) throw new Error(result.fault);
  const { grade } = result;
  return { ...marked(grade), named: grade.why.named.map((n) => n.slip), why: grade.why };
}
export const fits = (question: OilQuestion, answer: OilAnswer): boolean => {
  const grader = graderOf(question, subject);
  return grader.ok && grader.fits(answer);
};
