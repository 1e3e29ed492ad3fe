import { Button, Segmented, Select } from 'antd';
import { useDeferredValue, useEffect, useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import { useLocation, useNavigate, useParams } from 'react-router';
import {
  faultySolution,
  rigOfUnit,
  UNIT_FAULT_KINDS,
  withFaults,
  type CaseFault,
  type Fault,
} from '../../core/faults';
import { memberRoles, solveUnit, type Range, type Solution, type Unit } from '../../core/geartrain';
import { useAppDispatch, useAppSelector } from '../state/hooks';
import { useKeep } from '../state/useKeep';
import { askedFrom } from '../bench/chosenFrom';
import { NoUnit } from '../bench/NoUnit';
import { FaultPicker } from '../faults/FaultPicker';
import { useTurning } from '../bench/useTurning';
import { BreakIt } from '../shared/BreakIt';
import { LinkButton } from '../shared/LinkButton';
import { useAfterwards } from '../shared/useAfterwards';
import { useLatest } from '../shared/useLatest';
import { useShortcuts } from '../shared/useShortcuts';
import { selectUnits } from '../state/modelsSlice';
import { ApplyChart } from './ApplyChart';
import {
  cellToggled,
  chartChanged,
  faultChosen,
  loadChosen,
  rangeChosen,
  sameElements,
  selectApply,
  unitOpened,
  viewChosen,
} from './applySlice';
import { LoadSwitch } from './LoadSwitch';
import { Outcome } from './Outcome';
import { ElsePanel } from './panels/ElsePanel';
import { NowPanel } from './panels/NowPanel';
import { PowerPanel } from './panels/PowerPanel';
import { WhyPanel } from './panels/WhyPanel';
import { leverState } from './leverState';
import { pressed } from './pressed';
import { Selector } from './Selector';
import { UnitSheet } from './UnitSheet';
import { isLarge } from '../workers/unitWorker';
import { useKept } from '../shared/kept';
import '../bench/SideColumn.css';
import './ApplyBench.css';

/** Speed of the input while the bench turns. */
const BENCH_RPM = 1200;

/** The Apply bench: a whole unit, what is on, what comes out, where the torque goes. */
export function ApplyBench() {
  const { t } = useTranslation();
  const { unitId } = useParams();
  const { pathname } = useLocation();
  const navigate = useNavigate();
  const dispatch = useAppDispatch();
  const units = useAppSelector(selectUnits);
  const apply = useAppSelector(selectApply);
  const unit = askedFrom(units, unitId, apply.unitId);

  useEffect(() => {
    if (!unit || apply.unitId === unit.id) return;
    const forward = (range: Range) => {
      const { ratio } = solveUnit(unit, range.apply);
      return ratio !== null && ratio.num > 0n;
    };
    // A large unit is not solved range by range before it is seen.
    const first = isLarge(unit) ? unit.ranges[0] : unit.ranges.find(forward);
    dispatch(unitOpened({ unitId: unit.id, applied: first?.apply ?? [] }));
  }, [unit, apply.unitId, dispatch]);

  // A large unit is first drawn in slices; from there on a press shows at once.
  const begun = useDeferredValue(apply.unitId);

  if (!unit)
    return (
      <main className="page" id="main">
        <h1>{t('nav.apply')}</h1>
        <NoUnit asked={unitId} />
      </main>
    );
  const door = pathname.startsWith('/learn') ? 'learn' : 'teach';
  return (
    <main className="apply-bench" id="main">
      <h1 className="visually-hidden">{t('nav.apply')}</h1>
      {apply.unitId === unit.id && begun === unit.id && (
        <Bench
          unit={unit}
          door={door}
          units={units.ids.map((id) => ({ value: id, label: units.byId[id]?.name ?? id }))}
          onUnit={(id) => void navigate(`/${door}/apply/${id}`)}
        />
      )}
    </main>
  );
}

interface Props {
  unit: Unit;
  door: 'teach' | 'learn';
  units: { value: string; label: string }[];
  onUnit: (id: string) => void;
}

function Bench({ unit, door, units, onUnit }: Props) {
  const { t } = useTranslation();
  const dispatch = useAppDispatch();
  const apply = useAppSelector(selectApply);
  const { load, chart, view } = apply;
  const ranges = chart ?? unit.ranges;
  const applied = useKnownElements(unit, apply.applied);
  const fault = useFittingFault(unit, apply.fault);
  const rig = useMemo(() => rigOfUnit(unit), [unit]);
  const solution = useMemo(
    () => faultySolution(unit, applied, load, fault ? [fault] : []),
    [unit, applied, load, fault],
  );
  const turning = useTurning(BENCH_RPM, true);
  const onApplied = (ids: string[]) => void dispatch(rangeChosen(ids));
  const choose = (range: Range | undefined) => range && dispatch(rangeChosen(range.apply));
  const { up, down } = leverState(ranges, applied);
  useShortcuts({
    ' ': turning.toggle,
    c: () => dispatch(loadChosen(load === 'drive' ? 'coast' : 'drive')),
    '+': () => choose(up),
    '-': () => choose(down),
    ...Object.fromEntries(
      ranges.slice(0, 9).map((range, k) => [String(k + 1), () => choose(range)]),
    ),
  });
  // The chart follows in slices: a press is answered before a large one is drawn anew.
  const latest = useLatest({ ranges, applied });
  const chartNow = useMemo((): Parameters<typeof ApplyChart>[0] => {
    const onRange = (range: Range) => void dispatch(rangeChosen(range.apply));
    return {
      unit,
      ranges,
      isCurrent: (range) => sameElements(range.apply, applied),
      onRange,
      onCell(range, element) {
        const now = latest.current;
        const next = cellToggled(now.ranges, range.id, element.id);
        dispatch(chartChanged({ chart: next }));
        const had = now.ranges.find((r) => r.id === range.id);
        const changed = next.find((r) => r.id === range.id);
        // The row on the bench stays on the bench.
        if (had && changed && sameElements(had.apply, now.applied)) onRange(changed);
      },
    };
  }, [unit, ranges, applied, latest, dispatch]);
  const shownChart = useDeferredValue(chartNow);
  return (
    <>
      <div className="apply-sheet">
        <UnitSheet
          unit={unit}
          solution={solution}
          turning={turning}
          view={view}
          onView={(next) => dispatch(viewChosen(next))}
          onElement={(id) => onApplied(pressed(unit, applied, id))}
          applied={applied}
          onApplied={onApplied}
        />
      </div>
      <div
        className="apply-chart-scroll more-beside"
        tabIndex={0}
        role="region"
        aria-label={t('apply.chart')}
      >
        {chart && <ChangedChart unit={unit} chart={chart} />}
        <ApplyChart {...shownChart} />
      </div>
      <aside className="side-column apply-side" aria-label={t('apply.now')}>
        <div className="row">
          <Select
            aria-label={t('apply.unit')}
            value={unit.id}
            onChange={onUnit}
            options={units}
            style={{ flex: 1, minWidth: 0 }}
          />
          <LoadSwitch load={load} onLoad={(next) => dispatch(loadChosen(next))} />
        </div>
        <Selector ranges={ranges} applied={applied} onRange={choose} />
        <BreakIt broken={fault !== null}>
          <FaultPicker
            rig={rig}
            kinds={UNIT_FAULT_KINDS}
            sound
            label={t('breakIt.label')}
            value={fault}
            onValue={(next) => dispatch(faultChosen(next))}
          />
          {fault && <p className="quiet">{t('breakIt.chartSound')}</p>}
        </BreakIt>
        <Outcome solution={solution} />
        <Panels unit={unit} solution={solution} />
        <div className="row">
          <LinkButton to={`/${door}/strip-down/${unit.id}`}>{t('stripDown.open')}</LinkButton>
          {door === 'teach' && (
            <LinkButton to={`/teach/models/units/${unit.id}`}>{t('apply.editUnit')}</LinkButton>
          )}
        </div>
      </aside>
    </>
  );
}

/** Applied elements that the unit still has: it may have been edited since. */
function useKnownElements(unit: Unit, ids: readonly string[]): string[] {
  return useMemo(
    () => ids.filter((id) => unit.elements.some((e) => e.id === id && e.kind !== 'one-way')),
    [unit, ids],
  );
}

/** What is broken, as far as the unit has it: it may have been edited since. */
function useFittingFault(unit: Unit, fault: CaseFault | null): Fault | null {
  return useMemo(
    () => (fault && withFaults(unit, [fault]).ok ? { ...fault } : null),
    [unit, fault],
  );
}

const PANELS = ['now', 'why', 'power', 'else'] as const;

function Panels({ unit, solution }: { unit: Unit; solution: Solution }) {
  const { t } = useTranslation();
  const dispatch = useAppDispatch();
  const { applied, load } = useAppSelector(selectApply);
  const [panel, setPanel] = useKept<(typeof PANELS)[number]>('ApplyBench panel', 'now');
  const open = useAfterwards(isLarge(unit)) && panel;
  const roles = useMemo(() => memberRoles(unit, solution), [unit, solution]);
  return (
    <>
      <Segmented
        block
        aria-label={t('apply.panel')}
        value={panel}
        onChange={setPanel}
        options={PANELS.map((p) => ({ value: p, label: t(`apply.panels.${p}`) }))}
      />
      {open === 'now' && <NowPanel unit={unit} solution={solution} roles={roles} />}
      {open === 'why' && <WhyPanel unit={unit} solution={solution} />}
      {open === 'power' && (
        <PowerPanel unit={unit} solution={solution} applied={applied} load={load} />
      )}
      {open === 'else' && (
        <ElsePanel unit={unit} applied={applied} onApply={(ids) => dispatch(rangeChosen(ids))} />
      )}
    </>
  );
}

/** The chart was changed on the bench: keep it in the unit, or put it back. */
function ChangedChart({ unit, chart }: { unit: Unit; chart: Range[] }) {
  const { t } = useTranslation();
  const dispatch = useAppDispatch();
  const keep = useKeep();
  const back = () => dispatch(chartChanged({ chart: null }));
  return (
    <div className="row apply-changed" role="status">
      <span>{t('apply.chartChanged')}</span>
      <Button size="small" onClick={back}>
        {t('apply.putBack')}
      </Button>
      <Button
        size="small"
        type="primary"
        onClick={() =>
          void keep.model({ ...unit, ranges: chart }, unit).then((kept) => kept && back())
        }
      >
        {t('apply.keepChart')}
      </Button>
    </div>
  );
}
