import { Select } from 'antd';
import { useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import {
  FAULT_SPECS,
  levelsOf,
  severityOf,
  singleFaults,
  type CaseFault,
  type FaultKind,
  type Rig,
} from '../../core/faults';
import { kindText, severityText, shortTarget, targetName } from './faultWords';
import { useNumbers } from '../shared/numbers';

interface Props {
  rig: Rig;
  value: CaseFault | null;
  /** `null`: nothing is wrong; only offered where it may be. */
  onValue: (fault: CaseFault | null) => void;
  sound?: boolean;
  label?: string;
  /** Only these kinds; all when left out. */
  kinds?: readonly FaultKind[];
}

const keyOf = (f: CaseFault): string => `${f.target}=${f.kind}`;

/** A fault of a machine: which, and how far it has gone. */
export function FaultPicker({ rig, value, onValue, sound = false, label, kinds }: Props) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const faults = useMemo(
    () => singleFaults(rig).filter((f) => !kinds || kinds.includes(f.kind)),
    [rig, kinds],
  );
  // A large unit has hundreds, and the bench draws this anew at every press.
  const named = useMemo(
    () =>
      [...new Set(faults.map((f) => f.target))].map((target) => ({
        label: targetName(t, rig.unit, target),
        options: faults
          .filter((f) => f.target === target)
          .map((f) => ({
            value: keyOf(f),
            label: `${shortTarget(t, rig.unit, target)}: ${kindText(t, f.kind)}`,
          })),
      })),
    [faults, rig, t],
  );
  const chosen = value;
  const graded = chosen && FAULT_SPECS[chosen.kind].levels ? chosen : null;
  return (
    <div className="fault-picker">
      <Select<string>
        aria-label={label ?? t('faults.pick')}
        showSearch={{ optionFilterProp: 'label' }}
        value={value ? keyOf(value) : ''}
        listHeight={400}
        virtual={false}
        popupMatchSelectWidth={340}
        onChange={(key) => {
          const fault = faults.find((f) => keyOf(f) === key);
          onValue(fault ? { target: fault.target, kind: fault.kind } : null);
        }}
        options={[...(sound || !value ? [{ value: '', label: t('faults.none') }] : []), ...named]}
      />
      {graded && (
        <Select<number>
          aria-label={t('faults.howFar')}
          value={severityOf(graded)}
          onChange={(severity) => onValue({ ...graded, severity })}
          options={[
            ...new Set([...levelsOf(graded).map((f) => severityOf(f)), severityOf(graded)]),
          ].map((severity) => ({
            value: severity,
            label: severityText(t, numbers, { ...graded, severity }),
          }))}
        />
      )}
    </div>
  );
}
