import { useTranslation } from 'react-i18next';
import { bitePoint, linkageVerdicts, readLinkage, type Clutch } from '../../core/clutch';
import { WarningOutlined } from '../shared/icons';
import { formatNumber, useNumbers } from '../shared/numbers';
import type { ClutchModel } from './useClutchModel';
import { useGapText } from './useGapText';
import '../shared/headline.css';

interface Props {
  clutch: Clutch;
  model: ClutchModel;
  /** N·m that the engine can ask for; `null` without one. */
  asked: number | null;
}

/** What it holds now, large; then the linkage as it is read, and what is out of its window. */
export function ClutchReadout({ clutch, model, asked }: Props) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const gapText = useGapText();
  const { point, holds, state, curve } = model;
  const reading = readLinkage(clutch, state);
  const out = linkageVerdicts(clutch, state);
  const released = point.clamp <= 0;
  const stateKey = released
    ? point.leastGap > 0
      ? 'released'
      : 'drags'
    : point.clamp < 0.98 * curve.freeClamp
      ? 'bites'
      : asked !== null && holds < asked
        ? 'slips'
        : 'closed';
  return (
    <>
      <div className="headline" aria-live="polite">
        <div className="figure headline-figure">{numbers.quantity(holds, 'torque')}</div>
        <div className="quiet">
          <div className="clutch-kind" data-kind={stateKey}>
            {t(`clutch.states.${stateKey}`)}
          </div>
          <div>
            {asked === null
              ? ''
              : t('clutch.engineAsks', { torque: numbers.quantity(Math.round(asked), 'torque') })}
          </div>
        </div>
      </div>
      <table className="plain readout">
        <caption className="visually-hidden">{t('clutch.readings')}</caption>
        <tbody>
          <Row
            name={t('clutch.read.play')}
            value={gapText(reading.pedalPlay)}
            more={t('clutch.read.atFork', { play: gapText(reading.forkPlay) })}
          />
          <Row
            name={t('clutch.read.bite')}
            value={`${formatNumber((100 * bitePoint(curve)) / curve.floor, 0)} %`}
            more={t('clutch.read.ofTravel')}
          />
          <Row
            name={t('clutch.read.gap')}
            value={gapText(reading.gap)}
            more={t('clutch.read.wanted', { gap: gapText(clutch.limits.releasedGap) })}
          />
          <Row
            name={t('clutch.read.force')}
            value={numbers.quantity(reading.force, 'force')}
            more={t('clutch.read.atMost')}
          />
        </tbody>
      </table>
      {out.length > 0 && (
        <div className="findings" role="status">
          <WarningOutlined />
          <ul>
            {out.map((code) => (
              <li key={code}>{t(`clutch.verdicts.${code}`)}</li>
            ))}
          </ul>
        </div>
      )}
    </>
  );
}

function Row({ name, value, more }: { name: string; value: string; more: string }) {
  return (
    <tr>
      <th scope="row">{name}</th>
      <td className="num">{value}</td>
      <td className="num quiet">{more}</td>
    </tr>
  );
}
