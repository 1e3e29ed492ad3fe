import type { OilClaim } from './claims';
import { drawnTo, handOverIn, heldFor, lineIn, meetsDrawn, sharesOf, tiesUp } from './drawn';
import type { DrawnPressures } from './kinds';
import { exchangeIn } from './runs';
import type { OilSlip } from './slips';
import type { KeyedOf, Thoughts } from './types';

/** What a drawn hand-over comes to, and why. */

type Drawing = Pick<KeyedOf<'draw-pressures'>, 'question' | 'subject'>;

export const drawnComesTo = (
  { question, subject: { rig } }: Drawing,
  { coming, going }: DrawnPressures,
  way: 'drawn' | 'could',
): OilClaim => ({
  claim: 'drawn-comes-to',
  gear: question.gear,
  drawn: { coming, going },
  way,
  ...drawnTo(rig, question, { coming, going }),
});

/** At which pressures the shift changes hands. */
export function handsOver({ question, subject: { rig } }: Drawing): OilClaim[] {
  const sides = handOverIn(rig, question);
  return (['going', 'coming'] as const).flatMap((way): OilClaim[] => {
    const carried = sides[way];
    return carried ? [{ claim: 'holds-from', ...carried, way }] : [];
  });
}

function held(
  { question, subject: { rig } }: Drawing,
  drawn: DrawnPressures,
  by: 'both' | 'neither',
): OilClaim[] {
  const seconds = heldFor(rig, question, drawn)[by];
  const way = by === 'both' && tiesUp(rig, question) ? 'both-tied' : by;
  return seconds > 0
    ? [{ claim: 'held-by', drawn: { coming: drawn.coming, going: drawn.going }, seconds, way }]
    : [];
}

/** What a drawing is told by: shares of the line's pressure, and s in which both hold or neither does. */
interface Told {
  readonly coming: readonly number[];
  readonly both: number;
  readonly neither: number;
}

interface Way {
  readonly slip: OilSlip;
  /** How it is drawn, in shares of the line's pressure. */
  readonly coming: readonly number[];
  readonly going: readonly number[];
  readonly is: (told: Told) => boolean;
  readonly holds: 'both' | 'neither' | null;
}

/** s of a hand-over from which it is meant. */
const MEANT = 0.08;
/** Share of the line's pressure up to which what comes is meant to come softly. */
const SOFT = 0.6;
const isSoft = ({ coming }: Told): boolean => coming.at(-1)! <= SOFT;

/** Ways of thinking, as they are drawn. */
const WAYS: readonly Way[] = [
  {
    slip: 'overlap-is-softer',
    coming: [0, 0.2, 0.4, 0.6, 0.8, 1],
    going: [1, 1, 1, 1, 1, 1, 0],
    is: ({ both }) => both >= MEANT,
    holds: 'both',
  },
  {
    slip: 'lets-go-first',
    coming: [0, 0, 0, 0, 0.4, 0.8, 1],
    going: [1, 0],
    is: (told) => told.neither >= MEANT && !isSoft(told),
    holds: 'neither',
  },
  {
    slip: 'more-pressure-is-safer',
    coming: [0, 1],
    going: [1, 0],
    is: ({ coming, both, neither }) =>
      Math.max(both, neither) < MEANT &&
      coming.some((share, k) => share >= 0.85 && k > 0 && coming[k - 1]! < 0.25),
    holds: null,
  },
  {
    slip: 'soft-spares-the-lining',
    coming: [0, 0.15, 0.2, 0.25, 0.3, 0.35, 0.4, 0.45, 0.5],
    going: [1, 1, 0],
    is: isSoft,
    holds: null,
  },
];

export function drawThoughts(asked: KeyedOf<'draw-pressures'>): Thoughts<'draw-pressures'> {
  const {
    question,
    subject: { rig },
  } = asked;
  if (!rig.vehicle) return [];
  const goes = exchangeIn(rig, question.gear).going.length > 0;
  const fails = (drawn: DrawnPressures) => !meetsDrawn(question, drawnTo(rig, question, drawn));
  const line = lineIn(rig, question);
  const isWay = ({ is }: Way, drawn: DrawnPressures) =>
    is({ coming: drawn.coming.map((p) => p / line), ...heldFor(rig, question, drawn) });
  const ways = WAYS.filter((w) => goes || w.holds === null);
  return ways
    .map((way) => ({ way, drawn: sharesOf(rig, question, way.coming, way.going) }))
    .filter(({ drawn }) => fails(drawn))
    .map(({ way, drawn }) => ({
      slip: way.slip,
      answer: { kind: 'draw-pressures' as const, ...drawn },
      // What two ways of thinking would draw is neither's.
      gives: (a) => isWay(way, a) && ways.filter((w) => isWay(w, a)).length === 1 && fails(a),
      claims: (a) => [
        drawnComesTo(asked, a, 'drawn'),
        ...(way.holds ? held(asked, a, way.holds) : []),
        ...handsOver(asked),
      ],
    }));
}
