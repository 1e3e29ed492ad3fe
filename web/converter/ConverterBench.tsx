import { Button, Segmented, Select, Slider, Spin, Switch } from 'antd';
import { useEffect, useMemo, useState } from 'react';
import { useTranslation } from 'react-i18next';
import {
  characteristicOf,
  couplingPoint,
  engineModel,
  matchEngine,
  stallRpm,
  type Converter,
  type Engine,
  type StatorFault,
} from '../../core/converter';
import type { Vehicle } from '../../core/vehicle';
import { useAppDispatch, useAppSelector, useServices } from '../app/hooks';
import { formatNumber, useNumbers } from '../shared/numbers';
import { Sheet } from '../shared/Sheet';
import { useShortcuts } from '../shared/useShortcuts';
import { CautionBox } from '../lessons/CautionBox';
import { CascadeView } from './CascadeView';
import { ConverterCurves } from './ConverterCurves';
import {
  converterBenchChanged,
  selectConverterBench,
  type ConverterBenchState,
} from './converterSlice';
import { LaunchCurves } from './LaunchCurves';
import { MatchCurves } from './MatchCurves';
import './ConverterBench.css';

interface Shop {
  readonly converters: readonly Converter[];
  readonly engines: readonly Engine[];
  readonly vehicles: readonly Vehicle[];
}

/** The Converter bench: hold the turbine, raise the throttle, see what multiplies and what becomes heat. */
export function ConverterBench() {
  const { t } = useTranslation();
  const { loadDemo } = useServices();
  const bench = useAppSelector(selectConverterBench);
  const [shop, setShop] = useState<Shop | null>(null);
  useEffect(() => {
    void loadDemo().then(setShop);
  }, [loadDemo]);
  const converter = shop?.converters.find((c) => c.id === bench.converterId) ?? shop?.converters[0];
  const engine = shop?.engines.find((e) => e.id === bench.engineId) ?? shop?.engines[0];
  return (
    <main className="converter-bench" id="main">
      <h1 className="visually-hidden">{t('nav.converter')}</h1>
      {shop && converter && engine ? (
        <Bench shop={shop} converter={converter} engine={engine} bench={bench} />
      ) : (
        <Spin />
      )}
    </main>
  );
}

interface Props {
  shop: Shop;
  converter: Converter;
  engine: Engine;
  bench: ConverterBenchState;
}

const FAULTS: readonly (StatorFault | null)[] = [null, 'slips', 'seized'];

function Bench({ shop, converter, engine, bench }: Props) {
  const { t } = useTranslation();
  const dispatch = useAppDispatch();
  const [curves, setCurves] = useState<'converter' | 'engine' | 'launch'>('converter');
  const change = (next: Partial<ConverterBenchState>) => dispatch(converterBenchChanged(next));
  // A table does not say what a broken stator does.
  const fault = converter.model.kind === 'streamline' ? bench.fault : null;
  const model = useMemo(() => engineModel(engine), [engine]);
  const characteristic = useMemo(() => characteristicOf(converter, fault)!, [converter, fault]);
  const lockUp = bench.lockUp ? (converter.lockUpCapacity ?? 0) : 0;
  const turbineRpm = Math.min(bench.turbineRpm, engine.governedRpm);
  const match = useMemo(
    () => matchEngine(model, characteristic, bench.throttle, turbineRpm, lockUp),
    [model, characteristic, bench.throttle, turbineRpm, lockUp],
  );
  const held = turbineRpm === 0;
  const numbers = useNumbers();
  const stall = useMemo(() => stallRpm(model, characteristic), [model, characteristic]);
  const coupling = useMemo(() => couplingPoint(characteristic), [characteristic]);
  useShortcuts({
    b: () => change({ turbineRpm: held ? Math.round(engine.governedRpm * 0.6) : 0 }),
    l: () => change({ lockUp: !bench.lockUp }),
    ArrowUp: () => change({ throttle: Math.min(1, bench.throttle + 0.05) }),
    ArrowDown: () => change({ throttle: Math.max(0, bench.throttle - 0.05) }),
  });
  const point = match.point;
  return (
    <>
      <div className="converter-sheet">
        <Sheet label={t('converter.sheet')}>
          <CascadeView converter={converter} point={point} locked={match.kind === 'locked'} />
        </Sheet>
      </div>
      <section className="converter-curves" aria-label={t('converter.curves')}>
        <Segmented
          aria-label={t('converter.curves')}
          value={curves}
          onChange={setCurves}
          options={(['converter', 'engine', 'launch'] as const).map((c) => ({
            value: c,
            label: t(`converter.curveSets.${c}`),
          }))}
        />
        {curves === 'converter' ? (
          <ConverterCurves characteristic={characteristic} point={point} />
        ) : curves === 'engine' ? (
          <MatchCurves
            engine={model}
            throttle={bench.throttle}
            characteristic={characteristic}
            match={match}
          />
        ) : (
          shop.vehicles[0] && (
            <LaunchCurves
              converter={converter}
              engine={engine}
              vehicle={shop.vehicles[0]}
              fault={fault}
              throttle={bench.throttle}
            />
          )
        )}
      </section>
      <aside className="converter-side" aria-label={t('converter.controls')}>
        <div className="converter-pick">
          <Select
            aria-label={t('converter.converter')}
            value={converter.id}
            onChange={(converterId) => change({ converterId })}
            options={shop.converters.map((c) => ({ value: c.id, label: c.name }))}
          />
          <Select
            aria-label={t('converter.engine')}
            value={engine.id}
            onChange={(engineId) => change({ engineId })}
            options={shop.engines.map((e) => ({ value: e.id, label: e.name }))}
          />
        </div>
        <Readout match={match} />
        <label className="converter-slider">
          <span>
            {t('converter.throttle')} <strong>{formatNumber(100 * bench.throttle, 0)} %</strong>
          </span>
          <Slider
            min={0}
            max={100}
            value={Math.round(100 * bench.throttle)}
            onChange={(v) => change({ throttle: v / 100 })}
            ariaLabelForHandle={t('converter.throttle')}
          />
        </label>
        <TurbineSlider
          most={engine.governedRpm}
          value={turbineRpm}
          onValue={(v) => change({ turbineRpm: v })}
        />
        <div className="row converter-switches">
          <Button
            type={held ? 'primary' : 'default'}
            aria-pressed={held}
            aria-keyshortcuts="b"
            onClick={() => change({ turbineRpm: held ? Math.round(engine.governedRpm * 0.6) : 0 })}
          >
            {t(held ? 'converter.brakeOn' : 'converter.brakeOff')}
          </Button>
          <label className="row">
            <Switch
              checked={bench.lockUp}
              disabled={converter.lockUpCapacity === undefined}
              onChange={(on) => change({ lockUp: on })}
              aria-label={t('converter.lockUp')}
            />
            {t('converter.lockUp')}
          </label>
        </div>
        {converter.model.kind === 'streamline' ? (
          <label className="converter-fault">
            <span className="label">{t('converter.stator')}</span>
            <Select<StatorFault | 'sound'>
              aria-label={t('converter.stator')}
              value={fault ?? 'sound'}
              onChange={(v) => change({ fault: v === 'sound' ? null : v })}
              options={FAULTS.map((f) => ({
                value: f ?? 'sound',
                label: t(`converter.faults.${f ?? 'sound'}`),
              }))}
            />
          </label>
        ) : (
          <p className="quiet">{t('converter.tableOnly')}</p>
        )}
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
        {held && (
          <CautionBox block={{ id: 'stall', kind: 'caution', topic: 'stall-test', markdown: '' }} />
        )}
      </aside>
    </>
  );
}

function TurbineSlider(props: { most: number; value: number; onValue: (v: number) => void }) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  return (
    <label className="converter-slider">
      <span>
        {t('converter.turbineSpeed')} <strong>{numbers.quantity(props.value, 'speed')}</strong>
      </span>
      <Slider
        min={0}
        max={props.most}
        step={10}
        value={props.value}
        onChange={props.onValue}
        ariaLabelForHandle={t('converter.turbineSpeed')}
      />
    </label>
  );
}

/** Multiplication large, then engine, turbine and heat. */
function Readout({ match }: { match: ReturnType<typeof matchEngine> }) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const { point, kind } = match;
  const ratio = kind === 'locked' ? 1 : match.engineNm > 0 ? match.turbineNm / match.engineNm : 1;
  const efficiency = match.engineRpm > 0 ? (match.turbineRpm / match.engineRpm) * ratio : 0;
  return (
    <>
      <div className="headline" aria-live="polite">
        <div className="figure headline-figure">× {formatNumber(ratio, 2)}</div>
        <div className="quiet">
          <div>{t(`converter.kinds.${kind}`)}</div>
          <div>
            {t(
              kind === 'locked' || !point.statorHolds
                ? 'converter.statorFree'
                : 'converter.statorHolds',
            )}
          </div>
        </div>
      </div>
      <table className="plain apply-elements">
        <caption className="visually-hidden">{t('converter.readings')}</caption>
        <tbody>
          <tr>
            <th scope="row">{t('converter.engine')}</th>
            <td className="num">{numbers.quantity(Math.round(match.engineRpm), 'speed')}</td>
            <td className="num">{numbers.quantity(match.engineNm, 'torque')}</td>
          </tr>
          <tr>
            <th scope="row">{t('converter.turbine')}</th>
            <td className="num">{numbers.quantity(match.turbineRpm, 'speed')}</td>
            <td className="num">{numbers.quantity(match.turbineNm, 'torque')}</td>
          </tr>
          <tr>
            <th scope="row">{t('converter.heat')}</th>
            <td className="num">{numbers.quantity(match.heatKw, 'power')}</td>
            <td className="num">
              {t('converter.efficiency', { share: formatNumber(100 * efficiency, 0) })}
            </td>
          </tr>
        </tbody>
      </table>
      <HeatBar kw={match.heatKw} />
    </>
  );
}

/** Heat on a scale that an oil cooler would know: past the mark the fluid gets hot quickly. */
const COOLER_KW = 12;
const SCALE_KW = 60;

function HeatBar({ kw }: { kw: number }) {
  const { t } = useTranslation();
  const share = Math.min(1, Math.max(0, kw / SCALE_KW));
  return (
    <div
      className="heat-bar"
      role="meter"
      aria-label={t('converter.heat')}
      aria-valuenow={Number(kw.toFixed(1))}
      aria-valuemin={0}
      aria-valuemax={SCALE_KW}
      data-hot={kw > COOLER_KW}
    >
      <span style={{ width: `${100 * share}%` }} />
      <i style={{ left: `${(100 * COOLER_KW) / SCALE_KW}%` }} />
    </div>
  );
}
