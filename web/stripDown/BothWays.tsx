import { Collapse } from 'antd';
import type { TFunction } from 'i18next';
import { useTranslation } from 'react-i18next';
import {
  bothWays,
  REAR,
  type Figure,
  type Job,
  type Known,
  type StripPlan,
  type Way,
} from '../../core/assembly';
import { formatShare, useNumbers, type Numbers } from '../shared/numbers';
import { measureText, moneyText, wayText } from './jobWords';
import './BothWays.css';

interface Props {
  job: Job;
  plan: StripPlan;
  known: Known;
}

/** What shops do in more than one way, with what each way comes to on this job; the shop's own is marked. */
export function BothWays({ job, plan, known }: Props) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  return (
    <section className="both-ways" aria-label={t('strip.bothWays')}>
      <h3>{t('strip.bothWays')}</h3>
      <p className="quiet">{t('strip.bothWaysHow')}</p>
      <Collapse
        size="small"
        defaultActiveKey={['tier']}
        items={bothWays(job, plan, known).map(({ school, ways }) => ({
          key: school,
          label: (
            <>
              {t(`strip.schools.${school}.title`)}{' '}
              <span className="quiet">
                {ways.flatMap(({ own, way }) => (own ? [wayText(t, way)] : []))}
              </span>
            </>
          ),
          children: (
            <>
              {ways.map(({ way, own, figures }) => (
                <div className="one-way" key={way} data-own={own}>
                  <strong>{longText(t, way)}</strong>
                  {own && <em> {t('strip.ownTier')}</em>}
                  <p>{figures.map((f) => figureText(t, numbers, f)).join(' · ')}</p>
                </div>
              ))}
              <p className="quiet">
                {t(`strip.schools.${school}.how`, {
                  kn: REAR.newton / 1000,
                  radius: numbers.quantity(1000 * REAR.radius, 'length'),
                  speed: numbers.quantity(REAR.revPerMin, 'speed'),
                })}
              </p>
            </>
          ),
        }))}
      />
    </section>
  );
}

const longText = (t: TFunction, way: Way): string =>
  typeof way === 'number' ? t(`strip.tier.${way}`) : wayText(t, way);

function figureText(t: TFunction, numbers: Numbers, figure: Figure): string {
  const read = (mm: number) => measureText(numbers, 'ring-bore', mm);
  switch (figure.code) {
    case 'cost':
    case 'parts-cost':
    case 'saved':
      return t(`strip.figures.${figure.code}`, { money: moneyText(t, figure.money) });
    case 'chance':
      // Dearer than coming back for certain.
      if (figure.share > 1) return t('strip.figures.never');
      return t('strip.figures.chance', { share: formatShare(figure.share) });
    case 'more-often':
      return t('strip.figures.more-often', { share: formatShare(figure.share) });
    case 'days':
    case 'turns':
    case 'minutes':
    case 'new':
    case 'too-worn':
      return t(`strip.figures.${figure.code}`, { count: figure.count });
    case 'even':
    case 'worn':
    case 'now':
      return t(`strip.figures.${figure.code}`, { mm: read(figure.mm) });
    case 'window':
      return t('strip.figures.window', { least: read(figure.least), most: read(figure.most) });
    case 'drag':
      return t('strip.figures.drag', { torque: numbers.quantity(figure.nm, 'torque') });
    case 'loss':
      return t('strip.figures.loss', { watt: figure.watt.toFixed(figure.watt < 10 ? 1 : 0) });
  }
}
