import { Checkbox, Select } from 'antd';
import { useTranslation } from 'react-i18next';
import type { Model } from '../../../core/formats';
import {
  FAMILY_NAMES,
  familyOf,
  familyNamed,
  isCaseQuestion,
  isOf,
  varies,
  type Question,
  type QuestionKind,
} from '../../../core/lesson';
import { editorOf } from '../families/editors';
import { useAppSelector } from '../../state/hooks';
import { useLessonShelf } from './useLessonShelf';
import { WhatItTells } from './WhatItTells';

interface Props {
  question: Question;
  /** With models when the lesson is to carry them from now on. */
  onQuestion: (question: Question, models?: readonly Model[]) => void;
}

/** What kind of question it is, and all that its family lets be said about it. */
export function QuestionEditor({ question, onQuestion }: Props) {
  const { t } = useTranslation();
  const shelf = useLessonShelf();
  const lesson = useAppSelector((state) => state.draft.present);
  const change = (kind: QuestionKind) => {
    const fresh = editorOf(familyOf({ kind })).fresh(kind, shelf, question);
    if (fresh) onQuestion({ ...fresh.question, prompt: question.prompt }, fresh.models);
  };
  const { Editor } = editorOf(familyOf(question));
  return (
    <>
      <Select
        aria-label={t('question.kind')}
        value={question.kind}
        onChange={change}
        style={{ width: 260 }}
        listHeight={560}
        virtual={false}
        options={FAMILY_NAMES.map((family) => ({
          label: t(editorOf(family).label),
          options: editorOf(family)
            .kinds(shelf)
            .map((kind) => ({ value: kind, label: t(`questionKinds.${kind}`) })),
        })).filter(({ options }) => options.length > 0)}
      />
      <Editor question={question} onQuestion={onQuestion} />
      {varies(familyNamed(familyOf(question)), question) && (
        <Checkbox
          checked={'vary' in question && question.vary === true}
          onChange={(e) => onQuestion({ ...question, vary: e.target.checked } as Question)}
        >
          {t(isOf('gear-set', question) ? 'question.vary' : 'question.varyOther')}
        </Checkbox>
      )}
      {/* A whole case takes a worker to weigh. */}
      {lesson && !isCaseQuestion(question) && (
        <WhatItTells lesson={lesson} question={question} onQuestion={onQuestion} />
      )}
    </>
  );
}
