import { Switch } from 'antd';
import { useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import { byFault, type Suspect } from '../../core/faults';
import type { Unit } from '../../core/geartrain';
import { formatShare } from '../shared/numbers';
import type { OpenedDesk } from '../workers/protocol';
import { boardOf } from './deskWork';
import type { DeskWork } from './work';
import { kindText, targetName } from './faultWords';

interface Props {
  unit: Unit | null;
  session: OpenedDesk;
  work: DeskWork;
  known: readonly Suspect[];
  mayHelp: boolean;
  /** Key of the true cause, once it has been earned. */
  revealed: string | null;
  onWork: (change: Partial<DeskWork>) => void;
}

/** Share of the suspicion from which it is told in figures. */
const TOLD_FROM = 0.05;

/** Everything that could be wrong, part by part, to cross out as evidence comes in. */
export function SuspectBoard({ unit, session, work, known, mayHelp, revealed, onWork }: Props) {
  const { t } = useTranslation();
  const groups = useMemo(() => boardOf(session.candidates), [session]);
  const helps = mayHelp && work.helps;
  const weights = useMemo(() => {
    const flat = known.map((s) => ({ faults: s.candidate.faults, ...s }));
    return new Map(
      [...byFault(flat)].map(([key, list]) => [
        key,
        { fits: list.some((s) => s.fits), weight: list.reduce((sum, s) => sum + s.weight, 0) },
      ]),
    );
  }, [known]);
  const out = (key: string) => work.crossed.includes(key) || (helps && !weights.get(key)?.fits);
  const left = groups.flatMap((g) => g.faults).filter(([key]) => !out(key)).length;
  const all = groups.reduce((sum, g) => sum + g.faults.length, 0);
  return (
    <div className="board">
      <div className="board-head">
        <h3>{t('desk.suspects')}</h3>
        <span role="status">{t('desk.left', { count: left, all })}</span>
        {mayHelp && (
          <label className="row board-help">
            <Switch
              size="small"
              checked={work.helps}
              onChange={(on) => onWork({ helps: on })}
              aria-label={t('desk.helps')}
            />
            {t('desk.helps')}
          </label>
        )}
      </div>
      <div className="board-groups">
        {groups.map(({ target, faults }) => (
          <div key={target} className="board-group" data-out={faults.every(([key]) => out(key))}>
            <span className="board-target">{targetName(t, unit, target)}</span>
            <span className="board-chips">
              {faults.map(([key, list]) => {
                const weight = weights.get(key)?.weight ?? 0;
                return (
                  <button
                    key={key}
                    type="button"
                    className="board-chip"
                    aria-pressed={out(key)}
                    data-named={work.named.includes(key)}
                    data-true={revealed?.split(' + ').includes(key) ?? false}
                    disabled={helps && !weights.get(key)?.fits}
                    onClick={() =>
                      onWork({
                        crossed: work.crossed.includes(key)
                          ? work.crossed.filter((k) => k !== key)
                          : [...work.crossed, key],
                      })
                    }
                  >
                    {kindText(t, list[0]!.faults[0]!.kind)}
                    {helps && !out(key) && weight >= TOLD_FROM && (
                      <span className="board-weight">{formatShare(weight)}</span>
                    )}
                  </button>
                );
              })}
            </span>
          </div>
        ))}
      </div>
    </div>
  );
}
