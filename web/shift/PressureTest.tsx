import { useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import {
  circuitOf,
  pressureTable,
  toldApart,
  withPlanFaults,
  type HydraulicPlan,
  type PlanFault,
} from '../../core/hydraulics';
import { useNumbers } from '../shared/numbers';
import { lineName } from './oilWords';
import type { ShiftBenchProps } from './shiftBenchProps';

/** The table of a pressure test, every port in every condition: now, and where a gauge tells it apart, as it was before. */
export function PressureTest({
  plan,
  base,
  fault,
  bench,
  oil,
  idleRpm,
}: ShiftBenchProps & { idleRpm: number }) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const { before, celsius } = bench;
  const { gears } = oil;
  const [now, was] = useMemo(() => {
    const of = (tried: HydraulicPlan, wrong: PlanFault | null) => {
      const worn = withPlanFaults(tried, wrong ? [wrong] : []);
      return pressureTable(circuitOf(worn.plan, worn.condition), { gears, celsius, idleRpm });
    };
    return [of(plan, fault), before ? of(before.plan, before.fault) : of(base, null)];
  }, [plan, fault, base, before, gears, celsius, idleRpm]);
  const pressure = (pascal: number) => numbers.value(Math.round(pascal / 1000), 'pressure');
  return (
    <div className="pressure-test" tabIndex={0} role="region" aria-label={t('oil.table.title')}>
      <p>{t('oil.table.caution')}</p>
      <table className="plain">
        <thead>
          <tr>
            <th scope="col">
              {t('oil.table.port')},{' '}
              <span className="pressure-unit">{numbers.unit('pressure')}</span>
            </th>
            {now.conditions.map((condition) => (
              <th key={condition} scope="col" className="num">
                {t(`oil.table.conditions.${condition}`, {
                  lever: /back/.test(condition) ? gears.reverse : gears.mainLever,
                  gear: gears.forward.at(-1)?.range.gear,
                })}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {now.rows.map(({ line, element, readings }, k) => (
            <tr key={line}>
              <th scope="row">{element ?? lineName(t, plan, line)}</th>
              {readings.map((reading, n) => {
                const earlier = was.rows[k]?.readings[n];
                const differs = earlier !== undefined && toldApart(reading, earlier);
                return (
                  <td key={now.conditions[n]} className="num" data-differs={differs || undefined}>
                    {pressure(reading)}
                    {differs && (
                      <span className="quiet">
                        {' '}
                        {t(before ? 'oil.table.before' : 'oil.table.made', {
                          pressure: pressure(earlier),
                        })}
                      </span>
                    )}
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
