import { Segmented, Select } from 'antd';
import { useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import type { Range, Unit } from '../../core/geartrain';
import {
  drivePreselected,
  traceAt,
  USUAL_RULE,
  wayOf,
  type DriveResult,
  type WaitingRule,
} from '../../core/shift';
import type { Vehicle } from '../../core/vehicle';
import { HandlePad } from '../shared/HandlePad';
import { useKept } from '../shared/kept';
import { NumberField } from '../shared/NumberField';
import { formatNumber, useNumbers } from '../shared/numbers';

/** s at which the speed is drawn and a waiting gear can be set; m/s at most. */
const AT = [0, 5, 10, 15, 20, 25, 30, 35, 40] as const;
const FASTEST = 12;
const FIRST_SPEEDS: readonly number[] = [0, 2.5, 5, 7, 8, 8, 6, 3, 0.5];
const CHANGES = { up: 2400, down: 1100 } as const;

interface Setting {
  readonly speeds: readonly number[];
  readonly by: 'rule' | 'hand';
  readonly rule: WaitingRule;
  /** Place of the waiting gear at each mark, by hand. */
  readonly set: readonly number[];
}

interface Props {
  unit: Unit;
  vehicle: Vehicle;
}

/** A drive whose speed is drawn: which gear waits all the while, by a rule or by hand, and the time that it costs. */
export function WaitingDrive({ unit, vehicle }: Props) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const gears = useMemo(() => gearsOf(unit), [unit]);
  const [setting, setSetting] = useKept<Setting>(`Waiting ${unit.id}`, {
    speeds: FIRST_SPEEDS,
    by: 'rule',
    rule: USUAL_RULE,
    set: AT.map(() => 1),
  });
  const change = (next: Partial<Setting>) => setSetting((now) => ({ ...now, ...next }));
  const { by, rule, set, speeds } = setting;
  const speed = useMemo(() => AT.map((time, k) => ({ time, value: speeds[k] ?? 0 })), [speeds]);
  const result = useMemo(
    () =>
      drivePreselected({
        unit,
        vehicle,
        gears,
        speed,
        changes: CHANGES,
        waits: by === 'rule' ? rule : AT.map((from, k) => ({ from, gear: set[k] ?? 0 })),
      }),
    [unit, vehicle, gears, speed, by, rule, set],
  );
  const number = (field: keyof WaitingRule, least: number, most: number) => (
    <NumberField
      label={t(`crossing.rule.${field}`)}
      value={rule[field]}
      step={0.05}
      onValue={(v) => change({ rule: { ...rule, [field]: Math.min(most, Math.max(least, v)) } })}
    />
  );
  return (
    <>
      <div className="crossing-set">
        <Segmented<Setting['by']>
          aria-label={t('crossing.decides')}
          value={by}
          onChange={(next) => change({ by: next })}
          options={(['rule', 'hand'] as const).map((value) => ({
            value,
            label: t(`crossing.by.${value}`),
          }))}
        />
        {by === 'rule' ? (
          <>
            {number('gains', 0, 5)}
            {number('brakes', -5, 0)}
            {number('keeps', 0, 10)}
          </>
        ) : (
          AT.slice(0, -1).map((from, k) => (
            <label key={from} className="crossing-mark">
              <span className="label">{t('crossing.from', { seconds: from })}</span>
              <Select<number>
                aria-label={t('crossing.waitsFrom', { seconds: from })}
                value={set[k] ?? 0}
                onChange={(gear) =>
                  change({ set: AT.map((_a, n) => (n === k ? gear : (set[n] ?? 0))) })
                }
                options={gears.map((g, n) => ({ value: n, label: g.gear }))}
              />
            </label>
          ))
        )}
      </div>
      <div className="crossing-shown">
        <p role="status">
          <strong>
            {result.lost > 0
              ? t('crossing.lostInAll', { seconds: formatNumber(result.lost, 2) })
              : t(result.changes.length > 0 ? 'crossing.noneLost' : 'crossing.noChange')}
          </strong>{' '}
          {lostText(t, result, gears)}
          <span className="quiet">
            {t('crossing.changesAt', {
              up: formatNumber(CHANGES.up, 0),
              down: formatNumber(CHANGES.down, 0),
              vehicle: vehicle.name,
            })}
          </span>
        </p>
        <div className="waiting-pad">
          <HandlePad
            compact
            label={t('crossing.speed', { unit: numbers.unit('road-speed') })}
            at={AT}
            xTitle={t('launch.time')}
            xText={(s) => (s % 10 === 0 ? `${formatNumber(s, 0)} s` : '')}
            values={speeds}
            onValues={(next) => change({ speeds: next })}
            most={FASTEST}
            step={0.25}
            marks={[0, FASTEST / 2, FASTEST]}
            markText={(v) => formatNumber(numbers.toDisplay(v, 'road-speed'), 0)}
            line={(time) => traceAt(speed, time)}
            handleName={(time) => t('crossing.speedAt', { seconds: formatNumber(time, 0) })}
          />
        </div>
        <div>
          <Lane result={result} gears={gears} which="gear" />
          <Lane result={result} gears={gears} which="waiting" />
        </div>
      </div>
    </>
  );
}

/** Gears that drive by a clutch and a sleeve, in the lever place that has most of them. */
function gearsOf(unit: Unit): Range[] {
  const driving = unit.ranges.filter((range) => wayOf(unit, range) !== null);
  const count = (lever: string) => driving.filter((r) => r.lever === lever).length;
  const most = driving.reduce((a, b) => (count(b.lever) > count(a.lever) ? b : a), driving[0]!);
  return driving.filter((r) => r.lever === most.lever);
}

type Translate = ReturnType<typeof useTranslation>['t'];

const lostText = (t: Translate, { changes }: DriveResult, gears: readonly Range[]): string =>
  changes
    .filter((c) => c.lost > 0)
    .map((c) =>
      t('crossing.lostAt', {
        from: gears[c.from]!.gear,
        to: gears[c.to]!.gear,
        at: formatNumber(c.time, 1),
        waiting: c.waiting === null ? t('crossing.none') : gears[c.waiting]!.gear,
        seconds: formatNumber(c.lost, 2),
      }),
    )
    .join(' ');

interface LaneProps {
  result: DriveResult;
  gears: readonly Range[];
  which: 'gear' | 'waiting';
}

/** What drives, or what waits, over the whole drive. */
function Lane({ result, gears, which }: LaneProps) {
  const { t } = useTranslation();
  const end = AT.at(-1)!;
  const parts = result.lane
    .filter((p, k) => k === 0 || p[which] !== result.lane[k - 1]![which])
    .map((p, k, all) => ({ ...p, to: all[k + 1]?.time ?? end }));
  return (
    <div className="waiting-lane">
      <span className="label">{t(`crossing.laneShort.${which}`)}</span>
      <ul className="crossing-lane crossing-lane-long" aria-label={t(`crossing.lanes.${which}`)}>
        {parts.map((p) => {
          const at = p[which];
          const name = at === null ? '–' : gears[at]!.gear;
          return (
            <li
              key={p.time}
              data-kind={which === 'gear' ? 'drives' : 'waits'}
              style={{ flexGrow: p.to - p.time }}
              title={t(`crossing.lanes.${which}`)}
            >
              {name}
            </li>
          );
        })}
      </ul>
    </div>
  );
}
