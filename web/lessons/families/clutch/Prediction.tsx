import { useTranslation } from 'react-i18next';
import {
  NOISE_TESTS,
  selectiveChoices,
  UPGRADE_LIMITS,
  type UpgradeLimit,
} from '../../../../core/clutch';
import type { ClutchAnswer, ClutchQuestion, ClutchRig, Confidence } from '../../../../core/lesson';
import { demands } from '../../../../core/shift';
import { engineModel } from '../../../../core/converter';
import { ClutchControls } from '../../../clutch/ClutchControls';
import { gapText, useNumbers } from '../../../shared/numbers';
import { clutchPrompt } from './words';
import { Choices } from '../../player/Choices';
import type { ClutchDraft } from './draft';
import { NumberInput } from '../../player/NumberInput';
import { PredictionForm } from '../../player/PredictionForm';
import { PlayWindows } from '../../player/PlayWindows';
import { useKept } from '../../../shared/kept';

interface Props {
  question: ClutchQuestion;
  rig: ClutchRig;
  draft: ClutchDraft;
  onDraft: (change: Partial<ClutchDraft>) => void;
  onCommit: (answer: ClutchAnswer, confidence: Confidence) => void;
}

const ADJUST = { wear: false, adjust: true, fault: false } as const;

/** What the student thinks about a clutch or a pack, and how sure they are. */
export function ClutchPrediction({ question, rig, draft, onDraft, onCommit }: Props) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const [number, setNumber] = useKept<number | null>('ClutchPrediction number', null);
  const [choice, setChoice] = useKept<string | null>('ClutchPrediction choice', null);
  const options = optionsOf();
  const asksTorque =
    (question.kind === 'will-it-hold' && question.ask === 'holds') ||
    (question.kind === 'upgrade-limit' && question.ask === 'carried');
  return (
    <PredictionForm
      prompt={clutchPrompt(t, numbers, question, rig)}
      answer={answerOf(question, draft, number, choice)}
      onCommit={onCommit}
    >
      {question.kind === 'set-free-play' && rig.clutch && (
        <>
          <PlayWindows clutch={rig.clutch} />
          <ClutchControls
            clutch={rig.clutch}
            setting={{
              wear: question.wear,
              adjusted: false,
              fault: null,
              forkRod: draft.forkRod,
              turnbuckle: draft.turnbuckle,
            }}
            allow={ADJUST}
            onSetting={(change) => onDraft(change)}
          />
        </>
      )}
      {question.kind === 'adjust-order' && <p className="quiet">{t('clutchPrompts.orderSaid')}</p>}
      {question.kind === 'draw-start' && <p className="quiet">{t('clutchPrompts.drawHow')}</p>}
      {options && (
        <Choices
          label={t('clutchPrompts.answer')}
          value={choice}
          onValue={setChoice}
          options={options}
        />
      )}
      {asksTorque && (
        <NumberInput
          label={t(
            question.kind === 'will-it-hold'
              ? 'clutchPrompts.itCanHold'
              : 'clutchPrompts.itCarries',
          )}
          quantity="torque"
          value={number}
          onValue={setNumber}
        />
      )}
    </PredictionForm>
  );

  function optionsOf(): { value: string; label: string }[] | null {
    switch (question.kind) {
      case 'will-it-hold':
        if (question.ask === 'holds')
          return ['itHolds', 'itSlips'].map((v) => ({ value: v, label: t(`clutchPrompts.${v}`) }));
        return gearsOf(rig).map((g) => ({ value: g.range, label: g.gear }));
      case 'noise-test':
        return NOISE_TESTS.map(({ id }) => ({ value: id, label: t(`clutch.noise.${id}`) }));
      case 'choose-selective':
        return (rig.pack ? selectiveChoices(rig.pack) : []).map((c) => ({
          value: String(c.thickness),
          label: gapText(numbers, c.thickness),
        }));
      case 'upgrade-limit':
        return question.ask === 'limit'
          ? UPGRADE_LIMITS.map((l) => ({ value: l, label: t(`pack.limits.${l}`) }))
          : null;
      case 'set-free-play':
      case 'adjust-order':
      case 'draw-start':
        return null;
    }
  }
}

/** Forward gears by their names; what each asks is not shown. */
function gearsOf({ engine, unit, vehicle }: ClutchRig) {
  if (!engine || !unit || !vehicle) return [];
  return demands({ engine: engineModel(engine), unit, vehicle, throttle: 1, grade: 0 });
}

/** The answer, once every part of it is there. */
function answerOf(
  question: ClutchQuestion,
  draft: ClutchDraft,
  torque: number | null,
  choice: string | null,
): ClutchAnswer | null {
  switch (question.kind) {
    case 'set-free-play': {
      const { forkRod, turnbuckle } = draft;
      return draft.touched ? { kind: 'set-free-play', forkRod, turnbuckle } : null;
    }
    case 'adjust-order':
      return draft.touched ? { kind: 'adjust-order', order: [...draft.order] } : null;
    case 'draw-start':
      return draft.touched
        ? {
            kind: 'draw-start',
            pedal: [...draft.feet.pedal],
            throttle: [...draft.feet.throttle],
          }
        : null;
    case 'noise-test':
      return choice === null ? null : { kind: 'noise-test', test: choice };
    case 'choose-selective':
      return choice === null ? null : { kind: 'choose-selective', thickness: Number(choice) };
    case 'will-it-hold':
      if (choice === null) return null;
      if (question.ask === 'slips-first') return { kind: 'will-it-hold', range: choice };
      return torque === null
        ? null
        : { kind: 'will-it-hold', holds: choice === 'itHolds', value: torque };
    case 'upgrade-limit':
      if (question.ask === 'carried')
        return torque === null ? null : { kind: 'upgrade-limit', value: torque };
      return choice === null ? null : { kind: 'upgrade-limit', limit: choice as UpgradeLimit };
  }
}
