import { useTranslation } from 'react-i18next';
import { fluidVerdict, levelVerdict, type Dipstick, type FluidLook } from '../../core/vehicle';
import { useNumbers } from '../shared/numbers';

interface Props {
  level: Dipstick;
  look: FluidLook;
  celsius: number;
}

/** mm over the full mark at the top of the drawn stick. */
const STICK_MM = 60;

/** The dipstick running and stopped, the fluid's colour and smell, and what they say. */
export function FluidEvidence({ level, look, celsius }: Props) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const readings = { running: level.runningMm, stopped: level.stoppedMm };
  return (
    <div className="fluid-evidence">
      {(['running', 'stopped'] as const).map((when) => (
        <figure key={when}>
          <svg viewBox="0 0 26 74" aria-hidden="true">
            <rect className="dip-stick" x={9} y={2} width={8} height={70} />
            <path className="dip-full" d="M5 60h16" />
            <rect
              className={`dip-fluid fluid-${look.colour}`}
              x={9}
              y={60 - (58 * Math.min(readings[when], STICK_MM)) / STICK_MM}
              width={8}
              height={12 + (58 * Math.min(readings[when], STICK_MM)) / STICK_MM}
            />
          </svg>
          <figcaption>
            {t(`fluid.${when}`)}
            <strong>
              {t('fluid.over', {
                length: numbers.fixed(readings[when], 'length', { si: 0, 'inch-pound': 1 }),
              })}
            </strong>
          </figcaption>
        </figure>
      ))}
      <p>
        <i className={`fluid-drop fluid-${look.colour}`} aria-hidden="true" />{' '}
        {t(`fluid.colours.${look.colour}`)}, {t(look.burnt ? 'fluid.burnt' : 'fluid.noSmell')},{' '}
        {numbers.quantity(Math.round(celsius), 'temperature')}.{' '}
        <strong>{t(`fluid.verdicts.${fluidVerdict(look)}`)}</strong>{' '}
        {t(`fluid.levels.${levelVerdict(level)}`)}
      </p>
    </div>
  );
}
