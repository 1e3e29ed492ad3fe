import { useState, type ReactNode } from 'react';
import { useTranslation } from 'react-i18next';

/**
 * Beside the drawing: what is said, asked and answered. On a phone it is a sheet at the foot of the screen, and can be drawn up
 * over the drawing.
 */
export function PlayerSide({ children }: { children: ReactNode }) {
  const { t } = useTranslation();
  const [drawnUp, setDrawnUp] = useState(false);
  return (
    <aside className="player-side" aria-label={t('player.step')} data-drawn-up={drawnUp}>
      <button
        type="button"
        className="player-side-handle"
        aria-expanded={drawnUp}
        onClick={() => setDrawnUp(!drawnUp)}
      >
        {t(drawnUp ? 'player.showDrawing' : 'player.drawUp')}
      </button>
      {children}
    </aside>
  );
}
