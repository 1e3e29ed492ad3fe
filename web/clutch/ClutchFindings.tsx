import { useTranslation } from 'react-i18next';
import type { ClutchFinding } from '../../core/clutch';
import { FindingsList } from '../shared/FindingsList';
import { useNumbers } from '../shared/numbers';
import { useGapText } from '../shared/useGapText';

/** What is wrong or odd with a clutch as its file states it. */
export function ClutchFindings({ findings }: { findings: readonly ClutchFinding[] }) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const gapText = useGapText();
  const words = (f: ClutchFinding): string => {
    switch (f.code) {
      case 'never-releases':
        return t('clutch.findings.never-releases', { force: numbers.quantity(f.clamp, 'force') });
      case 'small-gap':
        return t('clutch.findings.small-gap', { gap: gapText(f.gap), wanted: gapText(f.wanted) });
      case 'always-slips':
        return t('clutch.findings.always-slips', {
          holds: numbers.quantity(f.holds, 'torque'),
          asked: numbers.quantity(Math.round(f.asked), 'torque'),
        });
      case 'play-out':
        return t('clutch.findings.play-out', { play: gapText(f.play) });
      case 'stays-down':
        return t('clutch.findings.stays-down', { travel: gapText(f.pedal) });
      case 'inner-over-outer':
      case 'radii-order':
      case 'worn-over-new':
      case 'spring-inverts':
      case 'not-installed':
      case 'before-hump':
        return t(`clutch.findings.${f.code}`);
    }
  };
  return <FindingsList items={findings.map(words)} />;
}
