import { useTranslation } from 'react-i18next';
import type { GearSetSetup, Port } from '../../../../core/geartrain';
import {
  setKey,
  DIRECTIONS,
  type Confidence,
  type Direction,
  type SetAnswer,
  type SetQuestion,
} from '../../../../core/lesson';
import type { GivenRoles } from '../../../ratio/EndViewSheet';
import { useNumbers } from '../../../shared/numbers';
import { choiceText, promptOf, quantityOf } from './words';
import { Choices } from '../../player/Choices';
import { NumberInput } from '../../player/NumberInput';
import { PredictionForm } from '../../player/PredictionForm';
import { useKept } from '../../../shared/kept';

interface Props {
  question: SetQuestion;
  setup: GearSetSetup;
  /** Roles given on the drawing, for a question about roles. */
  given: GivenRoles;
  onCommit: (answer: SetAnswer, confidence: Confidence) => void;
}

/** What the student thinks, and how sure they are. It can be committed once it is complete. */
export function GearSetPrediction({ question, setup, given, onCommit }: Props) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const [value, setValue] = useKept<number | null>('Prediction value', null);
  const [direction, setDirection] = useKept<Direction | null>('Prediction direction', null);
  const [choice, setChoice] = useKept<string | null>('Prediction choice', null);
  const key = setKey(question, setup);
  const quantity = question.kind === 'number' ? quantityOf(question.ask) : null;
  const answer = answerOf(question, { value, direction, choice, given });

  return (
    <PredictionForm
      prompt={promptOf(t, numbers, question, setup)}
      answer={answer}
      onCommit={onCommit}
    >
      {question.kind === 'number' && (
        <NumberInput
          label={t(`asks.${question.ask}`)}
          quantity={quantity}
          unit=": 1"
          value={value}
          onValue={setValue}
        />
      )}
      {question.kind === 'number' && question.direction && (
        <Choices
          label={t('question.whichWay')}
          value={direction}
          onValue={setDirection}
          options={DIRECTIONS.map((d) => ({ value: d, label: t(`directions.${d}`) }))}
        />
      )}
      {question.kind === 'choice' && key.ok && key.key.kind === 'choice' && (
        <Choices
          label={t('question.yourChoice')}
          value={choice}
          onValue={setChoice}
          options={key.key.options.map((c) => ({ value: c, label: choiceText(t, question, c) }))}
        />
      )}
      {question.kind === 'roles' && <GivenList given={given} />}
    </PredictionForm>
  );
}

interface Draft {
  value: number | null;
  direction: Direction | null;
  choice: string | null;
  given: GivenRoles;
}

/** The answer, once every part of it is there. */
function answerOf(question: SetQuestion, draft: Draft): SetAnswer | null {
  switch (question.kind) {
    case 'number':
      if (draft.value === null) return null;
      if (!question.direction) return { kind: 'number', value: draft.value };
      return draft.direction && { kind: 'number', value: draft.value, direction: draft.direction };
    case 'choice':
      return draft.choice === null ? null : { kind: 'choice', choice: draft.choice };
    case 'roles': {
      const holder = (role: string) =>
        (Object.keys(draft.given) as Port[]).find((p) => draft.given[p] === role);
      const [drives, driven, held] = [holder('drives'), holder('driven'), holder('held')];
      return drives && driven && held ? { kind: 'roles', drives, driven, held } : null;
    }
  }
}

function GivenList({ given }: { given: GivenRoles }) {
  const { t } = useTranslation();
  return (
    <ul className="prediction-given">
      {(Object.keys(given) as Port[]).map((port) => {
        const role = given[port];
        return (
          <li key={port}>
            <span>{t(`parts.${port}`)}</span>
            <strong className={role ? `role-${role}` : 'quiet'}>
              {role ? t(`roles.${role}`) : t('bench.noRole')}
            </strong>
          </li>
        );
      })}
    </ul>
  );
}
