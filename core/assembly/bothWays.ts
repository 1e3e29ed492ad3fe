import type { Job } from './job';
import type { MeasureId } from './measureSpec';
import { offsetOf, spreadOf, windowAsMeasured, windowOf } from './measures';
import { legalOrder } from './order';
import { conditionIn, mustBeNew, type JobWork } from './report';
import { changeCost, comeBackCost, daysOf, priceOf, sheetOf, timeOf } from './orderSheet';
import type { Opening, Part, PartKind, StripPlan } from './parts';
import {
  limitsOf,
  pricesOf,
  SCHOOL_IDS,
  SCHOOL_WAYS,
  wayOf,
  type School,
  type SchoolId,
  type Way,
} from './schools';
import { BEARINGS } from './verdict';

/** What one way comes to on this job. Lengths mm, money in the shop's units, torque N·m, power W. */
export type Figure =
  | { readonly code: 'cost' | 'parts-cost' | 'saved'; readonly money: number }
  | { readonly code: 'chance' | 'more-often'; readonly share: number }
  | { readonly code: 'days' | 'turns' | 'minutes' | 'new' | 'too-worn'; readonly count: number }
  | { readonly code: 'even' | 'worn' | 'now'; readonly mm: number }
  | { readonly code: 'window'; readonly least: number; readonly most: number }
  | { readonly code: 'drag'; readonly nm: number }
  | { readonly code: 'loss'; readonly watt: number };

export interface OneWay {
  readonly way: Way;
  /** What this shop does. */
  readonly own: boolean;
  readonly figures: readonly Figure[];
}
export interface BothWays {
  readonly school: SchoolId;
  readonly ways: readonly OneWay[];
}

/** Thrust at the rear is told for a kilonewton, at a mean radius and a speed of its own (from memory). */
export const REAR = { newton: 1000, radius: 0.03, revPerMin: 2000 } as const;
/** Friction of a greased washer and of rolling needles (published: rolling bearing handbooks give 0.003–0.004 for needle thrust). */
export const REAR_FRICTION: Readonly<Record<Way<'rear'>, number>> = {
  washer: 0.08,
  needle: 0.0035,
};

/** Minutes to set the fingers of a cover in its fixture, and how even they are then (from memory). */
const MINUTES_TO_SET = 25;
const SET_WITHIN = 0.1;

/** By which way a unit is worked at first: drum after drum off the front, or bare from below and behind and then the stack. */
const WORKED_FIRST: Readonly<Record<Way<'stack'>, readonly Opening[]>> = {
  'front-first': ['front', 'below', 'side', 'rear'],
  'on-end': ['side', 'below', 'rear', 'front'],
};

/** What is known of a job's parts: all of it, or what somebody has found out so far. */
export interface Known {
  /** Ids of parts that must be new. */
  readonly must: ReadonlySet<string>;
  /** What a part measures, mm; `null` where nobody knows. */
  readonly reads: (part: Part, measure: MeasureId) => number | null;
}

export const allKnown = (job: Job, plan: StripPlan): Known => ({
  must: mustBeNew(job, plan),
  reads: (part, measure) => conditionIn(job, part).values[measure] ?? null,
});

/** What a piece of work has found out: what was judged to be replaced, and the mean of what was read. */
export const knownBy = ({ judged, taken }: Pick<JobWork, 'judged' | 'taken'>): Known => ({
  must: new Set(
    Object.entries(judged).flatMap(([id, j]) => (j.decision === 'replace' ? [id] : [])),
  ),
  reads: (part, measure) => {
    const of = taken.filter((r) => r.part === part.id && r.measure === measure);
    const told = of.map((r) => r.value - offsetOf(measure, r.state));
    return told.length > 0 ? spreadOf(told).mean : null;
  },
});

interface OfJob {
  readonly job: Job;
  readonly plan: StripPlan;
  readonly known: Known;
  readonly part: (kind: PartKind) => Part | undefined;
}

type Figures<Id extends SchoolId> = (of: OfJob, way: Way<Id>) => readonly Figure[];
interface Row<Id extends SchoolId> {
  /** Whether it is a question on this job at all. */
  readonly fits: (of: OfJob) => boolean;
  readonly figures: Figures<Id>;
}

const withSchool = (job: Job, school: Partial<School>): Job => ({
  ...job,
  school: { ...job.school, ...school },
});

const ROWS: { readonly [Id in SchoolId]: Row<Id> } = {
  bearings: {
    fits: ({ plan }) => plan.parts.some((p) => BEARINGS.includes(p.kind)),
    figures: ({ job, plan }, way) => {
      if (way === 'reuse') return [{ code: 'cost', money: 0 }];
      const prices = pricesOf(job);
      const all = plan.parts.filter((p) => BEARINGS.includes(p.kind));
      const cost = all.reduce((sum, p) => sum + changeCost(p, prices), 0);
      return [
        { code: 'new', count: all.length },
        { code: 'cost', money: cost },
        { code: 'chance', share: cost / comeBackCost(plan, prices) },
      ];
    },
  },
  tier: {
    fits: () => true,
    figures: ({ job, plan, known }, tier) => {
      const { rows, days, total } = sheetOf(plan, tier, known.must, pricesOf(job));
      return [
        { code: 'new', count: rows.length },
        { code: 'days', count: days },
        { code: 'cost', money: total },
      ];
    },
  },
  cushion: {
    fits: ({ part }) => part('pack') !== undefined,
    figures: ({ job, part, known }, cushion) => {
      const { least, most } = windowAsMeasured(
        'pack-clearance',
        part('pack')!,
        withSchool(job, { cushion }),
      );
      return [
        { code: 'window', least: least ?? 0, most: most ?? 0 },
        ...now(known.reads(part('pack')!, 'pack-clearance'), offsetOf('pack-clearance', cushion)),
      ];
    },
  },
  rings: {
    fits: ({ part }) => part('drum') !== undefined,
    figures: ({ job, plan, known }, rings) => {
      const shop = withSchool(job, { rings });
      const drums = plan.parts.filter((p) => p.kind === 'drum');
      const most = windowOf('ring-bore', drums[0]!, limitsOf(shop)).most ?? 0;
      const bad = drums.filter((p) => (known.reads(p, 'ring-bore') ?? 0) > most);
      return [
        { code: 'worn', mm: most },
        { code: 'too-worn', count: bad.length },
        { code: 'parts-cost', money: bad.reduce((sum, p) => sum + priceOf(p, pricesOf(shop)), 0) },
      ];
    },
  },
  rear: {
    fits: ({ plan }) => plan.thrusts.length > 0,
    figures: ({ job }, rear) => {
      const nm = REAR_FRICTION[rear] * REAR.newton * REAR.radius;
      const kind = rear === 'washer' ? 'thrust-washer' : 'thrust-bearing';
      return [
        { code: 'drag', nm },
        { code: 'loss', watt: (nm * REAR.revPerMin * Math.PI) / 30 },
        { code: 'parts-cost', money: priceOf({ kind }, pricesOf(job)) },
      ];
    },
  },
  disc: {
    fits: ({ part }) => part('disc') !== undefined,
    figures: ({ job, part }, disc) => {
      const prices = pricesOf(withSchool(job, { disc }));
      const days = daysOf(part('disc')!, prices);
      const price = priceOf(part('disc')!, prices);
      return [
        { code: 'parts-cost', money: price },
        { code: 'days', count: days },
        { code: 'cost', money: price + days * prices.day },
      ];
    },
  },
  supply: {
    fits: () => true,
    figures: ({ job, plan, known }, supply) => {
      const of = (way: Way<'supply'>) => {
        const prices = pricesOf(withSchool(job, { supply: way }));
        return sheetOf(plan, job.school.tier, known.must, prices).partsCost;
      };
      const cost: Figure = { code: 'parts-cost', money: of(supply) };
      if (supply === 'original') return [cost];
      const saved = of('original') - cost.money;
      const back = comeBackCost(plan, pricesOf(withSchool(job, { supply })));
      return [cost, { code: 'saved', money: saved }, { code: 'more-often', share: saved / back }];
    },
  },
  levers: {
    fits: ({ part }) => part('clutch-cover') !== undefined,
    figures: ({ job, part, known }, levers) => {
      const cover = part('clutch-cover')!;
      const most = windowOf('fingers', cover, limitsOf(job)).most ?? 0;
      return levers === 'left'
        ? [
            { code: 'minutes', count: 0 },
            ...now(known.reads(cover, 'fingers')),
            { code: 'even', mm: most },
          ]
        : [
            { code: 'minutes', count: MINUTES_TO_SET },
            { code: 'cost', money: (MINUTES_TO_SET / 60) * job.prices.rate },
            { code: 'even', mm: SET_WITHIN },
          ];
    },
  },
  stack: {
    fits: ({ plan }) => plan.thrusts.length > 0,
    figures: ({ plan }, stack) => {
      const { minutes, turns } = timeOf(plan, legalOrder(plan, WORKED_FIRST[stack]));
      return [
        { code: 'turns', count: turns },
        { code: 'minutes', count: minutes },
      ];
    },
  },
};

/** What it measures, where somebody knows. */
const now = (mm: number | null, offset = 0): Figure[] =>
  mm === null ? [] : [{ code: 'now', mm: Math.max(0, mm + offset) }];

const figuresOf = <Id extends SchoolId>(of: OfJob, id: Id): OneWay[] =>
  (SCHOOL_WAYS[id] as readonly Way<Id>[]).map((way) => ({
    way,
    own: wayOf(of.job.school, id) === way,
    figures: ROWS[id].figures(of, way),
  }));

/** Everything that shops do in more than one way and that is a question on this job, with what each way comes to. */
export function bothWays(job: Job, plan: StripPlan, known: Known): BothWays[] {
  const of: OfJob = { job, plan, known, part: (kind) => plan.parts.find((p) => p.kind === kind) };
  return SCHOOL_IDS.filter((id) => ROWS[id].fits(of)).map((school) => ({
    school,
    ways: figuresOf(of, school),
  }));
}
