import { Button } from 'antd';
import { useTranslation } from 'react-i18next';
import { Link, useNavigate } from 'react-router';
import { solveUnit, type Unit } from '../../core/geartrain';
import { toNumber } from '../../core/numerics';
import { useAppDispatch, useAppSelector, useServices } from '../app/hooks';
import { exportUnit } from '../files/exportFiles';
import { ImportReport } from '../files/ImportReport';
import { useImporter } from '../files/useImporter';
import { FileButton } from '../shared/FileButton';
import { FolderOpenOutlined, PlusOutlined } from '../shared/icons';
import { LazyMarkdown } from '../shared/LazyMarkdown';
import { LinkButton } from '../shared/LinkButton';
import { formatRatio } from '../shared/numbers';
import { useUndoNotice } from '../shared/useUndoNotice';
import { newUnit } from './editor/unitEdits';
import { removeUnit, saveUnit, selectUnits } from './unitsSlice';
import '../lessons/library/LessonLibrary.css';

/** Every drivetrain model of this browser, to open on the Apply bench, hand out and take in. */
export function UnitLibrary() {
  const { t } = useTranslation();
  const units = useAppSelector(selectUnits);
  const importer = useImporter();
  const dispatch = useAppDispatch();
  const services = useServices();
  const navigate = useNavigate();
  const create = () => {
    const unit = newUnit(services.newId(), (key) => t(`unitLibrary.starter.${key}`));
    void dispatch(saveUnit({ unit })).then(() => navigate(`/teach/units/${unit.id}`));
  };
  return (
    <main className="page" id="main">
      <div className="page-head">
        <div>
          <h1>{t('unitLibrary.title')}</h1>
          <p>{t('unitLibrary.lead')}</p>
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
          <Button type="primary" icon={<PlusOutlined />} onClick={create}>
            {t('unitLibrary.new')}
          </Button>
        </div>
      </div>
      <ImportReport importer={importer} />
      {units.ids.length === 0 ? (
        <p className="library-empty">{t('unitLibrary.empty')}</p>
      ) : (
        <ul className="lesson-cards">
          {units.ids.map((id) => {
            const unit = units.byId[id];
            return unit && <UnitCard key={id} unit={unit} />;
          })}
        </ul>
      )}
    </main>
  );
}

/** Ratios of the ranges that drive, each once, largest first. */
function ratiosOf(unit: Unit): string {
  const ratios = unit.ranges.flatMap((range) => {
    const { ratio } = solveUnit(unit, range.apply);
    return ratio ? [toNumber(ratio)] : [];
  });
  return [...new Set(ratios)]
    .sort((a, b) => b - a)
    .map(formatRatio)
    .join('  ');
}

function UnitCard({ unit }: { unit: Unit }) {
  const { t } = useTranslation();
  const undoNotice = useUndoNotice();
  const dispatch = useAppDispatch();
  const services = useServices();
  const duplicate = () =>
    void dispatch(
      saveUnit({
        unit: {
          ...unit,
          id: services.newId(),
          name: t('library.copyOf', { title: unit.name }),
        },
      }),
    );
  const remove = () => {
    void dispatch(removeUnit(unit.id));
    undoNotice(
      `removed-${unit.id}`,
      t('library.removed', { title: unit.name }),
      () => void dispatch(saveUnit({ unit })),
    );
  };
  return (
    <li className="lesson-card">
      <h2>
        <Link to={`/teach/apply/${unit.id}`}>{unit.name}</Link>
      </h2>
      <div className="lesson-card-summary">
        <LazyMarkdown text={unit.notes ?? ''} />
      </div>
      <div className="lesson-card-facts">
        <span>{t('unitLibrary.sets', { count: unit.gearsets.length })}</span>
        <span>{t('unitLibrary.elements', { count: unit.elements.length })}</span>
        <span className="quiet">{ratiosOf(unit)}</span>
      </div>
      <div className="lesson-card-actions">
        <LinkButton to={`/teach/apply/${unit.id}`} type="primary">
          {t('unitLibrary.bench')}
        </LinkButton>
        <LinkButton to={`/teach/units/${unit.id}`}>{t('unitLibrary.edit')}</LinkButton>
        <Button onClick={duplicate}>{t('unitLibrary.duplicate')}</Button>
        <Button onClick={() => exportUnit(unit)}>{t('library.export')}</Button>
        <Button onClick={remove}>{t('library.delete')}</Button>
      </div>
    </li>
  );
}
