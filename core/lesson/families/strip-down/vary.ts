import { damagesOf, freeParts, hasFacing, measuresOf, selectivesOf } from '../../../assembly';
import { seedFrom, type Random } from '../../../numerics';
import type { Family } from '../../family';
import { onlyThese } from './bench';
import { laid } from './grade';
import type { StripTypes } from './types';

const CARDS = 6;
const OFFERED = 9;

/** Other parts of the same job. What an instructor wrote of one would be wrong of another. */
export const vary: Family<StripTypes>['vary'] = {
  'free-now'(question, subject, random) {
    const { plan } = laid(question, subject);
    const off: string[] = [];
    const steps = random.whole(0, Math.max(0, plan.parts.length - OFFERED));
    while (off.length < steps) off.push(random.pick(freeParts(plan, new Set(off))));
    const gone = new Set(off);
    const free = freeParts(plan, gone);
    const rest = plan.parts.map((p) => p.id).filter((id) => !gone.has(id) && !free.includes(id));
    const few = some(free, random.whole(1, 3), random);
    return {
      ...question,
      prompt: '',
      off,
      offered: shuffled([...few, ...some(rest, OFFERED - few.length, random)], random),
    };
  },
  'strip-order'(question, subject, random) {
    const { plan } = laid(question, subject);
    // About one part and what it waits for, so that there is something to put in order.
    const rule = random.pick(plan.rules.filter((r) => r.rule !== 'all-out' && r.before.length > 0));
    const near = new Set([rule.after, ...some(rule.before, 2, random)]);
    for (let tries = 0; near.size < CARDS && tries < 60; tries++) {
      const next = random.pick(plan.rules);
      if (next.rule !== 'all-out' && near.has(next.after))
        near.add(random.pick([...next.before, ...next.any.flat()]));
      else if (next.before.some((id) => near.has(id)) && next.rule !== 'all-out')
        near.add(next.after);
    }
    const parts = shuffled([...near].slice(0, CARDS), random);
    return { ...question, prompt: '', parts: onlyThese(plan, parts).parts.map((p) => p.id) };
  },
  'why-first'(question, subject, random) {
    const { plan } = laid(question, subject);
    const rule = random.pick(plan.rules.filter((r) => r.rule !== 'all-out' && r.before.length > 0));
    return { ...question, prompt: '', part: rule.after, first: random.pick(rule.before) };
  },
  'lay-out'(question, subject, random) {
    const { plan } = laid(question, subject);
    const placed = plan.parts.filter((p) => plan.places[p.id]).map((p) => p.id);
    return { ...question, prompt: '', parts: some(placed, CARDS, random) };
  },
  'way-round': (question, subject, random) => ({
    ...question,
    prompt: '',
    part: random.pick(laid(question, subject).plan.parts.filter(hasFacing)).id,
  }),
  verdict(question, subject, random) {
    const { job, plan } = laid(question, subject);
    // As often one with something wrong as one without.
    const hidden = job.hidden.map((h) => h.part);
    const able = plan.parts.filter((p) => damagesOf(p).length > 0).map((p) => p.id);
    const part = random.pick(hidden.length > 0 && random.next() < 0.5 ? hidden : able);
    return { ...question, prompt: '', part };
  },
  'read-gauge'(question, subject, random) {
    const { plan } = laid(question, subject);
    const all = plan.parts.flatMap((p) =>
      measuresOf(p).map((measure) => ({ part: p.id, measure })),
    );
    return { ...question, prompt: '', ...random.pick(all) };
  },
  'choose-size': (question, subject, random) => ({
    ...question,
    prompt: '',
    part: random.pick(selectivesOf(laid(question, subject).plan)).part,
  }),
  'worth-it': (question, subject, random) => ({
    ...question,
    prompt: '',
    part: random.pick(laid(question, subject).plan.parts.filter((p) => damagesOf(p).length > 0)).id,
  }),
  'whole-job': (question, _subject, random) => ({
    ...question,
    prompt: '',
    // As hard for every student.
    draw: { seed: seedFrom(random), difficulty: 'middling' },
  }),
};

function some(list: readonly string[], count: number, random: Random): string[] {
  return shuffled(list, random).slice(0, Math.max(0, count));
}

function shuffled(list: readonly string[], random: Random): string[] {
  const left = [...list];
  return list.map(() => left.splice(random.whole(0, left.length - 1), 1)[0]!);
}
