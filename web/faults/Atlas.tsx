import { Button, Progress } from 'antd';
import { useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import {
  chartReason,
  faultKey,
  lookAlikes,
  signatureOf,
  sortedBySplit,
  type Candidate,
  type DriveSymptom,
  type SymptomRow,
} from '../../core/faults';
import { figuresCsv } from '../../core/formats';
import { unitFindings, type Unit } from '../../core/geartrain';
import { useAppDispatch } from '../state/hooks';
import { download, fileName } from '../shared/download';
import { ModelSelect } from '../bench/ModelSelect';
import { DownloadOutlined } from '../shared/icons';
import { gearName } from '../shared/unitNames';
import { useSettledRun } from '../workers/useSettledRun';
import { atlasOf } from '../workers/faultWorker';
import type { AtlasTable as AtlasTableOf } from '../workers/protocol';
import { atlasChanged, type AtlasState } from './atlasSlice';
import { AtlasTable } from './AtlasTable';
import { FaultDetail } from './FaultDetail';
import { FaultPlaces } from './FaultPlaces';
import { cellText, faultText } from './faultWords';
import { PlanPanel } from './PlanPanel';
import { PriorsTable } from './PriorsTable';
import { SeenInRanges } from './SeenInRanges';
import { usePairs } from './usePairs';
import '../bench/SideColumn.css';

/** Pairs shown at most: past this, more ought to be seen first. */
const MOST_PAIRS = 150;

export function Atlas({ unit, state }: { unit: Unit; state: AtlasState }) {
  const { t } = useTranslation();
  const dispatch = useAppDispatch();
  const change = (next: Partial<AtlasState>) => dispatch(atlasChanged(next));
  const sound = useMemo(() => unitFindings(unit).every((f) => f.weight !== 'wrong'), [unit]);
  const { result: own, failure } = useSettledRun(sound ? unit : null, atlasOf);
  const pairs = usePairs(unit);
  const fits = (row: Pick<SymptomRow, 'cells'>) =>
    row.cells.every((c) => state.seen[c.range] === undefined || state.seen[c.range] === c.drive);
  const singles = useMemo(
    () => (own ? silentLast(sortedBySplit(lookAlikes(own.rows)), own) : []),
    [own],
  );
  const shown = singles.map((g) => g.filter(fits)).filter((g) => g.length > 0);
  const rows = shown.flat();
  const pairRows = (pairs.rows ?? []).filter(fits).slice(0, MOST_PAIRS);
  const chosen = rows.find((r) => faultKey(r.faults) === state.chosen) ?? null;
  const csv = () =>
    download(
      fileName(`${unit.name} ${t('nav.atlas')}`, 'csv'),
      figuresCsv(
        [t('atlas.fault'), ...unit.ranges.map(gearName)],
        [...rows, ...pairRows].map((row) => [
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
            {own
              ? t('atlas.shown', { count: rows.length, all: own.rows.length })
              : failure || t(sound ? 'atlas.working' : 'atlas.broken')}
          </span>
          <span className="row atlas-tools">
            <Button onClick={() => window.print()}>{t('atlas.print')}</Button>
            <Button icon={<DownloadOutlined />} onClick={csv} disabled={!own}>
              CSV
            </Button>
          </span>
        </div>
        {own && (
          <AtlasTable
            unit={unit}
            groups={pairRows.length > 0 ? [...shown, ...lookAlikes(pairRows)] : shown}
            chosen={state.chosen}
            onChosen={(key) => change({ chosen: key })}
          />
        )}
      </section>
      <aside className="side-column atlas-side" aria-label={t('atlas.controls')}>
        <FaultPlaces />
        <ModelSelect
          kind="fair-sprocket/unit"
          value={unit.id}
          onValue={(unitId) => change({ unitId, seen: {}, chosen: null })}
        />
        <SeenInRanges unit={unit} seen={state.seen} onSeen={(seen) => change({ seen })} />
        <PairTools
          pairs={pairs}
          fitting={(pairs.rows ?? []).filter(fits).length}
          ready={own !== null}
          onForget={Object.keys(state.seen).length === 0 ? null : () => change({ seen: {} })}
        />
        <Reason unit={unit} seen={state.seen} none={own !== null && rows.length === 0} />
        {own && chosen && <FaultDetail unit={unit} table={own} chosen={chosen} />}
        {own && <PlanPanel unit={unit} checks={own.checks} rows={rows} priors={state.priors} />}
        {own && (
          <PriorsTable
            kinds={[...new Set(own.rows.flatMap((r) => r.faults.map((f) => f.kind)))]}
            priors={state.priors}
            onPriors={(priors) => change({ priors })}
          />
        )}
      </aside>
    </>
  );
}

interface PairProps {
  pairs: ReturnType<typeof usePairs>;
  /** How many of them fit what was seen. */
  fitting: number;
  ready: boolean;
  /** `null` where nothing was seen. */
  onForget: (() => void) | null;
}

/** What was seen is forgotten, and pairs of faults are asked for. */
function PairTools({ pairs, fitting, ready, onForget }: PairProps) {
  const { t } = useTranslation();
  return (
    <>
      <div className="row">
        <Button disabled={onForget === null} onClick={() => onForget?.()}>
          {t('atlas.forget')}
        </Button>
        {pairs.progress ? (
          <Button onClick={pairs.cancel}>{t('app.cancel')}</Button>
        ) : (
          <Button onClick={pairs.start} disabled={!ready || pairs.rows !== null}>
            {t('atlas.pairs')}
          </Button>
        )}
      </div>
      {pairs.progress && (
        <Progress
          aria-label={t('atlas.pairs')}
          percent={Math.round((100 * pairs.progress.done) / Math.max(1, pairs.progress.of))}
        />
      )}
      {pairs.rows && (
        <p role="status">
          {t('atlas.pairsFit', {
            count: fitting,
            all: pairs.rows.length,
          })}
        </p>
      )}
    </>
  );
}

/** Faults that show nothing on the road stand at the end. */
function silentLast(
  groups: readonly (readonly Candidate[])[],
  { sound }: AtlasTableOf,
): (readonly Candidate[])[] {
  const silent = (group: readonly Candidate[]) => signatureOf(group[0]!) === signatureOf(sound);
  return [...groups.filter((g) => !silent(g)), ...groups.filter(silent)];
}

interface ReasonProps {
  unit: Unit;
  seen: Readonly<Record<string, DriveSymptom>>;
  none: boolean;
}

/** What the bad ranges have in common and no good one has: the expert's reasoning on the chart. */
function Reason({ unit, seen, none }: ReasonProps) {
  const { t } = useTranslation();
  const { bad, inAllBad, cleared, left, alwaysOn } = useMemo(
    () => chartReason(unit, new Map(Object.entries(seen))),
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
      {alwaysOn.length > 0 && (
        <p>
          {t('atlas.alwaysOn')} <strong>{list(alwaysOn)}</strong>
        </p>
      )}
      {none && <p role="alert">{t('atlas.noneFits')}</p>}
    </div>
  );
}
