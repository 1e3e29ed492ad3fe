import { Segmented } from 'antd';
import { useTranslation } from 'react-i18next';
import { priceFrom, type Check } from '../../core/faults';
import type { Unit } from '../../core/geartrain';
import { CheckOutlined } from '../shared/icons';
import type { OpenedDesk } from '../workers/protocol';
import { placeOf, standsFor, stateOf } from './deskWork';
import { DESK_PLACES, type DeskWork } from './work';
import { checkName } from './faultWords';

interface Props {
  unit: Unit | null;
  session: OpenedDesk;
  work: DeskWork;
  onWork: (change: Partial<DeskWork>) => void;
}

/** The price list: what can be tried from the seat as the controls stand, on the lift, and with the unit out. */
export function TestList({ unit, session, work, onWork }: Props) {
  const { t } = useTranslation();
  const { state } = stateOf(session.checks, work.log);
  const here = session.checks.filter((c) => placeOf(c) === work.place);
  // What the state of the machine forbids is not offered; what has been read stays to be looked at.
  const read = (c: Check) => work.log.some((e) => e.check === c.id);
  const possible = here.filter((c) => read(c) || priceFrom(state, c) !== null);
  const shown = possible.filter((c) => work.place !== 'seat' || standsFor(c, work.controls));
  return (
    <div className="tests">
      <Segmented
        aria-label={t('desk.where')}
        size="small"
        value={work.place}
        onChange={(place) => onWork({ place })}
        options={DESK_PLACES.map((p) => ({ value: p, label: t(`desk.places.${p}`) }))}
      />
      <ul className="tests-list" aria-label={t('desk.tests')}>
        {shown.map((check) => (
          <Row
            key={check.id}
            name={checkName(t, unit, check)}
            check={check}
            minutes={read(check) ? null : priceFrom(state, check)}
            chosen={work.check === check.id}
            onChosen={() => onWork({ check: check.id })}
          />
        ))}
        {shown.length === 0 && (
          <li className="quiet">
            {t(possible.length === 0 ? 'desk.forbidden' : 'desk.nothingHere')}
          </li>
        )}
      </ul>
    </div>
  );
}

interface RowProps {
  name: string;
  check: Check;
  /** With the way there; `null` once it has been read. */
  minutes: number | null;
  chosen: boolean;
  onChosen: () => void;
}

function Row({ name, check, minutes, chosen, onChosen }: RowProps) {
  const { t } = useTranslation();
  return (
    <li>
      <button
        type="button"
        aria-pressed={chosen}
        data-done={minutes === null}
        data-check={check.kind}
        onClick={onChosen}
      >
        <span>
          {minutes === null && <CheckOutlined aria-label={t('player.done')} />} {name}
        </span>
        <span className="tests-price">{minutes !== null && t('faults.price', { minutes })}</span>
      </button>
    </li>
  );
}
