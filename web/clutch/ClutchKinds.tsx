import { useTranslation } from 'react-i18next';
import { NavLink, useLocation } from 'react-router';
import '../bench/shelves.css';
import './ClutchBench.css';

/** Dry clutch or wet pack: two benches behind one place in the bar. */
export function ClutchKinds() {
  const { t } = useTranslation();
  const door = useLocation().pathname.startsWith('/learn') ? 'learn' : 'teach';
  return (
    <nav className="shelves clutch-kinds" aria-label={t('clutch.kinds')}>
      <NavLink to={`/${door}/clutch`} end>
        {t('clutch.dry')}
      </NavLink>
      <NavLink to={`/${door}/clutch/packs`}>{t('clutch.wet')}</NavLink>
    </nav>
  );
}
