import {
  BarController,
  BarElement,
  CategoryScale,
  Chart,
  Legend,
  LinearScale,
  Tooltip,
} from 'chart.js';
import { Bar } from 'react-chartjs-2';
import { useTranslation } from 'react-i18next';
import type { ConfidenceTally } from '../../core/lesson';
import { useAppSelector } from '../state/hooks';
import { reducedMotion } from '../shared/motion';

Chart.register(BarController, BarElement, CategoryScale, LinearScale, Legend, Tooltip);

/** Are those who are certain also right? The same figures stand in a table for people who read them. */
export function ConfidenceChart({ tally }: { tally: readonly ConfidenceTally[] }) {
  const { t } = useTranslation();
  const paper = useAppSelector((state) => state.settings.paper);
  const style = getComputedStyle(document.documentElement);
  const colour = (name: string) => style.getPropertyValue(name).trim();
  const font = { family: "'Archivo Variable', sans-serif", size: 14 };
  return (
    <>
      <div className="confidence-chart" aria-hidden="true">
        <Bar
          key={paper}
          data={{
            labels: tally.map((row) => t(`confidences.${row.confidence}`)),
            datasets: [
              {
                label: t('marks.right'),
                data: tally.map((row) => row.right),
                backgroundColor: colour('--driven'),
              },
              {
                label: t('classBook.notRight'),
                data: tally.map((row) => row.answered - row.right),
                backgroundColor: colour('--held-fill'),
                borderColor: colour('--held'),
                borderWidth: 1,
              },
            ],
          }}
          options={{
            animation: reducedMotion() ? false : { duration: 250 },
            maintainAspectRatio: false,
            color: colour('--ink'),
            font,
            scales: {
              x: {
                stacked: true,
                grid: { display: false },
                ticks: { color: colour('--ink'), font },
              },
              y: {
                stacked: true,
                ticks: { precision: 0, color: colour('--ink-2'), font },
                grid: { color: colour('--line') },
              },
            },
            plugins: { legend: { labels: { color: colour('--ink'), font, boxWidth: 14 } } },
          }}
        />
      </div>
      <table className="visually-hidden">
        <caption>{t('classBook.sure')}</caption>
        <tbody>
          {tally.map((row) => (
            <tr key={row.confidence}>
              <th scope="row">{t(`confidences.${row.confidence}`)}</th>
              <td>{t('classBook.rightOf', { right: row.right, answered: row.answered })}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </>
  );
}
