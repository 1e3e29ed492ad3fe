import type { TFunction } from 'i18next';
import { useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import { AS_BUILT, releaseCurve, withSelective, type Clutch } from '../../../../core/clutch';
import {
  fittedPack,
  startSetup,
  type ClutchAnswer,
  type ClutchKey,
  type ClutchQuestion,
  type ClutchRig,
  type DrawStartQuestion,
} from '../../../../core/lesson';
import { engage } from '../../../../core/shift';
import { ClutchDrawing } from '../../../clutch/ClutchDrawing';
import { EngagementTraces } from '../../../clutch/EngagementTraces';
import { FeetPads } from '../../../clutch/FeetPads';
import { ReleaseCurves } from '../../../clutch/ReleaseCurves';
import { useClutchModel } from '../../../clutch/useClutchModel';
import { StackView } from '../../../packs/StackView';
import type { ClutchDraft } from './draft';
import { OrderSheet } from '../../player/OrderSheet';
import './Stage.css';

interface Props {
  question: ClutchQuestion;
  rig: ClutchRig;
  /** `null` where the question can't be asked. */
  keyNow: ClutchKey | null;
  draft: ClutchDraft;
  /** What was committed. */
  answer: ClutchAnswer | undefined;
  onDraft: (change: Partial<ClutchDraft>) => void;
}

/** The sheet of a question about a clutch: what is adjusted, looked at, drawn, ordered or fitted. */
export function ClutchStageSheet({ question, rig, keyNow, draft, answer, onDraft }: Props) {
  const { t } = useTranslation();
  const { clutch, pack } = rig;
  switch (question.kind) {
    case 'set-free-play':
    case 'will-it-hold':
    case 'noise-test':
      return (
        clutch && (
          <Operated
            clutch={clutch}
            setting={settingOf(question, answer ?? null, draft)}
            pedal={draft.pedal}
            sealed={!answer && question.kind === 'will-it-hold'}
            onPedal={(pedal) => onDraft({ pedal })}
          />
        )
      );
    case 'adjust-order':
      return (
        <OrderSheet
          order={answer?.kind === 'adjust-order' ? answer.order : draft.order}
          nameOf={(id) => t(`clutch.adjustments.${id}`)}
          how={t('clutchPrompts.orderHow')}
          told={keyNow?.kind === 'adjust-order' ? toldBy(t, keyNow.example) : null}
          onOrder={answer ? undefined : (order) => onDraft({ order })}
        />
      );
    case 'draw-start':
      return <Start {...{ question, rig, draft, answer, onDraft }} />;
    case 'choose-selective': {
      const now = pack && fittedPack(pack, question);
      const chosen = answer?.kind === 'choose-selective' ? answer.thickness : null;
      return (
        now && (
          <StackView
            pack={chosen === null ? now : withSelective(now, chosen)}
            plate={null}
            onPlate={() => undefined}
          />
        )
      );
    }
    case 'upgrade-limit':
      return pack && <StackView pack={pack} plate={null} onPlate={() => undefined} />;
  }
}

const toldBy = (t: TFunction, example: readonly string[]) => (id: string, index: number) => ({
  right: example[index] === id,
  said: t('clutchPrompts.placeOf', { place: example.indexOf(id) + 1 }),
});

/** How the clutch of a question stands; oil and wear of the question, the settings of the student. */
function settingOf(question: ClutchQuestion, answer: ClutchAnswer | null, draft: ClutchDraft) {
  const base = { wear: 0, adjusted: true, forkRod: 0, turnbuckle: 0, fault: null };
  if (question.kind === 'will-it-hold') return { ...base, wear: question.wear };
  if (question.kind !== 'set-free-play') return base;
  const { forkRod, turnbuckle } = answer?.kind === 'set-free-play' ? answer : draft;
  return { ...base, wear: question.wear, adjusted: false, forkRod, turnbuckle };
}

interface OperatedProps {
  clutch: Clutch;
  setting: ReturnType<typeof settingOf>;
  pedal: number;
  sealed: boolean;
  onPedal: (pedal: number) => void;
}

function Operated({ clutch, setting, pedal, sealed, onPedal }: OperatedProps) {
  const model = useClutchModel(clutch, setting, pedal);
  return (
    model && <ClutchDrawing clutch={clutch} model={model} onPedal={onPedal} hideReadings={sealed} />
  );
}

interface StartProps {
  question: DrawStartQuestion;
  rig: ClutchRig;
  draft: ClutchDraft;
  answer: ClutchAnswer | undefined;
  onDraft: (change: Partial<ClutchDraft>) => void;
}

/** Both feet to draw with the release curve beside them; after the commit, what became of it. */
function Start({ question, rig, draft, answer, onDraft }: StartProps) {
  const { clutch } = rig;
  const feet = answer?.kind === 'draw-start' ? answer : draft.feet;
  const run = useMemo(() => {
    if (answer?.kind !== 'draw-start') return null;
    const setup = startSetup(question, rig, answer);
    return setup && engage({ ...setup, step: SHOWN_STEP });
  }, [question, rig, answer]);
  const known = useMemo(() => {
    if (!clutch) return null;
    const curve = releaseCurve(clutch, AS_BUILT);
    return { state: AS_BUILT, curve, holds: 0, point: curve.points[0]! };
  }, [clutch]);
  const open = !answer;
  return (
    <div className="start-stage">
      <FeetPads
        pedal={feet.pedal}
        throttle={feet.throttle}
        onPedal={open ? (pedal) => onDraft({ feet: { ...draft.feet, pedal } }) : undefined}
        onThrottle={open ? (throttle) => onDraft({ feet: { ...draft.feet, throttle } }) : undefined}
      />
      {run ? (
        <EngagementTraces traced="speeds" result={run} kept={[]} title={clutch?.name ?? ''} />
      ) : (
        known && clutch && <ReleaseCurves title={clutch.name} model={known} />
      )}
    </div>
  );
}

const SHOWN_STEP = 0.002;
