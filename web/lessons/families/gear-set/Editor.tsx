import { Checkbox, Collapse, Segmented, Select } from 'antd';
import { useTranslation } from 'react-i18next';
import {
  ARRANGEMENT_KEYS,
  CHOICE_ASKS,
  GOALS,
  hasDirection,
  NUMBER_ASKS,
  setKey,
  type ArrangementKey,
  type ChoiceQuestion,
  type NumberQuestion,
  type SetQuestion,
} from '../../../../core/lesson';
import { useNumbers } from '../../../shared/numbers';
import { TypedNumber } from '../../../shared/TypedNumber';
import { SetupEditor } from '../../builder/BenchEditor';
import { QuestionFrame } from '../../builder/QuestionFrame';
import type { EditorProps } from '../familyEditor';
import { choiceText, keyText, promptOf, quantityOf } from './words';

export function GearSetEditor({ question, onQuestion }: EditorProps<'gear-set'>) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const key = setKey(question);
  return (
    <>
      <QuestionFrame
        prompt={question.prompt}
        worded={promptOf(t, numbers, { ...question, prompt: '' }, question.setup)}
        onPrompt={(prompt) => onQuestion({ ...question, prompt })}
        fault={key.ok ? null : key.fault}
        answer={key.ok ? keyText(t, numbers, question, key.key) : null}
      >
        {question.kind === 'number' && <NumberFields question={question} onQuestion={onQuestion} />}
        {question.kind === 'choice' && <ChoiceFields question={question} onQuestion={onQuestion} />}
      </QuestionFrame>
      <Collapse
        size="small"
        defaultActiveKey={['set']}
        destroyOnHidden
        items={[
          {
            key: 'set',
            label: t('question.aboutSet'),
            children: (
              <SetupEditor
                setup={question.setup}
                onSetup={(setup) => onQuestion({ ...question, setup })}
              />
            ),
          },
        ]}
      />
    </>
  );
}

interface NumberProps {
  question: NumberQuestion;
  onQuestion: (question: SetQuestion) => void;
}

function NumberFields({ question, onQuestion }: NumberProps) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const { tolerance } = question;
  const quantity = tolerance.kind === 'absolute' ? quantityOf(question.ask) : null;
  const shown = quantity ? numbers.toDisplay(tolerance.value, quantity) : tolerance.value;
  const stored = (v: number) => (quantity ? numbers.fromDisplay(v, quantity) : v);
  const directed = hasDirection(question.ask);
  return (
    <>
      <label className="field">
        <span className="label">{t('question.askFor')}</span>
        <Select
          value={question.ask}
          style={{ width: 210 }}
          aria-label={t('question.askFor')}
          onChange={(ask) =>
            onQuestion({ ...question, ask, direction: question.direction && hasDirection(ask) })
          }
          options={NUMBER_ASKS.map((ask) => ({ value: ask, label: t(`asks.${ask}`) }))}
        />
      </label>
      <div className="field">
        <span className="label">{t('question.tolerance')}</span>
        <span className="row">
          <TypedNumber
            label={t('question.tolerance')}
            min={0}
            max={1000}
            step={0.5}
            value={Number(shown.toFixed(3))}
            style={{ width: 90 }}
            onValue={(value) =>
              value !== null &&
              onQuestion({ ...question, tolerance: { ...tolerance, value: stored(value) } })
            }
          />
          <Segmented
            aria-label={t('question.toleranceKind')}
            value={tolerance.kind}
            onChange={(kind) => onQuestion({ ...question, tolerance: { ...tolerance, kind } })}
            options={(['percent', 'absolute'] as const).map((kind) => ({
              value: kind,
              label:
                kind === 'absolute' && quantityOf(question.ask)
                  ? numbers.unit(quantityOf(question.ask)!)
                  : t(`toleranceKinds.${kind}`),
            }))}
          />
        </span>
      </div>
      <Checkbox
        checked={question.direction}
        disabled={!directed}
        onChange={(e) => onQuestion({ ...question, direction: e.target.checked })}
      >
        {t('question.askDirection')}
      </Checkbox>
    </>
  );
}

function answeredAs(question: ChoiceQuestion, key: ArrangementKey | 'any'): ChoiceQuestion {
  const { answered: _left, ...rest } = question;
  return key === 'any' ? rest : { ...rest, answered: key };
}

interface ChoiceProps {
  question: ChoiceQuestion;
  onQuestion: (question: SetQuestion) => void;
}

function ChoiceFields({ question, onQuestion }: ChoiceProps) {
  const { t } = useTranslation();
  return (
    <>
      <label className="field">
        <span className="label">{t('question.askFor')}</span>
        <Select
          value={question.ask}
          style={{ width: 250 }}
          aria-label={t('question.askFor')}
          onChange={(ask) => onQuestion({ ...question, ask })}
          options={CHOICE_ASKS.map((ask) => ({ value: ask, label: t(`choiceAsks.${ask}`) }))}
        />
      </label>
      {question.ask === 'arrangement' && (
        <label className="field">
          <span className="label">{t('question.goal')}</span>
          <Select
            value={question.goal}
            style={{ width: 230 }}
            aria-label={t('question.goal')}
            onChange={(goal) => onQuestion({ ...question, goal })}
            options={GOALS.map((goal) => ({ value: goal, label: t(`goals.${goal}`) }))}
          />
        </label>
      )}
      {question.ask === 'right-for' && (
        <label className="field">
          <span className="label">{t('question.answered')}</span>
          <Select<ArrangementKey | 'any'>
            value={question.answered ?? 'any'}
            style={{ width: 290 }}
            aria-label={t('question.answered')}
            onChange={(key) => onQuestion(answeredAs(question, key))}
            options={[
              { value: 'any', label: t('question.answeredAny') },
              ...ARRANGEMENT_KEYS.map((key) => ({
                value: key,
                label: choiceText(t, question, key),
              })),
            ]}
          />
        </label>
      )}
    </>
  );
}
