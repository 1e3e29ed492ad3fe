import { RPM_TO_RAD } from '../../core/quantities';
import { useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import type { Characteristic, EngineModel, Match } from '../../core/converter';
import { CurveSheet } from '../bench/curves/CurveSheet';
import { figuresOf, headOf, lineOf, type Measured } from '../bench/curves/figures';
import { useNumbers } from '../shared/numbers';

const STEPS = 60;

interface Props {
  title: string;
  engine: EngineModel;
  throttle: number;
  characteristic: Characteristic;
  match: Match;
  /** The operating point is what is asked for. */
  sealed?: boolean;
}

/** Engine torque and what the pump takes over engine speed: where they cross, the engine runs. */
export function MatchCurves(props: Props) {
  const { title, engine, throttle, characteristic, match, sealed = false } = props;
  const { t } = useTranslation();
  const numbers = useNumbers();
  const speeds = useMemo(
    () => Array.from({ length: STEPS + 1 }, (_, k) => (k / STEPS) * engine.governedRpm * 1.05),
    [engine],
  );
  const torque = (nm: number) => numbers.toDisplay(nm, 'torque');
  const takes = (coefficient: number, rpm: number) => coefficient * (rpm * RPM_TO_RAD) ** 2;
  const stall = characteristic.at(0).coefficient;
  const speed: Measured<number> = {
    title: t('converter.engineSpeed'),
    of: (rpm) => rpm,
    quantity: 'speed',
    places: 0,
  };
  const torqueOf = (title: string, of: (rpm: number) => number): Measured<number> => ({
    title,
    of,
    quantity: 'torque',
  });
  const full = torqueOf(t('converter.fullThrottle'), (rpm) => engine.torque(rpm, 1));
  const given = torqueOf(t('converter.thisThrottle'), (rpm) => engine.torque(rpm, throttle));
  const takenNow = torqueOf(t('converter.takesNow'), (rpm) => takes(match.point.coefficient, rpm));
  const takenStall = torqueOf(t('converter.takesStall'), (rpm) => takes(stall, rpm));
  const line = (list: readonly number[], y: Measured<number>) => lineOf(numbers, list, speed, y);
  const above = speeds.filter((rpm) => rpm >= engine.idleRpm * 0.9);
  const most = line(above, full);
  const top = 50 * Math.ceil((1.2 * Math.max(...most.map((p) => p.y))) / 50);
  const clipped = (y: Measured<number>) => line(speeds, y).filter((p) => p.y <= top);
  return (
    <CurveSheet
      title={title}
      x={{ title: headOf(numbers, speed), min: 0 }}
      y={{
        title: numbers.headed(t('clutch.torque'), 'torque'),
        min: sealed ? 0 : Math.min(0, 1.2 * torque(match.engineNm)),
        max: top,
      }}
      spoken={
        sealed
          ? t('converter.matchSealed')
          : t(match.engineRpm > 0 ? 'converter.matchShows' : 'converter.matchStalls', {
              speed: numbers.quantity(Math.round(match.engineRpm), 'speed'),
              torque: numbers.quantity(match.engineNm, 'torque'),
            })
      }
      figures={figuresOf(numbers, above, [speed, full, given, takenNow, takenStall], 3)}
      curves={[
        // What lies on another line is left out.
        ...(throttle < 1
          ? [
              {
                label: full.title,
                ink: '--idle',
                look: 'dotted' as const,
                points: most,
              },
            ]
          : []),
        {
          label: given.title,
          ink: '--drives',
          points: line(above, given),
        },
        ...(match.point.speedRatio > 0 && match.point.speedRatio <= 1
          ? [
              {
                label: takenNow.title,
                ink: '--driven',
                look: 'dashed' as const,
                points: clipped(takenNow),
              },
            ]
          : []),
        {
          label: takenStall.title,
          ink: '--held',
          look: 'thin',
          points: clipped(takenStall),
        },
        ...(sealed
          ? []
          : [
              {
                label: t('converter.nowPoint'),
                ink: '--ink',
                look: 'marks' as const,
                points: [{ x: match.engineRpm, y: torque(match.engineNm) }],
              },
            ]),
      ]}
    />
  );
}
