import { Button, Checkbox, Input } from 'antd';
import type { ReactNode } from 'react';
import { useTranslation } from 'react-i18next';
import { OWN_PARTS, ownKey, type OwnNumberQuestion } from '../../../../core/lesson';
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
        {question.kind === 'own-choice' && (
          <Parts
            parts={question.options}
            nameOf={(place) => t('own.option', { place })}
            mark={(k) => (
              <Checkbox
                aria-label={t('own.isRight', { place: k + 1 })}
                checked={question.right.includes(k)}
                onChange={(e) =>
                  onQuestion({ ...question, right: marked(question.right, k, e.target.checked) })
                }
              />
            )}
            onParts={(options) =>
              onQuestion({
                ...question,
                options,
                right: question.right.filter((k) => k < options.length),
              })
            }
          />
        )}
        {question.kind === 'own-number' && (
          <OwnNumber question={question} onQuestion={onQuestion} />
        )}
        {question.kind === 'own-order' && (
          <Parts
            parts={question.steps}
            nameOf={(place) => t('own.step', { place })}
            mark={(k) => <span className="quiet">{k + 1}</span>}
            onParts={(steps) => onQuestion({ ...question, steps })}
          />
        )}
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

const marked = (right: readonly number[], k: number, on: boolean): number[] =>
  on ? [...right, k].sort((a, b) => a - b) : right.filter((r) => r !== k);

interface PartsProps {
  /** Answers to choose from, or steps in their order. */
  parts: readonly string[];
  nameOf: (place: number) => string;
  /** What stands before each. */
  mark: (k: number) => ReactNode;
  onParts: (parts: string[]) => void;
}

function Parts({ parts, nameOf, mark, onParts }: PartsProps) {
  const { t } = useTranslation();
  return (
    <div className="own-parts">
      {parts.map((part, k) => (
        <div key={k} className="own-part">
          {mark(k)}
          <Input
            aria-label={nameOf(k + 1)}
            maxLength={200}
            value={part}
            onChange={(e) => onParts(parts.with(k, e.target.value))}
          />
        </div>
      ))}
      <div className="row">
        <Button
          size="small"
          disabled={parts.length >= OWN_PARTS.most}
          onClick={() => onParts([...parts, ''])}
        >
          {t('own.more')}
        </Button>
        <Button
          size="small"
          disabled={parts.length <= OWN_PARTS.least}
          onClick={() => onParts(parts.slice(0, -1))}
        >
          {t('own.fewer')}
        </Button>
      </div>
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
