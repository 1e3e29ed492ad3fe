import { Button, Select } from 'antd';
import { useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import { Link } from 'react-router';
import {
  chartReason,
  faultKey,
  lookAlikes,
  symptomTable,
  type DriveSymptom,
  type SymptomRow,
} from '../../core/faults';
import { figuresCsv } from '../../core/formats';
import { unitFindings, type Unit } from '../../core/geartrain';
import { useAppDispatch, useAppSelector } from '../app/hooks';
import { download, fileName } from '../files/download';
import { chosenFrom } from '../models/chosenFrom';
import { ModelSelect } from '../models/ModelSelect';
import { shelfOf } from '../models/modelPlaces';
import { selectUnits } from '../models/modelsSlice';
import { DownloadOutlined } from '../shared/icons';
import { gearName } from '../shared/unitNames';
import { atlasChanged, selectAtlas, type AtlasState } from './atlasSlice';
import { AtlasTable } from './AtlasTable';
import { cellText, faultText } from './faultWords';
import { FaultDetail } from './FaultDetail';
import { PlanPanel } from './PlanPanel';
import './Atlas.css';

const SEEN: readonly DriveSymptom[] = [
  'right',
  'neutral',
  'wrong-ratio',
  'binds',
  'moves',
  'wrong-way',
];

/** The symptom atlas: every single fault of a unit, by range, on drive and on coast; what looks alike, and what splits it. */
export function AtlasScreen() {
  const { t } = useTranslation();
  const state = useAppSelector(selectAtlas);
  const unit = chosenFrom(useAppSelector(selectUnits), state.unitId);
  return (
    <main className="atlas" id="main">
      <h1 className="visually-hidden">{t('nav.atlas')}</h1>
      {unit ? (
        <Atlas unit={unit} state={state} />
      ) : (
        <p className="library-empty">
          {t('atlas.empty')} <Link to={shelfOf('fair-sprocket/unit')}>{t('nav.models')}</Link>
        </p>
      )}
    </main>
  );
}

function Atlas({ unit, state }: { unit: Unit; state: AtlasState }) {
  const { t } = useTranslation();
  const dispatch = useAppDispatch();
  const change = (next: Partial<AtlasState>) => dispatch(atlasChanged(next));
  const sound = useMemo(() => unitFindings(unit).every((f) => f.weight !== 'wrong'), [unit]);
  const table = useMemo(() => (sound ? symptomTable(unit) : null), [unit, sound]);
  const groups = useMemo(() => (table ? lookAlikes(table) : []), [table]);
  if (!table) return <p className="library-empty">{t('atlas.broken')}</p>;
  const shows = (row: SymptomRow) =>
    row.cells.every((c) => state.seen[c.range] === undefined || state.seen[c.range] === c.drive);
  const shown = groups.map((g) => g.filter(shows)).filter((g) => g.length > 0);
  const rows = shown.flat();
  const chosen = table.rows.find((r) => faultKey(r.faults) === state.chosen) ?? null;
  const csv = () =>
    download(
      fileName(`${unit.name} ${t('nav.atlas')}`, 'csv'),
      figuresCsv(
        [t('atlas.fault'), ...unit.ranges.map(gearName)],
        rows.map((row) => [
          faultText(t, unit, row.faults),
          ...row.cells.map((c) => cellText(t, c)),
        ]),
      ),
      'text/csv',
    );
  return (
    <>
      <section className="atlas-main" aria-label={unit.name}>
        <div className="atlas-head">
          <h2>{unit.name}</h2>
          <span className="quiet" role="status">
            {t('atlas.shown', { count: rows.length, all: table.rows.length })}
          </span>
          <span className="row atlas-tools">
            <Button onClick={() => window.print()}>{t('atlas.print')}</Button>
            <Button icon={<DownloadOutlined />} onClick={csv}>
              CSV
            </Button>
          </span>
        </div>
        <AtlasTable
          unit={unit}
          groups={shown}
          chosen={state.chosen}
          onChosen={(key) => change({ chosen: key })}
        />
      </section>
      <aside className="atlas-side" aria-label={t('atlas.controls')}>
        <ModelSelect
          kind="fair-sprocket/unit"
          value={unit.id}
          onValue={(unitId) => change({ unitId, seen: {}, chosen: null })}
        />
        <strong>{t('atlas.seen')}</strong>
        <div className="atlas-seen">
          {unit.ranges.map((range) => (
            <label key={range.id} className="row">
              <span className="atlas-gear">{gearName(range)}</span>
              <Select<DriveSymptom | 'any'>
                aria-label={t('atlas.seenIn', { range: gearName(range) })}
                value={state.seen[range.id] ?? 'any'}
                onChange={(v) => {
                  const seen = { ...state.seen };
                  if (v === 'any') delete seen[range.id];
                  else seen[range.id] = v;
                  change({ seen });
                }}
                options={[
                  { value: 'any', label: t('atlas.notDriven') },
                  ...SEEN.map((s) => ({ value: s, label: t(`atlas.seenAs.${s}`) })),
                ]}
              />
            </label>
          ))}
        </div>
        <Button
          disabled={Object.keys(state.seen).length === 0}
          onClick={() => change({ seen: {} })}
        >
          {t('atlas.forget')}
        </Button>
        <Reason unit={unit} seen={state.seen} none={rows.length === 0} />
        {chosen && <FaultDetail unit={unit} table={table} chosen={chosen} />}
        <PlanPanel unit={unit} rows={rows} />
      </aside>
    </>
  );
}

interface ReasonProps {
  unit: Unit;
  seen: Readonly<Record<string, DriveSymptom>>;
  none: boolean;
}

/** What the bad ranges have in common and no good one has: the expert's reasoning on the chart. */
function Reason({ unit, seen, none }: ReasonProps) {
  const { t } = useTranslation();
  const bad = Object.keys(seen).filter((r) => seen[r] !== 'right');
  const good = Object.keys(seen).filter((r) => seen[r] === 'right');
  const { inAllBad, cleared, left } = useMemo(
    () => chartReason(unit, bad, good),
    // eslint-disable-next-line react-hooks/exhaustive-deps -- bad and good follow from seen
    [unit, seen],
  );
  if (bad.length === 0) return null;
  const list = (ids: readonly string[]) => (ids.length > 0 ? ids.join(', ') : t('atlas.nothing'));
  return (
    <div className="atlas-reason" aria-live="polite">
      <p>
        {t('atlas.inAllBad')} <strong>{list(inAllBad)}</strong>
      </p>
      {cleared.length > 0 && (
        <p>
          {t('atlas.cleared')} <strong>{list(cleared)}</strong>
        </p>
      )}
      <p>
        {t('atlas.left')} <strong>{list(left)}</strong>
      </p>
      {none && <p role="alert">{t('atlas.noneFits')}</p>}
    </div>
  );
}
