import { useTranslation } from 'react-i18next';
import {
  ballsOf,
  bodyFor,
  gearsFor,
  SETTING_LIMITS,
  SHIFT_SETTINGS,
  type Confidence,
  type OilAnswer,
  type OilQuestion,
  type OilRig,
} from '../../../../core/lesson';
import { partsOf, SHIFT_MOMENTS, type ShiftMoment } from '../../../../core/hydraulics';
import { useNumbers } from '../../../shared/numbers';
import { partName } from '../../../shift/oilWords';
import { SmallSlider } from '../../../bench/SmallSlider';
import { Choices } from '../../player/Choices';
import { NumberInput } from '../../player/NumberInput';
import { PredictionForm } from '../../player/PredictionForm';
import type { OilDraft } from './draft';
import { BallEvidence } from './BallEvidence';
import { BoltFields } from './BoltFields';
import { ballName, oilPrompt, settingValue } from './words';

interface Props {
  question: OilQuestion;
  rig: OilRig;
  draft: OilDraft;
  onDraft: (change: Partial<OilDraft>) => void;
  onCommit: (answer: OilAnswer, confidence: Confidence) => void;
}

/** What the student thinks about the oil, and how sure they are. */
export function OilPrediction({ question, rig, draft, onDraft, onCommit }: Props) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  return (
    <PredictionForm
      prompt={oilPrompt(t, numbers, question, rig)}
      answer={answerOf(question, rig, draft)}
      onCommit={onCommit}
    >
      <Fields question={question} rig={rig} draft={draft} onDraft={onDraft} />
    </PredictionForm>
  );
}

function Fields({ question, rig, draft, onDraft }: Omit<Props, 'onCommit'>) {
  const { t } = useTranslation();
  const { forward } = gearsFor(rig);
  switch (question.kind) {
    case 'trace-oil':
      return (
        <p className="quiet">
          {draft.parts.length === 0
            ? t('oilPrompts.traceHow')
            : t('oilPrompts.traced', { count: draft.parts.length })}
        </p>
      );
    case 'spool-places':
      return partsOf(rig.plan, 'shift-valve').map((valve) => (
        <Choices
          key={valve.id}
          label={partName(t, valve, rig.plan)}
          value={draft.places[valve.id] ?? null}
          onValue={(place) => onDraft({ places: { ...draft.places, [valve.id]: place } })}
          options={(['up', 'down'] as const).map((p) => ({ value: p, label: t(`oil.spool.${p}`) }))}
        />
      ));
    case 'shift-speed':
      return (['up', 'down'] as const).map((way) => (
        <NumberInput
          key={way}
          label={t(`oilPrompts.speed.${way}`)}
          quantity="speed"
          unit=""
          value={draft[way]}
          onValue={(value) => onDraft({ [way]: value })}
        />
      ));
    case 'oil-fault-row':
      return forward.slice(1).map((to, k) => (
        <Choices<ShiftMoment>
          key={to.range.id}
          label={t('oil.shift.pair', { low: forward[k]!.range.gear, high: to.range.gear })}
          value={draft.moments[k] ?? null}
          onValue={(moment) =>
            onDraft({
              moments: forward
                .slice(1)
                .map((_f, n) => (n === k ? moment : (draft.moments[n] ?? null))),
            })
          }
          options={SHIFT_MOMENTS.map((m) => ({ value: m, label: t(`oilWords.moments.${m}`) }))}
        />
      ));
    case 'which-ball':
      return (
        <>
          <BallEvidence question={question} rig={rig} />
          <Choices
            label={t('oilPrompts.ball')}
            value={draft.ball}
            onValue={(ball) => onDraft({ ball })}
            options={ballsOf(rig).map((id) => ({ value: id, label: ballName(t, rig, id) }))}
          />
        </>
      );
    case 'bolt-order':
      return <BoltFields question={question} rig={rig} draft={draft} onDraft={onDraft} />;
    case 'draw-pressures':
      return <p className="quiet">{t('oilPrompts.draw.how')}</p>;
    case 'set-shift': {
      const setting = draft.setting ?? question.found;
      return SHIFT_SETTINGS.map((key) => (
        <SmallSlider
          key={key}
          label={t(`oilWords.settings.${key}`)}
          text={settingValue(t, key, setting[key])}
          value={setting[key]}
          from={SETTING_LIMITS[key][0]}
          to={SETTING_LIMITS[key][1]}
          step={0.01}
          onValue={(value) => onDraft({ setting: { ...setting, [key]: value } })}
        />
      ));
    }
    case 'kick-down':
      return (
        <>
          <Choices
            label={t('oilPrompts.gearThen')}
            value={draft.gear === null ? null : String(draft.gear)}
            onValue={(gear) => onDraft({ gear: Number(gear) })}
            options={forward.map((f, k) => ({ value: String(k + 1), label: f.range.gear }))}
          />
          <NumberInput
            label={t('oilPrompts.engineThen')}
            quantity="speed"
            unit=""
            value={draft.engineRpm}
            onValue={(engineRpm) => onDraft({ engineRpm })}
          />
        </>
      );
  }
}

/** The answer, once every part of it is there. */
function answerOf(question: OilQuestion, rig: OilRig, draft: OilDraft): OilAnswer | null {
  const { kind } = question;
  switch (kind) {
    case 'trace-oil':
      return draft.parts.length > 0 ? { kind, parts: [...draft.parts] } : null;
    case 'spool-places': {
      const valves = partsOf(rig.plan, 'shift-valve').map((v) => v.id);
      return valves.every((id) => draft.places[id])
        ? { kind, up: valves.filter((id) => draft.places[id] === 'up') }
        : null;
    }
    case 'shift-speed':
      return draft.up === null || draft.down === null
        ? null
        : { kind, up: draft.up, down: draft.down };
    case 'oil-fault-row': {
      const row = draft.moments.filter((m) => m !== null);
      return row.length > 0 && row.length === gearsFor(rig).forward.length - 1
        ? { kind, row }
        : null;
    }
    case 'which-ball':
      return draft.ball === null ? null : { kind, ball: draft.ball };
    case 'bolt-order':
      return draft.inTurns === null || draft.bolts.length < bodyFor(rig, question).bolts.length
        ? null
        : { kind, order: [...draft.bolts], inTurns: draft.inTurns };
    case 'draw-pressures':
      return draft.drawn && { kind, ...draft.drawn };
    case 'set-shift':
      return draft.setting && { kind, setting: draft.setting };
    case 'kick-down':
      return draft.gear === null || draft.engineRpm === null
        ? null
        : { kind, gear: draft.gear, engineRpm: draft.engineRpm };
  }
}
