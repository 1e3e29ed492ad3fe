import { Spin } from 'antd';
import { useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import { USUAL_AIR_C } from '../../core/clutch';
import { HOT_FACING_C } from '../../core/shift';
import { CurveSheet } from '../bench/curves/CurveSheet';
import { figuresOf } from '../bench/curves/figures';
import { formatNumber, useNumbers } from '../shared/numbers';
import { runStartsInARow } from '../workers/clutchWorker';
import type { EngagementRequest } from '../workers/protocol';
import { useSettledRun } from '../workers/useSettledRun';
import { sameMachine } from './useDriveRig';
import { SmallSlider } from '../bench/SmallSlider';
import { useKept } from '../shared/kept';

/** The same start again and again with a wait between: the iron keeps what it can't give to the air in time. */
export function StartsInARow({ request }: { request: EngagementRequest }) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const [times, setTimes] = useKept('StartsInARow times', 6);
  const [wait, setWait] = useKept('StartsInARow wait', 20);
  const [airC, setAirC] = useKept('StartsInARow airC', USUAL_AIR_C);
  const row = useMemo(
    () => ({ request: { ...request, airC }, times, wait }),
    [request, airC, times, wait],
  );
  const { result, failure } = useSettledRun(row, runStartsInARow, (a, b) =>
    sameMachine(a.request, b.request),
  );
  const celsius = (value: number) => numbers.toDisplay(value, 'temperature');
  const axis = numbers.headed(t('clutch.row.iron'), 'temperature');
  return (
    <>
      <div className="bench-row">
        <SmallSlider
          label={t('clutch.row.times')}
          text={`${times} ×`}
          value={times}
          from={2}
          to={12}
          step={1}
          onValue={setTimes}
        />
        <SmallSlider
          label={t('clutch.row.wait')}
          text={`${formatNumber(wait, 0)} s`}
          value={wait}
          from={0}
          to={180}
          step={5}
          onValue={setWait}
        />
        <SmallSlider
          label={t('clutch.row.air')}
          text={numbers.quantity(airC, 'temperature')}
          value={airC}
          from={-20}
          to={90}
          step={5}
          onValue={setAirC}
        />
      </div>
      {failure !== '' && <p role="alert">{t('clutch.failed', { reason: failure })}</p>}
      {result ? (
        <CurveSheet
          title={t('clutch.views.row')}
          x={{ title: t('clutch.row.start'), min: 1, max: times, whole: true }}
          y={{ title: axis }}
          curves={[
            {
              label: t('clutch.row.peak'),
              ink: '--wrong',
              points: result.map((r, k) => ({ x: k + 1, y: celsius(r.peakC) })),
            },
            {
              label: t('clutch.row.cooled'),
              ink: '--driven',
              look: 'dashed',
              points: result.map((r, k) => ({ x: k + 1, y: celsius(r.cooledC) })),
            },
            {
              label: t('clutch.row.burns'),
              ink: '--ink',
              look: 'thin',
              points: [1, times].map((x) => ({ x, y: celsius(HOT_FACING_C) })),
            },
          ]}
          figures={figuresOf(numbers, result, [
            { title: t('clutch.row.start'), text: (_r, k) => formatNumber(k + 1, 0) },
            { title: t('clutch.row.peak'), of: (r) => r.peakC, quantity: 'temperature', places: 0 },
            {
              title: t('clutch.row.cooled'),
              of: (r) => r.cooledC,
              quantity: 'temperature',
              places: 0,
            },
          ])}
        />
      ) : (
        <Spin />
      )}
    </>
  );
}
