import { useRef, type KeyboardEvent } from 'react';
import { useTranslation } from 'react-i18next';
import {
  BOLT_YIELD,
  handTight,
  type BodyBolt,
  type BoltJob,
  type LaidBody,
  type Turn,
} from '../../../../core/hydraulics';
import { fingerReach } from '../../../shared/fingerReach';
import { leastLetters } from '../../../shared/leastLetters';
import { formatShare } from '../../../shared/numbers';
import { useElementSize } from '../../../shared/useElementSize';

interface Props {
  body: LaidBody;
  job: BoltJob;
  /** `null`: before anything is turned. */
  turn: Turn | null;
  /** Bolts that have their number. */
  order: readonly string[];
  onBolt?: (id: string) => void;
}

/** Units of the drawing for a metre; its margins, and the room for the body seen along its edges. */
const SCALE = 2500;
const MARGIN = 26;
const EDGE_ROOM = 150;
const DEEP = 0.024;
/** Heads are drawn larger than they are: they are what is pressed, and what is read from afar. */
const HEAD = 3600;

/** A valve body from below, and along two of its edges as far as it has come off the case. */
export function BodyDrawing({ body, job, turn, order, onBolt }: Props) {
  const { t } = useTranslation();
  const ref = useRef<SVGSVGElement>(null);
  const place = useElementSize(ref);
  const [long, wide] = [SCALE * body.plate.length, SCALE * body.plate.width];
  const size = { width: long + 2 * MARGIN + EDGE_ROOM, height: wide + 2 * MARGIN + EDGE_ROOM };
  return (
    <figure className="body-figure">
      <svg
        ref={ref}
        className="body-drawing"
        viewBox={`0 0 ${size.width} ${size.height}`}
        preserveAspectRatio="xMidYMid meet"
        role="group"
        aria-label={t('oilPrompts.bolts.fromBelow')}
        style={leastLetters(place, size)}
        {...(onBolt ? fingerReach : {})}
      >
        <g transform={`translate(${MARGIN + long / 2} ${MARGIN + wide / 2})`}>
          <rect
            className="body-face"
            x={-long / 2}
            y={-wide / 2}
            width={long}
            height={wide}
            rx="10"
          />
          {body.bores.map((id, k) => {
            const x = long * ((k + 0.5) / body.bores.length - 0.5);
            return (
              <path key={id} className="body-bore" d={`M${x} ${-0.36 * wide}V${0.36 * wide}`} />
            );
          })}
          {body.pushes.map(({ element, x, y }) => (
            <g key={element} className="body-spring">
              <circle cx={SCALE * x} cy={SCALE * y} r="20" />
              <text x={SCALE * x} y={SCALE * y + 5} textAnchor="middle">
                {element}
              </text>
            </g>
          ))}
          {body.bolts.map((bolt, n) => (
            <BoltHead
              key={bolt.id}
              bolt={bolt}
              number={order.indexOf(bolt.id) + 1}
              strain={turn && turn.stresses[n]! / BOLT_YIELD}
              out={turn !== null && turn.heads[n] === null}
              turned={turn?.bolt === bolt.id}
              onBolt={onBolt}
            />
          ))}
          <g aria-hidden="true">
            {order.map((id, k) => {
              const bolt = body.bolts.find((b) => b.id === id);
              const r = HEAD * (bolt?.head ?? 0);
              return (
                bolt && (
                  <text
                    key={id}
                    className="body-bolt-number"
                    x={SCALE * bolt.x + r + 3}
                    y={SCALE * bolt.y - r + 2}
                  >
                    {k + 1}
                  </text>
                )
              );
            })}
          </g>
        </g>
        <Edge
          body={body}
          job={job}
          turn={turn}
          along="x"
          at={[MARGIN + long / 2, wide + 2 * MARGIN + 8]}
        />
        <Edge
          body={body}
          job={job}
          turn={turn}
          along="y"
          at={[long + 2 * MARGIN + 8, MARGIN + wide / 2]}
        />
      </svg>
      <figcaption>{t('oilPrompts.bolts.legend')}</figcaption>
    </figure>
  );
}

interface HeadProps {
  bolt: BodyBolt;
  /** From 1; 0 while it has none. */
  number: number;
  /** Stress over the one that bends it; `null` while nothing may be seen of it. */
  strain: number | null;
  out: boolean;
  turned: boolean;
  onBolt: ((id: string) => void) | undefined;
}

const hexagon = (r: number): string =>
  Array.from({ length: 6 }, (_v, k) => {
    const angle = (Math.PI * (2 * k + 1)) / 6;
    return `${(r * Math.cos(angle)).toFixed(2)},${(r * Math.sin(angle)).toFixed(2)}`;
  }).join(' ');

/** A head with its letter; the number of its turn stands above, what it carries below, and a bent one is crossed. */
function BoltHead({ bolt, number, strain, out, turned, onBolt }: HeadProps) {
  const { t } = useTranslation();
  const r = HEAD * bolt.head;
  const press = onBolt && (() => onBolt(bolt.id));
  const onKey = (event: KeyboardEvent) => {
    if (event.key !== 'Enter' && event.key !== ' ') return;
    event.preventDefault();
    press?.();
  };
  const carried = strain === null ? 0 : Math.min(1, strain);
  const bent = strain !== null && strain >= 1;
  const said = out
    ? t('oilPrompts.bolts.isOut')
    : strain === null
      ? number > 0
        ? String(number)
        : ''
      : formatShare(strain);
  const name = t('oilPrompts.bolts.bolt', { id: bolt.id, thread: bolt.thread });
  return (
    <g
      className={`body-bolt${out ? ' is-out' : ''}${turned ? ' is-turned' : ''}${bent ? ' is-bent' : ''}`}
      transform={`translate(${SCALE * bolt.x} ${SCALE * bolt.y})`}
      aria-label={said ? `${name}: ${said}` : name}
      {...(press
        ? {
            role: 'button',
            tabIndex: 0,
            onClick: press,
            onKeyDown: onKey,
            'aria-pressed': number > 0,
          }
        : { role: 'img' })}
    >
      <circle className="body-bolt-reach" r="26" />
      {turned && <circle className="body-bolt-turned" r={r + 7} />}
      <polygon className="body-bolt-head" points={hexagon(r)} />
      {!out && carried > 0 && (
        <circle className="body-bolt-load" r={(r - 3) * Math.sqrt(carried)} />
      )}
      {bent && <path className="body-bolt-cross" d={`M${-r - 9} ${-r - 6}l14 14m0 -14l-14 14`} />}
      <text className="body-bolt-letter" y="5" textAnchor="middle">
        {bolt.id}
      </text>
      {strain !== null && !out && (
        <text className="body-bolt-strain" y={r + 15} textAnchor="middle">
          {formatShare(strain)}
        </text>
      )}
    </g>
  );
}

interface EdgeProps extends Pick<Props, 'body' | 'job' | 'turn'> {
  along: 'x' | 'y';
  /** Where the case's face has its middle. */
  at: readonly [number, number];
}

/** m that an edge is drawn off the case at most: then the body hangs on whatever is left. */
const HANGS = 0.034;

/** How the body stands, as far as that can be drawn. */
function asFarAs({ standing }: Turn, along: 'x' | 'y', half: number) {
  const lean = standing.leans[along === 'x' ? 0 : 1];
  const share = Math.min(1, HANGS / (Math.abs(standing.lift) + half * Math.abs(lean)));
  return { lift: share * standing.lift, lean: share * lean };
}

/** The body along one of its edges, in its true size: how far it stands off the case, how it leans, and what holds it. */
function Edge({ body, job, turn, along, at: [x, y] }: EdgeProps) {
  const { plate, bolts, pushes } = body;
  const half = (along === 'x' ? plate.length : plate.width) / 2;
  const { lift, lean } = turn
    ? asFarAs(turn, along, half)
    : { lift: job === 'on' ? handTight(body) : 0, lean: 0 };
  // Solid things do not go into each other, however the small parts of a millimetre come out.
  const face = (u: number) => SCALE * Math.max(0, lift + lean * u);
  const deep = SCALE * DEEP;
  const [a, b] = [SCALE * -half, SCALE * half];
  const turnedBy = along === 'y' ? ' rotate(-90) scale(-1 1)' : '';
  const heads = bolts.map((bolt, n) => ({
    id: bolt.id,
    u: SCALE * bolt[along],
    r: (HEAD / 2) * bolt.head,
    head: turn
      ? turn.heads[n] === null
        ? null
        : SCALE * Math.max(turn.heads[n]!, lift + lean * bolt[along])
      : face(bolt[along]),
  }));
  return (
    <g className="body-edge" transform={`translate(${x} ${y})${turnedBy}`}>
      <path className="body-case" d={`M${a - 12} 0H${b + 12}`} />
      {pushes.map((push) => {
        const u = SCALE * push[along];
        const end = Math.min(face(push[along]), (SCALE * push.force) / push.rate);
        return (
          end > 6 && (
            <path
              key={push.element}
              className="body-coil"
              d={`M${u - 5} 0L${u + 5} ${end / 4}L${u - 5} ${end / 2}L${u + 5} ${(3 * end) / 4}L${u - 5} ${end}`}
            />
          )
        );
      })}
      <path
        className="body-side"
        d={`M${a} ${face(-half)}L${b} ${face(half)}V${face(half) + deep}L${a} ${face(-half) + deep}Z`}
      />
      {heads.map(
        ({ id, u, r, head }) =>
          head !== null && (
            <path
              key={id}
              className="body-shank"
              d={`M${u} 0V${head + deep}M${u - r} ${head + deep}h${2 * r}v5h${-2 * r}z`}
            />
          ),
      )}
    </g>
  );
}
