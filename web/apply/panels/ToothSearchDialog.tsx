import { Alert, App, Button, Checkbox, Modal, Progress } from 'antd';
import { useEffect, useRef, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { solveUnit, withTeeth, type FoundTeeth, type Unit } from '../../../core/geartrain';
import { toNumber } from '../../../core/numerics';
import { useServices } from '../../state/hooks';
import { useKeep } from '../../state/useKeep';
import { reasonOf } from '../../shared/reasonOf';
import { formatNumber, formatRatio } from '../../shared/numbers';
import { searchInWorkers } from '../../workers/searchWorkers';
import { TypedNumber } from '../../shared/TypedNumber';
import './ToothSearchDialog.css';
import { gearName } from '../../shared/unitNames';

interface Wish {
  range: string;
  name: string;
  now: number;
  ratio: number;
  on: boolean;
}

interface Running {
  share: number;
  tried: number;
  found: readonly FoundTeeth[];
  done: boolean;
  failure: string;
}

const IDLE: Running = { share: 0, tried: 0, found: [], done: false, failure: '' };

/** Other teeth for the same arrangement: wanted ratios in, gears that can be built out. */
export function ToothSearchDialog({ unit, onClose }: { unit: Unit; onClose: () => void }) {
  const { t } = useTranslation();
  const { message } = App.useApp();
  const saved = useKeep();
  const services = useServices();
  const [wishes, setWishes] = useState(() => wishesOf(unit));
  const [fewestSun, setFewestSun] = useState(18);
  const [mostRing, setMostRing] = useState(100);
  const [running, setRunning] = useState<Running | null>(null);
  const cancel = useRef<AbortController | null>(null);
  useEffect(() => () => cancel.current?.abort(), []);
  const wanted = wishes.filter((w) => w.on).map(({ range, ratio }) => ({ range, ratio }));
  const busy = running !== null && !running.done;

  const start = () => {
    cancel.current?.abort();
    const controller = new AbortController();
    cancel.current = controller;
    setRunning(IDLE);
    const limits = { fewestSun, mostRing, fewestPinion: 14, keep: 8, tolerance: 0.05 };
    searchInWorkers({ unit, wishes: wanted, ...limits }, controller.signal, (step) => {
      // A step that was on its way when it was cancelled comes too late.
      if (!controller.signal.aborted) setRunning({ ...step, done: false, failure: '' });
    }).then(
      () => setRunning((r) => r && { ...r, share: 1, done: true }),
      (error: unknown) =>
        setRunning((r) => ({
          ...(r ?? IDLE),
          done: true,
          failure: controller.signal.aborted ? '' : reasonOf(error),
        })),
    );
  };
  const keep = async (teeth: FoundTeeth['teeth']) => {
    const made = {
      ...withTeeth(unit, teeth),
      id: services.newId(),
      name: t('search.nameOf', { name: unit.name }),
    };
    if (await saved.model(made, null)) message.success(t('search.kept', { name: made.name }));
  };
  return (
    <Modal title={t('search.title')} open onCancel={onClose} footer={null} width={860}>
      <p>{t('search.lead')}</p>
      <div className="search-wishes">
        {wishes.map((wish, k) => (
          <label key={wish.range} className="row">
            <Checkbox
              checked={wish.on}
              onChange={(e) => setWishes(wishes.with(k, { ...wish, on: e.target.checked }))}
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
                v !== null && v !== 0 && setWishes(wishes.with(k, { ...wish, ratio: v }))
              }
            />
          </label>
        ))}
      </div>
      <div className="row search-limits">
        <label className="row">
          {t('search.fewestSun')}
          <TypedNumber
            label={t('search.fewestSun')}
            min={12}
            max={60}
            value={fewestSun}
            onValue={(v) => v !== null && setFewestSun(v)}
          />
        </label>
        <label className="row">
          {t('search.mostRing')}
          <TypedNumber
            label={t('search.mostRing')}
            min={40}
            max={160}
            value={mostRing}
            onValue={(v) => v !== null && setMostRing(v)}
          />
        </label>
        {busy ? (
          <Button danger onClick={() => cancel.current?.abort()}>
            {t('app.cancel')}
          </Button>
        ) : (
          <Button type="primary" disabled={wanted.length === 0} onClick={start}>
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
        <table className="plain">
          <caption className="visually-hidden">{t('search.found')}</caption>
          <thead>
            <tr>
              <th scope="col">{t('search.teeth')}</th>
              {wanted.map((w) => (
                <th key={w.range} scope="col" className="num">
                  {w.range}
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
            {running.found.map((f, k) => (
              <tr key={k}>
                <td>{teethText(f.teeth)}</td>
                {f.ratios.map((r, n) => (
                  <td key={n} className="num">
                    {formatRatio(r)}
                  </td>
                ))}
                <td className="num">{formatNumber(100 * f.error, 2)} %</td>
                <td>
                  <Button size="small" onClick={() => void keep(f.teeth)}>
                    {t('search.keep')}
                  </Button>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </Modal>
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
