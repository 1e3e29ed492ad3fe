import { Segmented } from 'antd';
import { useEffect, useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import { Link, useSearchParams } from 'react-router';
import {
  labours,
  pairFindings,
  stallRpm,
  type Converter,
  type Engine,
  type PairFinding,
} from '../../core/converter';
import type { Vehicle } from '../../core/vehicle';
import { useAppDispatch, useAppSelector } from '../state/hooks';
import { CautionBox } from '../bench/CautionBox';
import { chosenFrom } from '../bench/chosenFrom';
import { ModelSelect } from '../bench/ModelSelect';
import { selectConverters, selectEngines, selectVehicles } from '../state/modelsSlice';
import { shelfOf } from '../bench/modelPlaces';
import { FindingsList } from '../shared/FindingsList';
import { formatNumber, useNumbers } from '../shared/numbers';
import { useShortcuts } from '../shared/useShortcuts';
import { BenchControls } from './BenchControls';
import { releasedRpm } from './releasedRpm';
import { ConverterCurves } from './ConverterCurves';
import { ConverterDrawing } from './ConverterDrawing';
import { drawnMode } from './wheelRoles';
import {
  converterBenchChanged,
  selectConverterBench,
  type ConverterBenchState,
} from './converterSlice';
import { LaunchPanel } from './LaunchPanel';
import { MatchCurves } from './MatchCurves';
import { PullCurves } from './PullCurves';
import { Readout } from './Readout';
import { StallTestPanel } from './StallTestPanel';
import { useConverterModel } from './useConverterModel';
import { useKept } from '../shared/kept';
import '../bench/SideColumn.css';
import '../bench/BenchFrame.css';
import './ConverterBench.css';

/** The Converter bench: hold the turbine, raise the throttle, see what multiplies and what becomes heat. */
export function ConverterBench() {
  const { t } = useTranslation();
  const bench = useAppSelector(selectConverterBench);
  useAskedFor();
  const converters = useAppSelector(selectConverters);
  const engines = useAppSelector(selectEngines);
  const vehicles = useAppSelector(selectVehicles);
  const converter = chosenFrom(converters, bench.converterId);
  const engine = chosenFrom(engines, bench.engineId);
  const vehicle = chosenFrom(vehicles, bench.vehicleId) ?? null;
  return (
    <main className="bench-frame" id="main">
      <h1 className="visually-hidden">{t('nav.converter')}</h1>
      {converter && engine ? (
        <Bench converter={converter} engine={engine} vehicle={vehicle} bench={bench} />
      ) : (
        <p className="library-empty">
          {t('converter.empty')}{' '}
          <Link to={shelfOf(converter ? 'fair-sprocket/engine' : 'fair-sprocket/converter')}>
            {t('nav.models')}
          </Link>
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
    const change: Partial<ConverterBenchState> = {};
    const [converter, engine, vehicle] = ['converter', 'engine', 'vehicle'].map((k) =>
      asked.get(k),
    );
    if (converter) change.converterId = converter;
    if (engine) change.engineId = engine;
    if (vehicle) change.vehicleId = vehicle;
    if (Object.keys(change).length > 0) dispatch(converterBenchChanged(change));
  }, [asked, dispatch]);
}

interface Props {
  converter: Converter;
  engine: Engine;
  vehicle: Vehicle | null;
  bench: ConverterBenchState;
}

const TABS = ['converter', 'engine', 'pull', 'launch', 'stall'] as const;
/** The stall test sets throttle and fault itself: beside it stands a sound converter whose turbine the brakes hold. */
const ON_TEST = { throttle: 0, turbineRpm: 0, lockUp: false } as const;
const ALL = { throttle: true, turbine: true, lockUp: true, fault: true } as const;

function Bench({ converter, engine, vehicle, bench }: Props) {
  const { t } = useTranslation();
  const dispatch = useAppDispatch();
  const [tab, setTab] = useKept<(typeof TABS)[number]>('ConverterBench tab', 'converter');
  const change = (next: Partial<ConverterBenchState>) => dispatch(converterBenchChanged(next));
  const onTest = tab === 'stall';
  const setting = onTest
    ? ON_TEST
    : { ...bench, turbineRpm: Math.min(bench.turbineRpm, engine.governedRpm) };
  const { fault, model, characteristic, match } = useConverterModel(
    converter,
    engine,
    setting,
    onTest ? null : bench.fault,
  );
  const held = setting.turbineRpm === 0;
  useShortcuts(
    onTest
      ? {}
      : {
          b: () => change({ turbineRpm: held ? releasedRpm(engine) : 0 }),
          l: () => change({ lockUp: !bench.lockUp }),
          ArrowUp: () => change({ throttle: Math.min(1, bench.throttle + 0.05) }),
          ArrowDown: () => change({ throttle: Math.max(0, bench.throttle - 0.05) }),
        },
  );
  const lasting = { converter, engine, vehicle, bench, fault, onBench: change };
  return (
    <>
      <div className="bench-sheet">
        <ConverterDrawing converter={converter} point={match.point} mode={drawnMode(match)} keys />
      </div>
      <section className="bench-curves" data-tab={tab} aria-label={t('converter.curves')}>
        <Segmented
          aria-label={t('converter.curves')}
          value={tab}
          onChange={setTab}
          options={TABS.map((c) => ({ value: c, label: t(`converter.curveSets.${c}`) }))}
        />
        {tab === 'converter' && (
          <ConverterCurves
            converter={converter}
            characteristic={characteristic}
            point={match.point}
          />
        )}
        {tab === 'engine' && (
          <MatchCurves
            title={`${engine.name}, ${converter.name}`}
            engine={model}
            throttle={bench.throttle}
            characteristic={characteristic}
            match={match}
          />
        )}
        {tab === 'pull' && (
          <PullCurves {...lasting} engineModel={model} characteristic={characteristic} />
        )}
        {tab === 'launch' && <LaunchPanel {...lasting} />}
        {tab === 'stall' && (
          <StallTestPanel
            key={`${converter.id} ${engine.id} ${vehicle?.id}`}
            converter={converter}
            engine={engine}
            vehicle={vehicle}
          />
        )}
      </section>
      <aside className="side-column bench-side" aria-label={t('converter.controls')}>
        <Pickers converter={converter} engine={engine} vehicle={vehicle} onBench={change} />
        <PairNotice findings={pairFindings(engine, converter)} />
        {onTest ? (
          <p className="quiet">{t('stall.beside')}</p>
        ) : (
          <>
            <Readout match={match} />
            {labours(model, match) && <FindingsList items={[t('converter.labours')]} />}
            <BenchControls
              converter={converter}
              engine={engine}
              setting={setting}
              fault={fault}
              allow={ALL}
              onSetting={change}
              onFault={(next) => change({ fault: next })}
            />
            <Facts {...{ model, characteristic }} />
          </>
        )}
        {held && (
          <CautionBox block={{ id: 'stall', kind: 'caution', topic: 'stall-test', markdown: '' }} />
        )}
      </aside>
    </>
  );
}

interface PickProps extends Omit<Props, 'bench'> {
  onBench: (change: Partial<ConverterBenchState>) => void;
}

function Pickers({ converter, engine, vehicle, onBench }: PickProps) {
  return (
    <div className="bench-pick">
      <ModelSelect
        kind="fair-sprocket/converter"
        value={converter.id}
        onValue={(converterId) => onBench({ converterId })}
      />
      <ModelSelect
        kind="fair-sprocket/engine"
        value={engine.id}
        onValue={(engineId) => onBench({ engineId })}
      />
      <ModelSelect
        kind="fair-sprocket/vehicle"
        value={vehicle?.id}
        onValue={(vehicleId) => onBench({ vehicleId })}
      />
    </div>
  );
}

/** An engine and a converter that do not fit each other. */
function PairNotice({ findings }: { findings: readonly PairFinding[] }) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  return (
    <FindingsList
      items={findings.map(({ code, asked, there }) => {
        const quantity = code === 'stall-at-governor' ? 'speed' : 'torque';
        return t(`pairFindings.${code}`, {
          asked: numbers.quantity(Math.round(asked), quantity),
          there: numbers.quantity(Math.round(there), quantity),
        });
      })}
    />
  );
}

type FactsProps = Pick<ReturnType<typeof useConverterModel>, 'model' | 'characteristic'>;

function Facts({ model, characteristic }: FactsProps) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const stall = useMemo(() => stallRpm(model, characteristic), [model, characteristic]);
  const coupling = characteristic.couplesAt;
  return (
    <dl className="converter-facts">
      <div>
        <dt>{t('converter.stallSpeed')}</dt>
        <dd>{numbers.quantity(Math.round(stall / 10) * 10, 'speed')}</dd>
      </div>
      <div>
        <dt>{t('converter.coupling')}</dt>
        <dd>{formatNumber(coupling, 2)}</dd>
      </div>
    </dl>
  );
}
