import { Select } from 'antd';
import { useTranslation } from 'react-i18next';
import { FAMILY_NAMES, type QuestionKind } from '../../../core/lesson';
import { useAppSelector } from '../../state/hooks';
import { editorOf } from '../families/editors';
import type { LessonShelf } from './useLessonShelf';
import './KindPicker.css';

interface Props {
  kind: QuestionKind;
  shelf: LessonShelf;
  onKind: (kind: QuestionKind) => void;
}

interface Offered {
  readonly value: QuestionKind;
  readonly label: string;
  readonly line: string;
}

interface Family {
  readonly label: string;
  readonly options: Offered[];
}

/** Found by a word of its own; all of a family by a word of the family's name. */
const holds = (one: Offered | Family, text: string): boolean =>
  `${one.label} ${'line' in one ? one.line : ''}`.toLowerCase().includes(text.trim().toLowerCase());

/** Every kind of question, with how it is asked: a picture from a lesson, and a line. Found by any word of it. */
export function KindPicker({ kind, shelf, onKind }: Props) {
  const { t } = useTranslation();
  const paper = useAppSelector((state) => state.settings.paper);
  const families = FAMILY_NAMES.map((name): Family => ({
    label: t(editorOf(name).label),
    options: editorOf(name)
      .kinds(shelf)
      .map((value): Offered => ({
        value,
        label: t(`questionKinds.${value}`),
        line: t(`questionLines.${value}`),
      })),
  })).filter(({ options }) => options.length > 0);
  return (
    <Select<QuestionKind, Offered | Family>
      aria-label={t('question.kind')}
      value={kind}
      onChange={onKind}
      className="kind-picker"
      classNames={{ popup: { root: 'kind-picker-list' } }}
      popupMatchSelectWidth={false}
      listHeight={560}
      virtual={false}
      showSearch={{
        filterOption: (text, option) => option !== undefined && holds(option, text),
      }}
      options={families}
      optionRender={({ data }) =>
        'line' in data && (
          <span className="kind-option">
            <img
              src={`/examples/${data.value}-${paper}.webp`}
              alt=""
              width={120}
              height={90}
              loading="lazy"
            />
            <span>
              <span className="kind-name">{data.label}</span>
              <span className="kind-line">{data.line}</span>
            </span>
          </span>
        )
      }
    />
  );
}
