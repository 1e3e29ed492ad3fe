import { useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import { OPENINGS, type StripPlan } from '../../core/assembly';
import type { Unit } from '../../core/geartrain';
import { partName } from './partName';
import { stackNumbers } from './stackNumbers';

/** The parts of a unit as they stand now, and which one the hand is on. */
export interface PartsNow {
  plan: StripPlan;
  unit: Unit | null;
  off: ReadonlySet<string>;
  /** Parts that may leave now, where that is asked for. */
  free: ReadonlySet<string>;
  chosen: string | null;
  onPart: (id: string) => void;
}

/** What is still on the unit, by the way it leaves. */
export function PartList({ plan, unit, off, free, chosen, onPart }: PartsNow) {
  const { t } = useTranslation();
  const numbers = useMemo(() => stackNumbers(plan), [plan]);
  return (
    <div className="part-list">
      {([...OPENINGS, 'none'] as const).map((opening) => {
        const parts = plan.parts.filter(
          (p) => (p.openings[0] ?? 'none') === opening && !off.has(p.id),
        );
        return (
          parts.length > 0 && (
            <section key={opening} aria-label={t(`stripDown.openings.${opening}`)}>
              <h3 className="label">{t(`stripDown.openings.${opening}`)}</h3>
              <ul>
                {parts.map((part) => (
                  <li key={part.id}>
                    <button
                      type="button"
                      className="part-button"
                      aria-pressed={chosen === part.id}
                      data-free={free.has(part.id)}
                      onClick={() => onPart(part.id)}
                    >
                      {numbers.has(part.id) && (
                        <span className="part-number" aria-hidden>
                          {numbers.get(part.id)}
                        </span>
                      )}
                      {partName(t, unit, part)}
                    </button>
                  </li>
                ))}
              </ul>
            </section>
          )
        );
      })}
    </div>
  );
}
