import { useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import type { Characteristic, EngineModel } from '../../core/converter';
import { bestChange, pullAt, pullCurves, roadLoad, topSpeed } from '../../core/vehicle';
import type { Curve } from '../bench/curves/curve';
import { CurveSheet } from '../bench/curves/CurveSheet';
import { figuresOf, headOf, lineOf, type Measured } from '../bench/curves/figures';
import { formatNumber, formatShare, useNumbers } from '../shared/numbers';
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
  const speed: Measured<{ speed: number }> = {
    title: t('launch.roadSpeed'),
    of: (p) => p.speed,
    quantity: 'road-speed',
    places: 0,
  };
  const force: Measured<{ force: number }> = {
    title: t('launch.force'),
    of: (p) => p.force,
    quantity: 'force',
    places: 0,
  };
  const pulling = curves.flat().filter((p) => p.force > 0);
  const top = Math.max(...pulling.map((p) => p.speed));
  const most = Math.max(...pulling.map((p) => p.force));
  const roads = Array.from({ length: POINTS + 1 }, (_, k) => (top * k) / POINTS).filter(
    (v) => roadLoad(setup.vehicle, v, grade) <= most,
  );
  const drawn: Curve[] = curves.map((points, k) => ({
    label: t('launch.gear', { gear: k + 1 }),
    ink: INKS[k % INKS.length]!,
    look: k % 2 === 0 ? 'line' : 'dashed',
    points: lineOf(
      numbers,
      points.filter((p) => p.force > 0),
      speed,
      force,
    ),
  }));
  return (
    <>
      <div className="launch-controls">
        <UnitAndGrade bench={bench} onBench={onBench} />
        <Reasons setup={setup} grade={grade} />
      </div>
      <CurveSheet
        title={`${engine.name}, ${setup.vehicle.name}`}
        x={{ title: headOf(numbers, speed), min: 0 }}
        y={{ title: headOf(numbers, force), min: 0 }}
        curves={[
          ...drawn,
          {
            label: t('launch.road'),
            ink: '--ink-2',
            look: 'dotted',
            points: lineOf(
              numbers,
              roads.map((v) => ({
                speed: v,
                force: Math.max(0, roadLoad(setup.vehicle, v, grade)),
              })),
              speed,
              force,
            ),
          },
        ]}
        figures={figuresOf(
          numbers,
          curves.flatMap((points, k) =>
            points.filter((_p, j) => j % 5 === 0).map((p) => ({ ...p, gear: k + 1 })),
          ),
          [
            { title: t('launch.gearTitle'), text: (p) => String(p.gear) },
            speed,
            force,
            {
              title: t('converter.engineSpeed'),
              of: (p) => p.engineRpm,
              quantity: 'speed',
              places: 0,
            },
            { title: t('launch.powerShare'), text: (p) => formatShare(p.powerShare) },
          ],
        )}
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
