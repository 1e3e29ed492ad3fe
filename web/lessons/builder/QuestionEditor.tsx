import { Checkbox, Collapse, Input, Segmented, Select } from 'antd';
import { useTranslation } from 'react-i18next';
import {
  answerKey,
  CHOICE_ASKS,
  CLUTCH_QUESTION_KINDS,
  CONVERTER_QUESTION_KINDS,
  FAULT_QUESTION_KINDS,
  GOALS,
  hasDirection,
  isClutchQuestion,
  isConverterQuestion,
  isCaseQuestion,
  isFaultQuestion,
  isSetQuestion,
  isUnitQuestion,
  newClutchQuestion,
  newConverterQuestion,
  newFaultQuestion,
  newQuestion,
  newUnitQuestion,
  NUMBER_ASKS,
  UNIT_QUESTION_KINDS,
  type ChoiceQuestion,
  type ClutchQuestion,
  type ConverterQuestion,
  type FaultQuestion,
  type NumberQuestion,
  type Question,
  type SetQuestion,
  type UnitQuestion,
} from '../../../core/lesson';
import { useNumbers } from '../../shared/numbers';
import { QuestionFaultAlert } from '../QuestionFaultAlert';
import { keyText, promptOf, quantityOf } from '../questionWords';
import type { Model } from '../../../core/formats';
import { FaultQuestionEditor } from './FaultQuestionEditor';
import { ClutchQuestionEditor } from './ClutchQuestionEditor';
import { modelsNamed, useClutchRig } from './useClutchRig';
import { ConverterQuestionEditor } from './ConverterQuestionEditor';
import { SetupEditor } from './BenchEditor';
import { useLessonModels } from './useLessonModels';
import { useRig } from './useRig';
import { UnitQuestionEditor } from './UnitQuestionEditor';
import { TypedNumber } from '../../shared/TypedNumber';

interface Props {
  question: Question;
  /** With models when the lesson is to carry them from now on. */
  onQuestion: (question: Question, models?: readonly Model[]) => void;
}

const SET_KINDS = ['number', 'choice', 'roles'] as const;

/** What is asked, about which set or unit, and the answer that the model gives at this moment. */
export function QuestionEditor({ question, onQuestion }: Props) {
  const { t } = useTranslation();
  const units = useLessonModels('fair-sprocket/unit').models;
  const cases = useLessonModels('fair-sprocket/fault-case').models;
  const { firstRig } = useRig(isConverterQuestion(question) ? question : {});
  const { firstRig: clutchRig } = useClutchRig(isClutchQuestion(question) ? question : {});
  const change = (kind: Question['kind']) => {
    const { prompt } = question;
    if (isClutchKind(kind)) {
      const next = newClutchQuestion(kind, clutchRig);
      onQuestion({ ...next, prompt }, modelsNamed(clutchRig, { ...next }));
    } else if (isConverterKind(kind)) {
      if (!firstRig) return;
      const { converter, engine, vehicle, unit } = firstRig;
      const models = [converter, engine, ...(vehicle ? [vehicle] : []), ...(unit ? [unit] : [])];
      onQuestion({ ...newConverterQuestion(kind, firstRig), prompt }, models);
    } else if (isFaultKind(kind)) {
      const ofCase = isCaseQuestion({ kind });
      const model = ofCase ? cases[0] : units[0];
      if (!model) return;
      const subject = {
        unit: ofCase ? null : (units[0] ?? null),
        faultCase: ofCase ? (cases[0] ?? null) : null,
      };
      onQuestion({ ...newFaultQuestion(kind, subject), prompt }, [model]);
    } else if (isUnitKind(kind)) {
      const current = isUnitQuestion(question) ? question.unit : '';
      const unit = units.find((u) => u.id === current) ?? units[0];
      if (unit) onQuestion({ ...newUnitQuestion(kind, unit), prompt }, [unit]);
    } else {
      const setup = isSetQuestion(question) ? question.setup : undefined;
      onQuestion({ ...newQuestion(kind, setup), prompt });
    }
  };
  const option = (kind: Question['kind']) => ({ value: kind, label: t(`questionKinds.${kind}`) });
  return (
    <>
      <Select
        aria-label={t('question.kind')}
        value={question.kind}
        onChange={change}
        style={{ width: 260 }}
        listHeight={560}
        virtual={false}
        options={[
          { label: t('question.ofSet'), options: SET_KINDS.map(option) },
          ...(units.length > 0
            ? [{ label: t('question.ofUnit'), options: UNIT_QUESTION_KINDS.map(option) }]
            : []),
          ...(firstRig
            ? [{ label: t('question.ofConverter'), options: CONVERTER_QUESTION_KINDS.map(option) }]
            : []),
          ...(clutchRig.clutch && clutchRig.pack
            ? [{ label: t('question.ofClutch'), options: CLUTCH_QUESTION_KINDS.map(option) }]
            : []),
          ...(units.length > 0
            ? [
                {
                  label: t('question.ofFaults'),
                  options: FAULT_QUESTION_KINDS.filter(
                    (kind) => cases.length > 0 || !isCaseQuestion({ kind }),
                  ).map(option),
                },
              ]
            : []),
        ]}
      />
      {isUnitQuestion(question) ? (
        <UnitQuestionEditor question={question} onQuestion={onQuestion} />
      ) : isFaultQuestion(question) ? (
        <FaultQuestionEditor question={question} onQuestion={onQuestion} />
      ) : isClutchQuestion(question) ? (
        <ClutchQuestionEditor question={question} onQuestion={onQuestion} />
      ) : isConverterQuestion(question) ? (
        <ConverterQuestionEditor question={question} onQuestion={onQuestion} />
      ) : (
        <SetQuestionEditor question={question} onQuestion={onQuestion} />
      )}
    </>
  );
}

const isUnitKind = (kind: Question['kind']): kind is UnitQuestion['kind'] =>
  (UNIT_QUESTION_KINDS as readonly string[]).includes(kind);
const isFaultKind = (kind: Question['kind']): kind is FaultQuestion['kind'] =>
  (FAULT_QUESTION_KINDS as readonly string[]).includes(kind);
const isClutchKind = (kind: Question['kind']): kind is ClutchQuestion['kind'] =>
  (CLUTCH_QUESTION_KINDS as readonly string[]).includes(kind);
const isConverterKind = (kind: Question['kind']): kind is ConverterQuestion['kind'] =>
  (CONVERTER_QUESTION_KINDS as readonly string[]).includes(kind);

interface SetProps {
  question: SetQuestion;
  onQuestion: (question: SetQuestion) => void;
}

function SetQuestionEditor({ question, onQuestion }: SetProps) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const worded = promptOf(t, numbers, { ...question, prompt: '' }, question.setup);
  return (
    <>
      <div className="field-row">
        {question.kind === 'number' && <NumberFields question={question} onQuestion={onQuestion} />}
        {question.kind === 'choice' && <ChoiceFields question={question} onQuestion={onQuestion} />}
        <Checkbox
          checked={question.vary}
          onChange={(e) => onQuestion({ ...question, vary: e.target.checked })}
        >
          {t('question.vary')}
        </Checkbox>
      </div>
      <label className="field">
        <span className="label">{t('question.wording')}</span>
        <Input.TextArea
          autoSize={{ minRows: 1, maxRows: 5 }}
          placeholder={worded}
          value={question.prompt}
          onChange={(e) => onQuestion({ ...question, prompt: e.target.value })}
        />
      </label>
      <KeyNow question={question} />
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

function KeyNow({ question }: { question: SetQuestion }) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const key = answerKey(question);
  if (!key.ok) return <QuestionFaultAlert fault={key.fault} />;
  const { main, detail } = keyText(t, numbers, question, key.key);
  return (
    <p className="key-now">
      {t('question.modelSays')} <strong>{main}</strong> {detail}
    </p>
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
    </>
  );
}
