import { Button } from 'antd';
import { useTranslation } from 'react-i18next';
import type { Range } from '../../core/geartrain';
import { leverPlaces, leverState } from './leverState';
import './Selector.css';

interface Props {
  ranges: readonly Range[];
  applied: readonly string[];
  onRange: (range: Range) => void;
}

/** The selector lever with the places the unit has, and a shift up and down inside a place. */
export function Selector({ ranges, applied, onRange }: Props) {
  const { t } = useTranslation();
  const places = leverPlaces(ranges);
  const { current, up, down } = leverState(ranges, applied);
  if (places.length === 0) return null;
  const go = (place: string) => {
    const first = ranges.find((r) => r.lever === place);
    if (first && place !== current?.lever) onRange(first);
  };
  return (
    <div className="selector">
      <div className="selector-gate" role="radiogroup" aria-label={t('apply.selector')}>
        {places.map((place) => (
          <label key={place} className="selector-place">
            <input
              type="radio"
              name="selector"
              checked={current?.lever === place}
              onChange={() => go(place)}
            />
            <span>{place}</span>
          </label>
        ))}
      </div>
      <div className="selector-gear" aria-live="polite">
        <span className="label">{t('apply.gear')}</span>
        <strong className="figure">{current?.gear ?? '–'}</strong>
      </div>
      <Button
        onClick={() => down && onRange(down)}
        disabled={!down}
        aria-label={t('apply.shiftDown')}
        title={t('apply.shiftDown')}
        aria-keyshortcuts="-"
      >
        −
      </Button>
      <Button
        onClick={() => up && onRange(up)}
        disabled={!up}
        aria-label={t('apply.shiftUp')}
        title={t('apply.shiftUp')}
        aria-keyshortcuts="+"
      >
        +
      </Button>
    </div>
  );
}
