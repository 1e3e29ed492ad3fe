import { useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import type { Characteristic, EngineModel } from '../../core/converter';
import { bestChange, pullAt, pullCurves, roadLoad, topSpeed } from '../../core/vehicle';
import type { Curve } from '../bench/curves/curve';
import { CurveSheet } from '../bench/curves/CurveSheet';
import { formatNumber, useNumbers } from '../shared/numbers';
import type { DrivingProps } from './benchParts';
import { UnitAndGrade } from './UnitAndGrade';
import { useGears } from './useGears';

interface Props extends DrivingProps {
  engineModel: EngineModel;
  characteristic: Characteristic;
}

const POINTS = 40;
const INKS = ['--drives', '--driven', '--held', '--ink', '--idle'] as const;

/** Pull at the wheels over road speed, gear by gear, against the road: why an engine is kept near its best. */
export function PullCurves(props: Props) {
  const { engine, vehicle, bench, onBench, engineModel: model, characteristic } = props;
  const { t } = useTranslation();
  const numbers = useNumbers();
  const { gears } = useGears(bench.unitId);
  const { throttle, grade } = bench;
  const setup = useMemo(
    () =>
      vehicle && gears.length > 0
        ? { engine: model, converter: characteristic, vehicle, gears, throttle }
        : null,
    [model, characteristic, vehicle, gears, throttle],
  );
  const curves = useMemo(() => (setup ? pullCurves(setup, POINTS) : []), [setup]);
  if (!setup) return <p className="quiet">{t('launch.noVehicle')}</p>;
  const speed = (v: number) => numbers.toDisplay(v, 'road-speed');
  const force = (f: number) => numbers.toDisplay(f, 'force');
  const pulling = curves.flat().filter((p) => p.force > 0);
  const top = Math.max(...pulling.map((p) => p.speed));
  const most = Math.max(...pulling.map((p) => p.force));
  const roads = Array.from({ length: POINTS + 1 }, (_, k) => (top * k) / POINTS).filter(
    (v) => roadLoad(setup.vehicle, v, grade) <= most,
  );
  const speedTitle = `${t('launch.roadSpeed')}, ${numbers.unit('road-speed')}`;
  const forceTitle = t('launch.forceIn', { unit: numbers.unit('force') });
  const drawn: Curve[] = curves.map((points, k) => ({
    label: t('launch.gear', { gear: k + 1 }),
    ink: INKS[k % INKS.length]!,
    look: k % 2 === 0 ? 'line' : 'dashed',
    points: points
      .filter((p) => p.force > 0)
      .map((p) => ({ x: speed(p.speed), y: force(p.force) })),
  }));
  return (
    <>
      <div className="launch-controls">
        <UnitAndGrade bench={bench} onBench={onBench} />
        <Reasons setup={setup} grade={grade} />
      </div>
      <CurveSheet
        title={`${engine.name}, ${setup.vehicle.name}`}
        x={{ title: speedTitle, min: 0 }}
        y={{ title: forceTitle, min: 0 }}
        curves={[
          ...drawn,
          {
            label: t('launch.road'),
            ink: '--ink-2',
            look: 'dotted',
            points: roads.map((v) => ({
              x: speed(v),
              y: force(Math.max(0, roadLoad(setup.vehicle, v, grade))),
            })),
          },
        ]}
        figures={{
          titles: [
            t('launch.gearTitle'),
            speedTitle,
            forceTitle,
            t('converter.engineSpeed'),
            t('launch.powerShare'),
          ],
          rows: curves.flatMap((points, gear) =>
            points
              .filter((_p, k) => k % 5 === 0)
              .map((p) => [
                String(gear + 1),
                formatNumber(speed(p.speed), 0),
                formatNumber(force(p.force), 0),
                formatNumber(p.engineRpm, 0),
                `${formatNumber(100 * p.powerShare, 0)} %`,
              ]),
          ),
        }}
      />
    </>
  );
}

type Setup = Parameters<typeof pullAt>[0];

/** Where changing costs nothing, and what it costs to be in too high a gear. */
function Reasons({ setup, grade }: { setup: Setup; grade: number }) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  if (setup.gears.length < 2) return null;
  const change = bestChange(setup, 0);
  const half = change / 2;
  const [low, high] = [pullAt(setup, 0, half), pullAt(setup, 1, half)];
  const tops = setup.gears.map((_g, k) => topSpeed(setup, k, grade));
  const speed = (v: number) =>
    numbers.quantity(
      Math.round(numbers.toDisplay(v, 'road-speed')) / numbers.toDisplay(1, 'road-speed'),
      'road-speed',
    );
  return (
    <span className="quiet">
      {t('launch.reasons', {
        change: speed(change),
        half: speed(half),
        low: formatNumber(100 * low.powerShare, 0),
        high: formatNumber(100 * high.powerShare, 0),
        top: speed(Math.max(...tops)),
      })}
    </span>
  );
}
