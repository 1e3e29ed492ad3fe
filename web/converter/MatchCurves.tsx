import { RPM_TO_RAD } from '../../core/quantities';
import { useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import type { Characteristic, EngineModel, Match } from '../../core/converter';
import { CurveSheet } from '../bench/curves/CurveSheet';
import { formatNumber, useNumbers } from '../shared/numbers';

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
  const line = (list: readonly number[], y: (rpm: number) => number) =>
    list.map((x) => ({ x, y: torque(y(x)) }));
  const above = speeds.filter((rpm) => rpm >= engine.idleRpm * 0.9);
  const full = line(above, (rpm) => engine.torque(rpm, 1));
  const top = 50 * Math.ceil((1.2 * Math.max(...full.map((p) => p.y))) / 50);
  const clipped = (points: { x: number; y: number }[]) => points.filter((p) => p.y <= top);
  const unit = numbers.unit('torque');
  return (
    <CurveSheet
      title={title}
      x={{ title: t('converter.engineSpeed'), min: 0 }}
      y={{
        title: t('converter.torqueIn', { unit }),
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
      figures={{
        titles: [
          t('converter.engineSpeed'),
          `${t('converter.fullThrottle')}, ${unit}`,
          `${t('converter.thisThrottle')}, ${unit}`,
          `${t('converter.takesNow')}, ${unit}`,
          `${t('converter.takesStall')}, ${unit}`,
        ],
        rows: above
          .filter((_s, k) => k % 3 === 0)
          .map((rpm) => [
            formatNumber(rpm, 0),
            numbers.value(engine.torque(rpm, 1), 'torque'),
            numbers.value(engine.torque(rpm, throttle), 'torque'),
            numbers.value(takes(match.point.coefficient, rpm), 'torque'),
            numbers.value(takes(stall, rpm), 'torque'),
          ]),
      }}
      curves={[
        // What lies on another line is left out.
        ...(throttle < 1
          ? [
              {
                label: t('converter.fullThrottle'),
                ink: '--idle',
                look: 'dotted' as const,
                points: full,
              },
            ]
          : []),
        {
          label: t('converter.thisThrottle'),
          ink: '--drives',
          points: line(above, (rpm) => engine.torque(rpm, throttle)),
        },
        ...(match.point.speedRatio > 0 && match.point.speedRatio <= 1
          ? [
              {
                label: t('converter.takesNow'),
                ink: '--driven',
                look: 'dashed' as const,
                points: clipped(line(speeds, (rpm) => takes(match.point.coefficient, rpm))),
              },
            ]
          : []),
        {
          label: t('converter.takesStall'),
          ink: '--held',
          look: 'thin',
          points: clipped(line(speeds, (rpm) => takes(stall, rpm))),
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
