import { Button, Segmented } from 'antd';
import { useTranslation } from 'react-i18next';
import {
  adjustsItself,
  bearingRuns,
  inputRunsDown,
  NOISE_TESTS,
  type Clutch,
  type ClutchState,
} from '../../core/clutch';
import { formatNumber } from '../shared/numbers';
import { useKept } from '../shared/kept';

const SCHOOLS = {
  'by-gear': ['up-neutral', 'down-neutral', 'down-waited', 'down-in-gear'],
  'by-travel': ['up-neutral', 'touch-neutral', 'down-in-gear'],
} as const;
type School = keyof typeof SCHOOLS;

interface Props {
  clutch: Clutch;
  state: ClutchState;
  engineRpm: number;
}

/** Listening: a rough bearing is heard only while its races turn at different speeds. */
export function NoiseTestCard({ clutch, state, engineRpm }: Props) {
  const { t } = useTranslation();
  const [school, setSchool] = useKept<School>('NoiseTestCard school', 'by-gear');
  const [done, setDone] = useKept<readonly string[]>('NoiseTestCard done', []);
  const { stands } = inputRunsDown(clutch, state, 'down', engineRpm);
  const tests = NOISE_TESTS.filter((n) => (SCHOOLS[school] as readonly string[]).includes(n.id));
  return (
    <section className="shop-steps" aria-label={t('clutch.tests.noise')}>
      <Segmented<School>
        size="small"
        aria-label={t('clutch.tests.school')}
        value={school}
        onChange={setSchool}
        options={(Object.keys(SCHOOLS) as School[]).map((s) => ({
          value: s,
          label: t(`clutch.tests.schools.${s}`),
        }))}
      />
      <table className="plain noise-table">
        <thead>
          <tr>
            <th scope="col">{t('clutch.tests.listen')}</th>
            <th scope="col">{t('clutch.tests.heard')}</th>
            {(['release', 'pilot', 'input'] as const).map((b) => (
              <th key={b} scope="col" className="num">
                {t(`clutch.bearings.${b}`)}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {tests.map((test) => {
            const runs = bearingRuns(clutch, state, test, engineRpm);
            const shown = done.includes(test.id);
            return (
              <tr key={test.id}>
                <th scope="row">
                  <Button size="small" onClick={() => setDone([...new Set([...done, test.id])])}>
                    {t(`clutch.noise.${test.id}`)}
                  </Button>
                </th>
                <td>
                  <strong role="status" data-noise={shown && runs.some((r) => r.heard)}>
                    {shown
                      ? t(runs.some((r) => r.heard) ? 'clutch.noise.noisy' : 'clutch.noise.quiet')
                      : ''}
                  </strong>
                </td>
                {runs.map((r) => (
                  <td key={r.bearing} className="num">
                    {shown ? (r.turns ? formatNumber(r.slipRpm, 0) : t('clutch.noise.still')) : ''}
                  </td>
                ))}
              </tr>
            );
          })}
        </tbody>
      </table>
      <p className="quiet">
        {t(`clutch.tests.why.${school}`)}{' '}
        {stands === null
          ? t('clutch.tests.neverStands')
          : t('clutch.tests.standsAfter', { seconds: formatNumber(stands, 1) })}{' '}
        {adjustsItself(clutch) && t('clutch.tests.alwaysRuns')}
      </p>
    </section>
  );
}
