import { ballsOf, fitsEvidence, gaugeReads, GAUGE_PA, takesHold } from './balls';
import type { OilClaim } from './claims';
import type { OilGauge } from './kinds';
import { wayBack } from './runs';
import type { KeyedOf, Thoughts } from './types';

/** Why one ball is missed and no other. */

type Asked = KeyedOf<'which-ball'>;

const reads = ({ question, subject: { rig } }: Asked, ball: string, gauge: OilGauge): OilClaim => ({
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

export function ballThoughts(asked: Asked): Thoughts<'which-ball'> {
  const { question, subject, key } = asked;
  const { rig } = subject;
  const { ball: missing, gauges, throttle } = question;
  const lost = (g: OilGauge) =>
    gaugeReads(rig, null, throttle, g) - gaugeReads(rig, missing, throttle, g);
  const isLow = gauges.map((g) => lost(g) > GAUGE_PA);
  const before = gauges
    .filter((_g, k) => isLow[k])
    .flatMap((g) => wayBack(rig.plan, g.element).balls);
  const wrong = ballsOf(rig)
    .filter((ball) => !key.balls.includes(ball))
    .map((ball) => ({ ball, fit: fitsEvidence(rig, question, ball).gauges }));
  const named = (those: typeof wrong) => those.map(({ ball }) => ball);
  return [
    ...thought(
      asked,
      'ball-of-the-low-gauge',
      named(wrong.filter(({ ball }) => before.includes(ball))),
    ),
    // A gauge that reads as it should tells most balls nothing: only one that is low can have been gone by.
    ...thought(
      asked,
      'one-gauge-only',
      named(wrong.filter(({ fit }) => !fit.every(Boolean) && fit.some((f, k) => f && isLow[k]))),
    ),
    ...thought(asked, 'shift-left-out', named(wrong.filter(({ fit }) => fit.every(Boolean)))),
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
