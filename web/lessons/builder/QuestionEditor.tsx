import { Checkbox } from 'antd';
import { useTranslation } from 'react-i18next';
import type { Model } from '../../../core/formats';
import {
  canAskWhy,
  familyOf,
  familyNamed,
  isCaseQuestion,
  varies,
  type Question,
  type QuestionBlock,
  type QuestionKind,
} from '../../../core/lesson';
import { editorOf } from '../families/editors';
import { useAppSelector } from '../../state/hooks';
import { useLessonShelf } from './useLessonShelf';
import { KindPicker } from './KindPicker';
import type { EditsBlock } from './editsBlock';
import { WhatItTells } from './WhatItTells';

interface Props {
  block: QuestionBlock;
  onBlock: EditsBlock['onBlock'];
}

/** What kind of question it is, and all that its family lets be said about it. */
export function QuestionEditor({ block, onBlock }: Props) {
  const { t } = useTranslation();
  const shelf = useLessonShelf();
  const lesson = useAppSelector((state) => state.draft.present);
  const { question } = block;
  const onQuestion = (next: Question, models?: readonly Model[]) =>
    onBlock({ ...block, question: next }, models);
  const family = familyOf(question);
  const change = (kind: QuestionKind) => {
    const fresh = editorOf(familyOf({ kind })).fresh(kind, shelf, question);
    if (fresh) onQuestion({ ...fresh.question, prompt: question.prompt }, fresh.models);
  };
  const { Editor } = editorOf(family);
  return (
    <>
      <div className="row">
        <KindPicker kind={question.kind} shelf={shelf} onKind={change} />
        {varies(familyNamed(family), question) && (
          <Checkbox
            checked={'vary' in question && question.vary === true}
            onChange={(e) => onQuestion({ ...question, vary: e.target.checked } as Question)}
          >
            {t(`question.vary.${family}`)}
          </Checkbox>
        )}
        {canAskWhy(question) && (
          <Checkbox
            checked={block.askWhy ?? false}
            onChange={(e) => onBlock({ ...block, askWhy: e.target.checked })}
          >
            {t('question.askWhy')}
          </Checkbox>
        )}
      </div>
      <Editor question={question} onQuestion={onQuestion} />
      {/* A whole case takes a worker to weigh. */}
      {lesson && !isCaseQuestion(question) && (
        <WhatItTells lesson={lesson} question={question} onQuestion={onQuestion} />
      )}
    </>
  );
}
