import { Button, Checkbox } from 'antd';
import { useTranslation } from 'react-i18next';
import type { Outcome, Unit } from '../../../../core/geartrain';
import {
  type Confidence,
  type Direction,
  type UnitAnswer,
  type UnitQuestion,
} from '../../../../core/lesson';
import { memberName } from '../../../shared/unitNames';
import { Choices } from '../../player/Choices';
import { NumberInput } from '../../player/NumberInput';
import { PredictionForm } from '../../player/PredictionForm';
import type { UnitDraft } from './draft';
import { useKept } from '../../../shared/kept';

interface Props {
  question: UnitQuestion;
  unit: Unit;
  prompt: string;
  draft: UnitDraft;
  onClear: () => void;
  onCommit: (answer: UnitAnswer, confidence: Confidence) => void;
}

const OUTCOMES: readonly Outcome[] = ['drives', 'neutral', 'tied-up', 'output-held', 'input-held'];

interface Form {
  readonly outcome: Outcome | null;
  readonly ratio: number | null;
  readonly direction: Direction | null;
  readonly elements: readonly string[];
  readonly braking: 'yes' | 'no' | null;
  readonly letsGo: string | null;
}

const EMPTY: Form = {
  outcome: null,
  ratio: null,
  direction: null,
  elements: [],
  braking: null,
  letsGo: null,
};

/** What the student thinks about a unit, and how sure they are. */
export function UnitPrediction({ question, unit, prompt, draft, onClear, onCommit }: Props) {
  const { t } = useTranslation();
  const [form, setForm] = useKept('UnitPrediction form', EMPTY);
  const set = (change: Partial<Form>) => setForm({ ...form, ...change });
  const answer = answerOf(question, unit, form, draft);
  return (
    <PredictionForm prompt={prompt} answer={answer} onCommit={onCommit}>
      {question.kind === 'trace-path' && (
        <>
          <ol className="trace-list" aria-label={t('trace.soFar')}>
            {draft.members.map((m) => (
              <li key={m}>{memberName(unit, m)}</li>
            ))}
          </ol>
          <Button onClick={onClear} disabled={draft.members.length === 0}>
            {t('trace.clear')}
          </Button>
        </>
      )}
      {question.kind === 'fill-chart' && <p className="quiet">{t('fill.how')}</p>}
      {question.kind === 'row-outcome' && (
        <>
          <Choices
            label={t('question.yourChoice')}
            value={form.outcome}
            onValue={(outcome) => set({ outcome })}
            options={OUTCOMES.map((o) => ({ value: o, label: t(`outcomes.${o}`) }))}
          />
          {form.outcome === 'drives' && <RatioFields form={form} onForm={set} />}
        </>
      )}
      {question.kind === 'reaction' && (
        <fieldset className="prediction-choices">
          <legend className="label">{t('question.yourChoice')}</legend>
          <Checkbox.Group
            value={[...form.elements]}
            onChange={(elements) => set({ elements })}
            options={unit.elements.map((e) => ({ value: e.id, label: `${e.id} ${e.name}` }))}
          />
        </fieldset>
      )}
      {question.kind === 'drive-or-coast' && <CoastFields unit={unit} form={form} onForm={set} />}
    </PredictionForm>
  );
}

interface FieldProps {
  form: Form;
  onForm: (change: Partial<Form>) => void;
}

function RatioFields({ form, onForm }: FieldProps) {
  const { t } = useTranslation();
  return (
    <>
      <NumberInput
        label={t('asks.ratio')}
        unit=": 1"
        value={form.ratio}
        onValue={(ratio) => onForm({ ratio })}
      />
      <Choices
        label={t('question.whichWay')}
        value={form.direction}
        onValue={(direction) => onForm({ direction })}
        options={(['same', 'opposite'] as const).map((d) => ({
          value: d,
          label: t(`directions.${d}`),
        }))}
      />
    </>
  );
}

function CoastFields({ unit, form, onForm }: FieldProps & { unit: Unit }) {
  const { t } = useTranslation();
  const oneWays = unit.elements.filter((e) => e.kind === 'one-way');
  return (
    <>
      <Choices
        label={t('coast.question')}
        value={form.braking}
        onValue={(braking) => onForm({ braking })}
        options={[
          { value: 'yes', label: t('coast.brakes') },
          { value: 'no', label: t('coast.runsFree') },
        ]}
      />
      {form.braking === 'no' && (
        <Choices
          label={t('coast.which')}
          value={form.letsGo}
          onValue={(letsGo) => onForm({ letsGo })}
          options={oneWays.map((e) => ({ value: e.id, label: `${e.id} ${e.name}` }))}
        />
      )}
    </>
  );
}

/** The answer, once every part of it is there. */
function answerOf(
  question: UnitQuestion,
  unit: Unit,
  form: Form,
  draft: UnitDraft,
): UnitAnswer | null {
  switch (question.kind) {
    case 'fill-chart':
      return { kind: 'fill-chart', on: [...draft.on] };
    case 'trace-path':
      return draft.members.length < 2 ? null : { kind: 'trace-path', members: [...draft.members] };
    case 'row-outcome':
      if (form.outcome === null) return null;
      if (form.outcome !== 'drives') return { kind: 'row-outcome', outcome: form.outcome };
      if (form.ratio === null || form.direction === null) return null;
      return {
        kind: 'row-outcome',
        outcome: 'drives',
        ratio: form.ratio,
        direction: form.direction,
      };
    case 'reaction':
      return form.elements.length === 0 ? null : { kind: 'reaction', elements: [...form.elements] };
    case 'drive-or-coast': {
      if (form.braking === null) return null;
      if (form.braking === 'yes') return { kind: 'drive-or-coast', braking: true };
      const some = unit.elements.some((e) => e.kind === 'one-way');
      if (form.letsGo === null) return some ? null : { kind: 'drive-or-coast', braking: false };
      return { kind: 'drive-or-coast', braking: false, letsGo: form.letsGo };
    }
  }
}
