import { useTranslation } from 'react-i18next';
import { roadLoad, type Vehicle } from '../../../core/vehicle';
import { CurveSheet } from '../../bench/curves/CurveSheet';
import { formatNumber, useNumbers } from '../../shared/numbers';

const GRADES = [0, 0.05, 0.1, 0.2] as const;
const INKS = ['--driven', '--held', '--drives', '--ink'] as const;
const TOP_MS = 40;
const STEPS = 40;

/** What the road asks of the wheels, on the level and uphill. */
export function VehiclePreview({ vehicle }: { vehicle: Vehicle }) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const speeds = Array.from({ length: STEPS + 1 }, (_, k) => (TOP_MS * k) / STEPS);
  const force = (v: number, grade: number) =>
    numbers.toDisplay(roadLoad(vehicle, v, grade), 'force');
  const speedTitle = `${t('launch.roadSpeed')}, ${numbers.unit('road-speed')}`;
  return (
    <CurveSheet
      title={vehicle.name}
      x={{ title: speedTitle, min: 0 }}
      y={{ title: t('launch.forceIn', { unit: numbers.unit('force') }), min: 0 }}
      curves={GRADES.map((grade, k) => ({
        label: t('partEditor.grade', { percent: 100 * grade }),
        ink: INKS[k]!,
        look: grade === 0 ? 'line' : 'thin',
        points: speeds.map((v) => ({
          x: numbers.toDisplay(v, 'road-speed'),
          y: force(v, grade),
        })),
      }))}
      figures={{
        titles: [speedTitle, ...GRADES.map((g) => t('partEditor.grade', { percent: 100 * g }))],
        rows: speeds
          .filter((_v, k) => k % 4 === 0)
          .map((v) => [
            numbers.value(v, 'road-speed'),
            ...GRADES.map((g) => formatNumber(force(v, g), 0)),
          ]),
      }}
    />
  );
}
