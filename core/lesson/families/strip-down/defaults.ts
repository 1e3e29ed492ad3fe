import {
  damagesOf,
  freeParts,
  hasFacing,
  measuresOf,
  planOfJob,
  selectivesOf,
  type Job,
} from '../../../assembly';
import type { StripQuestion } from './kinds';

const CARDS = 6;
const OFFERED = 9;

/** What a new question about a job starts as. @param job `null` while none is chosen */
export function newStripQuestion(kind: StripQuestion['kind'], job: Job | null): StripQuestion {
  const base = { prompt: '', job: job?.id ?? '' };
  const plan = job && planOfJob(job);
  const parts = plan?.parts ?? [];
  const first = (fits: (p: (typeof parts)[number]) => boolean): string =>
    parts.find(fits)?.id ?? '';
  switch (kind) {
    case 'free-now': {
      const free = plan ? freeParts(plan) : [];
      const stuck = parts.map((p) => p.id).filter((id) => !free.includes(id));
      const offered = [...free.slice(0, 3), ...stuck].slice(0, OFFERED).sort();
      return { ...base, kind, off: [], offered };
    }
    case 'strip-order': {
      const [rule] = plan?.rules ?? [];
      const own = rule ? [...rule.before.slice(0, CARDS - 1), rule.after] : [];
      return { ...base, kind, parts: own };
    }
    case 'why-first': {
      const rule = plan?.rules.find((r) => r.before.length > 0);
      return { ...base, kind, part: rule?.after ?? '', first: rule?.before[0] ?? '' };
    }
    case 'lay-out':
      return {
        ...base,
        kind,
        parts: parts
          .map((p) => p.id)
          .filter((id) => plan?.places[id])
          .slice(0, CARDS),
      };
    case 'way-round':
      return { ...base, kind, part: first(hasFacing) };
    case 'verdict':
      return { ...base, kind, part: job?.hidden[0]?.part ?? first((p) => damagesOf(p).length > 0) };
    case 'read-gauge': {
      const part = parts.find((p) => measuresOf(p).length > 0);
      const [measure = 'lining' as const] = part ? measuresOf(part) : [];
      return { ...base, kind, part: part?.id ?? '', measure };
    }
    case 'choose-size':
      return { ...base, kind, part: (plan && selectivesOf(plan)[0]?.part) ?? '' };
    case 'worth-it':
      return { ...base, kind, part: first((p) => damagesOf(p).length > 0) };
    case 'whole-job':
      return { ...base, kind };
  }
}
