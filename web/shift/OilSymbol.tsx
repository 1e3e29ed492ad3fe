import type { HydraulicPart, OilRunning, OilState, PartOf } from '../../core/hydraulics';
import { ballSide } from './partState';

interface Props {
  part: HydraulicPart;
  width: number;
  height: number;
  name: string;
  text: string;
  /** `null`: not to be seen. */
  state: OilState | null;
  running: OilRunning;
  onLever: ((lever: string) => void) | undefined;
}

/** What is drawn inside a part's frame: how it stands, and its words. */
export function OilSymbol(props: Props) {
  const { part, width, height, name, text, state } = props;
  switch (part.kind) {
    case 'shift-valve':
    case 'lock-up-valve':
      return <ShiftValve {...props} place={state?.spools.get(part.id) ?? 0} />;
    case 'manual-valve':
      return <ManualValve {...props} valve={part} />;
    case 'piston':
      return (
        <Piston
          {...props}
          element={part.element}
          on={state?.applied.includes(part.element) ?? false}
        />
      );
    case 'accumulator':
      return <Accumulator width={width} height={height} share={strokeOf(part, state)} />;
    case 'feed':
      return (
        <path
          className="oil-sign"
          d={`M${width / 2 - 9} 3q6 6 0 12M${width / 2 + 9} 3q-6 6 0 12`}
        />
      );
    case 'shuttle': {
      const side = state ? ballSide(part, state) : 'rests';
      const x = width / 2 + (side === 'first' ? -14 : side === 'second' ? 14 : 0);
      return (
        <>
          <path className="oil-sign" d={`M8 ${height - 3}l6 -8M${width - 8} ${height - 3}l-6 -8`} />
          <circle className="oil-ball" cx={x} cy={height / 2 + 1} r="5.5" />
        </>
      );
    }
    case 'pump':
    case 'regulator':
    case 'relief':
    case 'throttle-valve':
    case 'governor':
    case 'kick-down-valve':
    case 'solenoid':
    case 'control':
    case 'restriction':
    case 'pressure-switch':
    case 'lock-up-clutch':
      return (
        <>
          <path
            className="oil-sign"
            transform={`translate(8 ${height / 2 - 9})`}
            d={SIGNS[signOf(part)]}
          />
          <text className="oil-name" x="32" y={height / 2 - 2}>
            {shortName(name, width)}
          </text>
          <text className="oil-value" x="32" y={height / 2 + 13}>
            {text}
          </text>
        </>
      );
  }
}

type Sign =
  | 'clutch'
  | 'pump'
  | 'spring'
  | 'ball'
  | 'pedal'
  | 'weights'
  | 'coil'
  | 'waves'
  | 'drop'
  | 'hole';

/** Signs of eighteen by eighteen. */
const SIGNS: Readonly<Record<Sign, string>> = {
  clutch: 'M2 1v16M7 3v12M11 3v12M16 1v16M2 9h5M11 9h5',
  pump: 'M18 9a9 9 0 1 1-18 0a9 9 0 1 1 18 0M4 11l5-7l5 7z',
  spring: 'M0 9h3l2-7l4 14l4-14l2 7h3',
  ball: 'M3 16l6-5l6 5M13.5 7a4.5 4.5 0 1 1-9 0a4.5 4.5 0 1 1 9 0',
  pedal: 'M2 16L10 3l6 3M2 16h12',
  weights: 'M9 1v16M9 4l-7 6v5h4zM9 4l7 6v5h-4z',
  coil: 'M1 4h16v10H1zM4 4v10M8 4v10M12 4v10',
  waves: 'M0 5q4.500-5 9 0t9 0M0 13q4.500-5 9 0t9 0',
  drop: 'M9 1q7 9 7 12a7 5 0 0 1-14 0q0-3 7-12',
  hole: 'M5 2q5 7 0 14M13 2q-5 7 0 14',
};

function signOf(part: HydraulicPart): Sign {
  switch (part.kind) {
    case 'pump':
      return 'pump';
    case 'relief':
      return 'ball';
    case 'lock-up-clutch':
      return 'clutch';
    case 'throttle-valve':
    case 'kick-down-valve':
      return 'pedal';
    case 'governor':
      return 'weights';
    case 'solenoid':
    case 'control':
    case 'pressure-switch':
      return 'coil';
    case 'restriction':
      return part.id === 'cooler' ? 'waves' : part.id === 'lubrication' ? 'drop' : 'hole';
    case 'regulator':
    case 'manual-valve':
    case 'shift-valve':
    case 'lock-up-valve':
    case 'feed':
    case 'shuttle':
    case 'piston':
    case 'accumulator':
      return 'spring';
  }
}

/** Letters of the name that fit: a letter is about five wide. */
const shortName = (name: string, width: number): string => {
  const most = Math.floor((width - 34) / 5);
  return name.length <= most ? name : `${name.slice(0, Math.max(1, most - 1))}…`;
};

/** A spool in its bore: governor at its left, spring at its right. */
function ShiftValve({ width, name, text, state, place }: Props & { place: number }) {
  const [from, reach] = [12, width - 70];
  const x = from + (reach - 60) * (state ? place : 0.5);
  return (
    <>
      <text className="oil-name" x="8" y="14">
        {name.split(' ')[0]}
      </text>
      <text className="oil-value oil-right" x={width - 8} y="14">
        {text}
      </text>
      <rect className="oil-bore" x="6" y="20" width={width - 12} height="17" />
      {state && (
        <>
          <rect className="oil-spool" x={x} y="21" width="16" height="15" />
          <rect className="oil-spool" x={x + 16} y="26" width="28" height="5" />
          <rect className="oil-spool" x={x + 44} y="21" width="16" height="15" />
        </>
      )}
      <path className="oil-sign" d={springPath(x + 60, width - 7, 28.5)} />
    </>
  );
}

/** A spring drawn between two places. */
function springPath(from: number, to: number, y: number): string {
  const turns = 5;
  const step = (to - from) / (2 * turns);
  return `M${from} ${y}${Array.from({ length: 2 * turns }, (_v, k) => `L${from + step * (k + 0.5)} ${y + (k % 2 ? 6 : -6)}`).join('')}L${to} ${y}`;
}

function ManualValve({
  valve,
  width,
  height,
  name,
  running,
  onLever,
}: Props & { valve: PartOf<'manual-valve'> }) {
  const every = (width - 20) / valve.places.length;
  return (
    <>
      <text className="oil-name" x="8" y="14">
        {name}
      </text>
      {valve.places.map(({ lever }, k) => {
        const here = lever === running.lever;
        const press =
          onLever && !here ? { onClick: () => onLever(lever), style: { cursor: 'pointer' } } : {};
        return (
          <g key={lever} transform={`translate(${10 + every * k} 18)`} {...press}>
            <rect
              className={here ? 'oil-spool' : 'oil-bore'}
              width={every - 4}
              height={height - 22}
            />
            <text className={here ? 'oil-here' : 'oil-place'} x={(every - 4) / 2} y={height - 27}>
              {lever}
            </text>
          </g>
        );
      })}
    </>
  );
}

/** Piston and plates: apart, or pressed together. */
function Piston({ height, element, text, state, on }: Props & { element: string; on: boolean }) {
  const gap = on ? 3.2 : 5.2;
  const base = height - 4;
  return (
    <>
      <rect
        className={on ? 'oil-clamped' : 'oil-bore'}
        x="5"
        y="4"
        width="26"
        height={height - 8}
      />
      {state &&
        Array.from({ length: 5 }, (_v, k) => (
          <path
            key={k}
            className="oil-plate"
            d={`M8 ${base - 4 - gap * (k + 1) - (on ? 6 : 0)}h20`}
          />
        ))}
      <rect className="oil-spool" x="7" y={base - (on ? 9 : 4)} width="22" height="4" />
      <text className="oil-element" x="38" y="18">
        {element}
      </text>
      <text className="oil-value" x="38" y="35">
        {text.replace(/^\D*/, '')}
      </text>
    </>
  );
}

/** How far an accumulator has stroked, 0 to 1; its back pressure is the one behind it. */
function strokeOf(part: PartOf<'accumulator'>, state: OilState | null): number {
  if (!state) return 0;
  const behind = part.back ? (state.pressures.get(part.back.line) ?? 0) * part.back.area : 0;
  const force = (state.pressures.get(part.line) ?? 0) * part.area - behind;
  return Math.max(
    0,
    Math.min(1, (force - part.spring) / Math.max(1, part.springEnd - part.spring)),
  );
}

function Accumulator({ width, height, share }: { width: number; height: number; share: number }) {
  const y = height - 10 - share * (height - 22);
  return (
    <>
      <rect className="oil-bore" x="6" y="4" width={width - 12} height={height - 8} />
      <rect className="oil-spool" x="7" y={y} width={width - 14} height="5" />
      <g transform={`rotate(90 ${width / 2} 4)`}>
        <path className="oil-sign" d={springPath(width / 2, width / 2 + Math.max(4, y - 5), 4)} />
      </g>
    </>
  );
}
