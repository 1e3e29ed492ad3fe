import { useTranslation } from 'react-i18next';

/** Where the lesson goes on. */
export interface Next {
  readonly title: string;
  readonly go: () => void;
}

export function NextButton({ title, go }: Next) {
  const { t } = useTranslation();
  return (
    <button type="button" className="player-next" onClick={go} aria-keyshortcuts="n">
      {t('player.next', { title })}
    </button>
  );
}
