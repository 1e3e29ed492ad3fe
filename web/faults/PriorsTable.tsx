import { Button, Collapse } from 'antd';
import { useTranslation } from 'react-i18next';
import { FAULT_SPECS, type FaultKind, type Priors } from '../../core/faults';
import { NumberField } from '../shared/NumberField';
import { kindText } from './faultWords';

interface Props {
  kinds: readonly FaultKind[];
  priors: Priors;
  onPriors: (priors: Partial<Record<FaultKind, number>>) => void;
}

const MOST = 1000;

/** How often each kind of fault is met in this shop, against the others. */
export function PriorsTable({ kinds, priors, onPriors }: Props) {
  const { t } = useTranslation();
  return (
    <Collapse
      size="small"
      items={[
        {
          key: 'priors',
          label: t('faults.priors'),
          children: (
            <div className="priors">
              <p className="quiet">{t('faults.priorsHow')}</p>
              {kinds.map((kind) => (
                <NumberField
                  key={kind}
                  label={kindText(t, kind)}
                  value={priors[kind] ?? FAULT_SPECS[kind].prior}
                  onValue={(v) => onPriors({ ...priors, [kind]: Math.min(MOST, Math.max(0, v)) })}
                />
              ))}
              <Button
                size="small"
                disabled={Object.keys(priors).length === 0}
                onClick={() => onPriors({})}
              >
                {t('faults.priorsUsual')}
              </Button>
            </div>
          ),
        },
      ]}
    />
  );
}
