import { Spin } from 'antd';
import type { TFunction } from 'i18next';
import { useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import type { Complaint } from '../../core/hydraulics';
import { runOilComplaint } from '../workers/oilWorker';
import { useSettledRun } from '../workers/useSettledRun';
import { sameUnit } from './sameUnit';
import { enginePush } from './enginePush';
import type { ShiftBenchProps } from './shiftBenchProps';

/** What a driver can tell of the plan as it is now, beside the same as it was made. */
export function DriverSays({
  unit,
  engine,
  vehicle,
  bench,
  plan,
  base,
  fault,
  idleRpm,
}: ShiftBenchProps & { idleRpm: number }) {
  const { t } = useTranslation();
  const { throttle, celsius } = bench;
  const changed = fault !== null || plan !== base;
  const request = useMemo(
    () =>
      changed
        ? {
            unit,
            vehicle,
            made: base,
            plan,
            faults: fault ? [fault] : [],
            throttle,
            celsius,
            idleRpm,
            ...enginePush(engine, throttle),
          }
        : null,
    [changed, unit, vehicle, base, plan, fault, throttle, celsius, idleRpm, engine],
  );
  const { result, failure } = useSettledRun(request, runOilComplaint, sameUnit);
  if (!request) return null;
  const said = result && sentences(t, result);
  return (
    <section className="driver-says" aria-label={t('oil.driver.title')}>
      <h2 className="label">{t('oil.driver.title')}</h2>
      {failure ? (
        <p role="alert">{failure}</p>
      ) : !said ? (
        <Spin size="small" />
      ) : said.length === 0 ? (
        <p className="quiet">{t('oil.driver.nothing')}</p>
      ) : (
        <ul>
          {said.map((s) => (
            <li key={s}>{s}</li>
          ))}
        </ul>
      )}
    </section>
  );
}

function sentences(t: TFunction, { places, shifts, lockUp, smokes }: Complaint): string[] {
  return [
    ...places.map(({ lever, on, range }) =>
      range !== null
        ? t('oil.driver.other', { lever, range })
        : on.length > 0
          ? t('oil.driver.only', { lever, list: on.join(', ') })
          : t('oil.driver.none', { lever }),
    ),
    ...shifts.map(({ from, to, moment, felt }) =>
      t('oil.driver.shift', {
        low: from,
        high: to,
        what: [
          ...(moment === 'same' ? [] : [t(`oilWords.moments.${moment}`)]),
          ...(felt ? [t(`oil.quality.${felt}`)] : []),
        ].join(', '),
      }),
    ),
    ...(smokes ? [t('oil.driver.smokes')] : []),
    ...(lockUp ? [t(`oil.driver.lockUp.${lockUp}`)] : []),
  ];
}
