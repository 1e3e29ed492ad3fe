import { useTranslation } from 'react-i18next';
import {
  WAYS,
  type Confidence,
  type ConverterAnswer,
  type ConverterQuestion,
  type ConverterRig,
  type Way,
} from '../../../../core/lesson';
import { BenchControls } from '../../../converter/BenchControls';
import { useNumbers } from '../../../shared/numbers';
import { converterPrompt, quantityChanged, quantityRead } from './words';
import { Choices } from '../../player/Choices';
import type { ConverterDraft } from './draft';
import { NumberInput } from '../../player/NumberInput';
import { PredictionForm } from '../../player/PredictionForm';
import { useKept } from '../../../shared/kept';

interface Props {
  question: ConverterQuestion;
  rig: ConverterRig;
  draft: ConverterDraft;
  onDraft: (change: Partial<ConverterDraft>) => void;
  onCommit: (answer: ConverterAnswer, confidence: Confidence) => void;
}

const OPERATED = { throttle: true, turbine: true, lockUp: true, fault: false } as const;

/** What the student thinks about a converter, and how sure they are. */
export function ConverterPrediction({ question, rig, draft, onDraft, onCommit }: Props) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const [number, setNumber] = useKept<number | null>('ConverterPrediction number', null);
  const [way, setWay] = useKept<Way | null>('ConverterPrediction way', null);
  const quantity =
    question.kind === 'read-match'
      ? quantityRead(question.ask)
      : question.kind === 'predict-change'
        ? quantityChanged(question.of)
        : null;
  return (
    <PredictionForm
      prompt={converterPrompt(t, numbers, question, rig)}
      answer={answerOf(question, draft, number, way)}
      onCommit={onCommit}
    >
      {question.kind === 'operate' && (
        <BenchControls
          converter={rig.converter}
          engine={rig.engine}
          setting={draft.setting}
          fault={null}
          allow={OPERATED}
          onSetting={(change) =>
            onDraft({ setting: { ...draft.setting, ...change }, touched: true })
          }
          onFault={() => undefined}
        />
      )}
      {question.kind === 'sketch-curve' && <p className="quiet">{t('sketch.how')}</p>}
      {question.kind === 'launch-order' && <p className="quiet">{t('order.said')}</p>}
      {question.kind === 'read-match' && (
        <NumberInput
          label={t(`matchAsks.${question.ask}`)}
          quantity={quantity}
          value={number}
          onValue={setNumber}
        />
      )}
      {question.kind === 'predict-change' && (
        <>
          <Choices
            label={t('question.itGoes', { what: t(`changed.${question.of}`) })}
            value={way}
            onValue={setWay}
            options={WAYS.map((w) => ({ value: w, label: t(`ways.${w}`) }))}
          />
          <NumberInput
            label={t(`changed.${question.of}`)}
            quantity={quantity}
            unit="s"
            value={number}
            onValue={setNumber}
          />
        </>
      )}
    </PredictionForm>
  );
}

/** The answer, once every part of it is there. */
function answerOf(
  question: ConverterQuestion,
  draft: ConverterDraft,
  number: number | null,
  way: Way | null,
): ConverterAnswer | null {
  switch (question.kind) {
    case 'operate':
      return draft.touched ? { kind: 'operate', ...settingOf(draft) } : null;
    case 'sketch-curve':
      return draft.touched ? { kind: 'sketch-curve', values: [...draft.values] } : null;
    case 'launch-order':
      return draft.touched ? { kind: 'launch-order', order: [...draft.order] } : null;
    case 'read-match':
      return number === null ? null : { kind: 'read-match', value: number };
    case 'predict-change':
      return number === null || way === null
        ? null
        : { kind: 'predict-change', way, value: number };
  }
}

const settingOf = ({ setting: { throttle, turbineRpm, lockUp } }: ConverterDraft) => ({
  throttle,
  turbineRpm,
  lockUp,
});
