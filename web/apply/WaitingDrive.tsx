import { Segmented, Select } from 'antd';
import { useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import type { Range, Unit } from '../../core/geartrain';
import {
  drivePreselected,
  gearsInOrder,
  SPEED_MARKS,
  USUAL_CHANGES,
  USUAL_RULE,
  USUAL_SPEEDS,
  WAITING_MARKS,
  type DriveResult,
  type WaitingRule,
} from '../../core/shift';
import type { Vehicle } from '../../core/vehicle';
import { useKept } from '../shared/kept';
import { NumberField } from '../shared/NumberField';
import { formatNumber } from '../shared/numbers';
import { SpeedPad } from './SpeedPad';
import { WaitingLanes } from './WaitingLanes';

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

const RULE_UNITS = { gains: 'm/s²', brakes: 'm/s²', keeps: 's' } as const;

/** A drive whose speed is drawn: which gear waits all the while, by a rule or by hand, and the time that it costs. */
export function WaitingDrive({ unit, vehicle }: Props) {
  const { t } = useTranslation();
  const gears = useMemo(() => gearsInOrder(unit), [unit]);
  const [setting, setSetting] = useKept<Setting>(`Waiting ${unit.id}`, {
    speeds: USUAL_SPEEDS,
    by: 'rule',
    rule: USUAL_RULE,
    set: WAITING_MARKS.map(() => 1),
  });
  const change = (next: Partial<Setting>) => setSetting((now) => ({ ...now, ...next }));
  const { by, rule, set, speeds } = setting;
  const speed = useMemo(
    () => SPEED_MARKS.map((time, k) => ({ time, value: speeds[k] ?? 0 })),
    [speeds],
  );
  const result = useMemo(
    () =>
      drivePreselected({
        unit,
        vehicle,
        gears,
        speed,
        changes: USUAL_CHANGES,
        waits: by === 'rule' ? rule : WAITING_MARKS.map((from, k) => ({ from, gear: set[k] ?? 0 })),
      }),
    [unit, vehicle, gears, speed, by, rule, set],
  );
  const number = (field: keyof WaitingRule, least: number, most: number) => (
    <NumberField
      label={t(`crossing.rule.${field}`)}
      unit={RULE_UNITS[field]}
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
          WAITING_MARKS.map((from, k) => (
            <label key={from} className="crossing-mark">
              <span className="label">{t('crossing.from', { seconds: from })}</span>
              <Select<number>
                aria-label={t('crossing.waitsFrom', { seconds: from })}
                value={set[k] ?? 0}
                onChange={(gear) =>
                  change({ set: WAITING_MARKS.map((_a, n) => (n === k ? gear : (set[n] ?? 0))) })
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
              up: formatNumber(USUAL_CHANGES.up, 0),
              down: formatNumber(USUAL_CHANGES.down, 0),
              vehicle: vehicle.name,
            })}
          </span>
        </p>
        <div className="waiting-pad">
          <SpeedPad speeds={speeds} onSpeeds={(next) => change({ speeds: next })} />
        </div>
        <WaitingLanes result={result} gears={gears} />
      </div>
    </>
  );
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
