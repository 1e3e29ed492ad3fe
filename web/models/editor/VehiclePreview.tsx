import { useTranslation } from 'react-i18next';
import { roadLoad, type Vehicle } from '../../../core/vehicle';
import { CurveSheet } from '../../bench/curves/CurveSheet';
import { figuresOf, headOf, lineOf, type Measured } from '../../bench/curves/figures';
import { useNumbers } from '../../shared/numbers';

const GRADES = [0, 0.05, 0.1, 0.2] as const;
const INKS = ['--driven', '--held', '--drives', '--ink'] as const;
const TOP_MS = 40;
const STEPS = 40;

/** What the road asks of the wheels, on the level and uphill. */
export function VehiclePreview({ vehicle }: { vehicle: Vehicle }) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const speeds = Array.from({ length: STEPS + 1 }, (_, k) => (TOP_MS * k) / STEPS);
  const speed: Measured<number> = {
    title: t('launch.roadSpeed'),
    of: (v) => v,
    quantity: 'road-speed',
  };
  const grades = GRADES.map((grade): Measured<number> => ({
    title: t('partEditor.grade', { percent: 100 * grade }),
    of: (v) => roadLoad(vehicle, v, grade),
    quantity: 'force',
    places: 0,
  }));
  return (
    <CurveSheet
      title={vehicle.name}
      x={{ title: headOf(numbers, speed), min: 0 }}
      y={{ title: numbers.headed(t('launch.force'), 'force'), min: 0 }}
      curves={grades.map((grade, k) => ({
        label: grade.title,
        ink: INKS[k]!,
        look: k === 0 ? 'line' : 'thin',
        points: lineOf(numbers, speeds, speed, grade),
      }))}
      figures={figuresOf(numbers, speeds, [speed, ...grades], 4)}
    />
  );
}
