import { Select } from 'antd';
import { useTranslation } from 'react-i18next';
import { DRIVE_SYMPTOMS, type DriveSymptom } from '../../core/faults';
import type { Unit } from '../../core/geartrain';
import { gearName } from '../shared/unitNames';
import { wordText } from './faultWords';

/** What was seen on the road, by range; a range that is not named has not been driven. */
export type Seen = Readonly<Record<string, DriveSymptom>>;

interface Props {
  unit: Unit;
  seen: Seen;
  onSeen: (seen: Record<string, DriveSymptom>) => void;
}

/** Says for each range what was met there. */
export function SeenInRanges({ unit, seen, onSeen }: Props) {
  const { t } = useTranslation();
  const say = (range: string, symptom: DriveSymptom | 'any') => {
    const next = { ...seen };
    if (symptom === 'any') delete next[range];
    else next[range] = symptom;
    onSeen(next);
  };
  return (
    <div className="atlas-seen">
      <strong>{t('atlas.seen')}</strong>
      {unit.ranges.map((range) => (
        <label key={range.id} className="row">
          <span className="atlas-gear">{gearName(range)}</span>
          <Select<DriveSymptom | 'any'>
            aria-label={t('atlas.seenIn', { range: gearName(range) })}
            value={seen[range.id] ?? 'any'}
            listHeight={320}
            onChange={(symptom) => say(range.id, symptom)}
            options={[
              { value: 'any', label: t('atlas.notDriven') },
              ...DRIVE_SYMPTOMS.map((s) => ({ value: s, label: wordText(t, s) })),
            ]}
          />
        </label>
      ))}
    </div>
  );
}
