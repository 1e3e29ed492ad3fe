import { Segmented, Spin } from 'antd';
import { useEffect, useMemo, useRef } from 'react';
import { useTranslation } from 'react-i18next';
import { Link, useLocation, useParams, useSearchParams } from 'react-router';
import { engineModel, type Engine } from '../../core/converter';
import type { Unit } from '../../core/geartrain';
import {
  gearsOf,
  planFindings,
  planFaultProblem,
  shiftsByOil,
  type HydraulicPlan,
} from '../../core/hydraulics';
import type { Vehicle } from '../../core/vehicle';
import { askedFrom, chosenFrom } from '../bench/chosenFrom';
import { NoUnit } from '../bench/NoUnit';
import { useAppDispatch, useAppSelector } from '../state/hooks';
import { selectEngines, selectModels, selectUnits, selectVehicles } from '../state/modelsSlice';
import { FindingsList } from '../shared/FindingsList';
import { Sheet } from '../shared/Sheet';
import { useKept } from '../shared/kept';
import { useShortcuts } from '../shared/useShortcuts';
import { MapSheet } from './MapSheet';
import { OilControls } from './OilControls';
import { OilPlanView } from './OilPlanView';
import { UnitChoice } from './UnitChoice';
import { PlanFiles } from './PlanFiles';
import { PressureSheet } from './PressureSheet';
import { ShiftSheet } from './ShiftSheet';
import {
  selectShiftBench,
  shiftBenchChanged,
  WITHOUT_PLAN,
  WITHOUT_UNIT,
  type ShiftBenchState,
} from './shiftSlice';
import { drivingIn, useLevers } from './useLevers';
import { useOil, type Oil } from './useOil';
import { usePlanFor } from './usePlanFor';
import '../bench/SideColumn.css';
import './ShiftBench.css';

/** The Shift bench: lever, pedal and road speed move spools; oil moves pistons; a shift happens over time. */
export function ShiftBench() {
  const { t } = useTranslation();
  const { unitId } = useParams();
  const bench = useAppSelector(selectShiftBench);
  const dispatch = useAppDispatch();
  const units = useAppSelector(selectUnits);
  const engines = useAppSelector(selectEngines);
  const vehicles = useAppSelector(selectVehicles);
  const unit = askedFrom(units, unitId, bench.unitId);
  const [asked] = useSearchParams();
  const planId = asked.get('plan');
  useEffect(() => {
    if (!unit) return;
    const other = unit.id !== bench.unitId;
    if (other || (planId !== null && planId !== bench.planId))
      dispatch(
        shiftBenchChanged({
          ...(other ? WITHOUT_UNIT : WITHOUT_PLAN),
          unitId: unit.id,
          ...(planId === null ? {} : { planId }),
        }),
      );
    // What the address names comes onto the bench once; after that the bench decides.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [unit, planId, dispatch]);
  const engine = chosenFrom(engines, bench.engineId);
  const vehicle = chosenFrom(vehicles, bench.vehicleId);
  const byOil = useMemo(() => unit !== undefined && shiftsByOil(unit, gearsOf(unit)), [unit]);
  return (
    <main className="shift-bench" id="main">
      <h1 className="visually-hidden">{t('nav.shift')}</h1>
      {unit && !byOil ? (
        <ByHand unit={unit} />
      ) : unit && unit.id === bench.unitId ? (
        <Planned unit={unit} engine={engine} vehicle={vehicle} bench={bench} />
      ) : (
        <NoUnit asked={unitId} />
      )}
    </main>
  );
}

/** A unit whose gears no oil brings in has none to show; another can be chosen. */
function ByHand({ unit }: { unit: Unit }) {
  const { t } = useTranslation();
  const { pathname } = useLocation();
  const door = pathname.startsWith('/learn') ? 'learn' : 'teach';
  return (
    <div className="shift-by-hand">
      <UnitChoice unit={unit} />
      <p>
        {t('oil.byHand', { name: unit.name })}{' '}
        <Link to={`/${door}/apply/${unit.id}`}>{t('oil.toApply')}</Link>
      </p>
    </div>
  );
}

interface Props {
  unit: Unit;
  engine: Engine | undefined;
  vehicle: Vehicle | undefined;
  bench: ShiftBenchState;
}

const TABS = ['pressures', 'shift', 'map'] as const;
/** rev/min where there is no engine. */
const IDLE_RPM = 700;
const THROTTLE_STEP = 0.05;
const SPEED_STEP = 50;

/** The bench, once there is a plan: one that was kept, or the one that is made. */
function Planned(props: Props) {
  const { unit, engine, bench } = props;
  const { throttleBy: throttle, shifting, lockUp } = bench;
  const made = usePlanFor(unit, engine, { throttle, shifting, lockUp });
  const plans = useAppSelector(selectModels('fair-sprocket/hydraulics'));
  const base = (bench.planId === null ? undefined : plans.byId[bench.planId]) ?? made.plan;
  if (base) return <Bench {...props} base={base} />;
  return made.failure ? <p role="alert">{made.failure}</p> : <Spin />;
}

function Bench({ unit, engine, vehicle, bench, base }: Props & { base: HydraulicPlan }) {
  const { t } = useTranslation();
  const dispatch = useAppDispatch();
  const sheet = useRef<HTMLDivElement>(null);
  const [tab, setTab] = useKept<(typeof TABS)[number]>('ShiftBench tab', 'pressures');
  const change = (next: Partial<ShiftBenchState>) => void dispatch(shiftBenchChanged(next));
  const plan = bench.plan ?? base;
  const fault = bench.fault && planFaultProblem(plan, bench.fault) === null ? bench.fault : null;
  const levers = useLevers(unit, plan);
  const lever =
    bench.lever !== null && levers.includes(bench.lever) ? bench.lever : drivingIn(unit, levers);
  const idleRpm = engine ? engineModel(engine).idleRpm : IDLE_RPM;
  const { throttle, outputRpm, celsius } = bench;
  const oil = useOil(unit, plan, fault, { lever, throttle, outputRpm, celsius, idleRpm });
  const step = (by: number) => () => {
    const k = levers.indexOf(lever) + by;
    if (levers[k] !== undefined) change({ lever: levers[k] });
  };
  useShortcuts({
    ArrowUp: () => change({ throttle: Math.min(1, throttle + THROTTLE_STEP) }),
    ArrowDown: () => change({ throttle: Math.max(0, throttle - THROTTLE_STEP) }),
    ArrowRight: () => change({ outputRpm: outputRpm + SPEED_STEP }),
    ArrowLeft: () => change({ outputRpm: Math.max(0, outputRpm - SPEED_STEP) }),
    '+': step(1),
    '-': step(-1),
  });
  const shown = { unit, engine, vehicle, bench, plan, base, fault, oil, onBench: change };
  return (
    <>
      <div className="shift-sheet" ref={sheet}>
        <Sheet label={t('oil.sheet')}>
          <OilPlanView
            plan={plan}
            state={oil.state}
            running={oil.running}
            onLever={(next) => change({ lever: next })}
          />
        </Sheet>
      </div>
      <div className="shift-curves" data-tab={tab}>
        <Segmented
          aria-label={t('oil.views.label')}
          value={tab}
          onChange={setTab}
          options={TABS.map((v) => ({ value: v, label: t(`oil.views.${v}`) }))}
        />
        {tab === 'pressures' && <PressureSheet {...shown} idleRpm={idleRpm} />}
        {tab === 'shift' && <ShiftSheet {...shown} />}
        {tab === 'map' && <MapSheet {...shown} idleRpm={idleRpm} />}
      </div>
      <aside className="side-column shift-side" aria-label={t('oil.now')}>
        <OilControls {...shown} levers={levers} lever={lever} idleRpm={idleRpm} />
        <Findings plan={plan} unit={unit} oil={oil} />
        <PlanFiles
          {...shown}
          drawing={() => sheet.current?.querySelector<SVGSVGElement>('.oil-plan') ?? null}
        />
      </aside>
    </>
  );
}

/** What is wrong with the plan, and what it applies that the chart does not. */
function Findings({ plan, unit, oil }: { plan: HydraulicPlan; unit: Unit; oil: Oil }) {
  const { t } = useTranslation();
  const found = useMemo(() => planFindings(plan, unit), [plan, unit]);
  return (
    <FindingsList
      items={[
        ...found.map((f) => t(`oil.findings.${f.kind}`, { about: f.about })),
        ...(oil.state.settled ? [] : [t('oil.swings')]),
      ]}
    />
  );
}
