import { Input, Segmented } from 'antd';
import { useDeferredValue, useMemo, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { MOST_NAME, openUnit } from '../../../../core/formats';
import { solveUnit, type Unit, type UnitFinding } from '../../../../core/geartrain';
import { useAppDispatch } from '../../../state/hooks';
import { ModelBar } from '../../ModelBar';
import { modelEdited } from '../../modelDraftSlice';
import { useModelAutosave } from '../../useModelAutosave';
import { withNotes } from '../../withNotes';
import { UnitSheet } from '../../../apply/UnitSheet';
import { SECTION } from '../../../apply/applySlice';
import { useLatest } from '../../../shared/useLatest';
import { useAfterwards } from '../../../shared/useAfterwards';
import { useTurning } from '../../../bench/useTurning';
import { useUnitFigures } from '../../../state/useUnitAnswers';
import { isLarge } from '../../../workers/unitWorker';
import { ElementsEditor } from './ElementsEditor';
import { FindingsList } from './FindingsList';
import { GearSetsEditor } from './GearSetsEditor';
import { MembersEditor } from './MembersEditor';
import { RangesEditor } from './RangesEditor';
import { useEditing, useParts } from './useEditing';
import '../../../bench/SideColumn.css';
import './UnitEditor.css';

const PARTS = ['sets', 'elements', 'members', 'about'] as const;
const EDITOR_RPM = 1200;
const NONE: readonly UnitFinding[] = [];

/** The unit editor: the drawing and the chart at the left, the parts they are made of at the right. */
export function UnitEditor({ draft }: { draft: Unit }) {
  const { t } = useTranslation();
  const dispatch = useAppDispatch();
  const [part, setPart] = useState<(typeof PARTS)[number]>('sets');
  const shownPart = useDeferredValue(part);
  const [view, setView] = useState(SECTION);
  const [rangeId, setRangeId] = useState(draft.ranges[0]?.id ?? '');
  const opened = useMemo(() => openUnit(draft), [draft]);
  const sound = opened.ok;
  const large = isLarge(draft);
  const drawn = useAfterwards(large) && sound;
  const change = (unit: Unit, field?: string) =>
    dispatch(modelEdited({ model: unit, field: field ?? null }));
  const latest = useLatest({ draft, change });
  const props = useEditing(draft, latest);
  const findings = useUnitFigures(drawn ? props.unit : null)?.findings ?? NONE;
  const autosave = useModelAutosave(draft, sound);
  // A large one is drawn, and its chart, when what was pressed or typed stands; what is typed in the chart shows at once.
  const wasDrawn = useDeferredValue(drawn);
  const before = useDeferredValue(draft);
  const sheet = large && wasDrawn ? before : draft;
  const charted = sheet.ranges === draft.ranges ? sheet : draft;
  const solved = useParts(sheet);
  const range = sheet.ranges.find((r) => r.id === rangeId) ?? sheet.ranges[0];
  const solution = useMemo(
    () => (drawn ? solveUnit(solved, range?.apply ?? []) : null),
    [drawn, solved, range],
  );
  const chart = useEditing(charted, latest);
  const turning = useTurning(EDITOR_RPM, true);
  return (
    <main className="unit-editor" id="main">
      <h1 className="visually-hidden">{draft.name}</h1>
      <ModelBar draft={draft} autosave={autosave} />
      <div className="unit-editor-sheet">
        {solution ? (
          <UnitSheet
            unit={sheet}
            solution={solution}
            turning={turning}
            view={view}
            onView={setView}
          />
        ) : (
          !sound && <p className="sheet-wait">{t('unitEditor.notDrawn')}</p>
        )}
      </div>
      <div
        className="unit-editor-chart"
        tabIndex={0}
        role="region"
        aria-label={t('unitEditor.ranges')}
      >
        {drawn && <RangesEditor {...chart} current={range?.id ?? ''} onCurrent={setRangeId} />}
      </div>
      <aside className="side-column unit-editor-parts" aria-label={t('unitEditor.parts')}>
        <Input
          aria-label={t('unitEditor.name')}
          className="unit-editor-name"
          maxLength={MOST_NAME}
          value={draft.name}
          onChange={(e) => change({ ...draft, name: e.target.value }, 'name')}
        />
        <FindingsList
          unit={draft}
          findings={findings}
          problems={opened.ok || opened.failure.cause !== 'invalid' ? [] : opened.failure.problems}
        />
        <Segmented
          block
          aria-label={t('unitEditor.parts')}
          value={part}
          onChange={setPart}
          options={PARTS.map((p) => ({ value: p, label: t(`unitEditor.tabs.${p}`) }))}
        />
        {shownPart === 'sets' && <GearSetsEditor {...props} />}
        {shownPart === 'elements' && <ElementsEditor {...props} />}
        {shownPart === 'members' && <MembersEditor {...props} />}
        {shownPart === 'about' && (
          <label className="field">
            <span className="label">{t('unitEditor.notes')}</span>
            <Input.TextArea
              autoSize={{ minRows: 6, maxRows: 18 }}
              value={draft.notes ?? ''}
              onChange={(e) => change(withNotes(draft, e.target.value), 'notes')}
            />
          </label>
        )}
      </aside>
    </main>
  );
}
