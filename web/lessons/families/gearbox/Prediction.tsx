import { Select } from 'antd';
import { useTranslation } from 'react-i18next';
import {
  BIND_REASONS,
  type BindReason,
  type Confidence,
  type GearboxAnswer,
  type GearboxQuestion,
  type GearboxRig,
} from '../../../../core/lesson';
import { forwardSides, WAITING_MARKS, WORN_PARTS, type WornPart } from '../../../../core/shift';
import { Choices } from '../../player/Choices';
import { PredictionForm } from '../../player/PredictionForm';
import type { GearboxDraft } from './draft';
import { gearboxPrompt, gearLabels, sideName } from './words';

interface Props {
  question: GearboxQuestion;
  rig: GearboxRig;
  draft: GearboxDraft;
  onDraft: (change: Partial<GearboxDraft>) => void;
  onCommit: (answer: GearboxAnswer, confidence: Confidence) => void;
}

/** What the student thinks about a gearbox, and how sure they are. */
export function GearboxPrediction({ question, rig, draft, onDraft, onCommit }: Props) {
  const { t } = useTranslation();
  return (
    <PredictionForm
      prompt={gearboxPrompt(t, question, rig)}
      answer={answerOf(question, draft)}
      onCommit={onCommit}
    >
      {question.kind === 'which-side' && <SideFields {...{ rig, draft, onDraft }} />}
      {question.kind === 'two-gears' && (
        <>
          <Choices
            label={t('question.yourChoice')}
            value={draft.binds}
            onValue={(binds) => onDraft({ binds })}
            options={[
              { value: 'yes', label: t('gearboxWords.binds') },
              { value: 'no', label: t('gearboxWords.turns') },
            ]}
          />
          <Choices<BindReason>
            label={t('gearboxPrompts.because')}
            value={draft.why}
            onValue={(why) => onDraft({ why })}
            options={BIND_REASONS.map((r) => ({ value: r, label: t(`gearboxWords.reasons.${r}`) }))}
          />
        </>
      )}
      {question.kind === 'set-waiting' && <WaitingFields {...{ rig, draft, onDraft }} />}
      {question.kind === 'draw-crossing' && <p className="quiet">{t('gearboxPrompts.drawHow')}</p>}
    </PredictionForm>
  );
}

type FieldProps = Pick<Props, 'rig' | 'draft' | 'onDraft'>;

function SideFields({ rig: { unit }, draft, onDraft }: FieldProps) {
  const { t } = useTranslation();
  return (
    <>
      <Choices<WornPart>
        label={t('gearboxPrompts.whatIsWorn')}
        value={draft.part}
        onValue={(part) => onDraft({ part })}
        options={WORN_PARTS.map((p) => ({ value: p, label: t(`gearboxWords.worn.${p}`) }))}
      />
      {draft.part !== null && draft.part !== 'clutch' && (
        <label className="field">
          <span className="label">{t('gearboxPrompts.whichSide')}</span>
          <Select<string>
            aria-label={t('gearboxPrompts.whichSide')}
            placeholder={t('faultPrompts.choose')}
            value={draft.side}
            onChange={(side) => onDraft({ side })}
            options={forwardSides(unit).map(({ side }) => ({
              value: side,
              label: sideName(t, unit, side),
            }))}
          />
        </label>
      )}
    </>
  );
}

function WaitingFields({ rig: { unit }, draft, onDraft }: FieldProps) {
  const { t } = useTranslation();
  return (
    <>
      <p className="quiet">{t('gearboxPrompts.waitingHow')}</p>
      <div className="waiting-fields">
        {WAITING_MARKS.map((from, k) => (
          <label key={from}>
            <span className="label">{t('crossing.from', { seconds: from })}</span>
            <Select<string>
              aria-label={t('crossing.waitsFrom', { seconds: from })}
              placeholder="–"
              value={draft.gears[k] ?? null}
              onChange={(gear) =>
                onDraft({ gears: draft.gears.map((g, n) => (n === k ? gear : g)) })
              }
              options={gearLabels(unit)}
            />
          </label>
        ))}
      </div>
    </>
  );
}

/** The answer, once every part of it is there. */
function answerOf({ kind }: GearboxQuestion, draft: GearboxDraft): GearboxAnswer | null {
  switch (kind) {
    case 'which-side':
      if (draft.part === null) return null;
      if (draft.part === 'clutch') return { kind, part: draft.part };
      return draft.side === null ? null : { kind, part: draft.part, side: draft.side };
    case 'two-gears':
      return draft.binds === null || draft.why === null
        ? null
        : { kind, binds: draft.binds === 'yes', why: draft.why };
    case 'set-waiting': {
      const gears = draft.gears.filter((g) => g !== null);
      return gears.length === WAITING_MARKS.length ? { kind, gears } : null;
    }
    case 'draw-crossing':
      return draft.drawn ? { kind, ramps: draft.ramps } : null;
  }
}
