import type { TFunction } from 'i18next';
import type { Reading } from '../../core/faults';
import type { Unit } from '../../core/geartrain';
import { checkName, wordText } from './faultWords';
import { rangeName } from '../shared/unitNames';

/** What was noticed, in a driver's words: a sentence for each reading. */
export function complaintText(
  t: TFunction,
  unit: Unit | null,
  readings: readonly Reading[],
): string {
  if (readings.length === 0) return t('faults.driver.vague');
  return readings
    .map(({ check, answer }) => {
      const [from, to] = check.target.split('>');
      const gear = unit && from ? rangeName(unit, from) : check.target;
      const next = unit && to ? rangeName(unit, to) : '';
      const plain = t('faults.driver.plain', {
        check: checkName(t, unit, check),
        word: wordText(t, answer.word),
      });
      return t(`faults.driver.${check.kind}-${answer.word}`, { gear, next, defaultValue: plain });
    })
    .join(' ');
}
