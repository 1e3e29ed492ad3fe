import { useTranslation } from 'react-i18next';
import type { Unit } from '../../core/geartrain';
import { blockingSafety, blocksUntil, USUAL_RING, type Meeting } from '../../core/shift';
import { formatNumber, formatShare } from '../shared/numbers';
import { memberName } from '../shared/unitNames';
import './SynchroStrip.css';

interface Props {
  unit: Unit;
  meeting: Meeting;
  outputRpm: number;
  /** Each move plays once: another key, and it plays again. */
  move: number;
}

const [WIDTH, HEIGHT] = [420, 84];
const BOX = { left: 8, right: 96, top: 12, bottom: 12 } as const;
/** So many times slower than it is. */
const SLOWER = 6;

/** A gear and its hub as their speeds meet; then the ring lets the sleeve through. */
export function SynchroStrip({ unit, meeting, outputRpm, move }: Props) {
  const { t } = useTranslation();
  const { gear, gearRpm, hubRpm, brakes, seconds } = meeting;
  const whole = Math.max(seconds * 1.25, 0.05);
  const [least, most] = [Math.min(gearRpm, hubRpm, 0), Math.max(gearRpm, hubRpm, 1)];
  const x = (s: number) => BOX.left + (s / whole) * (WIDTH - BOX.left - BOX.right);
  const y = (rpm: number) =>
    BOX.top + (1 - (rpm - least) / (most - least)) * (HEIGHT - BOX.top - BOX.bottom);
  const words = t(brakes > 0 ? 'sleeves.meets' : 'sleeves.metAlready', {
    gear: memberName(unit, gear),
    from: formatNumber(gearRpm, 0),
    to: formatNumber(hubRpm, 0),
    seconds: formatNumber(brakes, 2),
    through: formatNumber(seconds, 2),
    output: formatNumber(outputRpm, 0),
  });
  return (
    <div className="synchro-strip">
      <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} role="img" aria-label={words}>
        <path className="synchro-hub" d={`M${x(0)} ${y(hubRpm)}H${x(whole)}`} />
        <path
          className="synchro-gear"
          d={`M${x(0)} ${y(gearRpm)}L${x(brakes)} ${y(hubRpm)}H${x(whole)}`}
        />
        <path className="synchro-over" d={`M${x(seconds)} ${BOX.top - 6}V${HEIGHT - 4}`} />
        <text x={x(whole) + 6} y={y(hubRpm) + 5}>
          {t('sleeves.over')}
        </text>
        <path
          key={move}
          className="synchro-now"
          d={`M${x(0)} ${BOX.top - 6}V${HEIGHT - 4}`}
          style={{
            animationDuration: `${SLOWER * whole}s`,
            ['--far' as string]: `${x(whole) - x(0)}px`,
          }}
        />
      </svg>
      <p>
        {words}{' '}
        {brakes > 0 && (
          <span className="quiet">
            {t('sleeves.blocks', {
              times: formatNumber(blockingSafety(USUAL_RING), 1),
              share: formatShare(blocksUntil(USUAL_RING)),
            })}
          </span>
        )}
      </p>
    </div>
  );
}
