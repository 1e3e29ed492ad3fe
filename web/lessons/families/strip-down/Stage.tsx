import { Checkbox } from 'antd';
import { useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import {
  DECISIONS,
  NEW_JOB_WORK,
  REASONS,
  type Decision,
  type JobWork,
  type OrderRule,
  type Reason,
} from '../../../../core/assembly';
import {
  effectsOffered,
  laidJob,
  measuredGap,
  openingOrder,
  orderAnswers,
  rulesOffered,
  STRIP_FAMILY,
  subjectFor,
  type Becomes,
  type Confidence,
  type LaidJob,
  type StripAnswer,
  type StripQuestion,
  type StripSubject,
} from '../../../../core/lesson';
import { randomFromSeed } from '../../../../core/numerics';
import { useKept } from '../../../shared/kept';
import { useNumbers } from '../../../shared/numbers';
import { Choices } from '../../player/Choices';
import { NumberInput } from '../../player/NumberInput';
import { Posed, type AskedProps } from '../../player/Posed';
import { PredictionForm } from '../../player/PredictionForm';
import { StageFrame, type StageProps } from '../../player/StageFrame';
import { useAsked } from '../../player/useAsked';
import { StripSheet } from './Sheet';
import { becomesText, facingRule, namesOf, STRIP_WORDS, stripPrompt } from './words';
import { PlannedJob } from '../../../stripDown/PlannedJob';
import { sizeText, typedIn } from '../../../stripDown/jobWords';
import './Stage.css';

/** What has been chosen so far; which of it counts goes by the kind of question. */
export interface Draft {
  readonly parts: readonly string[];
  readonly order: readonly string[];
  readonly moved: boolean;
  readonly choice: string | null;
  readonly second: string | null;
  readonly value: number | null;
}

/** A question about a job: what is laid out at the left, what is predicted at the right. */
function Stage({ block, subject, round, ...frame }: StageProps<'strip-down'>) {
  const { t } = useTranslation();
  const asked = useAsked<'strip-down'>(STRIP_FAMILY, block, subject, round);
  const { question, given, commit } = asked;
  const laid = laidJob(subject.subject.job, question);
  const [draft, setDraft] = useKept<Draft>('StripStage draft', () => ({
    parts: [],
    order: laid ? cardsOf(question, laid, `${block.id} ${round}`) : [],
    moved: false,
    choice: null,
    second: null,
    value: null,
  }));
  const [work, setWork] = useKept<JobWork>('StripStage work', NEW_JOB_WORK);
  const change = (next: Partial<Draft>) => setDraft({ ...draft, ...next });
  return (
    <StageFrame
      {...frame}
      asked={asked}
      words={STRIP_WORDS}
      sheetClass={question.kind === 'whole-job' ? 'job-stage is-long' : 'strip-stage is-long'}
      sheet={
        laid && (
          <StripSheet
            question={question}
            laid={laid}
            order={draft.order}
            given={given}
            work={work}
            onWork={(next) => setWork((now) => ({ ...now, ...next }))}
            onOrder={given ? undefined : (order) => change({ order, moved: true })}
          />
        )
      }
      prediction={
        laid && (
          <PredictionForm
            prompt={stripPrompt(t, question, subject.subject)}
            answer={answerOf(question, draft, work)}
            onCommit={(answer: StripAnswer, confidence: Confidence) => commit(answer, confidence)}
          >
            <Fields
              question={question}
              subject={subject.subject}
              laid={laid}
              draft={draft}
              onDraft={change}
            />
          </PredictionForm>
        )
      }
    />
  );
}

/** Cards never lie in an order that is right. */
const cardsOf = (question: StripQuestion, laid: LaidJob, seed: string): string[] =>
  question.kind === 'strip-order' || question.kind === 'lay-out'
    ? openingOrder(question.parts, seed, (order) => orderAnswers(laid, question, order))
    : [];

function answerOf(question: StripQuestion, draft: Draft, work: JobWork): StripAnswer | null {
  const { parts, order, moved, choice, second, value } = draft;
  switch (question.kind) {
    case 'free-now':
      return parts.length === 0 ? null : { kind: 'free-now', parts: [...parts] };
    case 'strip-order':
    case 'lay-out':
      return moved ? { kind: question.kind, order: [...order] } : null;
    case 'why-first':
      return choice === null ? null : { kind: 'why-first', rule: choice as OrderRule };
    case 'way-round':
      return choice === null || second === null
        ? null
        : { kind: 'way-round', way: choice as 'right' | 'wrong', becomes: second as Becomes };
    case 'verdict':
      return choice === null || second === null
        ? null
        : { kind: 'verdict', decision: choice as Decision, reason: second as Reason };
    case 'read-gauge':
      return value === null || second === null
        ? null
        : { kind: 'read-gauge', value, side: second as 'inside' | 'outside' };
    case 'choose-size':
      return choice === null ? null : { kind: 'choose-size', size: Number(choice) };
    case 'worth-it':
      return value === null ? null : { kind: 'worth-it', value };
    case 'whole-job':
      return work.fits.length === 0 && work.tried.length === 0 ? null : { kind: 'whole-job', work };
  }
}

interface FieldsProps {
  question: StripQuestion;
  subject: StripSubject;
  laid: LaidJob;
  draft: Draft;
  onDraft: (change: Partial<Draft>) => void;
}

/** The fields of the prediction. */
function Fields({ question, subject, laid, draft, onDraft }: FieldsProps) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const name = useMemo(() => namesOf(t, question, subject), [t, question, subject]);
  const choose = (choice: string) => onDraft({ choice });
  switch (question.kind) {
    case 'free-now':
      return (
        <Checkbox.Group
          className="stacked"
          aria-label={t('stripPrompts.pick')}
          value={[...draft.parts]}
          onChange={(parts) => onDraft({ parts })}
          options={question.offered.map((id) => ({ value: id, label: name(id) }))}
        />
      );
    case 'strip-order':
    case 'lay-out':
      return <p className="quiet">{t('stripPrompts.orderHow')}</p>;
    case 'why-first':
      return (
        <Choices
          label={t('stripPrompts.why')}
          value={draft.choice}
          onValue={choose}
          options={rulesOffered({
            question,
            subject: { kind: 'strip-down', subject },
          }).map((r) => ({ value: r as string, label: t(`stripDown.rules.${r}`) }))}
        />
      );
    case 'way-round':
      return <WayRound question={question} laid={laid} draft={draft} onDraft={onDraft} />;
    case 'verdict':
      return <VerdictFields draft={draft} onDraft={onDraft} />;
    case 'read-gauge':
      return <GaugeFields question={question} draft={draft} onDraft={onDraft} />;
    case 'choose-size':
      return (
        <Choices
          label={t('strip.size')}
          value={draft.choice}
          onValue={choose}
          options={(measuredGap(laid, question.part)?.selective.sizes ?? []).map((s) => ({
            value: String(s),
            label: sizeText(numbers, s),
          }))}
        />
      );
    case 'worth-it':
      return (
        <NumberInput
          label={t('stripPrompts.chance')}
          unit="%"
          value={draft.value}
          onValue={(value) => onDraft({ value })}
        />
      );
    case 'whole-job':
      return <p className="quiet">{t('stripPrompts.wholeHow')}</p>;
  }
}

type DraftProps = Pick<FieldsProps, 'draft' | 'onDraft'>;

type KindProps<K extends StripQuestion['kind']> = DraftProps & {
  readonly question: Extract<StripQuestion, { kind: K }>;
};

function WayRound({
  question,
  laid,
  draft,
  onDraft,
}: KindProps<'way-round'> & { readonly laid: LaidJob }) {
  const { t } = useTranslation();
  const rule = facingRule(question, laid);
  if (!rule) return null;
  const rightFirst = randomFromSeed(`ways ${laid.job.seed} ${question.part}`).next() < 0.5;
  return (
    <>
      <Choices
        label={t(`strip.facings.${rule}.ask`)}
        value={draft.choice}
        onValue={(choice) => onDraft({ choice })}
        options={(rightFirst ? WAYS : WAYS.toReversed()).map((w) => ({
          value: w as string,
          label: t(`strip.facings.${rule}.${w}`),
        }))}
      />
      <Choices
        label={t('stripPrompts.becomes')}
        value={draft.second}
        onValue={(second) => onDraft({ second })}
        options={effectsOffered(laid, question.part).map((e) => ({
          value: e as string,
          label: becomesText(t, e),
        }))}
      />
    </>
  );
}

const WAYS = ['right', 'wrong'] as const;

function VerdictFields({ draft, onDraft }: DraftProps) {
  const { t } = useTranslation();
  return (
    <>
      <Choices
        label={t('strip.decision')}
        value={draft.choice}
        onValue={(choice) => onDraft({ choice })}
        options={DECISIONS.map((d) => ({ value: d as string, label: t(`strip.decisions.${d}`) }))}
      />
      <Choices
        label={t('strip.reason')}
        value={draft.second}
        onValue={(second) => onDraft({ second })}
        options={REASONS.map((r) => ({ value: r as string, label: t(`strip.reasons.${r}`) }))}
      />
    </>
  );
}

function GaugeFields({ question, draft, onDraft }: KindProps<'read-gauge'>) {
  const { t } = useTranslation();
  return (
    <>
      <NumberInput
        label={t('strip.whatItReads')}
        {...typedIn(question.measure)}
        value={draft.value}
        onValue={(value) => onDraft({ value })}
      />
      <Choices
        label={t('stripPrompts.side')}
        value={draft.second}
        onValue={(second) => onDraft({ second })}
        options={(['inside', 'outside'] as const).map((s) => ({
          value: s as string,
          label: t(`stripPrompts.sides.${s}`),
        }))}
      />
    </>
  );
}

/** The same, as this student gets it. */
export function StripStage(props: AskedProps) {
  const { lesson, block } = props;
  const about = useMemo(() => subjectFor(lesson, block.question), [lesson, block.question]);
  const posed = <Posed<'strip-down'> {...props} family={STRIP_FAMILY} Stage={Stage} />;
  if (about?.kind !== 'strip-down') return posed;
  return <PlannedJob job={about.subject.job}>{posed}</PlannedJob>;
}
