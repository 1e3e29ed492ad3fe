import { WarningFilled } from '../shared/icons';
import { useTranslation } from 'react-i18next';
import type { CautionBlock } from '../../core/lesson';
import { LazyMarkdown } from '../shared/LazyMarkdown';
import './CautionBox.css';

/** A caution: the trade's standing words, then the instructor's own, then who has the last word. */
export function CautionBox({ block }: { block: CautionBlock }) {
  const { t } = useTranslation();
  // Where several stand below each other, each has a name of its own.
  const name =
    block.topic === 'own'
      ? t('caution.title')
      : t('caution.named', { topic: t(`caution.names.${block.topic}`) });
  return (
    <section className="caution" aria-label={name}>
      <div className="caution-title">
        <WarningFilled />
        {t('caution.title')}
      </div>
      {block.topic !== 'own' && <p>{t(`caution.topics.${block.topic}`)}</p>}
      <LazyMarkdown text={block.markdown} />
      <p className="caution-last">{t('caution.manual')}</p>
    </section>
  );
}
