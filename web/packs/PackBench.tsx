import { Button, Segmented } from 'antd';
import { useEffect, useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import { Link, useSearchParams } from 'react-router';
import {
  BROKEN_PACK,
  packFaultsOf,
  packFindings,
  withPackFault,
  type ClutchPack,
  type PackFault,
} from '../../core/clutch';
import { openModel } from '../../core/formats';
import { useAppDispatch, useAppSelector, useServices } from '../state/hooks';
import { useKeep } from '../state/useKeep';
import { CautionBox } from '../bench/CautionBox';
import { chosenFrom } from '../bench/chosenFrom';
import { ModelSelect } from '../bench/ModelSelect';
import { shelfOf } from '../bench/modelPlaces';
import { selectClutchPacks } from '../state/modelsSlice';
import { BreakItChoice } from '../shared/BreakIt';
import { formatNumber, useNumbers } from '../shared/numbers';
import { ClutchKinds } from '../clutch/ClutchKinds';
import { SmallSlider } from '../bench/SmallSlider';
import { runPack } from '../workers/clutchWorker';
import { useSettledRun } from '../workers/useSettledRun';
import type { PackReport } from '../workers/protocol';
import { BandPanel } from './BandPanel';
import { CapacityCurves } from './CapacityCurves';
import { HeatCurves } from './HeatCurves';
import { PackFindings } from './PackFindings';
import { PackReadout } from './PackReadout';
import { PressureSlider } from './PressureSlider';
import { SelectiveTable } from './SelectiveTable';
import { packBenchChanged, selectPackBench, type PackBenchState } from './packSlice';
import { StackView } from './StackView';
import { UpgradeTable } from './UpgradeTable';
import { useKept } from '../shared/kept';
import '../bench/SideColumn.css';
import '../bench/BenchFrame.css';
import '../bench/Readout.css';
import './PackBench.css';

const TABS = ['clearance', 'capacity', 'heat', 'upgrades', 'band'] as const;

/** The Pack bench: lay plates in and out, feel the clearance, see what it holds and where it gets hot. */
export function PackBench() {
  const { t } = useTranslation();
  const bench = useAppSelector(selectPackBench);
  const stored = chosenFrom(useAppSelector(selectClutchPacks), bench.packId);
  const [asked] = useSearchParams();
  const dispatch = useAppDispatch();
  const wanted = asked.get('pack');
  useEffect(() => {
    if (wanted) dispatch(packBenchChanged({ packId: wanted, changed: null, plate: null }));
  }, [wanted, dispatch]);
  return (
    <main className="bench-frame pack-bench" id="main">
      <h1 className="visually-hidden">{t('nav.packs')}</h1>
      {stored ? (
        <Bench stored={stored} bench={bench} />
      ) : (
        <p className="library-empty">
          {t('pack.empty')} <Link to={shelfOf('fair-sprocket/clutch-pack')}>{t('nav.models')}</Link>
        </p>
      )}
    </main>
  );
}

const heated = (
  { pack, duty }: { pack: ClutchPack; duty: PackBenchState['duty'] },
  signal: AbortSignal,
): Promise<PackReport> => runPack(pack, duty, signal);

function Bench({ stored, bench }: { stored: ClutchPack; bench: PackBenchState }) {
  const { t } = useTranslation();
  const dispatch = useAppDispatch();
  const services = useServices();
  const [tab, setTab] = useKept<(typeof TABS)[number]>('PackBench tab', 'clearance');
  const whole = bench.changed?.id === stored.id ? bench.changed : stored;
  const fault = bench.fault && packFaultsOf(whole).includes(bench.fault) ? bench.fault : null;
  const pack = useMemo(() => (fault ? withPackFault(whole, fault) : whole), [whole, fault]);
  const keep = useKeep();
  const change = (next: Partial<PackBenchState>) => dispatch(packBenchChanged(next));
  const setPack = (changed: ClutchPack) => change({ changed });
  const findings = packFindings(pack);
  const works = !findings.some((f) => BROKEN_PACK.includes(f.code));
  const request = useMemo(
    () => (works ? { pack, duty: bench.duty } : null),
    [pack, bench.duty, works],
  );
  const { result: report, failure } = useSettledRun(
    request,
    heated,
    (a, b) => a.pack.id === b.pack.id,
  );
  const sound = openModel(pack).ok;
  const changed = whole !== stored;
  return (
    <>
      <div className="bench-sheet">
        <StackView
          pack={pack}
          plate={bench.plate}
          onPlate={(plate) => change({ plate })}
          {...(fault ? {} : { onPack: setPack, newId: () => services.newId() })}
        />
      </div>
      <section className="bench-curves" data-tab={tab} aria-label={t('pack.panels')}>
        <Segmented
          aria-label={t('pack.panels')}
          value={tab}
          onChange={setTab}
          options={TABS.map((v) => ({ value: v, label: t(`pack.tabs.${v}`) }))}
        />
        {failure !== '' && <p role="alert">{t('clutch.failed', { reason: failure })}</p>}
        {tab === 'clearance' && (
          <SelectiveTable pack={pack} {...(fault ? {} : { onPack: setPack })} />
        )}
        {tab === 'capacity' && works && <CapacityCurves pack={pack} />}
        {tab === 'heat' && report && <HeatCurves pack={pack} heat={report.heat} />}
        {tab === 'band' && <BandPanel />}
        {tab === 'upgrades' && report && (
          <UpgradeTable upgrades={report.upgrades} {...(fault ? {} : { onPack: setPack })} />
        )}
      </section>
      <aside className="side-column bench-side" aria-label={t('pack.controls')}>
        <ClutchKinds />
        <ModelSelect
          kind="fair-sprocket/clutch-pack"
          value={stored.id}
          onValue={(packId) => change({ packId, changed: null, plate: null })}
        />
        <BreakItChoice<PackFault>
          value={fault}
          of={packFaultsOf(whole)}
          name={(f) => t(`breakIt.pack.${f}`)}
          onValue={(next) => change({ fault: next })}
        />
        {fault && <p className="quiet">{t('breakIt.watchOnly')}</p>}
        <PackReadout
          pack={pack}
          heat={report?.heat ?? null}
          works={works}
          drumRpm={pack.rotation ? bench.drumRpm : 0}
        />
        <PackFindings findings={findings} />
        <Working whole={whole} stored={stored} bench={bench} onPack={setPack} onBench={change} />
        <div className="row">
          <Button disabled={!changed} onClick={() => change({ changed: null, plate: null })}>
            {t('pack.putBack')}
          </Button>
          <Button
            type="primary"
            disabled={!changed || !sound}
            onClick={() =>
              void keep.model(whole, stored).then((kept) => kept && change({ changed: null }))
            }
          >
            {t('pack.keep')}
          </Button>
        </div>
        <CautionBox block={{ id: 'springs', kind: 'caution', topic: 'springs', markdown: '' }} />
      </aside>
    </>
  );
}

interface WorkingProps {
  /** As it is on the bench, no part broken, and as it is kept. */
  whole: ClutchPack;
  stored: ClutchPack;
  bench: PackBenchState;
  onPack: (pack: ClutchPack) => void;
  onBench: (change: Partial<PackBenchState>) => void;
}

/** What the pack works with: pressure, speed of its drum, and what it has to take. */
function Working({ whole, stored, bench, onPack, onBench }: WorkingProps) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  return (
    <>
      <PressureSlider pack={whole} given={stored} onPack={onPack} />
      {whole.rotation && (
        <SmallSlider
          label={t('pack.drumSpeed')}
          text={numbers.quantity(bench.drumRpm, 'speed')}
          value={bench.drumRpm}
          from={0}
          to={whole.rotation.mostRpm}
          step={50}
          onValue={(drumRpm) => onBench({ drumRpm })}
        />
      )}
      <SmallSlider
        label={t('pack.energy')}
        text={numbers.quantity(bench.duty.joules / 1000, 'energy')}
        value={bench.duty.joules}
        from={1000}
        to={80_000}
        step={1000}
        onValue={(joules) => onBench({ duty: { ...bench.duty, joules } })}
      />
      <SmallSlider
        label={t('pack.times')}
        text={`${bench.duty.times} ×`}
        value={bench.duty.times}
        from={1}
        to={10}
        step={1}
        onValue={(times) => onBench({ duty: { ...bench.duty, times } })}
      />
      <p className="quiet">
        {t('pack.dutySaid', {
          seconds: formatNumber(bench.duty.seconds, 1),
          every: formatNumber(bench.duty.every, 0),
          oil: numbers.quantity(bench.duty.oilC, 'temperature'),
        })}
      </p>
    </>
  );
}
