import { useEffect } from 'react';
import { useTranslation } from 'react-i18next';
import { Outlet } from 'react-router';
import { ShellTools } from '../app/ShellTools';
import { SprocketMark } from '../app/SprocketMark';
import { useAppSelector } from '../state/hooks';
import { selectLibrary } from '../state/librarySlice';
import '../app/Shell.css';

/** The bar over a lesson that plays by itself. */
export function SingleFrame({ title }: { title: string }) {
  const { t } = useTranslation();
  const { passing } = useAppSelector(selectLibrary);
  useEffect(() => {
    document.title = [title, t('app.name')].filter(Boolean).join(', ');
  }, [title, t]);
  return (
    <div className="shell">
      <header className="shell-bar">
        <span className="shell-brand">
          <SprocketMark />
          {t('app.name')}
        </span>
        <ShellTools />
      </header>
      {passing && (
        <p className="shell-passing" role="status">
          {t('single.passing')}
        </p>
      )}
      <div className="shell-screen">
        <Outlet />
      </div>
    </div>
  );
}

/** The page without a lesson, or with one that this program can't read. */
export function NothingCarried() {
  const { t } = useTranslation();
  return (
    <main className="shell-nothing" id="main">
      <h1>{t('single.nothing')}</h1>
      <p>{t('single.nothingHow')}</p>
    </main>
  );
}
