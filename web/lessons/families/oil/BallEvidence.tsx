import { useTranslation } from 'react-i18next';
import {
  gaugeReads,
  gearsFor,
  takesHold,
  type OilRig,
  type WhichBallQuestion,
} from '../../../../core/lesson';
import { formatShare, useNumbers } from '../../../shared/numbers';
import { gaugeName } from './words';

/** What two gauges read and how a shift goes, and how both are on a sound unit. */
export function BallEvidence({ question, rig }: { question: WhichBallQuestion; rig: OilRig }) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const { ball, throttle, gauges, gear } = question;
  const reads = (of: string | null, k: number) =>
    numbers.quantity(Math.round(gaugeReads(rig, of, throttle, gauges[k]!) / 1000), 'pressure');
  const goes = (of: string | null) =>
    t(takesHold(rig, of, throttle, gear) ? 'oilPrompts.holds' : 'oilPrompts.letsGo');
  const { forward } = gearsFor(rig);
  const [low, high] = [forward[gear - 1], forward[gear]];
  return (
    <table className="oil-evidence">
      <thead>
        <tr>
          <th>{t('oilPrompts.gauge')}</th>
          <th>{t('oilPrompts.found')}</th>
          <th>{t('oilPrompts.sound')}</th>
        </tr>
      </thead>
      <tbody>
        {gauges.map((gauge, k) => (
          <tr key={k}>
            <th scope="row">{gaugeName(rig, gauge)}</th>
            <td>{reads(ball, k)}</td>
            <td>{reads(null, k)}</td>
          </tr>
        ))}
        {low && high && (
          <tr>
            <th scope="row">
              {t('oilPrompts.shiftAt', {
                low: low.range.gear,
                high: high.range.gear,
                throttle: formatShare(throttle),
              })}
            </th>
            <td>{goes(ball)}</td>
            <td>{goes(null)}</td>
          </tr>
        )}
      </tbody>
    </table>
  );
}
