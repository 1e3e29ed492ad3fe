import { Input, Select } from 'antd';
import { useEffect, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useSearchParams } from 'react-router';
import { MOST_NAME, MOST_TAGS } from '../../../core/formats';
import { newStep, type Lesson } from '../../../core/lesson';
import { useAppDispatch, useServices } from '../../state/hooks';
import type { LessonRecord } from '../../storage/records';
import { BuilderBar } from './BuilderBar';
import { ConflictNotice } from './ConflictNotice';
import {
  authorChanged,
  draftOpened,
  stepAdded,
  stepMoved,
  stepRemoved,
  summaryChanged,
  tagsChanged,
  titleChanged,
} from './draftSlice';
import { FirstSteps } from './FirstSteps';
import { StepEditor } from './StepEditor';
import { StepList } from './StepList';
import { useAutosave } from './useAutosave';
import './Builder.css';

/** The lesson builder: steps at the left, the chosen step's blocks at the right. */
export function Builder({ draft, record }: { draft: Lesson; record: LessonRecord }) {
  const { t } = useTranslation();
  const dispatch = useAppDispatch();
  const services = useServices();
  // What the draft was opened from; later revisions come in through the autosave.
  const [opened] = useState(record);
  const autosave = useAutosave(draft, opened);
  // The step stands in the address, so that coming back from a trial comes back to it.
  const [address, setAddress] = useSearchParams();
  const chosen = address.get('step') ?? '';
  const setChosen = (id: string) =>
    setAddress(
      (now) => {
        const next = new URLSearchParams(now);
        next.set('step', id);
        return next;
      },
      { replace: true },
    );
  const step = draft.steps.find((s) => s.id === chosen) ?? draft.steps[0];
  useFollowOtherTab(record, autosave);

  const addStep = () => {
    const added = newStep(services.newId(), t('builder.newStep', { n: draft.steps.length + 1 }));
    dispatch(stepAdded({ step: added, at: draft.steps.length }));
    setChosen(added.id);
  };
  return (
    <main className="builder" id="main">
      <h1 className="visually-hidden">{draft.title || t('library.untitled')}</h1>
      <BuilderBar draft={draft} stepId={step?.id ?? ''} autosave={autosave} />
      <ConflictNotice draft={draft} autosave={autosave} />
      <FirstSteps lesson={draft} />
      <div className="builder-body">
        <aside className="builder-card" aria-label={t('builder.card')}>
          <Input.TextArea
            className="builder-title"
            aria-label={t('builder.title')}
            placeholder={t('builder.title')}
            rows={1}
            variant="borderless"
            maxLength={MOST_NAME}
            value={draft.title}
            onChange={(e) => dispatch(titleChanged(e.target.value.replace(/\n/g, ' ')))}
          />
          <Input.TextArea
            aria-label={t('builder.summary')}
            placeholder={t('builder.summary')}
            autoSize={{ minRows: 2, maxRows: 6 }}
            value={draft.summary}
            onChange={(e) => dispatch(summaryChanged(e.target.value))}
          />
          <Input
            aria-label={t('builder.author')}
            placeholder={t('builder.author')}
            maxLength={MOST_NAME}
            value={draft.author ?? ''}
            onChange={(e) => dispatch(authorChanged(e.target.value))}
          />
          <Select<string[]>
            mode="tags"
            aria-label={t('builder.tags')}
            placeholder={t('builder.tags')}
            maxCount={MOST_TAGS}
            maxTagTextLength={24}
            tokenSeparators={[',']}
            open={false}
            suffixIcon={null}
            value={draft.tags ?? []}
            onChange={(tags) => dispatch(tagsChanged(tagsFrom(tags)))}
          />
          <StepList
            steps={draft.steps}
            current={step?.id ?? ''}
            onChoose={setChosen}
            onMove={(from, to) => dispatch(stepMoved({ from, to }))}
            onRemove={(stepId) => dispatch(stepRemoved({ stepId }))}
            onAdd={addStep}
          />
        </aside>
        {step ? (
          <StepEditor key={step.id} step={step} />
        ) : (
          <p className="library-empty">{t('builder.noSteps')}</p>
        )}
      </div>
    </main>
  );
}

/** As a lesson can hold them: short, each once. */
const tagsFrom = (typed: readonly string[]): string[] => [
  ...new Set(typed.map((tag) => tag.trim().slice(0, 40)).filter(Boolean)),
];

/** Another tab saved a newer version: it is shown at once where nothing here is unsaved. */
function useFollowOtherTab(
  record: LessonRecord,
  { state, isNews, rebase }: ReturnType<typeof useAutosave>,
): void {
  const dispatch = useAppDispatch();
  useEffect(() => {
    if (state !== 'saved' || !isNews(record)) return;
    rebase(record.revision, record.lesson);
    dispatch(draftOpened(record.lesson));
  }, [record, state, isNews, rebase, dispatch]);
}
