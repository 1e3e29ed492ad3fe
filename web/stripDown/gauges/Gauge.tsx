import { useTranslation } from 'react-i18next';
import { MEASURES, type Instrument, type MeasureId } from '../../../core/assembly';
import { formatNumber, useNumbers, type Numbers } from '../../shared/numbers';
import { arc, onCircle } from './circle';
import './Gauge.css';

interface Props {
  measure: MeasureId;
  /** As the instrument shows it, mm or Ω; `null` while nothing is measured. */
  value: number | null;
}

/** An instrument as it looks in the hand: its needle, drum, leaf or figures are read, not told. */
export function Gauge({ measure, value }: Props) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const { instrument } = MEASURES[measure];
  const shown = value === null ? null : inHand(instrument, value, numbers);
  const Face = FACES[instrument];
  return (
    <figure className="gauge">
      <svg viewBox="0 0 320 190" role="img" aria-label={t(`strip.instruments.${instrument}`)}>
        {shown === null ? (
          <text className="gauge-idle" x={160} y={100} textAnchor="middle">
            {t('strip.gaugeIdle')}
          </text>
        ) : (
          <Face value={shown} system={numbers.system} measure={measure} />
        )}
      </svg>
    </figure>
  );
}

/** What the scale is divided in: mm or inches, Ω. */
const inHand = (instrument: Instrument, value: number, numbers: Numbers): number =>
  instrument === 'ohmmeter' ? value : numbers.toDisplay(value, 'length');

interface FaceProps {
  value: number;
  system: Numbers['system'];
  measure: MeasureId;
}

const FACES: Readonly<Record<Instrument, (props: FaceProps) => React.JSX.Element>> = {
  'dial-gauge': Dial,
  'bore-gauge': Dial,
  micrometer: Micrometer,
  caliper: Caliper,
  feeler: Leaves,
  straightedge: Leaves,
  ohmmeter: Meter,
};

/** Once round for a millimetre, or a tenth of an inch; the small hand counts the rounds. */
function Dial({ value, system }: FaceProps) {
  const { t } = useTranslation();
  const round = system === 'si' ? 1 : 0.1;
  const turns = value / round;
  const [x, y, r] = [160, 95, 84] as const;
  return (
    <g>
      <title>
        {t('strip.dialAt', {
          turns: Math.floor(turns + 1e-9),
          division: formatNumber(100 * (turns - Math.floor(turns + 1e-9)), 0),
        })}
      </title>
      <circle className="gauge-face" cx={x} cy={y} r={r} />
      {Array.from({ length: 100 }, (_, k) => {
        const [ax, ay] = onCircle(
          x,
          y,
          k % 10 === 0 ? r - 14 : k % 5 === 0 ? r - 10 : r - 6,
          k / 100,
        );
        const [bx, by] = onCircle(x, y, r, k / 100);
        return <line key={k} className="gauge-tick" x1={ax} y1={ay} x2={bx} y2={by} />;
      })}
      {Array.from({ length: 10 }, (_, k) => {
        const [tx, ty] = onCircle(x, y, r - 24, k / 10);
        return (
          <text key={k} className="gauge-figure" x={tx} y={ty + 4} textAnchor="middle">
            {10 * k}
          </text>
        );
      })}
      <text className="gauge-unit" x={x} y={y - 22} textAnchor="middle">
        {system === 'si' ? '0.01 mm' : '0.001 in'}
      </text>
      <circle className="gauge-small" cx={x} cy={y + 30} r={15} />
      <Hand x={x} y={y + 30} length={12} turn={turns / 10} />
      <Hand x={x} y={y} length={r - 12} turn={turns} />
      <circle cx={x} cy={y} r={4} />
    </g>
  );
}

function Hand({ x, y, length, turn }: { x: number; y: number; length: number; turn: number }) {
  const [tx, ty] = onCircle(x, y, length, turn);
  return <line className="gauge-hand" x1={x} y1={y} x2={tx} y2={ty} />;
}

/** A sleeve with half millimetres (or fortieths of an inch) and a thimble that turns once for each. */
function Micrometer({ value, system }: FaceProps) {
  const { t } = useTranslation();
  const pitch = system === 'si' ? 0.5 : 0.025;
  const divisions = system === 'si' ? 50 : 25;
  const turns = value / pitch;
  const onThimble = (turns - Math.floor(turns + 1e-9)) * divisions;
  // The thimble stands where the sleeve's last mark has just come out.
  const scale = system === 'si' ? 22 : 440;
  const edge = 40 + Math.min(value, 8 / (scale / 22)) * scale;
  const marks = Array.from({ length: Math.floor(turns + 1e-9) + 1 }, (_, k) => k);
  return (
    <g>
      <title>
        {t('strip.micrometerAt', {
          sleeve: formatNumber(Math.floor(turns + 1e-9) * pitch, system === 'si' ? 1 : 3),
          division: formatNumber(onThimble, 0),
        })}
      </title>
      <rect className="gauge-face" x={24} y={70} width={Math.max(0, edge - 24)} height={50} />
      <line className="gauge-tick" x1={24} x2={edge} y1={95} y2={95} />
      {marks.map((k) => {
        const x = 40 + k * pitch * scale;
        const whole = system === 'si' ? k % 2 === 0 : k % 4 === 0;
        return (
          <g key={k}>
            <line className="gauge-tick" x1={x} x2={x} y1={95} y2={whole ? 80 : 106} />
            {whole && (
              <text className="gauge-figure" x={x} y={66} textAnchor="middle">
                {system === 'si' ? k / 2 : k / 4}
              </text>
            )}
          </g>
        );
      })}
      <rect className="gauge-thimble" x={edge} y={30} width={90} height={130} />
      {Array.from({ length: 15 }, (_, k) => {
        const division = Math.floor(onThimble) + k - 7;
        const y = 95 - (division - onThimble) * 9;
        if (y < 34 || y > 156) return null;
        const mark = ((division % divisions) + divisions) % divisions;
        return (
          <g key={k}>
            <line
              className="gauge-tick"
              x1={edge}
              x2={edge + (mark % 5 === 0 ? 18 : 10)}
              y1={y}
              y2={y}
            />
            {mark % 5 === 0 && (
              <text className="gauge-figure" x={edge + 24} y={y + 4}>
                {mark}
              </text>
            )}
          </g>
        );
      })}
    </g>
  );
}

/** A rule in millimetres (or twentieths of an inch) and ten lines beside it: the one that meets a line tells the tenth. */
function Caliper({ value, system }: FaceProps) {
  const { t } = useTranslation();
  const step = system === 'si' ? 1 : 0.05;
  const gap = 25;
  const units = value / step;
  const first = Math.max(0, Math.floor(units) - 1);
  const x = (k: number) => 18 + (k - first) * gap;
  // Figures in hundredths of an inch are too wide for every line.
  const figured = (k: number) => system === 'si' || k % 2 === 0;
  return (
    <g>
      <title>
        {t('strip.caliperAt', {
          rule: formatNumber(Math.floor(units + 1e-9) * step, system === 'si' ? 0 : 2),
          line: Math.round(10 * (units - Math.floor(units + 1e-9))),
        })}
      </title>
      <rect className="gauge-face" x={6} y={30} width={308} height={62} />
      {Array.from({ length: 12 }, (_, k) => (
        <g key={k}>
          <line
            className="gauge-tick"
            x1={x(first + k)}
            x2={x(first + k)}
            y1={92}
            y2={(first + k) % 5 === 0 ? 62 : 72}
          />
          {figured(first + k) && (
            <text className="gauge-figure" x={x(first + k)} y={52} textAnchor="middle">
              {formatNumber((first + k) * step, system === 'si' ? 0 : 2)}
            </text>
          )}
        </g>
      ))}
      <rect
        className="gauge-thimble"
        x={Math.max(6, x(units) - 10)}
        y={92}
        width={gap * 9 + 20}
        height={54}
      />
      {Array.from({ length: 11 }, (_, k) => {
        // Ten of the vernier's spaces make nine of the rule's.
        const vx = x(units) + k * gap * 0.9;
        return (
          <g key={k}>
            <line className="gauge-tick" x1={vx} x2={vx} y1={92} y2={k % 5 === 0 ? 116 : 108} />
            {k % 5 === 0 && (
              <text className="gauge-figure" x={vx} y={134} textAnchor="middle">
                {k}
              </text>
            )}
          </g>
        );
      })}
    </g>
  );
}

/** Leaves from thin to thick: the thickest that still goes in is the reading. */
function Leaves({ value, system, measure }: FaceProps) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const { readsTo } = MEASURES[measure];
  const step = numbers.toDisplay(readsTo, 'length');
  const at = Math.round(value / step);
  const digits = system === 'si' ? (readsTo < 0.01 ? 3 : 2) : 4;
  const leaves = Array.from({ length: 7 }, (_, k) => at + k - 3).filter((n) => n > 0);
  return (
    <g>
      {leaves.map((n, k) => {
        const goes = n <= at;
        const y = 16 + k * 24;
        return (
          <g key={n} data-goes={goes} className="gauge-leaf">
            <rect x={20} y={y} width={goes ? 190 : 110} height={3 + 1.6 * k} />
            <text className="gauge-figure" x={222} y={y + 9}>
              {formatNumber(n * step, digits)} {t(goes ? 'strip.leafGoes' : 'strip.leafStops')}
            </text>
          </g>
        );
      })}
      <path className="gauge-block" d="M130 4H208V10H140V182H130Z" />
    </g>
  );
}

function Meter({ value }: FaceProps) {
  return (
    <g>
      <rect className="gauge-face" x={60} y={40} width={200} height={80} />
      <text className="gauge-digits" x={244} y={96} textAnchor="end">
        {formatNumber(value, 1)} Ω
      </text>
      <path className="gauge-hand" fill="none" d={arc(160, 150, 40, 0.75, 1.25)} />
    </g>
  );
}
