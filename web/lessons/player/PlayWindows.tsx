import { useTranslation } from 'react-i18next';
import type { Clutch } from '../../../core/clutch';
import { useGapText } from '../../shared/useGapText';

/** What the maker asks for: the student measures it on the drawing, with the pedal. */
export function PlayWindows({ clutch }: { clutch: Clutch }) {
  const { t } = useTranslation();
  const gapText = useGapText();
  const { pedalPlay, centre, releasedGap } = clutch.limits;
  const window = ([least, most]: readonly [number, number]) =>
    `${gapText(least)} – ${gapText(most)}`;
  return (
    <ul className="quiet play-windows">
      <li>{t('clutch.tests.windows', { play: window(pedalPlay) })}</li>
      {centre && <li>{t('clutch.tests.centreWindow', { centre: window(centre) })}</li>}
      <li>{t('clutchPrompts.gapWanted', { gap: gapText(releasedGap) })}</li>
    </ul>
  );
}
