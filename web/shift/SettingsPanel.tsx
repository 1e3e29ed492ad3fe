import { Switch } from 'antd';
import { useTranslation } from 'react-i18next';
import { partsOf, withPart, type HydraulicPart, type HydraulicPlan } from '../../core/hydraulics';
import { SmallSlider } from '../bench/SmallSlider';
import { formatNumber, formatShare, useNumbers } from '../shared/numbers';
import { cableText } from './oilWords';
import { pairOf } from './shiftPair';
import type { ShiftBenchProps } from './shiftBenchProps';

/** What can be turned, swapped or learned: each against the plan as it was made. */
export function SettingsPanel({ unit, bench, plan, base, oil, onBench }: ShiftBenchProps) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const set = (part: HydraulicPart) => onBench({ plan: withPart(plan, part) });
  const { coming, going } = pairOf(unit, plan, oil.gears, bench.gear);
  /** A number of a part as a share of what it was. */
  const scaled = (
    word: string,
    id: string,
    read: (plan: HydraulicPlan) => number | undefined,
    write: (value: number) => HydraulicPart | undefined,
    [from, to]: readonly [number, number],
  ) => {
    const [was, now] = [read(base), read(plan)];
    if (was === undefined || now === undefined || was === 0) return null;
    return (
      <SmallSlider
        key={`${word} ${id}`}
        label={word}
        text={formatShare(now / was)}
        value={now / was}
        from={from}
        to={to}
        step={0.01}
        onValue={(share) => {
          const next = write(was * share);
          if (next) set(next);
        }}
      />
    );
  };
  const valve = partsOf(plan, 'throttle-valve')[0];
  const regulator = partsOf(plan, 'regulator')[0];
  const control = partsOf(plan, 'control')[0];
  const of = <K extends HydraulicPart['kind']>(p: HydraulicPlan, kind: K, id: string) =>
    partsOf(p, kind).find((x) => x.id === id);
  return (
    <details className="shift-built" open>
      <summary>{t('oil.settings.title')}</summary>
      <div className="shift-built-fields">
        {valve?.by.kind === 'cable' && (
          <SmallSlider
            label={t('oil.settings.cable')}
            text={cableText(t, valve.by.slack)}
            value={valve.by.slack}
            from={-0.5}
            to={0.5}
            step={0.01}
            onValue={(slack) =>
              valve.by.kind === 'cable' && set({ ...valve, by: { ...valve.by, slack } })
            }
          />
        )}
        {valve?.by.kind === 'modulator' &&
          scaled(
            t('oil.settings.pin'),
            valve.id,
            (p) => {
              const by = partsOf(p, 'throttle-valve')[0]?.by;
              return by?.kind === 'modulator' ? by.spring : undefined;
            },
            (spring) =>
              valve.by.kind === 'modulator' ? { ...valve, by: { ...valve.by, spring } } : undefined,
            [0.6, 1.6],
          )}
        {valve?.by.kind === 'solenoid' &&
          valve.by.points.map((point, k) => (
            <SmallSlider
              key={k}
              label={t('oil.settings.asked', { throttle: formatShare(k / 3) })}
              text={numbers.quantity(point / 1000, 'pressure')}
              value={point}
              from={0}
              to={900e3}
              step={5e3}
              onValue={(value) => {
                if (valve.by.kind !== 'solenoid') return;
                const points = valve.by.points.map((p, n) => (n === k ? value : p));
                set({
                  ...valve,
                  by: { kind: 'solenoid', points: points as typeof valve.by.points },
                });
              }}
            />
          ))}
        {regulator &&
          scaled(
            t('oil.settings.regulator'),
            regulator.id,
            (p) => of(p, 'regulator', regulator.id)?.spring,
            (spring) => ({ ...regulator, spring }),
            [0.5, 1.8],
          )}
        {coming.map((element) => {
          const piston = partsOf(plan, 'piston').find((p) => p.element === element);
          const feed = partsOf(plan, 'feed').find((f) => f.to === piston?.line);
          const acc = partsOf(plan, 'accumulator').find((a) => a.line === piston?.line);
          return (
            <div key={element} className="shift-built-fields">
              <span className="label">{t('oil.settings.comes', { element })}</span>
              {feed &&
                scaled(
                  t('oil.settings.orifice'),
                  feed.id,
                  (p) => of(p, 'feed', feed.id)?.in,
                  (value) => ({ ...feed, in: value }),
                  [0.2, 4],
                )}
              {acc &&
                scaled(
                  t('oil.settings.accumulator'),
                  acc.id,
                  (p) => of(p, 'accumulator', acc.id)?.springEnd,
                  (springEnd) => {
                    const was = of(base, 'accumulator', acc.id)!;
                    return { ...acc, springEnd, spring: (was.spring * springEnd) / was.springEnd };
                  },
                  [0.3, 2],
                )}
              {acc?.back &&
                scaled(
                  t('oil.settings.back'),
                  acc.id,
                  (p) => of(p, 'accumulator', acc.id)?.back?.area,
                  (area) => ({ ...acc, back: { ...acc.back!, area } }),
                  [0, 2],
                )}
              {piston && (
                <label className="row">
                  <Switch
                    size="small"
                    checked={piston.cushion > 0}
                    onChange={(on) =>
                      set({
                        ...piston,
                        cushion: on ? (of(base, 'piston', piston.id)?.cushion ?? 0) : 0,
                      })
                    }
                  />
                  {t('oil.settings.cushion')}
                </label>
              )}
              {control?.learned.map(
                (l) =>
                  l.element === element && (
                    <SmallSlider
                      key={l.element}
                      label={t('oil.settings.learned')}
                      text={t('oil.seconds', { seconds: formatNumber(l.seconds, 2) })}
                      value={l.seconds}
                      from={0}
                      to={1}
                      step={0.01}
                      onValue={(seconds) =>
                        set({
                          ...control,
                          learned: control.learned.map((x) =>
                            x.element === element ? { ...x, seconds } : x,
                          ),
                        })
                      }
                    />
                  ),
              )}
            </div>
          );
        })}
        {going.map((element) => {
          const piston = partsOf(plan, 'piston').find((p) => p.element === element);
          const feed = partsOf(plan, 'feed').find((f) => f.to === piston?.line);
          return (
            feed && (
              <div key={element} className="shift-built-fields">
                <span className="label">{t('oil.settings.goes', { element })}</span>
                {scaled(
                  t('oil.settings.overlap'),
                  feed.id,
                  (p) => of(p, 'feed', feed.id)?.out,
                  (value) => ({ ...feed, out: value }),
                  [0.2, 4],
                )}
              </div>
            )
          );
        })}
      </div>
    </details>
  );
}
