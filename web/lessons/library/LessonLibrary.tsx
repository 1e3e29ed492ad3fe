import {
  AlignLeftOutlined,
  FolderOpenOutlined,
  PlusOutlined,
  ReloadOutlined,
} from '../../shared/icons';
import { Button, Spin } from 'antd';
import { useMemo, useState } from 'react';
import { lazyPart } from '../../shared/lazyPart';
import { useTranslation } from 'react-i18next';
import { useNavigate } from 'react-router';
import type { Lesson } from '../../../core/lesson';
import { useAppSelector } from '../../state/hooks';
import { useKeep } from '../../state/useKeep';
import { ImportReport } from '../../files/ImportReport';
import { TakeAll } from '../../files/TakeAll';
import { useImporter } from '../../files/useImporter';
import { FileButton } from '../../shared/FileButton';
import { selectLibrary } from '../../state/librarySlice';
import { useKept } from '../../shared/kept';
import { LessonCard } from './LessonCard';
import { ShelfBar } from './ShelfBar';
import { shelved, tagsOf } from './shelf';
import { useLit } from './useLit';
import { useNewLesson } from './useNewLesson';
import { useResetDemo } from './useResetDemo';
import '../../bench/cards.css';

const DraftDialog = lazyPart(async () => (await import('./DraftDialog')).DraftDialog);

/** All lessons of this browser: to build and run (Teach) or to work through (Learn). */
export function LessonLibrary({ door }: { door: 'teach' | 'learn' }) {
  const { t } = useTranslation();
  const keep = useKeep();
  const navigate = useNavigate();
  const begin = useNewLesson();
  const library = useAppSelector(selectLibrary);
  const importer = useImporter();
  const resetDemo = useResetDemo();

  const { hideDemo } = useAppSelector((state) => state.settings);
  const [looked, setWanted] = useKept('LessonLibrary wanted', { search: '', tag: '' });
  const records = useMemo(
    () => library.ids.flatMap((id) => library.byId[id] ?? []),
    [library.ids, library.byId],
  );
  const tags = useMemo(() => tagsOf(records), [records]);
  // A tag that no lesson has any more hides nothing.
  const tag = tags.includes(looked.tag) ? looked.tag : '';
  const wanted = { search: looked.search, tag, hideDemo };
  const found = shelved(records, wanted);
  const lit = useLit(library.ids, library.status === 'ready');
  const [drafting, setDrafting] = useState(false);
  const add = async (lesson: Lesson) => {
    if (await keep.lesson({ lesson, origin: 'own', changed: false, baseRevision: 0 }))
      await navigate(`/teach/lessons/${lesson.id}`);
  };

  return (
    <main className="page" id="main">
      <div className="page-head">
        <div>
          <h1>{t(`library.${door}.title`)}</h1>
          <p>{t(`library.${door}.lead`)}</p>
        </div>
        <div className="row">
          {door === 'teach' && (
            <Button icon={<ReloadOutlined />} onClick={() => void resetDemo()}>
              {t('library.resetDemo')}
            </Button>
          )}
          <FileButton
            accept=".zip,.json"
            multiple
            icon={<FolderOpenOutlined />}
            loading={importer.busy}
            type={door === 'learn' ? 'primary' : 'default'}
            onFiles={(files) => void importer.open(files)}
          >
            {t('library.openFile')}
          </FileButton>
          <TakeAll />
          {door === 'teach' && (
            <Button icon={<AlignLeftOutlined />} onClick={() => setDrafting(true)}>
              {t('library.draft')}
            </Button>
          )}
          {door === 'teach' && (
            <Button type="primary" icon={<PlusOutlined />} onClick={() => void add(begin())}>
              {t('library.create')}
            </Button>
          )}
        </div>
      </div>
      {drafting && (
        <DraftDialog onClose={() => setDrafting(false)} onLesson={(lesson) => void add(lesson)} />
      )}
      <ImportReport importer={importer} />
      {library.status === 'loading' ? (
        <Spin />
      ) : library.ids.length === 0 ? (
        <p className="library-empty">{t(`library.${door}.empty`)}</p>
      ) : (
        <>
          <ShelfBar wanted={wanted} tags={tags} found={found.length} onWanted={setWanted} />
          <ul className="lesson-cards">
            {found.map((record) => (
              <LessonCard
                key={record.lesson.id}
                record={record}
                door={door}
                lit={record.lesson.id === lit}
              />
            ))}
          </ul>
        </>
      )}
    </main>
  );
}
