import { Button, Checkbox, Input } from 'antd';
import { useTranslation } from 'react-i18next';
import {
  OWN_PARTS,
  ownKey,
  type OwnChoiceQuestion,
  type OwnNumberQuestion,
  type OwnOrderQuestion,
} from '../../../../core/lesson';
import { useNumbers } from '../../../shared/numbers';
import { TypedNumber } from '../../../shared/TypedNumber';
import { QuestionFrame } from '../../builder/QuestionFrame';
import type { EditorProps } from '../familyEditor';
import { OWN_WORDS } from './words';
import './Editor.css';

/** What is asked, what is right, and why: all of it the instructor's. */
export function OwnEditor({ question, onQuestion }: EditorProps<'own'>) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const key = ownKey(question);
  return (
    <>
      <QuestionFrame
        prompt={question.prompt}
        worded={t('own.ask')}
        onPrompt={(prompt) => onQuestion({ ...question, prompt })}
        fault={key.ok ? null : key.fault}
        answer={key.ok ? OWN_WORDS.key(t, numbers, question, { kind: 'own' }) : null}
        said={t('own.yourKey')}
      >
        {question.kind === 'own-choice' && <Options question={question} onQuestion={onQuestion} />}
        {question.kind === 'own-number' && (
          <OwnNumber question={question} onQuestion={onQuestion} />
        )}
        {question.kind === 'own-order' && <Steps question={question} onQuestion={onQuestion} />}
      </QuestionFrame>
      <label className="field">
        <span className="label">{t('own.reason')}</span>
        <Input.TextArea
          autoSize={{ minRows: 1, maxRows: 5 }}
          value={question.reason}
          onChange={(e) => onQuestion({ ...question, reason: e.target.value })}
        />
      </label>
    </>
  );
}

function Options({
  question,
  onQuestion,
}: {
  question: OwnChoiceQuestion;
  onQuestion: (q: OwnChoiceQuestion) => void;
}) {
  const { t } = useTranslation();
  const { options, right } = question;
  return (
    <div className="own-parts">
      {options.map((option, k) => (
        <div key={k} className="own-part">
          <Checkbox
            aria-label={t('own.isRight', { place: k + 1 })}
            checked={right.includes(k)}
            onChange={(e) =>
              onQuestion({
                ...question,
                right: e.target.checked ? [...right, k].sort() : right.filter((r) => r !== k),
              })
            }
          />
          <Input
            aria-label={t('own.option', { place: k + 1 })}
            maxLength={200}
            value={option}
            onChange={(e) => onQuestion({ ...question, options: options.with(k, e.target.value) })}
          />
        </div>
      ))}
      <PartButtons
        count={options.length}
        onMore={() => onQuestion({ ...question, options: [...options, ''] })}
        onFewer={() =>
          onQuestion({
            ...question,
            options: options.slice(0, -1),
            right: right.filter((k) => k < options.length - 1),
          })
        }
      />
    </div>
  );
}

function Steps({
  question,
  onQuestion,
}: {
  question: OwnOrderQuestion;
  onQuestion: (q: OwnOrderQuestion) => void;
}) {
  const { t } = useTranslation();
  const { steps } = question;
  return (
    <div className="own-parts">
      {steps.map((step, k) => (
        <Input
          key={k}
          aria-label={t('own.step', { place: k + 1 })}
          addonBefore={k + 1}
          maxLength={200}
          value={step}
          onChange={(e) => onQuestion({ ...question, steps: steps.with(k, e.target.value) })}
        />
      ))}
      <PartButtons
        count={steps.length}
        onMore={() => onQuestion({ ...question, steps: [...steps, ''] })}
        onFewer={() => onQuestion({ ...question, steps: steps.slice(0, -1) })}
      />
    </div>
  );
}

interface PartButtonsProps {
  count: number;
  onMore: () => void;
  onFewer: () => void;
}

function PartButtons({ count, onMore, onFewer }: PartButtonsProps) {
  const { t } = useTranslation();
  return (
    <div className="row">
      <Button size="small" disabled={count >= OWN_PARTS.most} onClick={onMore}>
        {t('own.more')}
      </Button>
      <Button size="small" disabled={count <= OWN_PARTS.least} onClick={onFewer}>
        {t('own.fewer')}
      </Button>
    </div>
  );
}

function OwnNumber({
  question,
  onQuestion,
}: {
  question: OwnNumberQuestion;
  onQuestion: (q: OwnNumberQuestion) => void;
}) {
  const { t } = useTranslation();
  const { tolerance } = question;
  return (
    <>
      <TypedNumber
        label={t('own.value')}
        min={-1e6}
        max={1e6}
        value={question.value}
        onValue={(value) => value !== null && onQuestion({ ...question, value })}
      />
      <Input
        aria-label={t('own.unit')}
        maxLength={20}
        style={{ width: 90 }}
        value={question.unit}
        onChange={(e) => onQuestion({ ...question, unit: e.target.value })}
      />
      <TypedNumber
        label={t('own.tolerance')}
        min={0}
        max={1e6}
        value={tolerance.value}
        onValue={(value) =>
          value !== null && onQuestion({ ...question, tolerance: { ...tolerance, value } })
        }
      />
      <span>{t(`toleranceKinds.${tolerance.kind}`)}</span>
    </>
  );
}
