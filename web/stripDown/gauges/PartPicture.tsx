import type { ReactNode } from 'react';
import { useTranslation } from 'react-i18next';
import {
  type Condition,
  seenOn,
  type Damage,
  type PartKind,
  type SeenDamage,
} from '../../../core/assembly';
import { arc, circlePath, onCircle, ringPath, sector, toothedPath } from './circle';
import { TipsPicture } from './TipsPicture';
import './PartPicture.css';

/** Seen from the front: how far it reaches from the axis, in shares of the sheet, and what it carries. */
interface Face {
  readonly inner: number;
  readonly outer: number;
  readonly teeth?: 'inside' | 'outside';
  /** Lining or a land between these radii. */
  readonly lining?: boolean;
  /** Things in a ring: pinions, rollers, springs, holes. */
  readonly round?: { readonly count: number; readonly at: number; readonly size: number };
  /** Open at the top. */
  readonly gap?: boolean;
}

const FACES: Readonly<Partial<Record<PartKind, Face>>> = {
  pack: { inner: 0.62, outer: 0.96, teeth: 'inside', lining: true },
  band: { inner: 0.84, outer: 0.96, gap: true, lining: true },
  disc: { inner: 0.2, outer: 0.96, lining: true, round: { count: 6, at: 0.4, size: 0.08 } },
  drum: { inner: 0.3, outer: 0.98, round: { count: 12, at: 0.9, size: 0.03 } },
  carrier: { inner: 0.25, outer: 0.9, round: { count: 4, at: 0.6, size: 0.2 } },
  pinions: { inner: 0.12, outer: 0.6, teeth: 'outside' },
  sun: { inner: 0.3, outer: 0.62, teeth: 'outside' },
  ring: { inner: 0.72, outer: 0.96, teeth: 'inside' },
  gear: { inner: 0.25, outer: 0.86, teeth: 'outside' },
  seals: { inner: 0.8, outer: 0.92 },
  'crank-seal': { inner: 0.62, outer: 0.9 },
  spring: { inner: 0.5, outer: 0.9, round: { count: 14, at: 0.7, size: 0.09 } },
  race: { inner: 0.55, outer: 0.9 },
  cage: { inner: 0.6, outer: 0.84, round: { count: 16, at: 0.72, size: 0.07 } },
  pump: { inner: 0.24, outer: 0.96, round: { count: 8, at: 0.84, size: 0.05 } },
  sleeve: { inner: 0.52, outer: 0.9, teeth: 'inside' },
  'sleeve-hub': { inner: 0.28, outer: 0.6, teeth: 'outside' },
  'blocker-rings': { inner: 0.56, outer: 0.78, teeth: 'outside' },
  'shaft-bearing': { inner: 0.36, outer: 0.8, round: { count: 11, at: 0.58, size: 0.09 } },
  shim: { inner: 0.55, outer: 0.72 },
  nut: { inner: 0.3, outer: 0.55 },
  'snap-ring': { inner: 0.86, outer: 0.95, gap: true },
  'feed-rings': { inner: 0.78, outer: 0.9, gap: true },
  'end-plate': { inner: 0.62, outer: 0.96, teeth: 'outside' },
  'cushion-plate': { inner: 0.7, outer: 0.96 },
  needles: { inner: 0.3, outer: 0.5, round: { count: 18, at: 0.4, size: 0.05 } },
  gasket: { inner: 0.8, outer: 0.94, round: { count: 10, at: 0.87, size: 0.025 } },
  accumulator: { inner: 0, outer: 0.6, round: { count: 1, at: 0, size: 0.3 } },
  'thrust-washer': { inner: 0.45, outer: 0.8 },
  'thrust-bearing': { inner: 0.5, outer: 0.85, round: { count: 20, at: 0.68, size: 0.05 } },
  shaft: { inner: 0, outer: 0.35, teeth: 'outside' },
  flywheel: { inner: 0.2, outer: 0.98, round: { count: 8, at: 0.32, size: 0.04 } },
  'clutch-cover': { inner: 0.3, outer: 0.96, round: { count: 16, at: 0.5, size: 0.05 } },
  bearing: { inner: 0.4, outer: 0.75, round: { count: 10, at: 0.58, size: 0.08 } },
};
const PLAIN: Face = { inner: 0.35, outer: 0.85 };
/** Of a pack, the plate that has no lining. */
const STEEL: Face = { inner: 0.62, outer: 0.96, teeth: 'outside' };

const MIDDLE = [90, 90] as const;
const RADIUS = 84;
const TEETH = 28;

interface Props {
  kind: PartKind;
  /** What is wrong with the used one; what the eye can't see is not drawn. */
  damage: Damage | null;
  /** What it would read: a sleeve's teeth are drawn from it. */
  values: Condition['values'];
}

/** The part new and used, beside each other at one scale. */
export function PartPicture({ kind, damage, values }: Props) {
  const { t } = useTranslation();
  const seen = seenOn(damage);
  const face = seen === 'blue-steels' ? STEEL : (FACES[kind] ?? PLAIN);
  return (
    <>
      <div className="part-picture">
        {([null, seen] as const).map((look, k) => (
          <figure key={k === 0 ? 'new' : 'used'}>
            <svg viewBox="0 0 180 180" aria-hidden="true">
              <Whole face={face} used={k === 1} />
              {look && MARKS[look](face)}
            </svg>
            <figcaption className="label">{t(k === 0 ? 'strip.new' : 'strip.used')}</figcaption>
          </figure>
        ))}
      </div>
      {kind === 'sleeve' && <TipsPicture values={values} />}
    </>
  );
}

function Whole({ face, used }: { face: Face; used: boolean }) {
  const { inner, outer, teeth, lining, round, gap } = face;
  const [x, y] = MIDDLE;
  const [a, b] = [inner * RADIUS, outer * RADIUS];
  const outline =
    teeth === 'outside'
      ? toothedPath(MIDDLE, b - 7, b, TEETH) + circlePath(x, y, a)
      : teeth === 'inside'
        ? circlePath(x, y, b) + toothedPath(MIDDLE, a + 7, a, TEETH)
        : gap
          ? sector(MIDDLE, a, b, 0.03, 0.97)
          : ringPath(x, y, a, b);
  return (
    <>
      <path className="part-face" fillRule="evenodd" d={outline} />
      {lining && (
        <path
          className="part-lining"
          d={gap ? sector(MIDDLE, a, a + (b - a) / 2, 0.04, 0.96) : ringPath(x, y, a + 10, b - 2)}
          fillRule="evenodd"
        />
      )}
      {used && <Worn face={face} />}
      {round &&
        Array.from({ length: round.count }, (_, k) => {
          const [cx, cy] = onCircle(x, y, round.at * RADIUS, k / round.count);
          return <circle key={k} className="part-round" cx={cx} cy={cy} r={round.size * RADIUS} />;
        })}
    </>
  );
}

/** A used part is dull: fine rings where it has run. */
const Worn = ({ face: { inner, outer, gap } }: { face: Face }) => (
  <g className="part-worn">
    {[0.35, 0.55, 0.75].map((share) => {
      const r = (inner + share * (outer - inner)) * RADIUS;
      return gap ? (
        <path key={share} d={arc(...MIDDLE, r, 0.04, 0.96)} />
      ) : (
        <circle key={share} cx={MIDDLE[0]} cy={MIDDLE[1]} r={r} />
      );
    })}
  </g>
);

type Mark = (face: Face) => ReactNode;

/** A narrow part has no room to leave free. */
const inset = (inner: number, outer: number): number => Math.min(6, 0.2 * (outer - inner) * RADIUS);

const patches =
  (className: string, at: readonly (readonly [number, number])[]): Mark =>
  ({ inner, outer, teeth }) =>
    at.map(([from, to]) => (
      <path
        key={from}
        className={className}
        d={sector(
          MIDDLE,
          inner * RADIUS + inset(inner, outer),
          outer * RADIUS - (teeth === 'outside' ? 8 : 2),
          from,
          to,
        )}
      />
    ));
const zigzag: Mark = ({ inner, outer }) => {
  const points = Array.from({ length: 7 }, (_, k) => {
    const r = (inner + ((outer - inner) * k) / 6) * RADIUS;
    return onCircle(...MIDDLE, r, 0.14 + (k % 2) * 0.018)
      .map((v) => v.toFixed(1))
      .join(' ');
  });
  return <path className="part-crack" d={`M${points.join('L')}`} />;
};
const pits: Mark = ({ outer, inner, teeth }) =>
  Array.from({ length: 11 }, (_, k) => {
    const r = (teeth === 'inside' ? inner + 0.04 : outer - 0.05) * RADIUS;
    const [cx, cy] = onCircle(...MIDDLE, r, 0.55 + k * 0.017);
    return <circle key={k} className="part-pit" cx={cx} cy={cy} r={2 + (k % 3)} />;
  });
const BLOTCHES = [
  [0.08, 0.2],
  [0.34, 0.41],
  [0.58, 0.74],
] as const;

/** What the eye sees; one mark for each sort of damage. */
const MARKS: Readonly<Record<SeenDamage, Mark>> = {
  burnt: patches('part-burnt', BLOTCHES),
  'burnt-band': patches('part-burnt', BLOTCHES),
  'blue-steels': patches('part-blue', BLOTCHES),
  'hot-flywheel': patches('part-blue', BLOTCHES),
  'oiled-disc': patches('part-stain', [[0.1, 0.42]]),
  'torn-lip': ({ inner, outer }) => (
    <path
      className="part-cut"
      d={sector(MIDDLE, inner * RADIUS - 3, ((inner + outer) / 2) * RADIUS, 0.12, 0.17)}
    />
  ),
  'weeping-seal': patches('part-stain', [[0.4, 0.62]]),
  'cracked-carrier': zigzag,
  'broken-cage': zigzag,
  'pitted-teeth': pits,
  'sprung-groove': ({ outer }) => (
    <path
      className="part-crack"
      d={`M${onCircle(...MIDDLE, outer * RADIUS - 8, 0.05).join(' ')}Q${onCircle(...MIDDLE, outer * RADIUS + 5, 0.12).join(' ')} ${onCircle(...MIDDLE, outer * RADIUS - 8, 0.19).join(' ')}`}
    />
  ),
  'light-scratch': ({ inner, outer }) => (
    <g className="part-scratch">
      {[0.3, 0.33].map((turn) => {
        const [ax, ay] = onCircle(...MIDDLE, (inner + 0.1) * RADIUS, turn);
        const [bx, by] = onCircle(...MIDDLE, (outer - 0.08) * RADIUS, turn + 0.05);
        return <line key={turn} x1={ax} y1={ay} x2={bx} y2={by} />;
      })}
    </g>
  ),
  'stretched-ring': ({ inner, outer }) => (
    <path
      className="part-cut"
      d={sector(MIDDLE, inner * RADIUS - 2, outer * RADIUS + 2, 0.9, 0.985)}
    />
  ),
  'smooth-ring': ({ inner, outer }) => (
    <circle
      className="part-smooth"
      cx={MIDDLE[0]}
      cy={MIDDLE[1]}
      r={(inner + 0.25 * (outer - inner)) * RADIUS}
    />
  ),
  // Tips are drawn by themselves, one side beside the other.
  'rounded-front': () => null,
  'rounded-rear': () => null,
  'stepped-hub': patches('part-stain', [
    [0.1, 0.14],
    [0.43, 0.47],
    [0.76, 0.8],
  ]),
  'stepped-rings': patches('part-stain', [
    [0.2, 0.32],
    [0.6, 0.68],
  ]),
  'dusty-cover': ({ outer }) =>
    Array.from({ length: 40 }, (_, k) => {
      const [cx, cy] = onCircle(...MIDDLE, (0.35 + ((k * 7) % 13) * 0.04) * outer * RADIUS, k / 40);
      return <circle key={k} className="part-dust" cx={cx} cy={cy} r={1.6} />;
    }),
};
