import { Select } from 'antd';
import { useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import {
  hasFacing,
  measuresOf,
  selectivesOf,
  type Job,
  type Part,
} from '../../../../core/assembly';
import { laidJob, newStripQuestion, stripKey, type StripQuestion } from '../../../../core/lesson';
import { useNumbers } from '../../../shared/numbers';
import { partName } from '../../../stripDown/partName';
import { AboutModel } from '../../builder/AboutModel';
import { PlannedJob } from '../../../stripDown/PlannedJob';
import { QuestionFrame } from '../../builder/QuestionFrame';
import type { EditorProps } from '../familyEditor';
import { STRIP_WORDS, stripPrompt } from './words';

/** What is asked about a job, and the answer that its model gives at this moment. */
export function StripEditor({ question, onQuestion }: EditorProps<'strip-down'>) {
  const { t } = useTranslation();
  return (
    <AboutModel<'fair-sprocket/job', StripQuestion>
      kind="fair-sprocket/job"
      label={t('modelLibrary.jobs.one')}
      value={question.job}
      question={question}
      fresh={(job) => newStripQuestion(question.kind, job)}
      onQuestion={onQuestion}
    >
      {(job) => (
        <PlannedJob job={job}>
          <Fields question={question} job={job} onQuestion={onQuestion} />
        </PlannedJob>
      )}
    </AboutModel>
  );
}

function Fields({ question, job, onQuestion }: EditorProps<'strip-down'> & { job: Job }) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const subject = useMemo(() => ({ kind: 'strip-down' as const, subject: { job } }), [job]);
  const key = useMemo(() => stripKey(question, { job }), [question, job]);
  const parts = laidJob(job, question)?.plan.parts ?? [];
  const selective = new Set(
    question.kind === 'choose-size'
      ? selectivesOf(laidJob(job, question)!.plan).map((s) => s.part)
      : [],
  );
  const options = (fits: (p: Part) => boolean = () => true) =>
    parts.filter(fits).map((p) => ({ value: p.id, label: partName(t, job.unit ?? null, p) }));
  return (
    <QuestionFrame
      prompt={question.prompt}
      worded={stripPrompt(t, { ...question, prompt: '' }, { job })}
      onPrompt={(prompt) => onQuestion({ ...question, prompt })}
      fault={key.ok ? null : key.fault}
      answer={STRIP_WORDS.key(t, numbers, question, subject, key)}
    >
      {question.kind === 'free-now' && (
        <>
          <Many
            label={t('stripPrompts.off')}
            value={question.off}
            options={options()}
            onValue={(off) => onQuestion({ ...question, off })}
          />
          <Many
            label={t('stripPrompts.offered')}
            value={question.offered}
            options={options()}
            onValue={(offered) => onQuestion({ ...question, offered })}
          />
        </>
      )}
      {(question.kind === 'strip-order' || question.kind === 'lay-out') && (
        <Many
          label={t('stripPrompts.cards')}
          value={question.parts}
          options={options()}
          onValue={(list) => onQuestion({ ...question, parts: list })}
        />
      )}
      {question.kind === 'why-first' && (
        <One
          label={t('stripPrompts.first')}
          value={question.first}
          options={options()}
          onValue={(first) => onQuestion({ ...question, first })}
        />
      )}
      {'part' in question && (
        <One
          label={t('strip.part')}
          value={question.part}
          options={options((p) => {
            if (question.kind === 'way-round') return hasFacing(p);
            if (question.kind === 'read-gauge') return measuresOf(p).length > 0;
            return question.kind !== 'choose-size' || selective.has(p.id);
          })}
          onValue={(part) => onQuestion(withPart(question, part, parts))}
        />
      )}
      {question.kind === 'read-gauge' && (
        <One
          label={t('stripPrompts.measure')}
          value={question.measure}
          options={measuresOf(
            parts.find((p) => p.id === question.part) ?? { id: '', kind: 'case' },
          ).map((m) => ({ value: m, label: t(`strip.measures.${m}`) }))}
          onValue={(measure) =>
            onQuestion({ ...question, measure: measure as typeof question.measure })
          }
        />
      )}
    </QuestionFrame>
  );
}

/** About another part; its first measure comes with it. */
function withPart<Q extends Extract<StripQuestion, { part: string }>>(
  question: Q,
  part: string,
  parts: readonly Part[],
): StripQuestion {
  if (question.kind !== 'read-gauge') return { ...question, part };
  const of = parts.find((p) => p.id === part);
  const [measure = question.measure] = of ? measuresOf(of) : [];
  return { ...question, part, measure };
}

interface FieldProps<V> {
  label: string;
  value: V;
  options: { value: string; label: string }[];
  onValue: (value: V) => void;
}

const One = ({ label, value, options, onValue }: FieldProps<string>) => (
  <label className="field">
    <span className="label">{label}</span>
    <Select
      aria-label={label}
      showSearch
      optionFilterProp="label"
      style={{ width: 320 }}
      value={value}
      onChange={onValue}
      options={options}
    />
  </label>
);

const Many = ({ label, value, options, onValue }: FieldProps<string[]>) => (
  <label className="field">
    <span className="label">{label}</span>
    <Select
      aria-label={label}
      mode="multiple"
      optionFilterProp="label"
      style={{ width: 460 }}
      value={value}
      onChange={onValue}
      options={options}
    />
  </label>
);
