import { Checkbox, Input } from 'antd';
import { useTranslation } from 'react-i18next';
import { settingsChanged } from '../../state/settingsSlice';
import { useAppDispatch } from '../../state/hooks';
import type { Wanted } from './shelf';

interface Props {
  wanted: Wanted;
  tags: readonly string[];
  found: number;
  onWanted: (wanted: Pick<Wanted, 'search' | 'tag'>) => void;
}

/** What is looked for on the shelf: words, a tag, and whether the demo world stands there, too. */
export function ShelfBar({ wanted, tags, found, onWanted }: Props) {
  const { t } = useTranslation();
  const dispatch = useAppDispatch();
  const { search, tag, hideDemo } = wanted;
  return (
    <search className="shelf-bar">
      <Input
        allowClear
        aria-label={t('library.search')}
        placeholder={t('library.search')}
        value={search}
        onChange={(e) => onWanted({ search: e.target.value, tag })}
      />
      {tags.length > 0 && (
        <Checkbox.Group
          aria-label={t('library.tags')}
          value={tag === '' ? [] : [tag]}
          options={[...tags]}
          onChange={(chosen) =>
            onWanted({ search, tag: chosen.filter((c) => c !== tag).at(-1) ?? '' })
          }
        />
      )}
      <Checkbox
        checked={hideDemo}
        onChange={(e) => dispatch(settingsChanged({ hideDemo: e.target.checked }))}
      >
        {t('library.hideDemo')}
      </Checkbox>
      {found === 0 && <p role="status">{t('library.noneFound')}</p>}
    </search>
  );
}
