import { useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import { engineModel, type Engine } from '../../../core/converter';
import { powerKw } from '../../../core/quantities';
import type { Curve } from '../../bench/curves/curve';
import { CurveSheet } from '../../bench/curves/CurveSheet';
import { formatNumber, useNumbers } from '../../shared/numbers';

const STEPS = 60;
const OPENINGS = [1, 0.75, 0.5, 0.25, 0] as const;
const INKS = ['--drives', '--driven', '--held', '--idle', '--ink'] as const;

/** Torque over speed at several openings of the throttle, and power at full. */
export function EnginePreview({ engine }: { engine: Engine }) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const model = useMemo(() => engineModel(engine), [engine]);
  const speeds = useMemo(() => {
    const top = engine.governedRpm * 1.04;
    return Array.from(
      { length: STEPS + 1 },
      (_, k) => engine.idleRpm + ((top - engine.idleRpm) * k) / STEPS,
    );
  }, [engine]);
  const torque = (rpm: number, opening: number) =>
    numbers.toDisplay(model.torque(rpm, opening), 'torque');
  const power = (rpm: number) => numbers.toDisplay(powerKw(rpm, model.torque(rpm, 1)), 'power');
  const curves: Curve[] = OPENINGS.map((opening, k) => ({
    label: t('partEditor.opening', { percent: 100 * opening }),
    ink: INKS[k]!,
    look: opening === 1 ? 'line' : opening === 0 ? 'dotted' : 'thin',
    points: speeds.map((x) => ({ x, y: torque(x, opening) })),
  }));
  return (
    <CurveSheet
      title={engine.name}
      x={{ title: t('converter.engineSpeed') }}
      y={{ title: t('converter.torqueIn', { unit: numbers.unit('torque') }) }}
      right={{ title: t('partEditor.power', { unit: numbers.unit('power') }), min: 0 }}
      curves={[
        ...curves,
        {
          label: t('partEditor.fullPower'),
          ink: '--ink',
          look: 'dashed',
          right: true,
          points: speeds.map((x) => ({ x, y: power(x) })),
        },
      ]}
      figures={{
        titles: [
          t('converter.engineSpeed'),
          ...OPENINGS.map((o) => t('partEditor.opening', { percent: 100 * o })),
          t('partEditor.power', { unit: numbers.unit('power') }),
        ],
        rows: speeds
          .filter((_s, k) => k % 5 === 0)
          .map((rpm) => [
            formatNumber(rpm, 0),
            ...OPENINGS.map((o) => formatNumber(torque(rpm, o), 0)),
            formatNumber(power(rpm), 1),
          ]),
      }}
    />
  );
}
