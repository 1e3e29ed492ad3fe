import {
  Chart,
  Legend,
  LinearScale,
  LineController,
  LineElement,
  PointElement,
  Tooltip,
  type ChartOptions,
} from 'chart.js';
import { formatNumber } from '../../shared/numbers';

/** Everything a line chart needs is registered once, by whoever draws the first. */
export function registerLines(): void {
  Chart.register(LineController, LineElement, PointElement, LinearScale, Legend, Tooltip);
}

/** Colour of the paper now in use. */
export const inkOf = (name: string): string =>
  getComputedStyle(document.documentElement).getPropertyValue(name).trim();

const FONT = { family: "'Archivo Variable', sans-serif", size: 14 };

export interface Axis {
  readonly title: string;
  readonly min?: number;
  readonly max?: number;
  /** It counts: no mark between whole numbers. */
  readonly whole?: boolean;
}

/** A mark's number as it is written everywhere else, with as many digits as the marks are apart. */
function tickText(value: number | string, _index: number, ticks: { value: number }[]): string {
  const apart = Math.abs((ticks[1]?.value ?? 1) - (ticks[0]?.value ?? 0));
  const digits = [0, 1, 2, 3].find((d) => {
    const steps = apart * 10 ** d;
    return Math.abs(steps - Math.round(steps)) < 1e-6;
  });
  return formatNumber(Number(value), digits ?? 4);
}

/** Axes and legend of a curve sheet. */
export function lineOptions(x: Axis, y: Axis, right?: Axis): ChartOptions<'line'> {
  const axis = ({ title, whole, ...limits }: Axis, position?: 'right') => ({
    type: 'linear' as const,
    ...limits,
    ...(position ? { position } : {}),
    title: { display: true, text: title, color: inkOf('--ink-2'), font: FONT },
    ticks: {
      color: inkOf('--ink-2'),
      font: FONT,
      callback: tickText,
      ...(whole ? { precision: 0 } : {}),
    },
    grid: { color: inkOf('--line'), drawOnChartArea: position === undefined },
  });
  return {
    animation: false,
    parsing: false,
    normalized: true,
    maintainAspectRatio: false,
    elements: { point: { radius: 0 }, line: { borderWidth: 2.6 } },
    scales: { x: axis(x), y: axis(y), ...(right ? { right: axis(right, 'right') } : {}) },
    plugins: {
      legend: { labels: { color: inkOf('--ink'), font: FONT, boxWidth: 18, boxHeight: 2 } },
      tooltip: { enabled: false },
    },
  };
}
