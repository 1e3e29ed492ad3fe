import { useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import { clampLoad, holdingTorque, worn, type Clutch, type ClutchState } from '../../core/clutch';
import { engineModel, type Engine } from '../../core/converter';
import type { Unit } from '../../core/geartrain';
import { demands, slipWear, type Demand } from '../../core/shift';
import type { Vehicle } from '../../core/vehicle';
import { CurveSheet } from '../bench/curves/CurveSheet';
import { figuresOf, headOf, lineOf, type Measured } from '../bench/curves/figures';
import { CALIPER, useNumbers } from '../shared/numbers';
import { useGapText } from '../shared/useGapText';

interface Props {
  clutch: Clutch;
  state: ClutchState;
  wear: number;
  engine: Engine | null;
  unit: Unit | null;
  vehicle: Vehicle | null;
  throttle: number;
  grade: number;
}

const POINTS = 49;

interface WearPoint {
  /** m */
  readonly wear: number;
  /** N·m */
  readonly holds: number;
  /** N */
  readonly clamp: number;
}

/** What it holds from new to rivets, and what each gear asks: where the lines cross, it slips. */
export function WearCurves({ clutch, state, wear, engine, unit, vehicle, throttle, grade }: Props) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const life = 1.2 * (clutch.disc.newThickness - clutch.disc.wornThickness);
  const curve = useMemo(() => {
    const at = (w: number) => holdingTorque(clutch, worn(clutch, { ...state, wear: 0 }, w));
    return Array.from({ length: POINTS }, (_v, k): WearPoint => {
      const w = (life * k) / (POINTS - 1);
      const clamp = clampLoad(clutch, worn(clutch, { ...state, wear: 0 }, w));
      return { wear: w, holds: at(w), clamp };
    });
  }, [clutch, state, life]);
  const gears = useMemo(
    () =>
      engine && unit && vehicle
        ? demands({ engine: engineModel(engine), unit, vehicle, throttle, grade }).map(
            (demand): Asked => ({
              ...demand,
              slipsFrom: slipWear(clutch, demand.torque, { ...state, wear: 0 }),
            }),
          )
        : [],
    [clutch, state, engine, unit, vehicle, throttle, grade],
  );
  const lost: Measured<Pick<WearPoint, 'wear'>> = {
    title: t('clutch.wear'),
    of: (p) => 1000 * p.wear,
    quantity: 'length',
    places: CALIPER,
  };
  const holds: Measured<Pick<WearPoint, 'holds'>> = {
    title: t('clutch.holds'),
    of: (p) => p.holds,
    quantity: 'torque',
    places: 0,
  };
  const clamp: Measured<WearPoint> = {
    title: t('clutch.clamp'),
    of: (p) => p.clamp,
    quantity: 'force',
    places: 0,
  };
  const asked = gears.filter((_g, k) => k === 0 || k === gears.length - 1);
  const now = curve.reduce((a, b) => (Math.abs(b.wear - wear) < Math.abs(a.wear - wear) ? b : a));
  return (
    <div className="wear-curves">
      <CurveSheet
        title={clutch.name}
        x={{ title: headOf(numbers, lost), min: 0, max: numbers.toDisplay(1000 * life, 'length') }}
        y={{ title: numbers.headed(t('clutch.torque'), 'torque'), min: 0 }}
        right={{ title: headOf(numbers, clamp), min: 0 }}
        curves={[
          {
            label: holds.title,
            ink: '--drives',
            points: lineOf(numbers, curve, lost, holds),
          },
          {
            label: clamp.title,
            ink: '--ink',
            look: 'thin',
            right: true,
            points: lineOf(numbers, curve, lost, clamp),
          },
          ...asked.map((g, k) => ({
            label: t('clutch.gearAsks', { gear: g.gear }),
            ink: k === 0 ? '--ink-2' : '--driven',
            look: k === 0 ? ('dotted' as const) : ('dashed' as const),
            points: lineOf(
              numbers,
              [0, life].map((w) => ({ wear: w, holds: g.torque })),
              lost,
              holds,
            ),
          })),
          {
            label: t('clutch.now'),
            ink: '--ink',
            look: 'marks' as const,
            points: lineOf(numbers, [now], lost, holds),
          },
        ]}
        figures={figuresOf(numbers, curve, [lost, holds, clamp], 4)}
      />
      {gears.length > 0 && <GearsTable gears={gears} wear={wear} />}
    </div>
  );
}

interface Asked extends Demand {
  /** Wear from which the clutch no longer holds it, m; `null` when it always does. */
  readonly slipsFrom: number | null;
}

/** What each gear asks of the clutch, and from which wear that is more than it holds. */
function GearsTable({ gears, wear }: { readonly gears: readonly Asked[]; readonly wear: number }) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const gapText = useGapText();
  return (
    <table className="plain wear-gears">
      <caption>{t('clutch.slipsFrom')}</caption>
      <thead>
        <tr>
          <th scope="col">{t('clutch.gear')}</th>
          <th scope="col" className="num">
            {t('clutch.asks')}
          </th>
          <th scope="col" className="num">
            {t('clutch.atWear')}
          </th>
        </tr>
      </thead>
      <tbody>
        {gears.map((g) => (
          <tr key={g.range} data-slips={g.slipsFrom !== null && g.slipsFrom <= wear}>
            <th scope="row">{g.gear}</th>
            <td className="num">{numbers.quantity(Math.round(g.torque), 'torque')}</td>
            <td className="num">
              {g.slipsFrom === null ? t('clutch.neverSlips') : gapText(g.slipsFrom)}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
