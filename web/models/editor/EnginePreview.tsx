import { useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import { engineModel, type Engine } from '../../../core/converter';
import { powerKw } from '../../../core/quantities';
import type { Curve } from '../../bench/curves/curve';
import { CurveSheet } from '../../bench/curves/CurveSheet';
import { figuresOf, headOf, lineOf, type Measured } from '../../bench/curves/figures';
import { useNumbers } from '../../shared/numbers';

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
  const speed: Measured<number> = {
    title: t('converter.engineSpeed'),
    of: (rpm) => rpm,
    quantity: 'speed',
    places: 0,
  };
  const torques = OPENINGS.map((opening): Measured<number> => ({
    title: t('partEditor.opening', { percent: 100 * opening }),
    of: (rpm) => model.torque(rpm, opening),
    quantity: 'torque',
    places: 0,
  }));
  const power: Measured<number> = {
    title: t('partEditor.fullPower'),
    of: (rpm) => powerKw(rpm, model.torque(rpm, 1)),
    quantity: 'power',
    places: 1,
  };
  const curves = torques.map((torque, k): Curve => ({
    label: torque.title,
    ink: INKS[k]!,
    look: OPENINGS[k] === 1 ? 'line' : OPENINGS[k] === 0 ? 'dotted' : 'thin',
    points: lineOf(numbers, speeds, speed, torque),
  }));
  return (
    <CurveSheet
      title={engine.name}
      x={{ title: headOf(numbers, speed) }}
      y={{ title: numbers.headed(t('clutch.torque'), 'torque') }}
      right={{ title: numbers.headed(t('partEditor.power'), 'power'), min: 0 }}
      curves={[
        ...curves,
        {
          label: power.title,
          ink: '--ink',
          look: 'dashed',
          right: true,
          points: lineOf(numbers, speeds, speed, power),
        },
      ]}
      figures={figuresOf(numbers, speeds, [speed, ...torques, power], 5)}
    />
  );
}
