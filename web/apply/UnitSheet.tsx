import { Segmented, Spin } from 'antd';
import { useEffect, useMemo, useState, type ReactNode } from 'react';
import { useTranslation } from 'react-i18next';
import { powerPath, type SectionDrawing } from '../../core/drawing';
import { memberRoles, type PlanetaryUnitSet, type Solution, type Unit } from '../../core/geartrain';
import { reasonOf } from '../app/thunk';
import { Transport } from '../ratio/Transport';
import type { Turning } from '../ratio/useTurning';
import { Sheet } from '../shared/Sheet';
import { layOutSection } from '../workers/drawingWorker';
import { LEVER, SECTION } from './applySlice';
import { SectionView } from './SectionView';
import { UnitLever } from './UnitLever';
import { UnitSetView } from './UnitSetView';
import './UnitSheet.css';

interface Props {
  unit: Unit;
  solution: Solution;
  turning: Turning;
  /** Which view is shown; only the section when there is no way to choose. */
  view?: string;
  onView?: (view: string) => void;
  onElement?: ((id: string) => void) | undefined;
  onMember?: ((id: string) => void) | undefined;
  chosen?: readonly string[];
  /** Nothing is told of speeds and power while a prediction is open. */
  sealed?: boolean;
}

const STEP = Math.PI / 12;

/** The drawing sheet of a whole unit: section, lever diagram, or the end view of one gear set. */
export function UnitSheet(props: Props) {
  const { unit, solution, turning, view = SECTION, onView, sealed = false } = props;
  const { t } = useTranslation();
  const roles = useMemo(() => memberRoles(unit, solution), [unit, solution]);
  const set = unit.gearsets.find((g): g is PlanetaryUnitSet => g.id === view && g.kind !== 'mesh');
  const planetary = unit.gearsets.filter((g) => g.kind !== 'mesh');
  return (
    <div className="unit-sheet">
      <Sheet label={t('apply.sheet')}>
        {view === LEVER ? (
          <UnitLever unit={unit} solution={solution} roles={roles} />
        ) : set ? (
          <UnitSetView unit={unit} set={set} solution={solution} roles={roles} turning={turning} />
        ) : (
          <SectionSheet {...props} roles={roles} />
        )}
      </Sheet>
      {!sealed && (
        <div className="unit-sheet-bar">
          {onView && (
            <Segmented
              aria-label={t('apply.view')}
              value={set || view === LEVER ? view : SECTION}
              onChange={onView}
              options={[
                { value: SECTION, label: t('apply.views.section') },
                { value: LEVER, label: t('apply.views.lever') },
                ...planetary.map((g) => ({
                  value: g.id,
                  label: t('apply.views.endView', { set: g.id }),
                })),
              ]}
            />
          )}
          <Transport
            turning={turning}
            step={STEP}
            back={t('apply.stepBack')}
            on={t('apply.stepOn')}
          />
          <Legend />
        </div>
      )}
    </div>
  );
}

/** The four roles as they are drawn. */
function Legend() {
  const { t } = useTranslation();
  return (
    <ul className="unit-legend" aria-label={t('apply.legend')}>
      {(['drives', 'driven', 'held', 'idle'] as const).map((role) => (
        <li key={role} className={`role-${role}`}>
          <svg width="26" height="14" aria-hidden="true">
            <path className={`section-line member-${role}`} d="M2 7h22" />
            {(role === 'drives' || role === 'driven') && (
              <path className={`section-flow flow-${role}`} d="M2 7h22" />
            )}
            {role === 'held' && <path className="section-ground" d="M4 12l5-5m4 5l5-5m4 5l5-5" />}
          </svg>
          {t(`memberRoles.${role}`)}
        </li>
      ))}
    </ul>
  );
}

function SectionSheet(props: Props & { roles: ReturnType<typeof memberRoles> }) {
  const { unit, solution, turning, onElement, onMember, chosen, roles, sealed } = props;
  const { t } = useTranslation();
  return (
    <LaidOut unit={unit}>
      {(drawing) => (
        <div
          className="section-scroll"
          tabIndex={0}
          role="region"
          aria-label={t('apply.section', { name: unit.name })}
        >
          <Section
            drawing={drawing}
            unit={unit}
            solution={solution}
            roles={roles}
            turning={turning}
            onElement={onElement}
            onMember={onMember}
            sealed={sealed ?? false}
            {...(chosen ? { chosen } : {})}
          />
        </div>
      )}
    </LaidOut>
  );
}

type SectionProps = Omit<Parameters<typeof SectionView>[0], 'path'> & { sealed: boolean };

function Section({ sealed, ...props }: SectionProps) {
  const { drawing, unit, solution } = props;
  const path = useMemo(
    () => (sealed ? [] : powerPath(drawing, unit, solution)),
    [sealed, drawing, unit, solution],
  );
  return <SectionView {...props} path={path} />;
}

/** The laid-out section, from a worker; told when it takes a while. */
function LaidOut({ unit, children }: { unit: Unit; children: (d: SectionDrawing) => ReactNode }) {
  const { t } = useTranslation();
  // Names, notes and ranges do not move a line.
  const shape = JSON.stringify([
    unit.members.map((m) => m.id),
    unit.input,
    unit.output,
    unit.gearsets,
    unit.elements.map((e) => [e.id, e.kind, e.between]),
  ]);
  const [result, setResult] = useState<{
    id: string;
    shape: string;
    drawing?: SectionDrawing;
    failure?: string;
  }>();
  useEffect(() => {
    const cancel = new AbortController();
    const keep = result?.id === unit.id ? (result.drawing?.columns ?? []) : [];
    layOutSection(unit, keep, cancel.signal).then(
      (drawing) => setResult({ id: unit.id, shape, drawing }),
      (error: unknown) => {
        if (!cancel.signal.aborted) setResult({ id: unit.id, shape, failure: reasonOf(error) });
      },
    );
    return () => cancel.abort();
    // eslint-disable-next-line react-hooks/exhaustive-deps -- `shape` stands for the unit
  }, [shape]);
  // While a changed unit is laid out anew its last drawing would lie; a short wait is shown instead.
  if (result?.shape !== shape)
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
