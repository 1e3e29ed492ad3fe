import { Button } from 'antd';
import { useTranslation } from 'react-i18next';
import {
  adjusted,
  adjustmentsOf,
  AS_BUILT,
  linkageVerdicts,
  readLinkage,
  type Adjustment,
  type Clutch,
  type ClutchState,
} from '../../core/clutch';
import { misadjusted } from '../../core/lesson';
import { useGapText } from '../shared/useGapText';
import { useKept } from '../shared/kept';

/** Free play by the book, on a linkage that is out: do the steps, read after each, see what an order leaves. */
export function AdjustTest({ clutch }: { clutch: Clutch }) {
  const { t } = useTranslation();
  const gapText = useGapText();
  const [steps, setSteps] = useKept<readonly Adjustment[]>('AdjustTest steps', []);
  const states = steps.reduce<ClutchState[]>(
    (list, step) => [...list, adjusted(clutch, list.at(-1)!, step)],
    [misadjusted(clutch, AS_BUILT)],
  );
  const now = states.at(-1)!;
  const out = linkageVerdicts(clutch, now);
  const { pedalPlay, centre } = clutch.limits;
  return (
    <section className="shop-steps" aria-label={t('clutch.tests.adjust')}>
      <div className="bench-row">
        {adjustmentsOf(clutch).map((step) => (
          <Button key={step} onClick={() => setSteps([...steps, step])}>
            {t(`clutch.adjustments.${step}`)}
          </Button>
        ))}
        <Button type="text" disabled={steps.length === 0} onClick={() => setSteps([])}>
          {t('clutch.tests.again')}
        </Button>
      </div>
      <table className="plain noise-table">
        <thead>
          <tr>
            <th scope="col">{t('clutch.tests.after')}</th>
            <th scope="col" className="num">
              {t('clutch.read.play')}
            </th>
            {centre && (
              <th scope="col" className="num">
                {t('clutch.read.centre')}
              </th>
            )}
            <th scope="col" className="num">
              {t('clutch.read.gap')}
            </th>
          </tr>
        </thead>
        <tbody>
          {states.map((s, k) => {
            const reading = readLinkage(clutch, s);
            return (
              <tr key={k}>
                <th scope="row">
                  {k === 0 ? t('clutch.tests.found') : t(`clutch.adjustments.${steps[k - 1]!}`)}
                </th>
                <td className="num">{gapText(reading.pedalPlay)}</td>
                {centre && <td className="num">{gapText(reading.centre ?? 0)}</td>}
                <td className="num">{gapText(reading.gap)}</td>
              </tr>
            );
          })}
        </tbody>
      </table>
      <p className="quiet">
        {t('clutch.tests.windows', {
          play: `${gapText(pedalPlay[0])} – ${gapText(pedalPlay[1])}`,
        })}
        {centre &&
          ` ${t('clutch.tests.centreWindow', { centre: `${gapText(centre[0])} – ${gapText(centre[1])}` })}`}
      </p>
      <p className="shop-reading" aria-live="polite">
        {out.length === 0
          ? t('clutch.tests.inWindow')
          : out.map((code) => t(`clutch.verdicts.${code}`)).join(' ')}
      </p>
    </section>
  );
}
