import { WarningOutlined } from '../shared/icons';
import { Button } from 'antd';
import { useTranslation } from 'react-i18next';
import type { PlanetarySet, ToothFinding } from '../../core/geartrain';
import { formatNumber } from '../shared/numbers';
import '../shared/FindingsList.css';

interface Props {
  set: PlanetarySet;
  findings: readonly ToothFinding[];
  onSet?: ((set: PlanetarySet) => void) | undefined;
}

/** What can't be built, which condition failed, and the nearest number that would do. */
export function Findings({ set, findings, onSet }: Props) {
  const { t } = useTranslation();
  if (findings.length === 0) return null;
  return (
    <div className="findings" role="status">
      <WarningOutlined />
      <div>
        <strong>{t('findings.title')}</strong>
        <ul>
          {findings.map((finding) => {
            const fix = fixFor(set, finding);
            return (
              <li key={finding.code + finding.path}>
                {t(`findings.${finding.code}`, readable(finding.values))}{' '}
                {fix && onSet && (
                  <Button size="small" onClick={() => onSet(fix.set)}>
                    {t(`fixes.${fix.code}`, { n: fix.n })}
                  </Button>
                )}
              </li>
            );
          })}
        </ul>
      </div>
    </div>
  );
}

const readable = (values: ToothFinding['values']): Record<string, string> =>
  Object.fromEntries(
    Object.entries(values).map(([k, v]) => [k, formatNumber(v, Number.isInteger(v) ? 0 : 1)]),
  );

interface Fix {
  code: 'ring' | 'pinions';
  n: number;
  set: PlanetarySet;
}

/** A change of one number that meets the failed condition; `null` where none is near. */
function fixFor(set: PlanetarySet, finding: ToothFinding): Fix | null {
  const { values } = finding;
  if (finding.code === 'coaxial' && set.kind === 'single-pinion') {
    const n = values['needed'] ?? 0;
    return { code: 'ring', n, set: { ...set, teeth: { ...set.teeth, ring: n } } };
  }
  if (finding.code === 'assembly') {
    const sum = values['sum'] ?? 0;
    const n = [3, 4, 5, 6, 2].find((count) => sum % count === 0);
    if (n === undefined) return null;
    return { code: 'pinions', n, set: { ...set, pinions: n } };
  }
  if (finding.code === 'neighbours') {
    const n = values['fewer'] ?? 1;
    return { code: 'pinions', n, set: { ...set, pinions: n } };
  }
  return null;
}
