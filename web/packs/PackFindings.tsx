import { useTranslation } from 'react-i18next';
import type { PackFinding } from '../../core/clutch';
import { useGapText } from '../shared/useGapText';
import { NothingWrong } from '../bench/NothingWrong';
import { FindingsList } from '../shared/FindingsList';
import { useNumbers } from '../shared/numbers';

/** What is wrong or odd with the pack as it lies there. */
export function PackFindings({ findings }: { findings: readonly PackFinding[] }) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const gapText = useGapText();
  if (findings.length === 0) return <NothingWrong />;
  const words = (f: PackFinding): string => {
    switch (f.code) {
      case 'does-not-fit':
        return t('pack.findings.does-not-fit', { over: gapText(f.over) });
      case 'clearance-small':
      case 'clearance-large':
        return t(`pack.findings.${f.code}`, { clearance: gapText(f.clearance) });
      case 'end-plate-thin':
        return t('pack.findings.end-plate-thin', {
          thickness: gapText(f.thickness),
          needed: gapText(f.needed),
        });
      case 'groove-overloaded':
        return t('pack.findings.groove-overloaded', {
          force: numbers.quantity(f.force, 'force'),
          bears: numbers.quantity(f.bears, 'force'),
        });
      case 'holds-on-at-speed':
        return t('pack.findings.holds-on-at-speed', {
          rpm: numbers.quantity(Math.round(f.rpm / 10) * 10, 'speed'),
          most: numbers.quantity(f.most, 'speed'),
        });
      case 'friction-on-wave':
      case 'same-beside-same':
      case 'friction-at-piston':
      case 'friction-at-ring':
      case 'no-frictions':
      case 'cushion-not-first':
      case 'thick-not-middle':
      case 'lining-over-plate':
      case 'does-not-apply':
        return t(`pack.findings.${f.code}`);
    }
  };
  return <FindingsList items={findings.map(words)} />;
}
