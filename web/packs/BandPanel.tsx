import { useTranslation } from 'react-i18next';
import { bandTorque } from '../../core/clutch';
import { SmallSlider } from '../bench/SmallSlider';
import { CurveSheet } from '../bench/curves/CurveSheet';
import { formatNumber, useNumbers } from '../shared/numbers';
import { useKept } from '../shared/kept';

const POINTS = 37;
const MOST_WRAP = 360;

/** A band on its drum: what it holds when the drum pulls it tighter, and when it pushes it off. */
export function BandPanel() {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const [pull, setPull] = useKept('BandPanel pull', 2500);
  const [radiusMm, setRadius] = useKept('BandPanel radiusMm', 70);
  const [wrap, setWrap] = useKept('BandPanel wrap', 300);
  const [mu, setMu] = useKept('BandPanel mu', 0.12);
  const torque = (degrees: number, direction: 'self' | 'against') =>
    numbers.toDisplay(
      bandTorque(pull, radiusMm / 1000, mu, (degrees * Math.PI) / 180, direction),
      'torque',
    );
  const wraps = Array.from({ length: POINTS }, (_v, k) => (MOST_WRAP * k) / (POINTS - 1));
  const title = `${t('clutch.torque')}, ${numbers.unit('torque')}`;
  const line = (direction: 'self' | 'against') =>
    wraps.map((w) => ({ x: w, y: torque(w, direction) }));
  const now = (['self', 'against'] as const).map((d) => ({ x: wrap, y: torque(wrap, d) }));
  return (
    <>
      <div className="bench-row band-row">
        <SmallSlider
          label={t('pack.band.pull')}
          text={numbers.quantity(pull, 'force')}
          value={pull}
          from={0}
          to={8000}
          step={100}
          onValue={setPull}
        />
        <SmallSlider
          label={t('pack.band.radius')}
          text={numbers.quantity(radiusMm, 'length')}
          value={radiusMm}
          from={30}
          to={200}
          step={1}
          onValue={setRadius}
        />
        <SmallSlider
          label={t('pack.band.wrap')}
          text={`${wrap}°`}
          value={wrap}
          from={30}
          to={MOST_WRAP}
          step={5}
          onValue={setWrap}
        />
        <SmallSlider
          label={t('pack.band.mu')}
          text={formatNumber(mu, 2)}
          value={mu}
          from={0.02}
          to={0.4}
          step={0.01}
          onValue={setMu}
        />
      </div>
      <p className="quiet">{t('pack.band.said')}</p>
      <CurveSheet
        title={t('pack.tabs.band')}
        x={{ title: t('pack.band.wrapAxis'), min: 0, max: MOST_WRAP }}
        y={{ title, min: 0 }}
        curves={[
          { label: t('pack.band.self'), ink: '--drives', points: line('self') },
          {
            label: t('pack.band.against'),
            ink: '--driven',
            look: 'dashed',
            points: line('against'),
          },
          { label: t('clutch.now'), ink: '--ink', look: 'marks', points: now },
        ]}
        figures={{
          titles: [t('pack.band.wrapAxis'), t('pack.band.self'), t('pack.band.against')],
          rows: wraps
            .filter((_w, k) => k % 3 === 0)
            .map((w) => [
              formatNumber(w, 0),
              formatNumber(torque(w, 'self'), 0),
              formatNumber(torque(w, 'against'), 0),
            ]),
        }}
      />
    </>
  );
}
