import { Select } from 'antd';
import { useDeferredValue, useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import { LINING_LIMIT_C, type ClutchPack } from '../../core/clutch';
import type { Unit } from '../../core/geartrain';
import { creep, gearsInOrder } from '../../core/shift';
import type { Vehicle } from '../../core/vehicle';
import { CurveSheet } from '../bench/curves/CurveSheet';
import { figuresOf } from '../bench/curves/figures';
import { useKept } from '../shared/kept';
import { NumberField } from '../shared/NumberField';
import { formatNumber, useNumbers } from '../shared/numbers';
import { useAppSelector } from '../state/hooks';
import { selectClutchPacks } from '../state/modelsSlice';

interface Setting {
  readonly range: string;
  /** Rise over run, per cent. */
  readonly grade: number;
  /** m/s; 0: it holds. */
  readonly speed: number;
  readonly rpm: number;
  readonly seconds: number;
}
const USUAL: Omit<Setting, 'range'> = { grade: 12, speed: 0, rpm: 850, seconds: 20 };
const OIL_C = 80;

interface Props {
  unit: Unit;
  vehicle: Vehicle;
}

/** A clutch that slips on purpose: it creeps, or holds on a hill, and what that makes of its plates. */
export function CreepSheet({ unit, vehicle }: Props) {
  const { t } = useTranslation();
  const packs = useAppSelector(selectClutchPacks);
  const pack = packs.byId[packs.ids[0] ?? ''];
  const gears = useMemo(() => gearsInOrder(unit), [unit]);
  const [setting, setSetting] = useKept<Setting>(`Creep ${unit.id}`, {
    ...USUAL,
    range: gears[0]?.id ?? '',
  });
  const change = (next: Partial<Setting>) => setSetting((now) => ({ ...now, ...next }));
  const range = gears.find((g) => g.id === setting.range) ?? gears[0];
  if (!pack || !range) return <p className="crossing-shown">{t('creep.nothing')}</p>;
  const within = (v: number, least: number, most: number) => Math.min(most, Math.max(least, v));
  return (
    <>
      <div className="crossing-set">
        <Select
          aria-label={t('gearboxWords.gear')}
          value={range.id}
          onChange={(id: string) => change({ range: id })}
          options={gears.map((g) => ({ value: g.id, label: t('creep.inGear', { gear: g.gear }) }))}
        />
        <NumberField
          label={t('creep.grade')}
          unit="%"
          value={setting.grade}
          step={1}
          onValue={(v) => change({ grade: within(v, -20, 40) })}
        />
        <NumberField
          label={t('creep.speed')}
          quantity="road-speed"
          value={setting.speed}
          step={0.5}
          onValue={(v) => change({ speed: within(v, 0, 5) })}
        />
        <NumberField
          label={t('converter.engineSpeed')}
          quantity="speed"
          value={setting.rpm}
          step={50}
          onValue={(v) => change({ rpm: within(v, 300, 5000) })}
        />
        <NumberField
          label={t('creep.seconds')}
          unit="s"
          value={setting.seconds}
          step={5}
          onValue={(v) => change({ seconds: within(v, 1, 120) })}
        />
      </div>
      <Crept unit={unit} vehicle={vehicle} pack={pack} setting={{ ...setting, range: range.id }} />
    </>
  );
}

function Crept({ unit, vehicle, pack, setting }: Props & { pack: ClutchPack; setting: Setting }) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const later = useDeferredValue(setting);
  const result = useMemo(
    () =>
      creep({
        unit,
        vehicle,
        pack,
        range: unit.ranges.find((r) => r.id === later.range)!,
        grade: later.grade / 100,
        speed: later.speed,
        engineRpm: later.rpm,
        seconds: later.seconds,
        oilC: OIL_C,
      }),
    [unit, vehicle, pack, later],
  );
  const { course, tooHotAfter, torqueNm, canNm, slipRpm, watts } = result;
  const celsius = (v: number) => numbers.toDisplay(v, 'temperature');
  const torque = (v: number) => numbers.fixed(v, 'torque', 0);
  const degrees = (v: number) => numbers.fixed(v, 'temperature', 0);
  const hottest = course.at(-1)!.celsius;
  const verdict =
    torqueNm > canNm
      ? 'cannot'
      : slipRpm === 0
        ? 'closed'
        : tooHotAfter !== null
          ? 'tooHot'
          : 'bears';
  return (
    <div className="crossing-shown">
      <p role="status">
        <strong>
          {t(`creep.verdicts.${verdict}`, {
            seconds: formatNumber(tooHotAfter ?? 0, 0),
            most: torque(canNm),
          })}
        </strong>{' '}
        {t('creep.figures', {
          torque: torque(torqueNm),
          slip: numbers.fixed(slipRpm, 'speed', 0),
          power: numbers.quantity(watts / 1000, 'power'),
          hottest: degrees(hottest),
        })}{' '}
        <span className="quiet">
          {t('creep.with', {
            pack: pack.name,
            vehicle: vehicle.name,
            oil: degrees(OIL_C),
          })}
        </span>
      </p>
      <CurveSheet
        title={t('crossing.views.creep')}
        x={{ title: t('launch.time'), min: 0, max: later.seconds }}
        y={{ title: numbers.headed(t('creep.hottest'), 'temperature') }}
        curves={[
          {
            label: t('creep.hottest'),
            ink: '--drives',
            points: course.map((c) => ({ x: c.time, y: celsius(c.celsius) })),
          },
          {
            label: t('creep.limit'),
            ink: '--wrong',
            look: 'dashed',
            points: [0, later.seconds].map((x) => ({ x, y: celsius(LINING_LIMIT_C) })),
          },
        ]}
        spoken={t('creep.shows')}
        figures={figuresOf(
          numbers,
          course.slice(9),
          [
            { title: t('launch.time'), of: (c) => c.time, places: 1 },
            { title: t('creep.hottest'), of: (c) => c.celsius, quantity: 'temperature', places: 0 },
          ],
          10,
        )}
      />
      <p className="quiet">{t('creep.brake')}</p>
    </div>
  );
}
