import { ValueSlider } from '../../../shared/ValueSlider';
import { Select } from 'antd';
import { useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import { MOST_SPEED_RPM, MOST_TARGET } from '../../../../core/formats';
import {
  CHANGED,
  converterKey,
  MATCH_ASKS,
  MEASURES,
  SKETCHED,
  type ConverterRig,
  type StallChange,
} from '../../../../core/lesson';
import { NumberField } from '../../../shared/NumberField';
import { useNumbers } from '../../../shared/numbers';
import { converterKeyText, converterPrompt, quantityRead } from './words';
import { ChoiceField } from '../../../bench/ChoiceField';
import { ConverterPickers } from '../../builder/ConverterPickers';
import type { EditorProps } from '../familyEditor';
import { Within } from '../../builder/Within';
import { QuestionFrame } from '../../builder/QuestionFrame';
import { useRig } from '../../builder/useRig';

type Props = EditorProps<'converter'>;

/** What is asked about a converter, and the answer that the model gives at this moment. */
export function ConverterEditor({ question, onQuestion }: Props) {
  const { rig } = useRig(question);
  return (
    <>
      <ConverterPickers
        named={
          question.kind === 'launch-order' ||
          (question.kind === 'predict-change' && question.of !== 'stall-speed')
            ? question
            : { converter: question.converter, engine: question.engine }
        }
        onModel={(field, model) => onQuestion({ ...question, [field]: model.id }, [model])}
      />
      {rig && <Framed question={question} rig={rig} onQuestion={onQuestion} />}
    </>
  );
}

function Framed({ question, rig, onQuestion }: Props & { rig: ConverterRig }) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const key = useMemo(() => converterKey(question, rig), [question, rig]);
  return (
    <QuestionFrame
      prompt={question.prompt}
      worded={converterPrompt(t, numbers, { ...question, prompt: '' }, rig)}
      onPrompt={(prompt) => onQuestion({ ...question, prompt })}
      fault={key.ok ? null : key.fault}
      answer={key.ok ? converterKeyText(t, numbers, question, rig) : null}
    >
      <Fields question={question} onQuestion={onQuestion} />
    </QuestionFrame>
  );
}

type KindProps<K extends Props['question']['kind']> = Props & {
  readonly question: Extract<Props['question'], { kind: K }>;
};

function Fields({ question, onQuestion }: Props) {
  switch (question.kind) {
    case 'operate':
      return <OperateFields question={question} onQuestion={onQuestion} />;
    case 'read-match':
      return <MatchFields question={question} onQuestion={onQuestion} />;
    case 'sketch-curve':
      return <SketchFields question={question} onQuestion={onQuestion} />;
    case 'predict-change':
      return <ChangedFields question={question} onQuestion={onQuestion} />;
    case 'launch-order':
      return <LaunchFields question={question} onQuestion={onQuestion} />;
  }
}

function OperateFields({ question, onQuestion }: KindProps<'operate'>) {
  const { t } = useTranslation();
  const quantity = quantityRead(question.measure);
  return (
    <>
      <ChoiceField
        label={t('converterBlock.measure')}
        value={question.measure}
        of={MEASURES}
        name={(v) => t(`measures.${v}`)}
        onValue={(measure) => onQuestion({ ...question, measure })}
      />
      <NumberField
        label={t('converterBlock.target')}
        {...(quantity ? { quantity } : {})}
        value={question.target}
        step={quantity ? 10 : 0.05}
        within={[0, MOST_TARGET]}
        onValue={(target) => onQuestion({ ...question, target })}
      />
      <Within
        tolerance={question.tolerance}
        onTolerance={(tolerance) => onQuestion({ ...question, tolerance })}
      />
    </>
  );
}

function MatchFields({ question, onQuestion }: KindProps<'read-match'>) {
  const { t } = useTranslation();
  return (
    <>
      <ChoiceField
        label={t('question.asks')}
        value={question.ask}
        of={MATCH_ASKS}
        name={(v) => t(`matchAsks.${v}`)}
        onValue={(ask) => onQuestion({ ...question, ask })}
      />
      <Throttle
        value={question.throttle}
        onValue={(throttle) => onQuestion({ ...question, throttle })}
      />
      <NumberField
        label={t('converter.turbineSpeed')}
        quantity="speed"
        value={question.turbineRpm}
        step={50}
        within={[0, MOST_SPEED_RPM]}
        onValue={(turbineRpm) => onQuestion({ ...question, turbineRpm })}
      />
      <Within
        tolerance={question.tolerance}
        onTolerance={(tolerance) => onQuestion({ ...question, tolerance })}
      />
    </>
  );
}

function SketchFields({ question, onQuestion }: KindProps<'sketch-curve'>) {
  const { t } = useTranslation();
  return (
    <>
      <ChoiceField
        label={t('converterBlock.curve')}
        value={question.curve}
        of={SKETCHED}
        name={(v) => t(`sketch.curves.${v}`)}
        onValue={(curve) => onQuestion({ ...question, curve })}
      />
      <NumberField
        label={t('question.tolerance')}
        unit="%"
        per={100}
        value={question.tolerance}
        within={[0.01, 1]}
        step={1}
        onValue={(tolerance) => onQuestion({ ...question, tolerance })}
      />
    </>
  );
}

function ChangedFields({ question, onQuestion }: KindProps<'predict-change'>) {
  const { t } = useTranslation();
  return (
    <>
      <ChoiceField
        label={t('question.asks')}
        value={question.of}
        of={CHANGED}
        name={(v) => t(`changed.${v}`)}
        onValue={(of) => onQuestion({ ...question, of })}
      />
      <ChangeFields
        change={question.change}
        onChange={(change) => onQuestion({ ...question, change })}
      />
      <Within
        tolerance={question.tolerance}
        onTolerance={(tolerance) => onQuestion({ ...question, tolerance })}
      />
    </>
  );
}

function LaunchFields({ question, onQuestion }: KindProps<'launch-order'>) {
  const { t } = useTranslation();
  return (
    <>
      <Throttle
        value={question.throttle}
        onValue={(throttle) => onQuestion({ ...question, throttle })}
      />
      <NumberField
        label={t('launch.grade')}
        unit="%"
        per={100}
        value={question.grade}
        within={[-1, 1]}
        step={1}
        onValue={(grade) => onQuestion({ ...question, grade })}
      />
    </>
  );
}

const STARTS: readonly StallChange[] = [
  { kind: 'engine', share: 0.7 },
  { kind: 'altitude', metres: 2000 },
  { kind: 'size', factor: 0.9 },
  { kind: 'stator', fault: 'slips' },
  { kind: 'stator', fault: 'seized' },
];

const changeKey = (c: StallChange): string => (c.kind === 'stator' ? c.fault : c.kind);

interface ChangeProps {
  change: StallChange;
  onChange: (change: StallChange) => void;
}

function ChangeFields({ change, onChange }: ChangeProps) {
  const { t } = useTranslation();
  return (
    <>
      <label className="field">
        <span className="label">{t('converterBlock.change')}</span>
        <Select
          aria-label={t('converterBlock.change')}
          value={changeKey(change)}
          style={{ width: 230 }}
          onChange={(key) => onChange(STARTS.find((s) => changeKey(s) === key)!)}
          options={STARTS.map((s) => ({
            value: changeKey(s),
            label: t(`converterBlock.changes.${changeKey(s)}`),
          }))}
        />
      </label>
      {change.kind === 'engine' && (
        <NumberField
          label={t('converterBlock.left')}
          unit="%"
          per={100}
          value={change.share}
          within={[0.1, 2]}
          step={5}
          onValue={(share) => onChange({ ...change, share })}
        />
      )}
      {change.kind === 'altitude' && (
        <NumberField
          label={t('converterBlock.height')}
          unit="m"
          value={change.metres}
          step={100}
          within={[-500, 9000]}
          onValue={(metres) => onChange({ ...change, metres })}
        />
      )}
      {change.kind === 'size' && (
        <NumberField
          label={t('converterBlock.size')}
          unit="%"
          per={100}
          value={change.factor}
          within={[0.3, 3]}
          step={5}
          onValue={(factor) => onChange({ ...change, factor })}
        />
      )}
    </>
  );
}

function Throttle({ value, onValue }: { value: number; onValue: (value: number) => void }) {
  const { t } = useTranslation();
  return (
    <label className="field">
      <span className="label">
        {t('converter.throttle')} {Math.round(100 * value)} %
      </span>
      <ValueSlider
        style={{ width: 150 }}
        min={0}
        max={100}
        value={Math.round(100 * value)}
        onValue={(v) => onValue(v / 100)}
        label={t('converter.throttle')}
      />
    </label>
  );
}
