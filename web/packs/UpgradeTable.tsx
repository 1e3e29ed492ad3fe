import { Button } from 'antd';
import { useTranslation } from 'react-i18next';
import type { ClutchPack, UpgradeResult } from '../../core/clutch';
import { useGapText } from '../shared/useGapText';
import { formatNumber, useNumbers } from '../shared/numbers';
import { TableScroll } from '../shared/TableScroll';

interface Props {
  upgrades: readonly UpgradeResult[];
  /** Left out where the pack is only looked at. */
  onPack?: (pack: ClutchPack) => void;
}

/** The pack as it is and three ways to make it hold more, each with what gives first. */
export function UpgradeTable({ upgrades, onPack }: Props) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const gapText = useGapText();
  return (
    <TableScroll>
      <table className="plain">
        <thead>
          <tr>
            <th scope="col">{t('pack.upgrade')}</th>
            <th scope="col" className="num">
              {t('clutch.torque')}
            </th>
            <th scope="col" className="num">
              {t('pack.gauge')}
            </th>
            <th scope="col" className="num">
              {t('pack.peak')}
            </th>
            <th scope="col" className="num">
              {t('pack.grooveShare')}
            </th>
            <th scope="col">{t('pack.limitedBy')}</th>
            <th scope="col">{t('pack.change')}</th>
          </tr>
        </thead>
        <tbody>
          {upgrades.map((u) => (
            <tr key={u.upgrade}>
              <th scope="row">{t(`pack.upgrades.${u.upgrade}`)}</th>
              <td className="num">{numbers.quantity(Math.round(u.torque), 'torque')}</td>
              <td
                className="num"
                data-bad={u.limits.includes('room') || u.limits.includes('slack')}
              >
                {gapText(u.clearance)}
              </td>
              <td className="num" data-bad={u.limits.includes('heat')}>
                {numbers.quantity(Math.round(u.peakC), 'temperature')}
              </td>
              <td className="num" data-bad={u.limits.includes('groove')}>
                {formatNumber(100 * u.groove, 0)} %
              </td>
              <td>{u.limits.map((l) => t(`pack.limits.${l}`)).join(', ')}</td>
              <td>
                {u.upgrade !== 'as-it-is' && (
                  <Button size="small" disabled={!onPack} onClick={() => onPack?.(u.pack)}>
                    {t('pack.layOut')}
                  </Button>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </TableScroll>
  );
}
