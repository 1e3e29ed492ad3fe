import { Segmented } from 'antd';
import { useTranslation } from 'react-i18next';
import type { Check } from '../../core/faults';
import type { Unit } from '../../core/geartrain';
import { CheckOutlined } from '../shared/icons';
import type { OpenedDesk } from '../workers/protocol';
import { DESK_PLACES, placeOf, standsFor, type DeskWork } from './deskWork';
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
  const shown = session.checks.filter(
    (c) => placeOf(c) === work.place && (work.place !== 'seat' || standsFor(c, work.controls)),
  );
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
            done={work.log.some((e) => e.check === check.id)}
            chosen={work.check === check.id}
            onChosen={() => onWork({ check: check.id })}
          />
        ))}
        {shown.length === 0 && <li className="quiet">{t('desk.nothingHere')}</li>}
      </ul>
    </div>
  );
}

interface RowProps {
  name: string;
  check: Check;
  done: boolean;
  chosen: boolean;
  onChosen: () => void;
}

function Row({ name, check, done, chosen, onChosen }: RowProps) {
  const { t } = useTranslation();
  return (
    <li>
      <button type="button" aria-pressed={chosen} data-done={done} onClick={onChosen}>
        <span>
          {done && <CheckOutlined aria-label={t('player.done')} />} {name}
        </span>
        <span className="tests-price">{t('faults.price', { minutes: check.minutes })}</span>
      </button>
    </li>
  );
}
