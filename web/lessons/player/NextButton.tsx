import { useTranslation } from 'react-i18next';

/** Where the lesson goes on. */
export interface Next {
  readonly title: string;
  readonly go: () => void;
  /** Somebody else decides when it goes on, and nothing is practised meanwhile. */
  readonly hidden?: true;
}

export function NextButton({ title, go, hidden }: Next) {
  const { t } = useTranslation();
  if (hidden) return null;
  return (
    <button type="button" className="player-next" onClick={go} aria-keyshortcuts="n">
      {t('player.next', { title })}
    </button>
  );
}
