import { useEffect, useRef, useState, useSyncExternalStore } from 'react';
import { lazyPart } from '../shared/lazyPart';
import { useTranslation } from 'react-i18next';
import { Link, NavLink, Outlet, useLocation } from 'react-router';
import { selectStorageTrouble } from '../state/librarySlice';
import { Loading } from '../shared/PartMissing';
import { useShortcuts } from '../shared/useShortcuts';
import { useAppSelector } from '../state/hooks';
import { moreWords } from './i18n';
import { isVersionWaiting, listenForVersion } from './newVersion';
import { ShellTools } from './ShellTools';
import { SprocketMark } from './SprocketMark';
import './Shell.css';

/** A part is shown when its words are here too. */
const withWords = async <T,>(part: Promise<T>): Promise<T> =>
  (await Promise.all([part, moreWords()]))[0];

const KeysSheet = lazyPart(async () => (await withWords(import('./KeysSheet'))).KeysSheet, {
  meanwhile: () => null,
});

const StorageNotice = lazyPart(
  async () => (await withWords(import('./StorageNotice'))).StorageNotice,
  { meanwhile: () => null },
);

const NewVersionNotice = lazyPart(
  async () => (await withWords(import('./NewVersionNotice'))).NewVersionNotice,
  { meanwhile: () => null },
);

/** What a whole class looks at has the whole wall. */
const BARE = /^\/teach\/(rooms\/[^/]+\/board|lessons\/[^/]+\/run(\/notes)?)$/;

const STRIP_DOWN = /^\/(teach|learn)\/strip-down\b/;

type Door = 'teach' | 'learn';

const NAV = {
  teach: [
    { to: '/teach/lessons', key: 'lessons' },
    { to: '/teach/models', key: 'models' },
    { to: '/teach/ratio', key: 'ratio' },
    { to: '/teach/apply', key: 'apply' },
    { to: '/teach/converter', key: 'converter' },
    { to: '/teach/clutch', key: 'clutch' },
    { to: '/teach/shift', key: 'shift' },
    { to: '/teach/faults', key: 'faults' },
    { to: '/teach/class-book', key: 'classBook' },
  ],
  learn: [
    { to: '/learn/lessons', key: 'lessons' },
    { to: '/learn/ratio', key: 'ratio' },
    { to: '/learn/apply', key: 'apply' },
    { to: '/learn/converter', key: 'converter' },
    { to: '/learn/clutch', key: 'clutch' },
    { to: '/learn/shift', key: 'shift' },
    { to: '/learn/faults', key: 'desk' },
    { to: '/learn/records', key: 'records' },
  ],
} as const satisfies Readonly<Record<Door, readonly { to: string; key: string }[]>>;

/** The bar over every screen: two doors, the parts behind the open one, and the settings of the wall. */
export function Shell() {
  const { t } = useTranslation();
  const newVersion = useSyncExternalStore(listenForVersion, isVersionWaiting);
  const storageTrouble = useAppSelector(selectStorageTrouble);
  const loading = useAppSelector(({ library }) => library.status === 'loading');
  const { pathname, search } = useLocation();
  const [keysOpen, setKeysOpen] = useState(false);
  const door: Door | null = pathname.startsWith('/teach')
    ? 'teach'
    : pathname.startsWith('/learn')
      ? 'learn'
      : null;
  const bare = BARE.test(pathname);
  const screen = useRef<HTMLDivElement>(null);
  const parts = useRef<HTMLElement>(null);
  const menu = useRef<HTMLDivElement>(null);
  const here = door && NAV[door].find(({ to }) => pathname.startsWith(to));
  // What is reached from a bench has a name of its own in the bar.
  const name = here ? t(`nav.${here.key}`) : STRIP_DOWN.test(pathname) && t('nav.stripDown');
  // Another part begins at its top, and its name in the bar is in sight.
  useEffect(() => {
    screen.current?.scrollTo({ top: 0 });
    menu.current?.hidePopover?.();
    parts.current?.querySelector('.active')?.scrollIntoView({ block: 'nearest', inline: 'center' });
  }, [pathname]);
  useShortcuts({ '?': () => setKeysOpen(true) });
  useEffect(() => {
    const names = [name, door && t(`nav.${door}`), t('app.name')];
    document.title = names.filter(Boolean).join(', ');
  }, [name, door, t]);

  return (
    <div className="shell">
      <a className="skip-link" href="#main">
        {t('app.skip')}
      </a>
      <header className="shell-bar" hidden={bare}>
        <Link to="/" className="shell-brand">
          <SprocketMark />
          {t('app.name')}
        </Link>
        <button type="button" className="shell-menu-open" popoverTarget="shell-menu">
          <span className="shell-menu-mark" aria-hidden="true" />
          <span className="visually-hidden">{t('app.menu')}</span> {name}
        </button>
        <div className="shell-menu" id="shell-menu" popover="auto" ref={menu}>
          <nav className="shell-doors" aria-label={t('nav.doors')}>
            {(['teach', 'learn'] as const).map((d) => (
              <Link key={d} to={`/${d}/lessons`} aria-current={door === d ? 'true' : undefined}>
                {t(`nav.${d}`)}
              </Link>
            ))}
          </nav>
          {door && (
            <nav className="shell-parts" ref={parts} aria-label={t('nav.parts')}>
              {NAV[door].map(({ to, key }) => (
                <NavLink key={to} to={to}>
                  {t(`nav.${key}`)}
                </NavLink>
              ))}
            </nav>
          )}
          <ShellTools>
            <button
              type="button"
              className="shell-keys"
              onClick={() => setKeysOpen(true)}
              aria-label={t('app.openKeys')}
            >
              ?
            </button>
          </ShellTools>
        </div>
      </header>
      {storageTrouble && <StorageNotice />}
      {newVersion && !bare && <NewVersionNotice />}
      <div className="shell-screen" ref={screen} data-at={pathname + search}>
        {loading && pathname !== '/' ? <Loading /> : <Outlet />}
      </div>
      {keysOpen && <KeysSheet onClose={() => setKeysOpen(false)} />}
    </div>
  );
}
