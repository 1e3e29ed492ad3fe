import { Segmented } from 'antd';
import { useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import {
  tipGap,
  withRole,
  type GearSetSetup,
  type Port,
  type Reaction,
  type Role,
  type Roles,
} from '../../core/geartrain';
import { useAppDispatch, useAppSelector } from '../state/hooks';
import { BreakItChoice } from '../shared/BreakIt';
import { formatNumber } from '../shared/numbers';
import { TitleBlock } from '../shared/Sheet';
import { useMedia } from '../shared/useMedia';
import { useShortcuts } from '../shared/useShortcuts';
import { ArrangementTable } from './ArrangementTable';
import { EndViewSheet } from './EndViewSheet';
import { Findings } from './Findings';
import { LeverDrawing } from './LeverDrawing';
import { RatioHeadline } from './RatioHeadline';
import { ReadingsTable } from './ReadingsTable';
import { ReactionPicker } from './ReactionPicker';
import { selectRatioSetup, setupChanged } from './ratioSlice';
import { SetControls } from './SetControls';
import { toothAngle } from '../bench/toothAngle';
import { ToothTransport } from '../bench/Transport';
import { useSetModel, type SetModel } from './useSetModel';
import { SLOWDOWNS, useTurning, type Turning } from '../bench/useTurning';
import { WorkedStepsList } from './WorkedStepsList';
import { useKept } from '../shared/kept';
import './RatioBench.css';

type View = 'ways' | 'lever' | 'worked';

/** The Ratio bench: one gear set at the front of the class. */
export function RatioBench() {
  const { t } = useTranslation();
  const dispatch = useAppDispatch();
  const setup = useAppSelector(selectRatioSetup);
  const [broken, setBroken] = useKept<SetKeyFault | null>('RatioBench broken', null);
  const shown = useMemo(() => brokenSetup(setup, broken), [setup, broken]);
  const model = useSetModel(shown);
  const turning = useTurning(setup.inputSpeedRpm, true);
  const [selected, setSelected] = useKept<Port>('RatioBench selected', 'ring');
  const [ringFollows, setRingFollows] = useKept('RatioBench ringFollows', true);
  const [view, setView] = useKept<View>('RatioBench view', 'ways');
  const tall = useMedia('(min-height: 1000px)');

  const onSetup = (next: GearSetSetup) => void dispatch(setupChanged(next));
  const onRoles = (roles: Roles) => onSetup({ ...setup, roles });
  const onRole = (port: Port, role: Role) => {
    setSelected(port);
    onRoles(withRole(setup.roles, port, role));
  };
  useBenchKeys({
    setup,
    turning,
    selected,
    onSelect: setSelected,
    onRole,
    onRoles,
    onView: setView,
    view,
  });

  const views: View[] = tall ? ['ways', 'worked'] : ['ways', 'lever', 'worked'];
  return (
    <main className="ratio-bench" id="main">
      <h1 className="visually-hidden">{t('nav.ratio')}</h1>
      <EndViewSheet
        setup={shown}
        model={model}
        turning={turning}
        mode="live"
        selected={selected}
        onRole={onRole}
        footer={
          <>
            <ToothTransport setup={setup} turning={turning} />
            <BenchTitle setup={setup} model={model} turning={turning} />
          </>
        }
      />
      <aside className="ratio-side" aria-label={t('bench.readings')}>
        <div>
          <div className="label">{t('bench.ratioInOut')}</div>
          <RatioHeadline solution={model.solution} onPaper={model.findings.length > 0} />
        </div>
        <Findings
          set={setup.set}
          findings={model.findings}
          onSet={(set) => onSetup({ ...setup, set })}
        />
        <SetControls
          setup={setup}
          onSetup={onSetup}
          teeth
          speed
          ringFollows={ringFollows}
          onRingFollows={setRingFollows}
        />
        <ReactionPicker roles={setup.roles} onRoles={onRoles} />
        <BreakItChoice<SetKeyFault>
          value={broken}
          of={SET_FAULTS}
          name={(f) => t(`breakIt.set.${f}`)}
          onValue={setBroken}
        />
        <ReadingsTable setup={shown} model={model} />
        {tall && <LeverDrawing setup={setup} shown={model.shown} />}
        <Segmented
          block
          aria-label={t('bench.show')}
          value={views.includes(view) ? view : 'ways'}
          onChange={setView}
          options={views.map((v) => ({ value: v, label: t(`bench.views.${v}`) }))}
        />
        {view === 'worked' ? (
          <WorkedStepsList setup={setup} />
        ) : view === 'lever' && !tall ? (
          <LeverDrawing setup={setup} shown={model.shown} />
        ) : (
          <ArrangementTable setup={setup} onRoles={onRoles} />
        )}
      </aside>
    </main>
  );
}

/** What can befall a gear set on the bench: its held part is let go, or two of its parts seize. */
const SET_FAULTS = ['lets-go', 'locks'] as const;
type SetKeyFault = (typeof SET_FAULTS)[number];

function brokenSetup(setup: GearSetSetup, fault: SetKeyFault | null): GearSetSetup {
  if (!fault) return setup;
  const reaction = fault === 'locks' ? 'locked' : 'free';
  return { ...setup, roles: { ...setup.roles, reaction } };
}

function BenchTitle({
  setup,
  model,
  turning,
}: {
  setup: GearSetSetup;
  model: SetModel;
  turning: Turning;
}) {
  const { t } = useTranslation();
  const gap = tipGap(setup.set);
  const builds =
    model.findings.length > 0
      ? t('bench.cannotBuild')
      : gap === null
        ? t('bench.canBuild')
        : t('bench.canBuildGap', { gap: formatNumber(gap, 1) });
  return (
    <TitleBlock
      rows={[
        [t('bench.builds'), builds],
        [
          t('bench.timeScale'),
          t('bench.scaleOf', { n: SLOWDOWNS[turning.slow ? 'slow' : 'normal'] }),
        ],
      ]}
    />
  );
}

interface Keys {
  setup: GearSetSetup;
  turning: Turning;
  selected: Port;
  view: View;
  onSelect: (port: Port) => void;
  onRole: (port: Port, role: Role) => void;
  onRoles: (roles: Roles) => void;
  onView: (view: View) => void;
}

function useBenchKeys(keys: Keys): void {
  const { setup, turning, selected, view, onSelect, onRole, onRoles, onView } = keys;
  const tooth = toothAngle(setup);
  const react = (reaction: Reaction) => () => onRoles({ ...setup.roles, reaction });
  const show = (v: View) => () => onView(view === v ? 'ways' : v);
  useShortcuts({
    ' ': turning.toggle,
    ArrowRight: () => turning.stepBy(tooth),
    ArrowLeft: () => turning.stepBy(-tooth),
    s: turning.toggleSlow,
    '1': () => onSelect('sun'),
    '2': () => onSelect('carrier'),
    '3': () => onSelect('ring'),
    d: () => onRole(selected, 'drives'),
    o: () => onRole(selected, 'driven'),
    h: () => onRole(selected, 'held'),
    k: react('locked'),
    f: react('free'),
    w: show('worked'),
    l: show('lever'),
  });
}
