import { useTranslation } from 'react-i18next';
import { MEASURES, type Condition } from '../../../core/assembly';
import './PartPicture.css';

/** px for a millimetre; a tooth's half width, mm; teeth that are shown. */
const SCALE = 13;
const HALF = 1.3;
const TEETH = 4;
const PITCH = 3.3;
const BASE = 112;
const SIDES = [
  ['tips-front', 'engagement-front', 'front'],
  ['tips-rear', 'engagement-rear', 'rear'],
] as const;

/** A sleeve's teeth seen from outside, at one scale, new and used: drawn from what a caliper would read of them. */
export function TipsPicture({ values }: Pick<Condition, 'values'>) {
  const { t } = useTranslation();
  return (
    <div className="part-picture">
      {SIDES.map(([tips, engaged, face]) => {
        const [flat, length] = [values[tips], values[engaged]];
        if (flat === undefined || length === undefined) return null;
        const sound = [MEASURES[tips].sound[0], MEASURES[engaged].sound[1]] as const;
        return (
          <figure key={face}>
            <svg viewBox="0 0 180 130" aria-hidden="true">
              <path className="part-tips" d={teeth(2, ...sound)} />
              <path className="part-tips part-tips-used" d={teeth(92, flat, length)} />
              <path className="part-tips-base" d={`M2 ${BASE}H178`} />
            </svg>
            <figcaption className="label">{t(`strip.tipsOf.${face}`)}</figcaption>
          </figure>
        );
      })}
    </div>
  );
}

/** A row of teeth with pointed tips, cut off by their flat. @param flat mm @param length mm over the gear's teeth */
function teeth(x: number, flat: number, length: number): string {
  const roof = HALF - flat / 2;
  const step = (PITCH * SCALE * 2) / TEETH;
  return Array.from({ length: TEETH }, (_, k) => {
    const middle = x + step * (k + 0.5);
    const half = (HALF * SCALE * 2) / TEETH;
    const top = BASE - SCALE * length;
    return `M${middle - half} ${BASE}V${top}L${middle - (flat * SCALE) / TEETH} ${top - SCALE * roof}h${(2 * flat * SCALE) / TEETH}L${middle + half} ${top}V${BASE}`;
  }).join('');
}
