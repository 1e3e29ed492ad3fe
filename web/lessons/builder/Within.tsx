import { useTranslation } from 'react-i18next';
import type { Tolerance } from '../../../core/lesson';
import { NumberField } from '../../shared/NumberField';

interface WithinProps {
  tolerance: Tolerance;
  onTolerance: (tolerance: Tolerance) => void;
}

/** How near a number has to come, in percent of the right one. */
export function Within({ tolerance, onTolerance }: WithinProps) {
  const { t } = useTranslation();
  return (
    <NumberField
      label={t('question.tolerance')}
      unit="%"
      value={tolerance.value}
      step={1}
      onValue={(value) =>
        onTolerance({ kind: 'percent', value: Math.min(100, Math.max(0, value)) })
      }
    />
  );
}
