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

/** Every kind of question, with how it is asked: a picture from a lesson, and a line. Found by any word of it. */
export function KindPicker({ kind, shelf, onKind }: Props) {
  const { t } = useTranslation();
  const paper = useAppSelector((state) => state.settings.paper);
  const options = FAMILY_NAMES.map((name) => ({
    label: t(editorOf(name).label),
    options: editorOf(name)
      .kinds(shelf)
      .map((value) => ({
        value,
        label: t(`questionKinds.${value}`),
        line: t(`questionLines.${value}`),
      })),
  })).filter((family) => family.options.length > 0);
  const lines = new Map(options.flatMap((family) => family.options.map((o) => [o.value, o.line])));
  const known = new Map(
    options.flatMap((family) =>
      family.options.map((o) => [o.value, `${o.label} ${o.line}`.toLowerCase()]),
    ),
  );
  return (
    <Select<QuestionKind>
      aria-label={t('question.kind')}
      value={kind}
      onChange={onKind}
      className="kind-picker"
      classNames={{ popup: { root: 'kind-picker-list' } }}
      popupMatchSelectWidth={false}
      listHeight={560}
      virtual={false}
      showSearch={{
        filterOption: (text, option) =>
          known.get(option?.value as QuestionKind)?.includes(text.trim().toLowerCase()) ?? false,
      }}
      options={options}
      optionRender={({ label, value }) => (
        <span className="kind-option">
          <img
            src={`/examples/${value}-${paper}.webp`}
            alt=""
            width={120}
            height={90}
            loading="lazy"
          />
          <span>
            <span className="kind-name">{label}</span>
            <span className="kind-line">{lines.get(value as QuestionKind)}</span>
          </span>
        </span>
      )}
    />
  );
}
