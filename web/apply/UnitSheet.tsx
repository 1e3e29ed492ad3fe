import { Button, Segmented, Select } from 'antd';
import { useDeferredValue, useMemo, useState } from 'react';
import { lazyPart } from '../shared/lazyPart';
import { useTranslation } from 'react-i18next';
import {
  isDualClutch,
  memberRoles,
  sleevesOf,
  type PlanetaryUnitSet,
  type Solution,
  type Unit,
} from '../../core/geartrain';
import { Transport } from '../bench/Transport';
import type { Turning } from '../bench/useTurning';
import { Sheet } from '../shared/Sheet';
import { useLatest } from '../shared/useLatest';
import { isLarge } from '../workers/unitWorker';
import { CROSSING, LEVER, SECTION, SLEEVES } from './applySlice';
import { SectionSheet } from './SectionSheet';
import { SleevesView } from './SleevesView';
import { UnitLever } from './UnitLever';
import { UnitSetView } from './UnitSetView';
import './UnitSheet.css';

// Curves are heavy, and few units have two clutches.
const CrossingView = lazyPart(async () => (await import('./CrossingView')).CrossingView);

interface Props {
  unit: Unit;
  solution: Solution;
  turning: Turning;
  /** Which view is shown; only the section when there is no way to choose. */
  view?: string;
  onView?: (view: string) => void;
  onElement?: ((id: string) => void) | undefined;
  /** What is on, and how sleeves are moved; left out where that is not to be seen. */
  applied?: readonly string[];
  onApplied?: ((applied: string[]) => void) | undefined;
  onMember?: ((id: string) => void) | undefined;
  chosen?: readonly string[];
  /** Nothing is told of speeds and power while a prediction is open. */
  sealed?: boolean;
}

const STEP = Math.PI / 12;

/** The drawing sheet of a whole unit: section, lever diagram, or the end view of one gear set. */
export function UnitSheet(props: Props) {
  const { unit, solution, turning, view = SECTION, onView, sealed = false } = props;
  const { applied, onApplied } = props;
  const sleeves = applied !== undefined && sleevesOf(unit).length > 0;
  const dual = sleeves && isDualClutch(unit);
  const own = OWN_VIEWS.filter(
    ({ view }) => (view !== SLEEVES || sleeves) && (view !== CROSSING || dual),
  );
  const { t } = useTranslation();
  const roles = useMemo(() => memberRoles(unit, solution), [unit, solution]);
  const set = unit.gearsets.find((g): g is PlanetaryUnitSet => g.id === view && g.kind !== 'mesh');
  const planetary = unit.gearsets.filter((g) => g.kind !== 'mesh');
  // The drawing follows in slices: a press is answered before a large one is drawn anew.
  const latest = useLatest(props);
  const section = useMemo(
    () => ({
      ...props,
      roles,
      onElement: props.onElement && ((id: string) => latest.current.onElement?.(id)),
      onMember: props.onMember && ((id: string) => latest.current.onMember?.(id)),
    }),
    [props, roles, latest],
  );
  const shownSection = useDeferredValue(section, isLarge(unit) ? null : section);
  const [wider, setWider] = useState(false);
  const [whole, setWhole] = useState(false);
  const isSection = !set && !own.some((v) => v.view === view);
  const wholeSwitch = isSection && wider && <WholeSwitch whole={whole} onWhole={setWhole} />;
  return (
    <div className="unit-sheet">
      <Sheet label={t('apply.sheet')}>
        {view === LEVER ? (
          <UnitLever unit={unit} solution={solution} roles={roles} />
        ) : view === CROSSING && dual ? (
          <CrossingView unit={unit} />
        ) : view === SLEEVES && sleeves ? (
          <SleevesView
            unit={unit}
            solution={solution}
            roles={roles}
            applied={applied}
            onApplied={onApplied}
          />
        ) : set ? (
          <UnitSetView unit={unit} set={set} solution={solution} roles={roles} turning={turning} />
        ) : (
          shownSection && <SectionSheet {...shownSection} whole={whole} onWider={setWider} />
        )}
      </Sheet>
      {!sealed && (
        <div className="unit-sheet-bar">
          {onView && (
            <Views value={isSection ? SECTION : view} sets={planetary} own={own} onView={onView} />
          )}
          <Transport
            turning={turning}
            step={STEP}
            back={t('apply.stepBack')}
            on={t('apply.stepOn')}
          />
          {wholeSwitch}
          <Legend />
        </div>
      )}
      {sealed && wholeSwitch}
    </div>
  );
}

interface WholeSwitchProps {
  whole: boolean;
  onWhole: (whole: boolean) => void;
}

function WholeSwitch({ whole, onWhole }: WholeSwitchProps) {
  const { t } = useTranslation();
  return (
    <Button
      className="unit-sheet-whole"
      aria-pressed={whole}
      type={whole ? 'primary' : 'default'}
      title={t('apply.wholeWhy')}
      onClick={() => onWhole(!whole)}
    >
      {t('apply.whole')}
    </Button>
  );
}

/** Views of a whole unit beside its section, with their words. */
const OWN_VIEWS = [
  { view: LEVER, word: 'lever' },
  { view: SLEEVES, word: 'sleeves' },
  { view: CROSSING, word: 'crossing' },
] as const;

/** Views that still stand side by side. */
const MOST_SIDE_BY_SIDE = 8;

interface ViewsProps {
  value: string;
  sets: readonly { id: string }[];
  /** Views beside the section that it has as a whole. */
  own: readonly (typeof OWN_VIEWS)[number][];
  onView: (view: string) => void;
}

function Views({ value, sets, own, onView }: ViewsProps) {
  const { t } = useTranslation();
  const options = [
    { value: SECTION, label: t('apply.views.section') },
    ...own.map((o) => ({ value: o.view, label: t(`apply.views.${o.word}`) })),
    ...sets.map((g) => ({ value: g.id, label: t('apply.views.endView', { set: g.id }) })),
  ];
  const Choice = options.length > MOST_SIDE_BY_SIDE ? Select<string> : Segmented<string>;
  return <Choice aria-label={t('apply.view')} value={value} onChange={onView} options={options} />;
}

/** The four roles as they are drawn. */
function Legend() {
  const { t } = useTranslation();
  return (
    <ul className="unit-legend" aria-label={t('apply.legend')}>
      {(['drives', 'driven', 'held', 'idle'] as const).map((role) => (
        <li key={role} className={`role-${role}`}>
          <svg width="20" height="14" aria-hidden="true">
            <path className={`section-line member-${role}`} d="M1 7h18" />
            {(role === 'drives' || role === 'driven') && (
              <path className={`section-flow flow-${role}`} d="M1 7h18" />
            )}
            {role === 'held' && <path className="section-ground" d="M2 12l5-5m2 5l5-5m2 5l5-5" />}
          </svg>
          {t(`memberRoles.${role}`)}
        </li>
      ))}
    </ul>
  );
}
