import { useTranslation } from 'react-i18next';
import {
  openingOrder,
  OWN_FAMILY,
  type Confidence,
  type OwnAnswer,
  type OwnQuestion,
} from '../../../../core/lesson';
import { useKept } from '../../../shared/kept';
import { Choices } from '../../player/Choices';
import { NumberInput } from '../../player/NumberInput';
import { OrderSheet } from '../../player/OrderSheet';
import { PredictionForm } from '../../player/PredictionForm';
import { Posed, type AskedProps } from '../../player/Posed';
import { StageFrame, type StageProps } from '../../player/StageFrame';
import { useAsked } from '../../player/useAsked';
import { OWN_WORDS } from './words';
import './Stage.css';

interface Draft {
  readonly choice: string | null;
  readonly value: number | null;
  readonly order: readonly string[];
  readonly moved: boolean;
}

/** An instructor's own question, about the part in the hand. */
function Stage({ block, subject, round, ...frame }: StageProps<'own'>) {
  const { t } = useTranslation();
  const asked = useAsked<'own'>(OWN_FAMILY, block, subject, round);
  const { question, given, commit } = asked;
  const [draft, setDraft] = useKept<Draft>('OwnStage draft', () => ({
    choice: null,
    value: null,
    order: cardsOf(question, `${block.id} ${round}`),
    moved: false,
  }));
  const steps = question.kind === 'own-order' ? question.steps : [];
  const order = given?.kind === 'own-order' ? given.order.map(String) : draft.order;
  return (
    <StageFrame
      {...frame}
      asked={asked}
      words={OWN_WORDS}
      sheetClass="own-stage is-long"
      sheet={
        question.kind === 'own-order' ? (
          <OrderSheet
            order={order}
            nameOf={(k) => steps[Number(k)] ?? k}
            how={t('order.how')}
            told={
              given
                ? (k, place) => ({
                    right: Number(k) === place,
                    said: t('own.place', { place: Number(k) + 1 }),
                  })
                : null
            }
            onOrder={given ? undefined : (next) => setDraft({ ...draft, order: next, moved: true })}
          />
        ) : (
          <p className="own-hand">{t('own.hand')}</p>
        )
      }
      prediction={
        <OwnPrediction
          question={question}
          draft={draft}
          onDraft={(change) => setDraft({ ...draft, ...change })}
          onCommit={commit}
        />
      }
    />
  );
}

const cardsOf = (question: OwnQuestion, seed: string): string[] =>
  question.kind === 'own-order'
    ? openingOrder(
        question.steps.map((_s, k) => String(k)),
        seed,
        (order) => order.every((k, place) => Number(k) === place),
      )
    : [];

interface PredictionProps {
  question: OwnQuestion;
  draft: Draft;
  onDraft: (change: Partial<Draft>) => void;
  onCommit: (answer: OwnAnswer, confidence: Confidence) => void;
}

function OwnPrediction({ question, draft, onDraft, onCommit }: PredictionProps) {
  const { t } = useTranslation();
  return (
    <PredictionForm prompt={question.prompt} answer={answerOf(question, draft)} onCommit={onCommit}>
      {question.kind === 'own-choice' && (
        <Choices
          label={t('own.answer')}
          value={draft.choice}
          onValue={(choice) => onDraft({ choice })}
          options={question.options.map((label, k) => ({ value: String(k), label }))}
        />
      )}
      {question.kind === 'own-number' && (
        <NumberInput
          label={t('own.answer')}
          unit={question.unit}
          value={draft.value}
          onValue={(value) => onDraft({ value })}
        />
      )}
    </PredictionForm>
  );
}

function answerOf(question: OwnQuestion, { choice, value, order, moved }: Draft): OwnAnswer | null {
  switch (question.kind) {
    case 'own-choice':
      return choice === null ? null : { kind: 'own-choice', choice: Number(choice) };
    case 'own-number':
      return value === null ? null : { kind: 'own-number', value };
    case 'own-order':
      return moved ? { kind: 'own-order', order: order.map(Number) } : null;
  }
}

/** The same, as this student gets it. */
export function OwnStage(props: AskedProps) {
  return <Posed<'own'> {...props} family={OWN_FAMILY} Stage={Stage} />;
}
