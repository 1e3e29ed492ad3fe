import { useTranslation } from 'react-i18next';
import { grooveLoad, packTorque, pistonForce, type ClutchPack } from '../../core/clutch';
import { CurveSheet } from '../bench/curves/CurveSheet';
import { figuresOf, headOf, lineOf, type Measured } from '../bench/curves/figures';
import { useNumbers } from '../shared/numbers';

const POINTS = 41;
/** rev/min at which a clutch counts as slipping here. */
const SLIP_RPM = 100;

/** What the pack holds over the apply pressure, with one friction more and one less beside it. */
export function CapacityCurves({ pack }: { pack: ClutchPack }) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const most = pack.pressure * 1.6;
  const pressures = Array.from({ length: POINTS }, (_v, k) => (most * k) / (POINTS - 1));
  const frictions = pack.stack.filter((p) => p.kind === 'friction').length;
  const pressure: Measured<number> = {
    title: t('pack.pressure'),
    of: (p) => p / 1000,
    quantity: 'pressure',
    places: 0,
  };
  const torque = (title: string, of: (p: number) => number): Measured<number> => ({
    title,
    of,
    quantity: 'torque',
    places: 0,
  });
  const held = torque(t('pack.frictions', { count: frictions }), (p) => packTorque(pack, p));
  const slipping = torque(t('pack.slipping'), (p) => packTorque(pack, p, SLIP_RPM));
  const withOneMore = torque(
    t('pack.frictions', { count: frictions + 1 }),
    (p) => (held.of(p) * (frictions + 1)) / Math.max(1, frictions),
  );
  const line = (y: Measured<number>) => lineOf(numbers, pressures, pressure, y);
  const ring = grooveLoad(pack);
  const bursts = pressures.find((p) => pistonForce(pack, p) > ring);
  return (
    <CurveSheet
      title={pack.name}
      x={{
        title: headOf(numbers, pressure),
        min: 0,
        max: numbers.toDisplay(most / 1000, 'pressure'),
      }}
      y={{ title: numbers.headed(t('clutch.torque'), 'torque'), min: 0 }}
      curves={[
        {
          label: held.title,
          ink: '--drives',
          points: line(held),
        },
        {
          label: slipping.title,
          ink: '--driven',
          look: 'dashed',
          points: line(slipping),
        },
        {
          label: withOneMore.title,
          ink: '--ink-2',
          look: 'dotted',
          points: line(withOneMore),
        },
        {
          label: t('clutch.now'),
          ink: '--ink',
          look: 'marks',
          points: lineOf(numbers, [pack.pressure], pressure, held),
        },
        ...(bursts === undefined
          ? []
          : [
              {
                label: t('pack.ringLimit'),
                ink: '--wrong',
                look: 'thin' as const,
                points: [0, held.of(most)].map((nm) => ({
                  x: numbers.toDisplay(bursts / 1000, 'pressure'),
                  y: numbers.toDisplay(nm, 'torque'),
                })),
              },
            ]),
      ]}
      figures={figuresOf(numbers, pressures, [pressure, held, slipping, withOneMore], 4)}
    />
  );
}
