import { useMemo } from 'react';
import { Line } from 'react-chartjs-2';
import { useTranslation } from 'react-i18next';
import type { Characteristic, EngineModel, Match } from '../../core/converter';
import { useAppSelector } from '../app/hooks';
import { useNumbers } from '../shared/numbers';
import { inkOf, lineOptions, registerLines } from './lineOptions';

registerLines();

const STEPS = 60;
const RAD_S_PER_RPM = Math.PI / 30;

interface Props {
  engine: EngineModel;
  throttle: number;
  characteristic: Characteristic;
  match: Match;
}

/** Engine torque and what the pump takes over engine speed: where they cross, the engine runs. */
export function MatchCurves({ engine, throttle, characteristic, match }: Props) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const paper = useAppSelector((state) => state.settings.paper);
  const speeds = useMemo(
    () => Array.from({ length: STEPS + 1 }, (_, k) => (k / STEPS) * engine.governedRpm * 1.05),
    [engine],
  );
  const torque = (nm: number) => numbers.toDisplay(nm, 'torque');
  const takes = (coefficient: number) => (rpm: number) =>
    torque(coefficient * (rpm * RAD_S_PER_RPM) ** 2);
  const line = (y: (rpm: number) => number) => speeds.map((x) => ({ x, y: y(x) }));
  const above = speeds.filter((rpm) => rpm >= engine.idleRpm * 0.9);
  const full = above.map((x) => ({ x, y: torque(engine.torque(x, 1)) }));
  const part = above.map((x) => ({ x, y: torque(engine.torque(x, throttle)) }));
  const top = 50 * Math.ceil((1.2 * Math.max(...full.map((p) => p.y))) / 50);
  const clipped = (points: { x: number; y: number }[]) => points.filter((p) => p.y <= top);
  return (
    <div className="curve-box">
      <p className="visually-hidden">
        {t('converter.matchShows', {
          speed: numbers.quantity(Math.round(match.engineRpm), 'speed'),
          torque: numbers.quantity(match.engineNm, 'torque'),
        })}
      </p>
      <Line
        aria-hidden="true"
        key={paper}
        data={{
          datasets: [
            {
              label: t('converter.fullThrottle'),
              data: full,
              borderColor: inkOf('--idle'),
              backgroundColor: inkOf('--idle'),
              borderDash: [2, 4],
            },
            {
              label: t('converter.thisThrottle'),
              data: part,
              borderColor: inkOf('--drives'),
              backgroundColor: inkOf('--drives'),
            },
            {
              label: t('converter.takesNow'),
              data: clipped(line(takes(match.point.coefficient))),
              borderColor: inkOf('--driven'),
              backgroundColor: inkOf('--driven'),
              borderDash: [9, 5],
            },
            {
              label: t('converter.takesStall'),
              data: clipped(line(takes(characteristic.at(0).coefficient))),
              borderColor: inkOf('--held'),
              backgroundColor: inkOf('--held'),
              borderWidth: 1.6,
            },
            {
              label: t('converter.nowPoint'),
              data: [{ x: match.engineRpm, y: torque(match.engineNm) }],
              borderColor: inkOf('--ink'),
              backgroundColor: inkOf('--sheet'),
              pointRadius: 7,
              pointBorderWidth: 2,
              showLine: false,
            },
          ],
        }}
        options={lineOptions(
          { title: t('converter.engineSpeed'), min: 0 },
          { title: t('converter.torqueIn', { unit: numbers.unit('torque') }), min: 0, max: top },
        )}
      />
    </div>
  );
}
