import { useTranslation } from 'react-i18next';
import { Link } from 'react-router';
import { useAppSelector } from '../state/hooks';
import { chosenFrom } from '../bench/chosenFrom';
import { shelfOf } from '../bench/modelPlaces';
import { selectUnits } from '../state/modelsSlice';
import { selectAtlas } from './atlasSlice';
import { Atlas } from './Atlas';
import './Atlas.css';

/** The symptom atlas: every single fault of a unit, by range, on drive and on coast; what looks alike, and what splits it. */
export function AtlasScreen() {
  const { t } = useTranslation();
  const state = useAppSelector(selectAtlas);
  const unit = chosenFrom(useAppSelector(selectUnits), state.unitId);
  return (
    <main className="atlas" id="main">
      <h1 className="visually-hidden">{t('nav.atlas')}</h1>
      {unit ? (
        <Atlas unit={unit} state={state} />
      ) : (
        <p className="library-empty">
          {t('atlas.empty')} <Link to={shelfOf('fair-sprocket/unit')}>{t('nav.models')}</Link>
        </p>
      )}
    </main>
  );
}
