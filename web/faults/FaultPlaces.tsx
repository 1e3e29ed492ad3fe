import { useTranslation } from 'react-i18next';
import { NavLink, useLocation } from 'react-router';
import '../bench/shelves.css';
import './Atlas.css';

/** Fault desk or symptom atlas: two screens behind one place in the bar. */
export function FaultPlaces() {
  const { t } = useTranslation();
  const door = useLocation().pathname.startsWith('/learn') ? 'learn' : 'teach';
  return (
    <nav className="shelves fault-places" aria-label={t('faults.places')}>
      <NavLink to={`/${door}/faults`} end>
        {t('nav.desk')}
      </NavLink>
      <NavLink to={`/${door}/faults/atlas`}>{t('nav.atlas')}</NavLink>
    </nav>
  );
}
