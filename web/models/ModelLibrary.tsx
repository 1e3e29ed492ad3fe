import { Button } from 'antd';
import { useTranslation } from 'react-i18next';
import { NavLink, Link, useNavigate } from 'react-router';
import { MODEL_KINDS, type Model, type ModelKind } from '../../core/formats';
import { LIST_OF } from '../../core/lesson';
import { useAppSelector, useServices } from '../state/hooks';
import { useKeep } from '../state/useKeep';
import { exportModel } from '../files/exportFiles';
import { ImportReport } from '../files/ImportReport';
import { useImporter } from '../files/useImporter';
import { FileButton } from '../shared/FileButton';
import { FolderOpenOutlined, PlusOutlined } from '../shared/icons';
import { LazyMarkdown } from '../shared/LazyMarkdown';
import { LinkButton } from '../shared/LinkButton';
import { useUndoNotice } from '../shared/useUndoNotice';
import { newUnit } from './units/editor/unitEdits';
import { ModelFacts } from './ModelFacts';
import { benchOf, editorOf, shelfOf } from '../bench/modelPlaces';
import { onShelf, selectModels, selectUnits, type Shelf } from '../state/modelsSlice';
import { newClutch, newClutchPack } from './newClutches';
import { newConverter, newEngine, newFaultCase, newJob, newPlan, newVehicle } from './newModels';
import '../bench/cards.css';
import '../bench/shelves.css';

/** Every model of this browser, shelf by shelf, to operate, change, hand out and take in. */
export function ModelLibrary({ kind }: { kind: ModelKind }) {
  const { t } = useTranslation();
  const shelf = useAppSelector(selectModels(kind)) as Shelf<Model>;
  const units = useAppSelector(selectUnits);
  const importer = useImporter();
  const keep = useKeep();
  const services = useServices();
  const navigate = useNavigate();
  const words = LIST_OF[kind];
  const create = async () => {
    const [id, name] = [services.newId(), t(`modelLibrary.${words}.new`)];
    const model = {
      'fair-sprocket/unit': () => newUnit(id, (key) => t(`unitLibrary.starter.${key}`)),
      'fair-sprocket/converter': () => newConverter(id, name),
      'fair-sprocket/engine': () => newEngine(id, name),
      'fair-sprocket/vehicle': () => newVehicle(id, name),
      'fair-sprocket/clutch': () => newClutch(id, name),
      'fair-sprocket/clutch-pack': () => newClutchPack(id, name),
      'fair-sprocket/hydraulics': () =>
        newPlan(
          id,
          name,
          onShelf(units)[0] ?? newUnit(id, (key) => t(`unitLibrary.starter.${key}`)),
        ),
      'fair-sprocket/fault-case': () => newFaultCase(id, name, onShelf(units)[0]),
      'fair-sprocket/job': () => newJob(id, name, onShelf(units)[0]),
    }[kind]();
    if (await keep.model(model, null)) await navigate(editorOf(model));
  };
  return (
    <main className="page" id="main">
      <nav className="shelves" aria-label={t('modelLibrary.shelves')}>
        {MODEL_KINDS.map((k) => (
          <NavLink key={k} to={shelfOf(k)}>
            {t(`modelLibrary.${LIST_OF[k]}.title`)}
          </NavLink>
        ))}
      </nav>
      <div className="page-head">
        <div>
          <h1>{t(`modelLibrary.${words}.title`)}</h1>
          <p>{t(`modelLibrary.${words}.lead`)}</p>
        </div>
        <div className="row">
          <FileButton
            accept=".json"
            multiple
            icon={<FolderOpenOutlined />}
            loading={importer.busy}
            onFiles={(files) => void importer.open(files)}
          >
            {t('library.openFile')}
          </FileButton>
          <Button type="primary" icon={<PlusOutlined />} onClick={() => void create()}>
            {t(`modelLibrary.${words}.new`)}
          </Button>
        </div>
      </div>
      <ImportReport importer={importer} />
      {shelf.ids.length === 0 ? (
        <p className="library-empty">{t('modelLibrary.empty')}</p>
      ) : (
        <ul className="lesson-cards">
          {onShelf(shelf).map((model) => (
            <ModelCard key={model.id} model={model} />
          ))}
        </ul>
      )}
    </main>
  );
}

function ModelCard({ model }: { model: Model }) {
  const { t } = useTranslation();
  const undoNotice = useUndoNotice();
  const keep = useKeep();
  const services = useServices();
  const duplicate = () =>
    void keep.model(
      { ...model, id: services.newId(), name: t('library.copyOf', { title: model.name }) },
      null,
    );
  const remove = async () => {
    if (!(await keep.without.model(model))) return;
    undoNotice(
      `removed-${model.id}`,
      t('library.removed', { title: model.name }),
      () => void keep.model(model, null),
    );
  };
  return (
    <li className="lesson-card">
      <h2>
        <Link to={benchOf(model)}>{model.name}</Link>
      </h2>
      <div className="lesson-card-summary">
        {/* An instructor's notes on a case say what is wrong with it. */}
        <LazyMarkdown text={tellsNothing(model) ? '' : (model.notes ?? '')} />
      </div>
      <div className="lesson-card-facts">
        <ModelFacts model={model} />
      </div>
      <div className="lesson-card-actions">
        <LinkButton to={benchOf(model)} type="primary">
          {t('modelLibrary.bench')}
        </LinkButton>
        {model.format === 'fair-sprocket/unit' && (
          <LinkButton to={`/teach/strip-down/${model.id}`}>{t('stripDown.open')}</LinkButton>
        )}
        <LinkButton to={editorOf(model)}>{t('unitLibrary.edit')}</LinkButton>
        <Button onClick={duplicate}>{t('unitLibrary.duplicate')}</Button>
        <Button onClick={() => exportModel(model)}>{t('library.export')}</Button>
        <Button onClick={() => void remove()}>{t('library.delete')}</Button>
      </div>
    </li>
  );
}

/** What stands in the notes of these tells what is hidden in them: a class looks over the shoulder. */
const tellsNothing = ({ format }: Model): boolean =>
  format === 'fair-sprocket/fault-case' || format === 'fair-sprocket/job';
