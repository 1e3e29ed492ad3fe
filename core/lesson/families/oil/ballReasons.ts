import { partsOf } from '../../../hydraulics';
import { ballsOf, fitsEvidence, gaugeReads, takesHold } from './balls';
import type { OilClaim } from './claims';
import type { OilGauge, OilRig } from './kinds';
import type { KeyedOf, Thoughts } from './types';

/** Why one ball is missed and no other. */

type Asked = KeyedOf<'which-ball'>;

const reads = (
  { question, subject: { rig } }: Asked,
  ball: string | null,
  gauge: OilGauge,
): OilClaim => ({
  claim: 'gauge-reads',
  gauge,
  ball,
  pressure: gaugeReads(rig, ball, question.throttle, gauge),
});
const holds = ({ question, subject: { rig } }: Asked, ball: string): OilClaim => ({
  claim: 'ball-holds',
  ball,
  gear: question.gear,
  way: takesHold(rig, ball, question.throttle, question.gear) ? 'holds' : 'lets-go',
});

/** With this ball out: all that is asked for. */
export const shownBy = (asked: Asked, ball: string): OilClaim[] => [
  ...asked.question.gauges.map((gauge) => reads(asked, ball, gauge)),
  holds(asked, ball),
];

/** What would be otherwise if it were this ball. */
function against(asked: Asked, ball: string): OilClaim[] {
  const { question, subject } = asked;
  const fit = fitsEvidence(subject.rig, question, ball);
  return [
    ...question.gauges.filter((_g, k) => !fit.gauges[k]).map((gauge) => reads(asked, ball, gauge)),
    ...(fit.shift ? [] : [holds(asked, ball)]),
  ];
}

/** Balls on the way to an element. */
function ballsBefore({ plan }: OilRig, element: string): string[] {
  const piston = partsOf(plan, 'piston').find((p) => p.element === element);
  const feed = partsOf(plan, 'feed').find((f) => f.to === piston?.line);
  const ends = new Set([feed?.from ?? piston?.line]);
  const found: string[] = [];
  for (const ball of partsOf(plan, 'shuttle').toReversed())
    if (ends.has(ball.to)) {
      found.push(ball.id);
      ends.add(ball.first).add(ball.second);
    }
  return found;
}

export function ballThoughts(asked: Asked): Thoughts<'which-ball'> {
  const { question, subject, key } = asked;
  if (key.kind !== 'which-ball') return [];
  const { rig } = subject;
  const wrong = ballsOf(rig).filter((ball) => !key.balls.includes(ball));
  const lost = (g: OilGauge) =>
    gaugeReads(rig, null, question.throttle, g) -
    gaugeReads(rig, question.ball, question.throttle, g);
  const low = [...question.gauges].sort((a, b) => lost(b) - lost(a))[0]!;
  const before = ballsBefore(rig, low.element).filter((ball) => wrong.includes(ball));
  const partly = wrong.filter((ball) => fitsEvidence(rig, question, ball).gauges.includes(true));
  return [
    ...thought(asked, 'ball-of-the-low-gauge', before),
    ...thought(asked, 'one-gauge-only', partly),
  ];
}

function thought(
  asked: Asked,
  slip: Thoughts<'which-ball'>[number]['slip'],
  balls: readonly string[],
): Thoughts<'which-ball'> {
  const [first] = balls;
  if (first === undefined) return [];
  return [
    {
      slip,
      answer: { kind: 'which-ball', ball: first },
      gives: (a) => balls.includes(a.ball),
      claims: (a) => against(asked, a.ball),
    },
  ];
}
