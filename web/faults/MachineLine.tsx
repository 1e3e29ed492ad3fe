import { useTranslation } from 'react-i18next';
import type { Check, MachineState } from '../../core/faults';

const PARTS = ['place', 'engine', 'fluid', 'pan', 'unit'] as const;
type Part = (typeof PARTS)[number];
/** How each part of the state can stand: `engine.off`. */
type Standing = { [P in Part]: `${P}.${MachineState[P]}` }[Part];

/** How the machine stands now: where, engine, fluid, pan, unit. It decides what can be tried, and what the way there costs. */
export function MachineLine({ state, checks }: { state: MachineState; checks: readonly Check[] }) {
  const { t } = useTranslation();
  const hasPan = checks.some((c) => c.needs.pan);
  const shown = PARTS.filter((part) => part !== 'pan' || (hasPan && state.unit === 'in'));
  return (
    <p className="machine-line" role="status" aria-label={t('desk.state')}>
      <span className="label">{t('desk.state')}</span>
      {shown.map((part) => (
        <strong key={part} data-part={part} data-is={state[part]}>
          {t(`desk.stateIs.${`${part}.${state[part]}` as Standing}`)}
        </strong>
      ))}
    </p>
  );
}
