import { useMemo } from 'react';
import {
  canShift,
  drivenUp,
  gearsFor,
  shiftSet,
  standingFrom,
  standingWithout,
  type OilAnswer,
  type OilKey,
  type OilQuestion,
  type OilRig,
} from '../../../../core/lesson';
import { USUAL_ENGINE, WARM_C } from '../../../../core/hydraulics';
import { Sheet } from '../../../shared/Sheet';
import { useTranslation } from 'react-i18next';
import { OilPlanView } from '../../../shift/OilPlanView';
import { Traces, Verdicts } from '../../../shift/ShiftRun';
import { drawnIn, type OilDraft } from './draft';
import { BoltOrder } from './BoltOrder';
import { DrawPressures } from './DrawPressures';
import './Stage.css';

interface Props {
  question: OilQuestion;
  rig: OilRig;
  keyNow: OilKey | null;
  draft: OilDraft;
  /** What was committed. */
  answer: OilAnswer | undefined;
  onDraft: (change: Partial<OilDraft>) => void;
}

/** The plan as the question drives it: valves shown where the oil is to be traced, nothing else before the commit. */
export function OilStageSheet(props: Props) {
  const { question, rig, answer } = props;
  if (question.kind === 'draw-pressures' && canShift(rig, question.gear))
    return (
      <DrawPressures
        question={question}
        rig={rig}
        keyNow={props.keyNow}
        drawn={drawnIn(props.draft, question, rig)}
        answer={answer}
        onDrawn={(drawn) => props.onDraft({ drawn })}
      />
    );
  if (question.kind === 'bolt-order')
    return (
      <BoltOrder
        question={question}
        rig={rig}
        keyNow={props.keyNow}
        bolts={props.draft.bolts}
        answer={answer}
        onBolts={(bolts) => props.onDraft({ bolts })}
      />
    );
  return question.kind === 'set-shift' && canShift(rig, question.gear) ? (
    <ShiftAsSet question={question} rig={rig} answer={answer} />
  ) : (
    <Plan {...props} question={question} />
  );
}

/** The shift as it is found, and as it was set once that is committed. */
function ShiftAsSet({
  question,
  rig,
  answer,
}: Pick<Props, 'rig' | 'answer'> & { question: Extract<OilQuestion, { kind: 'set-shift' }> }) {
  const found = useMemo(() => shiftSet(rig, question, question.found), [rig, question]);
  const setting = answer?.kind === 'set-shift' ? answer.setting : null;
  const set = useMemo(() => setting && shiftSet(rig, question, setting), [rig, question, setting]);
  return (
    <div className="oil-set">
      <Verdicts
        now={set ?? found}
        before={set && found}
        names={{ now: set ? 'now' : 'found', before: 'found' }}
      />
      <Traces now={set ?? found} before={set && found} side="torque" />
    </div>
  );
}

type OnThePlan = Exclude<OilQuestion, { kind: 'bolt-order' }>;

function Plan({ question, rig, draft, answer, onDraft }: Props & { question: OnThePlan }) {
  const { t } = useTranslation();
  const { running, state } = useMemo(() => runningAs(question, rig), [question, rig]);
  const traced = question.kind === 'trace-oil';
  const press = (id: string) =>
    onDraft({
      parts: draft.parts.includes(id) ? draft.parts.filter((p) => p !== id) : [...draft.parts, id],
    });
  const asksBall = question.kind === 'which-ball';
  const chosen = traced
    ? answer?.kind === 'trace-oil'
      ? answer.parts
      : draft.parts
    : asksBall
      ? [answer?.kind === 'which-ball' ? answer.ball : (draft.ball ?? '')]
      : [];
  return (
    <Sheet label={t('oil.sheet')}>
      <OilPlanView
        plan={rig.plan}
        state={state}
        running={running}
        chosen={chosen}
        onPart={traced && !answer ? press : undefined}
        hidden={answer ? 'nothing' : traced ? 'pressures' : 'all'}
      />
    </Sheet>
  );
}

/** The plan as it stands in the question; where a ball is looked for, as the first gauge is read. */
function runningAs(question: OnThePlan, rig: OilRig) {
  if (question.kind === 'which-ball')
    return standingWithout(rig, question.ball, question.throttle, question.gauges[0]);
  const at = drivenAs(question, rig);
  const { state } =
    question.kind === 'kick-down' ? standingFrom(rig, at, question.gear) : drivenUp(rig, at);
  return { state, running: { ...at, engineRpm: USUAL_ENGINE.idleRpm, celsius: WARM_C } };
}

/** What the lever, the pedal and the speed are; kick-down has the foot on the floor, a speed is looked at just past its upshift. */
function drivenAs(question: Exclude<OnThePlan, { kind: 'which-ball' }>, rig: OilRig) {
  const lever = gearsFor(rig).mainLever ?? '';
  switch (question.kind) {
    case 'trace-oil':
    case 'spool-places': {
      const { throttle, outputRpm } = question;
      return { lever: question.lever, throttle, outputRpm };
    }
    case 'kick-down':
      return { lever, throttle: 1, outputRpm: question.outputRpm };
    case 'shift-speed':
    case 'set-shift':
    case 'draw-pressures':
    case 'oil-fault-row':
      return { lever, throttle: question.throttle, outputRpm: 0 };
  }
}
