import { Alert, Button, Checkbox, Modal, Progress } from 'antd';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useTell } from '../../shared/useTell';
import {
  solveUnit,
  withTeeth,
  type FoundTeeth,
  type ToothSearch,
  type Unit,
} from '../../../core/geartrain';
import { toNumber } from '../../../core/numerics';
import { useServices } from '../../state/hooks';
import { useKeep } from '../../state/useKeep';
import { formatNumber, formatRatio } from '../../shared/numbers';
import { TypedNumber } from '../../shared/TypedNumber';
import './ToothSearchDialog.css';
import { gearName } from '../../shared/unitNames';
import { useToothSearch } from './useToothSearch';

interface Wish {
  range: string;
  name: string;
  now: number;
  ratio: number;
  on: boolean;
}

/** Other teeth for the same arrangement: wanted ratios in, gears that can be built out. */
export function ToothSearchDialog({ unit, onClose }: { unit: Unit; onClose: () => void }) {
  const { t } = useTranslation();
  const tell = useTell();
  const saved = useKeep();
  const services = useServices();
  const [wishes, setWishes] = useState(() => wishesOf(unit));
  const [limits, setLimits] = useState<Limits>({ fewestSun: 18, mostRing: 100 });
  const { running, start, cancel } = useToothSearch(unit);
  const wanted = wishes.filter((w) => w.on).map(({ range, ratio }) => ({ range, ratio }));
  const busy = running !== null && !running.done;
  const keep = async (teeth: FoundTeeth['teeth']) => {
    const made = {
      ...withTeeth(unit, teeth),
      id: services.newId(),
      name: t('search.nameOf', { name: unit.name }),
    };
    if (await saved.model(made, null)) tell.success(t('search.kept', { name: made.name }));
  };
  return (
    <Modal title={t('search.title')} open onCancel={onClose} footer={null} width={860}>
      <p>{t('search.lead')}</p>
      <Wishes wishes={wishes} onWishes={setWishes} />
      <div className="row search-limits">
        <LimitFields limits={limits} onLimits={setLimits} />
        {busy ? (
          <Button danger onClick={cancel}>
            {t('app.cancel')}
          </Button>
        ) : (
          <Button
            type="primary"
            disabled={wanted.length === 0}
            onClick={() => start({ wishes: wanted, ...limits })}
          >
            {t('search.start')}
          </Button>
        )}
      </div>
      {running && (
        <Progress
          percent={Math.round(100 * running.share)}
          status={busy ? 'active' : 'normal'}
          format={() => t('search.tried', { count: formatNumber(running.tried, 0) })}
          aria-label={t('search.progress')}
        />
      )}
      {running?.failure && <Alert type="error" title={running.failure} />}
      {running?.done && running.found.length === 0 && !running.failure && (
        <Alert type="info" title={t('search.nothing')} />
      )}
      {running && running.found.length > 0 && (
        <FoundTable
          ranges={wanted.map((w) => w.range)}
          found={running.found}
          onKeep={(teeth) => void keep(teeth)}
        />
      )}
    </Modal>
  );
}

interface WishesProps {
  wishes: Wish[];
  onWishes: (wishes: Wish[]) => void;
}

/** Which ratios are wanted, range by range. */
function Wishes({ wishes, onWishes }: WishesProps) {
  const { t } = useTranslation();
  return (
    <div className="search-wishes">
      {wishes.map((wish, k) => (
        <label key={wish.range} className="row">
          <Checkbox
            checked={wish.on}
            onChange={(e) => onWishes(wishes.with(k, { ...wish, on: e.target.checked }))}
          >
            {wish.name}
          </Checkbox>
          <TypedNumber
            label={t('search.wanted', { range: wish.name })}
            value={wish.ratio}
            step={0.01}
            min={-50}
            max={50}
            disabled={!wish.on}
            onValue={(v) =>
              v !== null && v !== 0 && onWishes(wishes.with(k, { ...wish, ratio: v }))
            }
          />
        </label>
      ))}
    </div>
  );
}

type Limits = Pick<ToothSearch, 'fewestSun' | 'mostRing'>;

/** Between which teeth may be counted. */
const LIMITS = { fewestSun: [12, 60], mostRing: [40, 160] } as const;

interface LimitProps {
  limits: Limits;
  onLimits: (limits: Limits) => void;
}

function LimitFields({ limits, onLimits }: LimitProps) {
  const { t } = useTranslation();
  return (['fewestSun', 'mostRing'] as const).map((key) => (
    <label key={key} className="row">
      {t(`search.${key}`)}
      <TypedNumber
        label={t(`search.${key}`)}
        min={LIMITS[key][0]}
        max={LIMITS[key][1]}
        value={limits[key]}
        onValue={(v) => v !== null && onLimits({ ...limits, [key]: v })}
      />
    </label>
  ));
}

interface FoundProps {
  /** Ids of the ranges that were asked for. */
  ranges: readonly string[];
  found: readonly FoundTeeth[];
  onKeep: (teeth: FoundTeeth['teeth']) => void;
}

/** Teeth that can be built, the nearest first. */
function FoundTable({ ranges, found, onKeep }: FoundProps) {
  const { t } = useTranslation();
  return (
    <table className="plain">
      <caption className="visually-hidden">{t('search.found')}</caption>
      <thead>
        <tr>
          <th scope="col">{t('search.teeth')}</th>
          {ranges.map((range) => (
            <th key={range} scope="col" className="num">
              {range}
            </th>
          ))}
          <th scope="col" className="num">
            {t('search.off')}
          </th>
          <th scope="col">
            <span className="visually-hidden">{t('search.keep')}</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {found.map((f, k) => (
          <tr key={k}>
            <td>{teethText(f.teeth)}</td>
            {f.ratios.map((r, n) => (
              <td key={n} className="num">
                {formatRatio(r)}
              </td>
            ))}
            <td className="num">{formatNumber(100 * f.error, 2)} %</td>
            <td>
              <Button size="small" onClick={() => onKeep(f.teeth)}>
                {t('search.keep')}
              </Button>
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** Every range whose ratio depends on teeth, as it is now. */
function wishesOf(unit: Unit): Wish[] {
  const seen: number[] = [];
  return unit.ranges.flatMap((range) => {
    const { ratio } = solveUnit(unit, range.apply);
    const now = ratio ? toNumber(ratio) : 0;
    if (!ratio || now === 1 || seen.includes(now)) return [];
    seen.push(now);
    const name = gearName(range);
    return [{ range: range.id, name, now, ratio: Number(now.toFixed(3)), on: true }];
  });
}

const teethText = (teeth: FoundTeeth['teeth']): string =>
  Object.entries(teeth)
    .map(([id, counts]) => `${id} ${Object.values(counts).join('/')}`)
    .join('  ');
