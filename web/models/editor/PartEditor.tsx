import { Input } from 'antd';
import { useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import { MOST_NAME, openModel, type Model, type Problem } from '../../../core/formats';
import type { Unit } from '../../../core/geartrain';
import { useAppDispatch, useServices } from '../../state/hooks';
import { ModelBar } from '../ModelBar';
import { modelEdited } from '../modelDraftSlice';
import { useModelAutosave } from '../useModelAutosave';
import { withNotes } from '../withNotes';
import { CaseFields } from '../../faults/CaseFields';
import { CasePreview } from '../../faults/CasePreview';
import { JobFields } from '../../stripDown/JobFields';
import { packFindings } from '../../../core/clutch';
import { NothingWrong } from '../../bench/NothingWrong';
import { PackFindings } from '../../packs/PackFindings';
import { JobPreview } from '../../stripDown/JobPreview';
import { ConverterFields } from './ConverterFields';
import { ConverterPreview } from './ConverterPreview';
import { EngineFields } from './EngineFields';
import { EnginePreview } from './EnginePreview';
import { ModelProblems } from './ModelProblems';
import { ClutchFields } from './ClutchFields';
import { ClutchPreview, PackPreview } from './ClutchPreviews';
import { PackFields } from './PackFields';
import { PlanFields } from './PlanFields';
import { PlanFindings } from './PlanFindings';
import { PlanPreview } from './PlanPreview';
import { VehicleFields } from './VehicleFields';
import { VehiclePreview } from './VehiclePreview';
import '../../bench/SideColumn.css';
import '../units/editor/UnitEditor.css';
import './PartEditor.css';

type Part = Exclude<Model, Unit>;

/** The editor of every model but a unit: what it makes at the left, its data at the right. */
export function PartEditor({ draft }: { draft: Part }) {
  const { t } = useTranslation();
  const dispatch = useAppDispatch();
  const opened = useMemo(() => openModel(draft), [draft]);
  const problems: readonly Problem[] =
    opened.ok || opened.failure.cause !== 'invalid' ? [] : opened.failure.problems;
  const autosave = useModelAutosave(draft, opened.ok);
  const change = (model: Part, field?: string) =>
    dispatch(modelEdited({ model, field: field ?? null }));
  return (
    <main className="part-editor" id="main">
      <h1 className="visually-hidden">{draft.name}</h1>
      <ModelBar draft={draft} autosave={autosave} />
      <div className="part-editor-curves">
        {opened.ok ? (
          <Preview part={draft} onPart={change} />
        ) : (
          <p className="sheet-wait">{t('partEditor.notDrawn')}</p>
        )}
      </div>
      <aside className="side-column" aria-label={t('partEditor.data')}>
        <Input
          aria-label={t('partEditor.name')}
          className="unit-editor-name"
          maxLength={MOST_NAME}
          value={draft.name}
          onChange={(e) => change({ ...draft, name: e.target.value }, 'name')}
        />
        <Findings part={draft} problems={problems} />
        <Fields part={draft} problems={problems} onPart={change} />
        <label className="field">
          <span className="label">{t('unitEditor.notes')}</span>
          <Input.TextArea
            autoSize={{ minRows: 2, maxRows: 10 }}
            value={draft.notes ?? ''}
            onChange={(e) => change(withNotes(draft, e.target.value), 'notes')}
          />
        </label>
      </aside>
    </main>
  );
}

/** What is wrong with its form; and where nothing is, with what it says: a case's and a job's sheet tells that itself. */
function Findings({ part, problems }: Omit<FieldsProps, 'onPart'>) {
  if (problems.length > 0) return <ModelProblems problems={problems} />;
  switch (part.format) {
    case 'fair-sprocket/hydraulics':
      return <PlanFindings plan={part} />;
    case 'fair-sprocket/clutch-pack':
      return <PackFindings findings={packFindings(part)} />;
    case 'fair-sprocket/fault-case':
    case 'fair-sprocket/job':
      return null;
    case 'fair-sprocket/converter':
    case 'fair-sprocket/engine':
    case 'fair-sprocket/vehicle':
    case 'fair-sprocket/clutch':
      return <NothingWrong />;
  }
}

function Preview({ part, onPart }: Omit<FieldsProps, 'problems'>) {
  const services = useServices();
  switch (part.format) {
    case 'fair-sprocket/converter':
      return <ConverterPreview converter={part} />;
    case 'fair-sprocket/engine':
      return <EnginePreview engine={part} />;
    case 'fair-sprocket/vehicle':
      return <VehiclePreview vehicle={part} />;
    case 'fair-sprocket/clutch':
      return <ClutchPreview clutch={part} />;
    case 'fair-sprocket/hydraulics':
      return <PlanPreview plan={part} />;
    case 'fair-sprocket/fault-case':
      return <CasePreview faultCase={part} />;
    case 'fair-sprocket/job':
      return <JobPreview job={part} />;
    case 'fair-sprocket/clutch-pack':
      return <PackPreview pack={part} onPack={onPart} newId={() => services.newId()} />;
  }
}

interface FieldsProps {
  part: Part;
  problems: readonly Problem[];
  onPart: (part: Part, field?: string) => void;
}

function Fields({ part, problems, onPart }: FieldsProps) {
  switch (part.format) {
    case 'fair-sprocket/converter':
      return <ConverterFields converter={part} problems={problems} onConverter={onPart} />;
    case 'fair-sprocket/engine':
      return <EngineFields engine={part} problems={problems} onEngine={onPart} />;
    case 'fair-sprocket/vehicle':
      return <VehicleFields vehicle={part} problems={problems} onVehicle={onPart} />;
    case 'fair-sprocket/clutch':
      return <ClutchFields clutch={part} problems={problems} onClutch={onPart} />;
    case 'fair-sprocket/hydraulics':
      return <PlanFields plan={part} problems={problems} onPlan={onPart} />;
    case 'fair-sprocket/fault-case':
      return <CaseFields faultCase={part} onCase={onPart} />;
    case 'fair-sprocket/job':
      return <JobFields job={part} onJob={onPart} />;
    case 'fair-sprocket/clutch-pack':
      return <PackFields pack={part} problems={problems} onPack={onPart} />;
  }
}
