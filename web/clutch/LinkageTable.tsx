import { useTranslation } from 'react-i18next';
import {
  bitePoint,
  readLinkage,
  releaseCurve,
  type Clutch,
  type ClutchState,
} from '../../core/clutch';
import { formatNumber, useNumbers } from '../shared/numbers';
import { useGapText } from '../shared/useGapText';

/** The linkage as it is read, with what it is held against. */
export function LinkageTable({ clutch, state }: { clutch: Clutch; state: ClutchState }) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const gapText = useGapText();
  const reading = readLinkage(clutch, state);
  const curve = releaseCurve(clutch, state);
  const rows = [
    [
      t('clutch.read.play'),
      gapText(reading.pedalPlay),
      t('clutch.read.atFork', { play: gapText(reading.forkPlay) }),
    ],
    ...(reading.centre === null
      ? []
      : [[t('clutch.read.centre'), gapText(reading.centre), t('clutch.read.down')]]),
    [
      t('clutch.read.bite'),
      `${formatNumber((100 * bitePoint(curve)) / Math.max(1e-9, curve.floor), 0)} %`,
      t('clutch.read.ofTravel'),
    ],
    [
      t('clutch.read.gap'),
      gapText(reading.gap),
      t('clutch.read.wanted', { gap: gapText(clutch.limits.releasedGap) }),
    ],
    [t('clutch.read.force'), numbers.quantity(reading.force, 'force'), t('clutch.read.atMost')],
  ];
  return (
    <table className="plain readout">
      <caption className="visually-hidden">{t('clutch.readings')}</caption>
      <tbody>
        {rows.map(([name, value, more]) => (
          <tr key={name}>
            <th scope="row">{name}</th>
            <td className="num">{value}</td>
            <td className="num quiet">{more}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
