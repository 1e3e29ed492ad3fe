import { Segmented, Select } from 'antd';
import { useDeferredValue, useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import { engineModel, type Engine } from '../../core/converter';
import { gearAt, type Unit } from '../../core/geartrain';
import {
  crossing,
  CROSSING_ENGINE,
  crossingPairs,
  crossingQuality,
  USUAL_CROSSING,
  wayOf,
  type Crossing,
  type CrossingPair,
  type CrossingResult,
  type Ramps,
} from '../../core/shift';
import type { Vehicle } from '../../core/vehicle';
import { useKept } from '../shared/kept';
import { NumberField } from '../shared/NumberField';
import { formatNumber, formatShare, useNumbers } from '../shared/numbers';
import { memberName } from '../shared/unitNames';
import { useAppSelector } from '../state/hooks';
import { selectEngines, selectVehicles } from '../state/modelsSlice';
import { CreepSheet } from './CreepSheet';
import { CrossingCurves } from './CrossingCurves';
import { RampPad } from './RampPad';
import { WaitingDrive } from './WaitingDrive';
import './CrossingView.css';

/** What is set on the sheet: the gears, what waits, the ramps of both clutches and the engine's cut. */
interface Setting {
  readonly pair: string;
  /** Side of a sleeve; empty for none. `null`: the right one. */
  readonly waiting: string | null;
  readonly ramps: Ramps;
  readonly cut: number;
}
const USUAL: Pick<Setting, 'ramps' | 'cut'> = {
  ramps: { off: USUAL_CROSSING.off, on: USUAL_CROSSING.on },
  cut: USUAL_CROSSING.cut,
};
const NO_GEAR = '';

/** The gear that a side of a sleeve locks. */
const gearName = (unit: Unit, side: string): string => memberName(unit, gearAt(unit, side) ?? side);

const SEEN = ['change', 'drive', 'creep'] as const;
type Seen = (typeof SEEN)[number];

/** One change of a dual clutch over time, the gear that waits along a whole drive, or a clutch that slips on purpose. */
export function CrossingView({ unit }: { unit: Unit }) {
  const { t } = useTranslation();
  const vehicles = useAppSelector(selectVehicles);
  const vehicle = vehicles.byId[vehicles.ids[0] ?? ''];
  const [seen, setSeen] = useKept<Seen>('Crossing seen', 'change');
  return (
    <div className="crossing-view" data-view="crossing">
      <Segmented<Seen>
        aria-label={t('crossing.seen')}
        value={seen}
        onChange={setSeen}
        options={SEEN.map((value) => ({ value, label: t(`crossing.views.${value}`) }))}
      />
      {seen === 'drive' && vehicle ? (
        <WaitingDrive unit={unit} vehicle={vehicle} />
      ) : seen === 'creep' && vehicle ? (
        <CreepSheet unit={unit} vehicle={vehicle} />
      ) : (
        <OneChange unit={unit} />
      )}
    </div>
  );
}

/** A gear change over time: both clutches, their sum, the engine, and the gear that waits. */
function OneChange({ unit }: { unit: Unit }) {
  const { t } = useTranslation();
  const engines = useAppSelector(selectEngines);
  const vehicles = useAppSelector(selectVehicles);
  const engine = engines.byId[engines.ids[0] ?? ''];
  const vehicle = vehicles.byId[vehicles.ids[0] ?? ''];
  const pairs = useMemo(() => crossingPairs(unit), [unit]);
  const [setting, setSetting] = useKept<Setting>(`Crossing of ${unit.id}`, {
    ...USUAL,
    pair: pairs[0]?.id ?? '',
    waiting: null,
  });
  const pair = pairs.find((p) => p.id === setting.pair) ?? pairs[0];
  if (!pair) return <p className="crossing-shown">{t('crossing.noPair')}</p>;
  if (!engine || !vehicle) return <p className="crossing-shown">{t('crossing.nothing')}</p>;
  const change = (next: Partial<Setting>) => setSetting((now) => ({ ...now, ...next }));
  const sides = new Set(
    pairs.filter((p) => p.next.clutch === pair.next.clutch).map((p) => p.next.side),
  );
  return (
    <>
      <div className="crossing-set">
        <Select
          aria-label={t('crossing.pair')}
          value={pair.id}
          onChange={(id: string) => change({ pair: id, waiting: null })}
          options={pairs.map((p) => ({
            value: p.id,
            label: t('crossing.fromTo', { from: p.from.gear, to: p.to.gear }),
          }))}
        />
        <Select
          aria-label={t('crossing.waiting')}
          value={setting.waiting ?? pair.next.side}
          onChange={(waiting: string) => change({ waiting })}
          options={[
            ...[...sides].map((side) => ({
              value: side,
              label: t('crossing.waits', { gear: gearName(unit, side) }),
            })),
            { value: NO_GEAR, label: t('crossing.noneWaits') },
          ]}
        />
        <NumberField
          label={t('crossing.cut')}
          unit="%"
          per={100}
          value={setting.cut}
          within={[0, 1]}
          step={5}
          onValue={(cut) => change({ cut })}
        />
        <div className="crossing-ramps">
          <RampPad
            ramps={setting.ramps}
            onRamps={(ramps) => change({ ramps })}
            names={[wayOf(unit, pair.from)?.clutch ?? '', pair.next.clutch]}
          />
        </div>
      </div>
      <Crossed unit={unit} pair={pair} setting={setting} engine={engine} vehicle={vehicle} />
    </>
  );
}

interface CrossedProps {
  unit: Unit;
  pair: CrossingPair;
  setting: Setting;
  engine: Engine;
  vehicle: Vehicle;
}

function Crossed({ unit, pair, setting, engine, vehicle }: CrossedProps) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const plan = useMemo((): Crossing => {
    const waiting = setting.waiting ?? pair.next.side;
    return {
      unit,
      vehicle,
      from: pair.from,
      to: pair.to,
      waiting: waiting === NO_GEAR ? null : waiting,
      engineNm: CROSSING_ENGINE.nm,
      engineInertia: engineModel(engine).inertia,
      engineRpm: CROSSING_ENGINE.rpm,
      ...setting.ramps,
      cut: setting.cut,
    };
  }, [unit, vehicle, pair, setting, engine]);
  // The fields answer first; the run follows.
  const later = useDeferredValue(plan);
  const result = useMemo(() => crossing(later), [later]);
  const { summary } = result.run;
  return (
    <div className="crossing-shown">
      <p role="status">
        <strong>{t(`crossing.quality.${crossingQuality(result)}`)}</strong>{' '}
        {result.lost > 0
          ? t('crossing.lost', { seconds: formatNumber(result.lost, 2) })
          : t('crossing.nothingLost')}{' '}
        {t('crossing.figures', {
          across: formatNumber(1000 * result.across, 0),
          dip: formatShare(result.dip),
          flare: formatNumber(summary.flareRpm, 0),
          least: formatShare(result.leastSum),
        })}{' '}
        <span className="quiet">
          {t('crossing.with', {
            torque: numbers.fixed(CROSSING_ENGINE.nm, 'torque', 0),
            rpm: formatNumber(CROSSING_ENGINE.rpm, 0),
            engine: engine.name,
            vehicle: vehicle.name,
          })}
        </span>
      </p>
      <CrossingCurves result={result} pair={pair} />
      <WaitingLane unit={unit} plan={later} result={result} />
    </div>
  );
}

/** Which gear waits on the other shaft, over the same time as the curves above. */
function WaitingLane({
  unit,
  plan,
  result,
}: {
  unit: Unit;
  plan: Crossing;
  result: CrossingResult;
}) {
  const { t } = useTranslation();
  const whole = result.run.samples.at(-1)!.time;
  const right = gearName(unit, wayOf(unit, plan.to)!.side);
  const wrong = plan.waiting === null ? t('crossing.none') : gearName(unit, plan.waiting);
  const parts = [
    {
      from: 0,
      to: result.lost,
      text: t('crossing.moves', { gear: wrong }),
      kind: 'lost',
    },
    {
      from: result.lost,
      to: result.lost + plan.on.at,
      text: t('sleeves.waits'),
      kind: 'waits',
    },
    {
      from: result.lost + plan.on.at,
      to: whole,
      text: t('crossing.drives', { gear: right }),
      kind: 'drives',
    },
  ].filter((p) => p.to > p.from);
  return (
    <ul className="crossing-lane" aria-label={t('crossing.lane')}>
      {parts.map((p) => (
        <li key={p.kind} data-kind={p.kind} style={{ flexGrow: p.to - p.from }} title={p.text}>
          {p.text}
        </li>
      ))}
    </ul>
  );
}
