import { Segmented } from 'antd';
import { useEffect } from 'react';
import { useTranslation } from 'react-i18next';
import { Link, useSearchParams } from 'react-router';
import { clutchFindings, type Clutch, type ClutchState } from '../../core/clutch';
import { engineModel, type Engine } from '../../core/converter';
import type { Unit } from '../../core/geartrain';
import { mostTorque } from '../../core/shift';
import type { Vehicle } from '../../core/vehicle';
import { useAppDispatch, useAppSelector } from '../state/hooks';
import { CautionBox } from '../bench/CautionBox';
import { chosenFrom } from '../bench/chosenFrom';
import { ModelSelect } from '../bench/ModelSelect';
import { selectClutches, selectEngines, selectUnits, selectVehicles } from '../state/modelsSlice';
import { shelfOf } from '../bench/modelPlaces';
import { formatShare } from '../shared/numbers';
import { ClutchControls } from './ClutchControls';
import { ClutchDrawing } from './ClutchDrawing';
import { ClutchFindings } from './ClutchFindings';
import { ClutchKinds } from './ClutchKinds';
import { ClutchReadout } from './ClutchReadout';
import { clutchBenchChanged, selectClutchBench, type ClutchBenchState } from './clutchSlice';
import { DrivePanel } from './DrivePanel';
import { SmallSlider } from '../bench/SmallSlider';
import { ReleaseCurves } from './ReleaseCurves';
import { ShopTestsPanel } from './ShopTestsPanel';
import { useClutchModel } from './useClutchModel';
import { usePedalKeys } from './usePedalKeys';
import { WearCurves } from './WearCurves';
import { useKept } from '../shared/kept';
import '../bench/SideColumn.css';
import '../bench/BenchFrame.css';
import '../bench/BenchControls.css';
import '../bench/Readout.css';
import './ClutchBench.css';

const TABS = ['release', 'wear', 'drive', 'tests'] as const;
const ALL = { wear: true, adjust: true, fault: true } as const;

/** The Clutch bench: pull the pedal, wear the disc, drive off, and test it as in the shop. */
export function ClutchBench() {
  const { t } = useTranslation();
  const bench = useAppSelector(selectClutchBench);
  const clutch = chosenFrom(useAppSelector(selectClutches), bench.clutchId);
  useAskedFor();
  return (
    <main className="bench-frame clutch-bench" id="main">
      <h1 className="visually-hidden">{t('nav.clutch')}</h1>
      {clutch ? (
        <Bench clutch={clutch} bench={bench} />
      ) : (
        <p className="library-empty">
          {t('clutch.empty')} <Link to={shelfOf('fair-sprocket/clutch')}>{t('nav.models')}</Link>
        </p>
      )}
    </main>
  );
}

/** The address may name what is to stand on the bench. */
function useAskedFor(): void {
  const [asked] = useSearchParams();
  const dispatch = useAppDispatch();
  useEffect(() => {
    const clutchId = asked.get('clutch');
    if (clutchId) dispatch(clutchBenchChanged({ clutchId }));
  }, [asked, dispatch]);
}

function Bench({ clutch, bench }: { clutch: Clutch; bench: ClutchBenchState }) {
  const { t } = useTranslation();
  const dispatch = useAppDispatch();
  const [tab, setTab] = useKept<(typeof TABS)[number]>('ClutchBench tab', 'release');
  const change = (next: Partial<ClutchBenchState>) => dispatch(clutchBenchChanged(next));
  const engine = chosenFrom(useAppSelector(selectEngines), bench.engineId) ?? null;
  const vehicle = chosenFrom(useAppSelector(selectVehicles), bench.vehicleId) ?? null;
  const units = useAppSelector(selectUnits);
  const unit = chosenFrom(units, bench.unitId ?? MANUAL) ?? null;
  const model = useClutchModel(clutch, bench, bench.pedal);
  usePedalKeys(bench.pedal, (pedal) => change({ pedal }));
  const asked = engine ? mostTorque(engineModel(engine), bench.throttle) : null;
  const findings = clutchFindings(clutch, asked ?? 0);
  const rig =
    model && engine && vehicle && unit
      ? { clutch, state: model.state, engine, unit, vehicle }
      : null;
  const driving = { rig, bench, onBench: change };
  return (
    <>
      <div className="bench-sheet">
        {model ? (
          <ClutchDrawing clutch={clutch} model={model} onPedal={(pedal) => change({ pedal })} />
        ) : (
          <p className="library-empty">{t('clutch.notDrawn')}</p>
        )}
      </div>
      <section className="bench-curves" data-tab={tab} aria-label={t('clutch.panels')}>
        <Segmented
          aria-label={t('clutch.panels')}
          value={tab}
          onChange={setTab}
          options={TABS.map((c) => ({ value: c, label: t(`clutch.tabs.${c}`) }))}
        />
        {model && tab === 'release' && <ReleaseCurves title={clutch.name} model={model} />}
        {model && tab === 'wear' && (
          <WearPanel
            clutch={clutch}
            state={model.state}
            machine={{ engine, unit, vehicle }}
            bench={bench}
            onBench={change}
          />
        )}
        {tab === 'drive' && <DrivePanel {...driving} />}
        {tab === 'tests' && <ShopTestsPanel {...driving} />}
      </section>
      <aside className="side-column bench-side" aria-label={t('clutch.controls')}>
        <ClutchKinds />
        <Pickers clutch={clutch} machine={{ engine, unit, vehicle }} onBench={change} />
        <ClutchFindings findings={findings} />
        {model && <ClutchReadout clutch={clutch} model={model} asked={asked} />}
        <ClutchControls clutch={clutch} setting={bench} allow={ALL} onSetting={change} />
        {/* The tests bring a caution of their own. */}
        {tab !== 'tests' && (
          <CautionBox block={{ id: 'dust', kind: 'caution', topic: 'dust', markdown: '' }} />
        )}
      </aside>
    </>
  );
}

/** What stands round the clutch; `null` where the library has none. */
interface Machine {
  readonly engine: Engine | null;
  readonly unit: Unit | null;
  readonly vehicle: Vehicle | null;
}

interface MachineProps {
  readonly clutch: Clutch;
  readonly machine: Machine;
  readonly onBench: (change: Partial<ClutchBenchState>) => void;
}

interface WearProps extends MachineProps {
  readonly state: ClutchState;
  readonly bench: ClutchBenchState;
}

/** What the clutch holds as its facings wear, beside what foot and hill ask of it. */
function WearPanel({ clutch, state, machine, bench, onBench }: WearProps) {
  const { t } = useTranslation();
  return (
    <>
      <div className="bench-row">
        <SmallSlider
          label={t('converter.throttle')}
          text={formatShare(bench.throttle)}
          value={bench.throttle}
          from={0.1}
          to={1}
          step={0.05}
          onValue={(throttle) => onBench({ throttle })}
        />
        <SmallSlider
          label={t('launch.grade')}
          text={formatShare(bench.grade)}
          value={bench.grade}
          from={0}
          to={0.3}
          step={0.01}
          onValue={(grade) => onBench({ grade })}
        />
      </div>
      <WearCurves
        clutch={clutch}
        state={state}
        wear={state.wear}
        {...machine}
        throttle={bench.throttle}
        grade={bench.grade}
      />
    </>
  );
}

function Pickers({ clutch, machine, onBench }: MachineProps) {
  return (
    <div className="bench-pick">
      <ModelSelect
        kind="fair-sprocket/clutch"
        value={clutch.id}
        onValue={(clutchId) =>
          onBench({ clutchId, forkRod: 0, turnbuckle: 0, wear: 0, fault: null })
        }
      />
      <ModelSelect
        kind="fair-sprocket/engine"
        value={machine.engine?.id}
        onValue={(engineId) => onBench({ engineId })}
      />
      <ModelSelect
        kind="fair-sprocket/unit"
        value={machine.unit?.id}
        onValue={(unitId) => onBench({ unitId, rangeId: null })}
      />
      <ModelSelect
        kind="fair-sprocket/vehicle"
        value={machine.vehicle?.id}
        onValue={(vehicleId) => onBench({ vehicleId })}
      />
    </div>
  );
}

/** The unit that stands behind a clutch when none has been chosen, where it is in the library. */
const MANUAL = 'winch-manual';
