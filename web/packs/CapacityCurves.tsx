import { useTranslation } from 'react-i18next';
import { grooveLoad, packTorque, pistonForce, type ClutchPack } from '../../core/clutch';
import { CurveSheet } from '../bench/curves/CurveSheet';
import { formatNumber, useNumbers } from '../shared/numbers';

const POINTS = 41;

/** What the pack holds over the apply pressure, with one friction more and one less beside it. */
export function CapacityCurves({ pack }: { pack: ClutchPack }) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const most = pack.pressure * 1.6;
  const pressures = Array.from({ length: POINTS }, (_v, k) => (most * k) / (POINTS - 1));
  const x = (p: number) => numbers.toDisplay(p / 1000, 'pressure');
  const torque = (p: number, slip = 0) => numbers.toDisplay(packTorque(pack, p, slip), 'torque');
  const frictions = pack.stack.filter((p) => p.kind === 'friction').length;
  const share = (n: number) => n / Math.max(1, frictions);
  const titles = {
    x: `${t('pack.pressure')}, ${numbers.unit('pressure')}`,
    y: `${t('clutch.torque')}, ${numbers.unit('torque')}`,
  };
  const ring = grooveLoad(pack);
  const bursts = pressures.find((p) => pistonForce(pack, p) > ring);
  return (
    <CurveSheet
      title={pack.name}
      x={{ title: titles.x, min: 0, max: x(most) }}
      y={{ title: titles.y, min: 0 }}
      curves={[
        {
          label: t('pack.frictions', { count: frictions }),
          ink: '--drives',
          points: pressures.map((p) => ({ x: x(p), y: torque(p) })),
        },
        {
          label: t('pack.slipping'),
          ink: '--driven',
          look: 'dashed',
          points: pressures.map((p) => ({ x: x(p), y: torque(p, 100) })),
        },
        {
          label: t('pack.frictions', { count: frictions + 1 }),
          ink: '--ink-2',
          look: 'dotted',
          points: pressures.map((p) => ({ x: x(p), y: torque(p) * share(frictions + 1) })),
        },
        {
          label: t('clutch.now'),
          ink: '--ink',
          look: 'marks',
          points: [{ x: x(pack.pressure), y: torque(pack.pressure) }],
        },
        ...(bursts === undefined
          ? []
          : [
              {
                label: t('pack.ringLimit'),
                ink: '--wrong',
                look: 'thin' as const,
                points: [
                  { x: x(bursts), y: 0 },
                  { x: x(bursts), y: torque(most) },
                ],
              },
            ]),
      ]}
      figures={{
        titles: [titles.x, titles.y, t('pack.slipping')],
        rows: pressures
          .filter((_p, k) => k % 4 === 0)
          .map((p) => [
            formatNumber(x(p), 0),
            formatNumber(torque(p), 0),
            formatNumber(torque(p, 100), 0),
          ]),
      }}
    />
  );
}
