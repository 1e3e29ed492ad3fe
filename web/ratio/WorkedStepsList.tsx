import { useTranslation } from 'react-i18next';
import { workedSteps, type GearSetSetup } from '../../core/geartrain';
import { MathLine } from '../shared/MathLine';
import '../bench/WorkedSteps.css';

interface Props {
  setup: GearSetSetup;
  /** A line to be marked, from 0. */
  marked?: number | null;
}

/** The derivation, line by line, with a few words to each line. */
export function WorkedStepsList({ setup, marked = null }: Props) {
  const { t } = useTranslation();
  const steps = workedSteps(setup.set, setup.roles);
  return (
    <ol className="worked" aria-label={t('bench.worked')}>
      {steps.map(({ code, line, parts }, k) => (
        <li key={code} data-last={code === 'result'} data-parts={k === marked}>
          <span className="worked-words">
            {t(`worked.${code}`, {
              drives: t(`partsInText.${parts.drives}`),
              Third: t(`parts.${parts.third}`),
            })}
          </span>
          {code !== 'free' && <MathLine line={line} />}
        </li>
      ))}
    </ol>
  );
}
