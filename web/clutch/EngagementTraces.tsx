import { useTranslation } from 'react-i18next';
import type { EngagementResult } from '../../core/shift';
import type { Curve } from '../bench/curves/curve';
import { CurveSheet } from '../bench/curves/CurveSheet';
import { formatNumber, useNumbers } from '../shared/numbers';
import type { Traced } from './traced';
import { engagementFigures, pointsOf, sideOf } from './traceSides';

interface Props {
  traced: Traced;
  result: EngagementResult;
  /** Runs kept beside it, drawn thin. */
  kept: readonly EngagementResult[];
  title: string;
}

/** A run over time, one side of it at once, with earlier runs beside it. */
export function EngagementTraces({ traced, result, kept, title }: Props) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const { left, right, curves, main } = sideOf(traced, result, t, numbers);
  const earlier = kept.map((run, k): Curve => ({
    label: t('clutch.earlier', { number: k + 1 }),
    ink: '--idle',
    look: 'thin',
    points: pointsOf(run, main, t, numbers),
  }));
  const events = result.events.map(({ kind, time }) =>
    t('clutch.eventAt', { what: t(`clutch.events.${kind}`), time: formatNumber(time, 2) }),
  );
  return (
    <CurveSheet
      title={title}
      x={{ title: t('launch.time'), min: 0, max: result.samples.at(-1)!.time }}
      y={{ title: left }}
      {...(right ? { right: { title: right } } : {})}
      curves={[...curves, ...earlier]}
      spoken={t('clutch.runShows', { events: events.join(', ') })}
      figures={engagementFigures(result, t, numbers)}
    />
  );
}
