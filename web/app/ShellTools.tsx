import type { ReactNode } from 'react';
import { useTranslation } from 'react-i18next';
import { useAppDispatch, useAppSelector } from '../state/hooks';
import { settingsChanged } from '../state/settingsSlice';

/** Units and paper, at the end of the bar; what a page has besides comes after them. */
export function ShellTools({ children }: { children?: ReactNode }) {
  const { t } = useTranslation();
  const dispatch = useAppDispatch();
  const { paper, units } = useAppSelector((state) => state.settings);
  return (
    <div className="shell-tools">
      <button
        type="button"
        onClick={() => dispatch(settingsChanged({ units: units === 'si' ? 'inch-pound' : 'si' }))}
        aria-label={t('app.switchUnits', { now: t(`app.${units}`) })}
      >
        {t(`app.shortUnits.${units}`)}
      </button>
      <button
        type="button"
        onClick={() => dispatch(settingsChanged({ paper: paper === 'day' ? 'night' : 'day' }))}
        aria-label={t('app.switchPaper', { now: t(`app.${paper}`) })}
      >
        {t(`app.${paper}`)}
      </button>
      {children}
    </div>
  );
}
