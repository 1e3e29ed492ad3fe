import { useTranslation } from 'react-i18next';
import type { Range } from '../../core/geartrain';
import { SPEED_MARKS, type DriveResult } from '../../core/shift';
import './CrossingView.css';

interface Props {
  result: DriveResult;
  gears: readonly Range[];
}

/** What drives and what waits, over the whole drive. */
export function WaitingLanes({ result, gears }: Props) {
  return (
    <div>
      <Lane result={result} gears={gears} which="gear" />
      <Lane result={result} gears={gears} which="waiting" />
    </div>
  );
}

interface LaneProps extends Props {
  which: 'gear' | 'waiting';
}

function Lane({ result, gears, which }: LaneProps) {
  const { t } = useTranslation();
  const end = SPEED_MARKS.at(-1)!;
  const parts = result.lane
    .filter((p, k) => k === 0 || p[which] !== result.lane[k - 1]![which])
    .map((p, k, all) => ({ ...p, to: all[k + 1]?.time ?? end }));
  return (
    <div className="waiting-lane">
      <span className="label">{t(`crossing.laneShort.${which}`)}</span>
      <ul className="crossing-lane crossing-lane-long" aria-label={t(`crossing.lanes.${which}`)}>
        {parts.map((p) => {
          const at = p[which];
          const name = at === null ? '–' : gears[at]!.gear;
          return (
            <li
              key={p.time}
              data-kind={which === 'gear' ? 'drives' : 'waits'}
              style={{ flexGrow: p.to - p.time }}
              title={t(`crossing.lanes.${which}`)}
            >
              {name}
            </li>
          );
        })}
      </ul>
    </div>
  );
}
