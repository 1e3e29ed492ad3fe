import { useTranslation } from 'react-i18next';
import { linkageVerdicts, type Clutch } from '../../core/clutch';
import { FindingsList } from '../shared/FindingsList';
import { useNumbers } from '../shared/numbers';
import { LinkageTable } from './LinkageTable';
import type { ClutchModel } from './useClutchModel';
import '../shared/headline.css';
import '../bench/Readout.css';
import './ClutchBench.css';

interface Props {
  clutch: Clutch;
  model: ClutchModel;
  /** N·m that the engine can ask for; `null` without one. */
  asked: number | null;
}

/** What it holds now, large; then the linkage as it is read, and what is out of its window. */
export function ClutchReadout({ clutch, model, asked }: Props) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const { point, holds, state, curve } = model;
  const out = linkageVerdicts(clutch, state);
  const released = point.clamp <= 0;
  const stateKey = released
    ? point.leastGap > 0
      ? 'released'
      : 'drags'
    : point.clamp < 0.98 * curve.freeClamp
      ? 'bites'
      : asked !== null && holds < asked
        ? 'slips'
        : 'closed';
  return (
    <>
      <div className="headline" aria-live="polite">
        <div className="figure headline-figure">{numbers.quantity(holds, 'torque')}</div>
        <div className="quiet">
          <div className="clutch-kind" data-kind={stateKey}>
            {t(`clutch.states.${stateKey}`)}
          </div>
          <div>
            {asked === null
              ? ''
              : t('clutch.engineAsks', { torque: numbers.quantity(Math.round(asked), 'torque') })}
          </div>
        </div>
      </div>
      <LinkageTable clutch={clutch} state={state} />
      <FindingsList items={out.map((code) => t(`clutch.verdicts.${code}`))} />
    </>
  );
}
