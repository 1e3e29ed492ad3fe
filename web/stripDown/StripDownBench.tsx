import { Spin } from 'antd';
import { useTranslation } from 'react-i18next';
import { Link, useLocation, useNavigate, useParams } from 'react-router';
import { chosenFrom } from '../bench/chosenFrom';
import { shelfOf } from '../bench/modelPlaces';
import { useAppSelector } from '../state/hooks';
import { selectUnits } from '../state/modelsSlice';
import { useStripPlan } from '../workers/unitWorker';
import { StripDown } from './StripDown';
import './StripDown.css';

/** The Strip-down bench: a unit in its parts, to be taken off in an order of one's own. */
export function StripDownBench() {
  const { t } = useTranslation();
  const { unitId = null } = useParams();
  const { pathname } = useLocation();
  const navigate = useNavigate();
  const unit = chosenFrom(useAppSelector(selectUnits), unitId);
  const door = pathname.startsWith('/learn') ? 'learn' : 'teach';
  return (
    <main className="strip-down" id="main">
      <h1 className="visually-hidden">{t('nav.stripDown')}</h1>
      {unit ? (
        <Planned
          key={unit.id}
          unit={unit}
          onUnit={(id) => void navigate(`/${door}/strip-down/${id}`)}
        />
      ) : (
        <p className="library-empty">
          {t('unitLibrary.empty')} <Link to={shelfOf('fair-sprocket/unit')}>{t('nav.models')}</Link>
        </p>
      )}
    </main>
  );
}

/** The parts of a large unit come a moment later. */
function Planned(props: Omit<Parameters<typeof StripDown>[0], 'plan'>) {
  const plan = useStripPlan(props.unit);
  return plan ? <StripDown plan={plan} {...props} /> : <Spin />;
}
