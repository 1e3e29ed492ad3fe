import { Segmented, Select, Spin } from 'antd';
import { useEffect, useMemo, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useLocation, useNavigate, useParams } from 'react-router';
import type { SectionDrawing } from '../../core/drawing';
import { memberRoles, solveUnit, type Solution, type Unit } from '../../core/geartrain';
import { toNumber, toText } from '../../core/numerics';
import { useAppDispatch, useAppSelector } from '../app/hooks';
import { reasonOf } from '../app/thunk';
import { formatNumber, formatRatio } from '../shared/numbers';
import { Sheet } from '../shared/Sheet';
import { useShortcuts } from '../shared/useShortcuts';
import { selectUnits } from '../units/unitsSlice';
import { layOutSection } from '../workers/drawingWorker';
import { ApplyChart } from './ApplyChart';
import { elementToggled, loadChosen, rangeChosen, selectApply, unitOpened } from './applySlice';
import { Mark } from './Mark';
import { SectionView } from './SectionView';
import '../shared/headline.css';
import './ApplyBench.css';

/** The Apply bench: a whole unit, what is on, what comes out, where the torque goes. */
export function ApplyBench() {
  const { t } = useTranslation();
  const { unitId } = useParams();
  const { pathname } = useLocation();
  const navigate = useNavigate();
  const dispatch = useAppDispatch();
  const units = useAppSelector(selectUnits);
  const apply = useAppSelector(selectApply);
  const wanted = unitId ?? apply.unitId ?? units.ids[0];
  const unit = wanted === undefined ? undefined : units.byId[wanted];

  useEffect(() => {
    if (!unit || apply.unitId === unit.id) return;
    const forward = (apply: string[]) => {
      const { ratio } = solveUnit(unit, apply);
      return ratio !== null && ratio.num > 0n;
    };
    const first = unit.ranges.find((r) => forward(r.apply));
    dispatch(unitOpened({ unitId: unit.id, applied: first?.apply ?? [] }));
  }, [unit, apply.unitId, dispatch]);

  if (!unit)
    return (
      <main className="page" id="main">
        <h1>{t('nav.apply')}</h1>
        <p className="library-empty">{t('unitLibrary.empty')}</p>
      </main>
    );
  const door = pathname.startsWith('/learn') ? 'learn' : 'teach';
  return (
    <main className="apply-bench" id="main">
      <h1 className="visually-hidden">{t('nav.apply')}</h1>
      {apply.unitId === unit.id && (
        <Bench
          unit={unit}
          units={units.ids.map((id) => ({ value: id, label: units.byId[id]?.name ?? id }))}
          onUnit={(id) => void navigate(`/${door}/apply/${id}`)}
        />
      )}
    </main>
  );
}

interface Props {
  unit: Unit;
  units: { value: string; label: string }[];
  onUnit: (id: string) => void;
}

function Bench({ unit, units, onUnit }: Props) {
  const { t } = useTranslation();
  const dispatch = useAppDispatch();
  const { applied, load } = useAppSelector(selectApply);
  const solution = useMemo(() => solveUnit(unit, applied, load), [unit, applied, load]);
  const roles = useMemo(() => memberRoles(unit, solution), [unit, solution]);
  const numbered = unit.ranges.slice(0, 9);
  useShortcuts({
    c: () => dispatch(loadChosen(load === 'drive' ? 'coast' : 'drive')),
    ...Object.fromEntries(
      numbered.map((range, k) => [String(k + 1), () => dispatch(rangeChosen(range.apply))]),
    ),
  });
  return (
    <>
      <div className="apply-sheet">
        <Sheet label={t('apply.sheet')}>
          <Section unit={unit}>
            {(drawing) => (
              <div
                className="section-scroll"
                tabIndex={0}
                role="region"
                aria-label={t('apply.section', { name: unit.name })}
              >
                <SectionView
                  unit={unit}
                  drawing={drawing}
                  solution={solution}
                  roles={roles}
                  onElement={(id) => dispatch(elementToggled(id))}
                />
              </div>
            )}
          </Section>
        </Sheet>
      </div>
      <ApplyChart
        unit={unit}
        applied={applied}
        onRange={(range) => dispatch(rangeChosen(range.apply))}
      />
      <aside className="apply-side" aria-label={t('apply.now')}>
        <div className="row">
          <Select
            aria-label={t('apply.unit')}
            value={unit.id}
            onChange={onUnit}
            options={units}
            style={{ flex: 1 }}
          />
          <Segmented
            aria-label={t('apply.load')}
            value={load}
            onChange={(next) => dispatch(loadChosen(next))}
            options={(['drive', 'coast'] as const).map((l) => ({
              value: l,
              label: t(`loads.${l}`),
            }))}
          />
        </div>
        <Readout unit={unit} solution={solution} />
      </aside>
    </>
  );
}

/** The laid-out section, from a worker; told when it takes a while. */
function Section({
  unit,
  children,
}: {
  unit: Unit;
  children: (d: SectionDrawing) => React.ReactNode;
}) {
  const { t } = useTranslation();
  const [result, setResult] = useState<{
    unit: Unit;
    drawing?: SectionDrawing;
    failure?: string;
  }>();
  useEffect(() => {
    const cancel = new AbortController();
    layOutSection(unit, cancel.signal).then(
      (drawing) => setResult({ unit, drawing }),
      (error: unknown) => {
        if (!cancel.signal.aborted) setResult({ unit, failure: reasonOf(error) });
      },
    );
    return () => cancel.abort();
  }, [unit]);
  if (result?.unit !== unit)
    return (
      <div className="section-wait">
        <Spin />
        <p>{t('apply.layingOut')}</p>
      </div>
    );
  if (!result.drawing)
    return <p className="section-wait">{t('apply.notDrawn', { reason: result.failure })}</p>;
  return children(result.drawing);
}

/** What comes out, and what each element does, in numbers and words. */
function Readout({ unit, solution }: { unit: Unit; solution: Solution }) {
  const { t } = useTranslation();
  const { ratio, outcome } = solution;
  return (
    <>
      <div className="headline" aria-live="polite">
        <div className={ratio ? 'figure headline-figure' : 'figure apply-outcome'}>
          {ratio ? formatRatio(toNumber(ratio)) : t(`outcomes.${outcome}`)}
        </div>
        {ratio && (
          <div className="quiet">
            <div>{t('bench.exactly', { fraction: toText(ratio).replace('-', '\u2212') })}</div>
            <div>{t(toNumber(ratio) > 0 ? 'directions.same' : 'directions.opposite')}</div>
          </div>
        )}
      </div>
      {!ratio && <p>{t(`outcomesSaid.${outcome}`)}</p>}
      <table className="plain apply-elements">
        <caption className="visually-hidden">{t('apply.elements')}</caption>
        <thead>
          <tr>
            <th scope="col">{t('apply.element')}</th>
            <th scope="col">{t('apply.state')}</th>
            <th scope="col" className="num">
              {t('apply.torque')}
            </th>
          </tr>
        </thead>
        <tbody>
          {unit.elements.map((e) => {
            const result = solution.elements.get(e.id);
            const state = result?.state ?? 'open';
            return (
              <tr key={e.id} data-state={state}>
                <th scope="row">
                  <strong>{e.id}</strong> {e.name}
                </th>
                <td>
                  <Mark state={state} kind={e.kind} /> {t(`elementStates.${state}`)}
                </td>
                <td className="num">
                  {torqueText(state, result?.torque ? toNumber(result.torque) : null)}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </>
  );
}

/** × input torque; an open element carries none, and a shared one's part is open. */
const torqueText = (state: string, torque: number | null): string => {
  if (state === 'open' || state === 'overrunning') return '';
  return torque === null ? '?' : formatNumber(torque, 2);
};
