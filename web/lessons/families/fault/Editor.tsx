import { Select } from 'antd';
import { useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import { checksOf, rigOfCase, rigOfUnit, type FaultCase } from '../../../../core/faults';
import type { Model } from '../../../../core/formats';
import type { Unit } from '../../../../core/geartrain';
import {
  faultQuestionKey,
  isCaseQuestion,
  newFaultQuestion,
  type CaseQuestion,
  type FaultQuestion,
  type SymptomRowQuestion,
  type WhichElementQuestion,
  type WhichTestQuestion,
} from '../../../../core/lesson';
import { checkText } from '../../../faults/faultWords';
import { FaultPicker } from '../../../faults/FaultPicker';
import { rankIn, reportOn } from '../../../workers/faultWorker';
import { useSettledRun } from '../../../workers/useSettledRun';
import { faultKeyText, faultPrompt } from './words';
import { AboutModel } from '../../builder/AboutModel';
import type { EditorProps } from '../familyEditor';
import { QuestionFrame } from '../../builder/QuestionFrame';
import { RangesField } from '../../builder/RangesField';

interface Props<Q extends FaultQuestion> {
  question: Q;
  /** With models when the lesson is to carry them from now on. */
  onQuestion: (question: FaultQuestion, models?: readonly Model[]) => void;
}

/** What is asked about faults, and the answer that the model gives at this moment. */
export function FaultEditor({ question, onQuestion }: EditorProps<'fault'>) {
  return isCaseQuestion(question) ? (
    <OfCase question={question} onQuestion={onQuestion} />
  ) : (
    <OfUnit question={question} onQuestion={onQuestion} />
  );
}

function OfUnit({ question, onQuestion }: Props<SymptomRowQuestion | WhichElementQuestion>) {
  const { t } = useTranslation();
  return (
    <AboutModel<'fair-sprocket/unit', FaultQuestion>
      kind="fair-sprocket/unit"
      label={t('apply.unit')}
      value={question.unit}
      question={question}
      fresh={(unit) => newFaultQuestion(question.kind, { unit, faultCase: null })}
      onQuestion={onQuestion}
    >
      {(unit) => <UnitFields question={question} unit={unit} onQuestion={onQuestion} />}
    </AboutModel>
  );
}

function UnitFields({
  question,
  unit,
  onQuestion,
}: Props<SymptomRowQuestion | WhichElementQuestion> & { unit: Unit }) {
  const { t } = useTranslation();
  const subject = useMemo(() => ({ unit, faultCase: null }), [unit]);
  const rig = useMemo(() => rigOfUnit(unit), [unit]);
  const key = useMemo(() => faultQuestionKey(question, subject), [question, subject]);
  return (
    <QuestionFrame
      prompt={question.prompt}
      worded={faultPrompt(t, { ...question, prompt: '' }, subject)}
      onPrompt={(prompt) => onQuestion({ ...question, prompt })}
      fault={key.ok ? null : key.fault}
      answer={faultKeyText(t, question, subject, key)}
    >
      <FaultPicker
        rig={rig}
        value={question.fault}
        onValue={(fault) => fault && onQuestion({ ...question, fault })}
      />
      {question.kind === 'symptom-row' && (
        <RangesField
          unit={unit}
          ranges={question.ranges}
          onRanges={(ranges) => onQuestion({ ...question, ranges })}
        />
      )}
    </QuestionFrame>
  );
}

function OfCase({ question, onQuestion }: Props<CaseQuestion>) {
  const { t } = useTranslation();
  return (
    <AboutModel<'fair-sprocket/fault-case', FaultQuestion>
      kind="fair-sprocket/fault-case"
      label={t('modelLibrary.cases.one')}
      value={question.case}
      question={question}
      fresh={(faultCase) => newFaultQuestion(question.kind, { unit: null, faultCase })}
      onQuestion={onQuestion}
    >
      {(faultCase) => (
        <CaseFrame question={question} faultCase={faultCase} onQuestion={onQuestion} />
      )}
    </AboutModel>
  );
}

function CaseFrame({
  question,
  faultCase,
  onQuestion,
}: Props<CaseQuestion> & { faultCase: FaultCase }) {
  const { t } = useTranslation();
  const subject = useMemo(() => ({ unit: null, faultCase }), [faultCase]);
  const request = useMemo(
    () => (question.kind === 'which-test' ? { question, faultCase } : null),
    [question, faultCase],
  );
  const { result: key } = useSettledRun(request, rankIn, (a, b) => a.faultCase === b.faultCase);
  const { result: report } = useSettledRun(faultCase, reportOn);
  const broken = report !== null && report.problems.length > 0;
  return (
    <QuestionFrame
      prompt={question.prompt}
      worded={faultPrompt(t, { ...question, prompt: '' }, subject)}
      onPrompt={(prompt) => onQuestion({ ...question, prompt })}
      fault={broken ? 'case-broken' : key && !key.ok ? key.fault : null}
      answer={faultKeyText(t, question, subject, key ?? undefined)}
    >
      {question.kind === 'which-test' && (
        <TestFields question={question} faultCase={faultCase} onQuestion={onQuestion} />
      )}
    </QuestionFrame>
  );
}

/** Which checks have been made, and which there are to choose from. */
function TestFields({
  question,
  faultCase,
  onQuestion,
}: Props<WhichTestQuestion> & { faultCase: FaultCase }) {
  const { t } = useTranslation();
  const options = useMemo(
    () =>
      checksOf(rigOfCase(faultCase)).map((c) => ({
        value: c.id,
        label: checkText(t, faultCase.unit ?? null, c),
      })),
    [faultCase, t],
  );
  return (
    <>
      {(['done', 'offered'] as const).map((field) => (
        <label key={field} className="field">
          <span className="label">{t(`faultBlock.${field}`)}</span>
          <Select
            aria-label={t(`faultBlock.${field}`)}
            mode="multiple"
            style={{ width: 460 }}
            value={question[field]}
            onChange={(ids) => onQuestion({ ...question, [field]: ids })}
            optionFilterProp="label"
            options={options}
          />
        </label>
      ))}
    </>
  );
}
