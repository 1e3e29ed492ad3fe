import { useTranslation } from 'react-i18next';
import type { StallBand } from '../../core/vehicle';

interface Props {
  rpm: number;
  most: number;
  band: StallBand | null;
  words: string;
}

const FROM = -125;
const TO = 125;

/** A rev counter: the needle, and the band in which a sound unit stalls. */
export function RevCounter({ rpm, most, band, words }: Props) {
  const { t } = useTranslation();
  const angle = (v: number) => FROM + ((TO - FROM) * Math.min(v, most)) / most;
  const at = (v: number, r: number) => {
    const a = ((angle(v) - 90) * Math.PI) / 180;
    return `${(100 + r * Math.cos(a)).toFixed(1)} ${(96 + r * Math.sin(a)).toFixed(1)}`;
  };
  const step = most > 4000 ? 1000 : 500;
  const marks = Array.from({ length: Math.floor(most / step) + 1 }, (_, k) => k * step);
  return (
    <svg className="rev-counter" viewBox="0 0 200 170" role="img" aria-label={words}>
      <path className="rev-arc" d={`M${at(0, 78)}A78 78 0 1 1 ${at(most, 78)}`} />
      {band && (
        <path className="rev-band" d={`M${at(band.low, 78)}A78 78 0 0 1 ${at(band.high, 78)}`} />
      )}
      {marks.map((v) => (
        <g key={v}>
          <path className="rev-mark" d={`M${at(v, 70)}L${at(v, 82)}`} />
          <text
            className="rev-number"
            x={at(v, 55).split(' ')[0]}
            y={Number(at(v, 55).split(' ')[1]) + 6}
          >
            {v / 1000}
          </text>
        </g>
      ))}
      <text className="rev-unit" x={100} y={74}>
        {t('stall.dial')}
      </text>
      <path className="rev-needle" d={`M100 96L${at(rpm, 70)}`} />
      <circle className="rev-hub" cx={100} cy={96} r={7} />
      <text className="rev-reading" x={100} y={146}>
        {Math.round(rpm / 10) * 10}
      </text>
      <text className="rev-unit" x={100} y={164}>
        {t('units.revPerMin')}
      </text>
    </svg>
  );
}
