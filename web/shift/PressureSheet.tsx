import { Segmented } from 'antd';
import { useTranslation } from 'react-i18next';
import { partsOf } from '../../core/hydraulics';
import { useKept } from '../shared/kept';
import { useNumbers } from '../shared/numbers';
import { lineName } from './oilWords';
import { PressureTest } from './PressureTest';
import type { ShiftBenchProps } from './shiftBenchProps';

const VIEWS = ['gauges', 'table'] as const;

/** What is measured: gauges as it is driven now, or the table of a pressure test. */
export function PressureSheet(props: ShiftBenchProps & { idleRpm: number }) {
  const { t } = useTranslation();
  const [view, setView] = useKept<(typeof VIEWS)[number]>('PressureSheet view', 'gauges');
  return (
    <>
      <div className="row">
        <Segmented
          size="small"
          aria-label={t('oil.table.view')}
          value={view}
          onChange={setView}
          options={VIEWS.map((v) => ({ value: v, label: t(`oil.table.views.${v}`) }))}
        />
      </div>
      {view === 'gauges' ? <Gauges {...props} /> : <PressureTest {...props} />}
    </>
  );
}

/** A gauge at every port that can be measured: what it reads now. */
function Gauges({ plan, unit, oil }: ShiftBenchProps) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const pistons = partsOf(plan, 'piston');
  const main = ['line', 'throttle', 'governor', 'release'].filter((id) =>
    plan.lines.some((l) => l.id === id),
  );
  const ports = [
    ...main.map((line) => ({ line, name: lineName(t, plan, line), on: null as boolean | null })),
    ...pistons.map((p) => ({
      line: p.line,
      name: p.element,
      on: oil.state.applied.includes(p.element),
    })),
  ];
  const wanted = oil.range?.apply ?? [];
  return (
    <div className="shift-gauges" role="group" aria-label={t('oil.views.pressures')}>
      {ports.map(({ line, name, on }) => {
        const pressure = oil.state.pressures.get(line) ?? 0;
        const element = unit.elements.find((e) => e.id === name);
        const differs = element && on !== null && on !== wanted.includes(name);
        return (
          <figure key={line} className="shift-gauge" data-differs={differs || undefined}>
            <Gauge share={pressure / MOST} />
            <figcaption>
              <strong>{name}</strong> {numbers.quantity(Math.round(pressure / 1000), 'pressure')}
              <span className="quiet">
                {on === null
                  ? ''
                  : t(
                      differs ? (on ? 'oil.onUnasked' : 'oil.offAsked') : on ? 'oil.on' : 'oil.off',
                    )}
              </span>
            </figcaption>
          </figure>
        );
      })}
    </div>
  );
}

/** Pa at the end of a gauge's dial. */
const MOST = 2000e3;
/** rad from the lowest mark to the highest. */
const SWEEP = (Math.PI * 3) / 2;
const MARKS = 10;

function Gauge({ share }: { share: number }) {
  const at = (s: number, r: number) => {
    const angle = Math.PI * 0.75 + SWEEP * s;
    return `${(40 + r * Math.cos(angle)).toFixed(1)} ${(40 + r * Math.sin(angle)).toFixed(1)}`;
  };
  const shown = Math.max(0, Math.min(1.02, share));
  return (
    <svg viewBox="0 0 80 80" aria-hidden="true">
      <circle className="oil-gauge-dial" cx="40" cy="40" r="37" />
      {Array.from({ length: MARKS + 1 }, (_v, k) => (
        <path
          key={k}
          className="oil-gauge-mark"
          d={`M${at(k / MARKS, k % 5 ? 31 : 28)}L${at(k / MARKS, 35)}`}
        />
      ))}
      <path className="oil-gauge-hand" d={`M40 40L${at(shown, 30)}`} />
      <circle className="oil-gauge-hub" cx="40" cy="40" r="4" />
    </svg>
  );
}
