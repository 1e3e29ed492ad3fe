import { useTranslation } from 'react-i18next';
import { bandTorque } from '../../core/clutch';
import { SmallSlider } from '../bench/SmallSlider';
import { CurveSheet } from '../bench/curves/CurveSheet';
import { figuresOf, lineOf, type Measured } from '../bench/curves/figures';
import { formatNumber, useNumbers } from '../shared/numbers';
import { useKept } from '../shared/kept';

const POINTS = 37;
const MOST_WRAP = 360;
const LOOKS = [{ ink: '--drives' }, { ink: '--driven', look: 'dashed' }] as const;

/** A band on its drum: what it holds when the drum pulls it tighter, and when it pushes it off. */
export function BandPanel() {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const [pull, setPull] = useKept('BandPanel pull', 2500);
  const [radiusMm, setRadius] = useKept('BandPanel radiusMm', 70);
  const [wrap, setWrap] = useKept('BandPanel wrap', 300);
  const [mu, setMu] = useKept('BandPanel mu', 0.12);
  const wrapped: Measured<number> = { title: t('pack.band.wrapAxis'), of: (w) => w, places: 0 };
  const ways = (['self', 'against'] as const).map((way): Measured<number> => ({
    title: t(`pack.band.${way}`),
    of: (w) => bandTorque(pull, radiusMm / 1000, mu, (w * Math.PI) / 180, way),
    quantity: 'torque',
    places: 0,
  }));
  const wraps = Array.from({ length: POINTS }, (_v, k) => (MOST_WRAP * k) / (POINTS - 1));
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
        x={{ title: wrapped.title, min: 0, max: MOST_WRAP }}
        y={{ title: numbers.headed(t('clutch.torque'), 'torque'), min: 0 }}
        curves={[
          ...ways.map((way, k) => ({
            label: way.title,
            ...LOOKS[k]!,
            points: lineOf(numbers, wraps, wrapped, way),
          })),
          {
            label: t('clutch.now'),
            ink: '--ink',
            look: 'marks' as const,
            points: ways.flatMap((way) => lineOf(numbers, [wrap], wrapped, way)),
          },
        ]}
        figures={figuresOf(numbers, wraps, [wrapped, ...ways], 3)}
      />
    </>
  );
}
