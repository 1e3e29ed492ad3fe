import { useMemo, type KeyboardEvent } from 'react';
import { useTranslation } from 'react-i18next';
import { oilFlows, oilLayout, type FlowingPiece, type OilBox } from '../../core/drawing';
import {
  isSpool,
  type HydraulicPart,
  type HydraulicPlan,
  type OilRunning,
  type OilState,
} from '../../core/hydraulics';
import { useNumbers } from '../shared/numbers';
import { OilSymbol } from './OilSymbol';
import { lineName, partName } from './oilWords';
import { partState } from './partState';
import './OilPlanView.css';

interface Props {
  plan: HydraulicPlan;
  state: OilState;
  running: OilRunning;
  /** Parts that are marked, by their ids. */
  chosen?: readonly string[];
  onPart?: ((id: string) => void) | undefined;
  onLever?: ((lever: string) => void) | undefined;
  /** While a prediction is open: everything, or all but where valves stand. */
  hidden?: 'nothing' | 'pressures' | 'all';
}

/** Pa at which a passage is drawn full. */
const FULL = 1300e3;
/** m³/s at which a passage is drawn as thick as it gets, and from which it is seen to flow. */
const MOST_FLOW = 6e-4;
const LEAST_FLOW = 1.5e-6;
const [THIN, THICK] = [3, 8];
/** Of the drawing's own size: below that it scrolls instead of shrinking. */
const LEAST_SCALE = 0.76;

/** A hydraulic plan with its pressures: the fuller a passage, the higher; the thicker, the more flows. */
export function OilPlanView(props: Props) {
  const { plan, state, running, chosen = [], onPart, onLever, hidden = 'nothing' } = props;
  const sealed = hidden !== 'nothing';
  const { t } = useTranslation();
  const numbers = useNumbers();
  const layout = useMemo(() => oilLayout(plan), [plan]);
  const flows = useMemo(
    () => (sealed ? null : oilFlows(layout, state.passing)),
    [layout, state, sealed],
  );
  const pressure = (line: string) => (sealed ? 0 : (state.pressures.get(line) ?? 0));
  return (
    <div
      className="oil-scroll"
      tabIndex={0}
      role="region"
      aria-label={t('oil.plan', { name: plan.name })}
    >
      <svg
        className="oil-plan"
        viewBox={`0 0 ${layout.width} ${layout.height}`}
        style={{
          minWidth: LEAST_SCALE * layout.width,
          maxWidth: `calc(100cqh * ${layout.width / layout.height})`,
        }}
      >
        {layout.lines.map((pipe) => (
          <Pipe
            key={pipe.id}
            d={pipe.pieces.map(([a, b, c, d]) => `M${a} ${b}L${c} ${d}`).join('')}
            share={Math.min(1, pressure(pipe.id) / FULL)}
            pieces={flows?.get(pipe.id) ?? []}
            title={t('oil.lineHas', {
              line: lineName(t, plan, pipe.id),
              pressure: sealed
                ? '–'
                : numbers.quantity(Math.round(pressure(pipe.id) / 1000), 'pressure'),
            })}
          />
        ))}
        {layout.parts.map((box) => {
          const part = plan.parts.find((p) => p.id === box.id)!;
          return (
            <Part
              key={box.id}
              box={box}
              part={part}
              name={partName(t, part, plan)}
              text={
                sealed && !(hidden === 'pressures' && shownAlways(part))
                  ? ''
                  : partState(t, numbers, part, state, running)
              }
              state={sealed && !(hidden === 'pressures' && shownAlways(part)) ? null : state}
              running={running}
              chosen={chosen.includes(box.id)}
              onPart={onPart}
              onLever={onLever}
            />
          );
        })}
      </svg>
    </div>
  );
}

/** What may be seen of a plan whose pressures are hidden: where its valves stand. */
const shownAlways = (part: HydraulicPart): boolean => isSpool(part) || part.kind === 'manual-valve';

interface PipeProps {
  d: string;
  /** 0 empty, 1 full. */
  share: number;
  pieces: readonly FlowingPiece[];
  title: string;
}

function Pipe({ d, share, pieces, title }: PipeProps) {
  const most = Math.max(0, ...pieces.map((p) => Math.abs(p.flow)));
  const width = THIN + (THICK - THIN) * Math.min(1, Math.sqrt(most / MOST_FLOW));
  return (
    <g className="oil-pipe" style={{ ['--share' as string]: `${Math.round(100 * share)}%` }}>
      <title>{title}</title>
      <path className="oil-casing" d={d} strokeWidth={width + 2.4} />
      <path className="oil-inside" d={d} strokeWidth={width} />
      {pieces
        .filter((p) => Math.abs(p.flow) > LEAST_FLOW)
        .map((p) => {
          const [from, to] = p.flow >= 0 ? [p.from, p.to] : [p.to, p.from];
          return (
            <path
              key={`${p.from.join(' ')} ${p.to.join(' ')}`}
              className="oil-moves"
              d={`M${from.join(' ')}L${to.join(' ')}`}
              // Speed in a passage of this width: its flow over its section.
              style={{ animationDuration: `${seconds(Math.abs(p.flow), width)}s` }}
            />
          );
        })}
    </g>
  );
}

/** s for one dash and its gap. */
const seconds = (flow: number, width: number): number =>
  Math.max(0.25, Math.min(6, (2e-6 * width * width) / flow));

interface PartProps {
  box: OilBox;
  part: HydraulicPart;
  name: string;
  text: string;
  state: OilState | null;
  running: OilRunning;
  chosen: boolean;
  onPart: ((id: string) => void) | undefined;
  onLever: ((lever: string) => void) | undefined;
}

function Part({ box, part, name, text, state, running, chosen, onPart, onLever }: PartProps) {
  const press = onPart && (() => onPart(box.id));
  const onKey = (event: KeyboardEvent) => {
    if (event.key !== 'Enter' && event.key !== ' ') return;
    event.preventDefault();
    press?.();
  };
  return (
    <g
      className={`oil-part${chosen ? ' is-chosen' : ''}`}
      transform={`translate(${box.x} ${box.y})`}
      aria-label={text ? `${name}: ${text}` : name}
      {...(press
        ? { role: 'button', tabIndex: 0, onClick: press, onKeyDown: onKey, 'aria-pressed': chosen }
        : { role: 'group' })}
    >
      <rect className="oil-box" width={box.width} height={box.height} />
      <OilSymbol
        part={part}
        width={box.width}
        height={box.height}
        name={name}
        text={text}
        state={state}
        running={running}
        onLever={onLever}
      />
    </g>
  );
}
