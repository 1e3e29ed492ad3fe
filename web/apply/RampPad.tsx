import { useRef, type KeyboardEvent, type PointerEvent } from 'react';
import { useTranslation } from 'react-i18next';
import { RAMP_LIMITS, type Ramps } from '../../core/shift';
import { fingerReach } from '../shared/fingerReach';
import { formatNumber } from '../shared/numbers';
import { useElementSize } from '../shared/useElementSize';
import './RampPad.css';

interface Props {
  ramps: Ramps;
  /** Left out once nothing may be changed any more. */
  onRamps?: ((ramps: Ramps) => void) | undefined;
  /** Names of the clutch that lets go and of the one that takes. */
  names: readonly [string, string];
}

const BOX = { left: 14, right: 14, top: 28, bottom: 34 } as const;
const STEP = 0.01;
const INSET = 20;
const WHICH = ['off', 'on'] as const;
const ENDS = ['begins', 'ends'] as const;
type Which = (typeof WHICH)[number];
type End = (typeof ENDS)[number];

const clamp = (value: number, [least, most]: readonly [number, number]): number =>
  Number(Math.min(most, Math.max(least, value)).toFixed(3));

/** Where what lies on a pad of this size. */
function padOf(ramps: Ramps, { width, height }: { width: number; height: number }) {
  const whole = RAMP_LIMITS.at[1] + RAMP_LIMITS.over[1];
  const across = width - BOX.left - BOX.right;
  const [top, bottom] = [BOX.top, height - BOX.bottom];
  return {
    whole,
    top,
    bottom,
    x: (s: number) => BOX.left + (s / whole) * across,
    timeAt: (x: number) => ((x - BOX.left) / across) * whole,
    // The one that takes stands a little inside, so that neither line nor handle lies on the other.
    y: (which: Which, end: End) => {
      const inset = which === 'on' ? INSET : 0;
      return (which === 'off') === (end === 'begins') ? top + inset : bottom - inset;
    },
    time: (which: Which, end: End) => ramps[which].at + (end === 'ends' ? ramps[which].over : 0),
  };
}

type Pad = ReturnType<typeof padOf>;

/** Both clutches' ramps over time, drawn by their ends: dragged by pointer, or moved with the arrow keys. */
export function RampPad({ ramps, onRamps, names }: Props) {
  const { t } = useTranslation();
  const sheet = useRef<SVGSVGElement>(null);
  const { width, height } = useElementSize(sheet);
  const held = useRef<readonly [Which, End] | null>(null);
  const pad = padOf(ramps, { width, height });
  const move = (which: Which, end: End, time: number) => {
    const now = ramps[which];
    const next =
      end === 'begins'
        ? { ...now, at: clamp(time, RAMP_LIMITS.at) }
        : { ...now, over: clamp(time - now.at, RAMP_LIMITS.over) };
    onRamps?.({ ...ramps, [which]: next });
  };
  const drag = (event: PointerEvent<SVGSVGElement>) => {
    if (held.current === null) return;
    const time = pad.timeAt(event.clientX - event.currentTarget.getBoundingClientRect().left);
    move(...held.current, Math.round(time / STEP) * STEP);
  };
  const keys = (which: Which, end: End) => (event: KeyboardEvent) => {
    const by = { ArrowLeft: -STEP, ArrowRight: STEP, PageDown: -5 * STEP, PageUp: 5 * STEP }[
      event.key
    ];
    if (by === undefined) return;
    event.preventDefault();
    event.stopPropagation();
    move(which, end, pad.time(which, end) + by);
  };
  return (
    <div className="ramp-pad">
      <svg
        ref={sheet}
        role="group"
        aria-label={t('crossing.ramps')}
        {...fingerReach}
        onPointerMove={drag}
        onPointerUp={() => (held.current = null)}
      >
        {width > 0 && (
          <>
            <Grid pad={pad} />
            {WHICH.map((which, k) => (
              <g key={which} className={`ramp ramp-${which}`}>
                <Ramp pad={pad} which={which} name={names[k]!} />
                {onRamps &&
                  ENDS.map((end) => (
                    <circle
                      key={end}
                      cx={pad.x(pad.time(which, end))}
                      cy={pad.y(which, end)}
                      r={width < 400 ? 8 : 11}
                      role="slider"
                      tabIndex={0}
                      aria-label={t(`crossing.ends.${which}.${end}`, { clutch: names[k] })}
                      aria-valuenow={Number(pad.time(which, end).toFixed(3))}
                      aria-valuemin={0}
                      aria-valuemax={pad.whole}
                      aria-valuetext={`${formatNumber(pad.time(which, end), 2)} s`}
                      aria-orientation="horizontal"
                      onKeyDown={keys(which, end)}
                      onPointerDown={(event) => {
                        held.current = [which, end];
                        event.currentTarget.ownerSVGElement?.setPointerCapture(event.pointerId);
                      }}
                    />
                  ))}
              </g>
            ))}
          </>
        )}
      </svg>
      <p>
        {t('crossing.rampsAre', {
          old: names[0],
          next: names[1],
          offAt: formatNumber(ramps.off.at, 2),
          offEnd: formatNumber(ramps.off.at + ramps.off.over, 2),
          onAt: formatNumber(ramps.on.at, 2),
          onEnd: formatNumber(ramps.on.at + ramps.on.over, 2),
        })}
      </p>
    </div>
  );
}

/** A line each fifth of a second. */
function Grid({ pad }: { pad: Pad }) {
  const { whole, x, top, bottom } = pad;
  const marks = Array.from({ length: Math.floor(whole / 0.2 + 1e-9) + 1 }, (_, k) => 0.2 * k);
  return (
    <g className="ramp-grid" aria-hidden="true">
      {marks.map((s) => (
        <g key={s}>
          <path d={`M${x(s)} ${top}V${bottom}`} />
          <text
            x={x(s)}
            y={bottom + 28}
            textAnchor={s > whole - STEP ? 'end' : s < STEP ? 'start' : 'middle'}
          >
            {s === 0 ? '0' : `${formatNumber(s, 1)} s`}
          </text>
        </g>
      ))}
    </g>
  );
}

function Ramp({ pad, which, name }: { pad: Pad; which: Which; name: string }) {
  const { x, y, time, top, whole } = pad;
  return (
    <>
      <path
        d={`M${x(0)} ${y(which, 'begins')}H${x(time(which, 'begins'))}L${x(time(which, 'ends'))} ${y(which, 'ends')}H${x(whole)}`}
      />
      <text
        x={which === 'off' ? x(0) + 4 : x(whole) - 4}
        y={which === 'off' ? top - 8 : top + INSET - 8}
        textAnchor={which === 'off' ? 'start' : 'end'}
      >
        {name}
      </text>
    </>
  );
}
