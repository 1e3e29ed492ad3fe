import { Button, Checkbox } from 'antd';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import {
  hazardsOf,
  reach,
  borneOutBy,
  readingClass,
  readingOf,
  type Check,
  type MachineState,
} from '../../core/faults';
import type { Unit } from '../../core/geartrain';
import { WarningFilled } from '../shared/icons';
import { useNumbers } from '../shared/numbers';
import type { DeskSession } from '../workers/faultWorker';
import { expectable } from './deskWork';
import type { LogEntry } from './work';
import { checkName, howText, readingText, wordText } from './faultWords';
import { ShiftTrace } from './ShiftTrace';

interface Props {
  unit: Unit | null;
  session: DeskSession;
  check: Check | null;
  /** How the machine stands. */
  state: MachineState;
  /** What was read, where the check has been made. */
  entry: LogEntry | null;
  onTake: (expected: string, safe: boolean) => void;
}

/** One test: its price and cautions, what is expected of it, and then what it reads. */
export function TestCard({ unit, session, check, state, entry, onTake }: Props) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const [expected, setExpected] = useState<string | null>(null);
  const [seenTo, setSeenTo] = useState<readonly string[]>([]);
  if (!check) return <p className="test-card test-card-empty">{t('desk.chooseTest')}</p>;
  const hazards = hazardsOf(check);
  const way = reach(check.machine, state, check.needs);
  return (
    <div className="test-card" role="group" aria-label={checkName(t, unit, check)}>
      <div className="test-card-head">
        <h3>{checkName(t, unit, check)}</h3>
        {!entry && way && (
          <span className="test-card-price">
            {t('faults.price', { minutes: way.minutes + check.minutes })}
          </span>
        )}
      </div>
      <p className="quiet">{howText(t, numbers, check)}</p>
      {!entry && way && way.steps.length > 0 && (
        <p className="test-way">
          {t('desk.wayThere', {
            moves: way.steps
              .map(({ move, minutes }) =>
                t('desk.moveFor', { move: t(`desk.moves.${move}`), minutes }),
              )
              .join('; '),
          })}
        </p>
      )}
      {entry ? (
        <Read session={session} check={check} entry={entry} />
      ) : (
        <>
          {hazards.length > 0 && (
            <div className="test-hazards">
              {hazards.map((hazard) => (
                <Checkbox
                  key={hazard}
                  checked={seenTo.includes(hazard)}
                  onChange={(e) =>
                    setSeenTo(
                      e.target.checked ? [...seenTo, hazard] : seenTo.filter((h) => h !== hazard),
                    )
                  }
                >
                  <WarningFilled /> {t(`desk.seenTo.${hazard}`)}
                </Checkbox>
              ))}
            </div>
          )}
          <div className="test-expect" role="radiogroup" aria-label={t('desk.expect')}>
            <span className="label">{t('desk.expect')}</span>
            {expectable(session, check).map((word) => (
              <button
                key={word}
                type="button"
                role="radio"
                aria-checked={expected === word}
                onClick={() => setExpected(word)}
              >
                {wordText(t, word)}
              </button>
            ))}
          </div>
          <Button
            type="primary"
            disabled={expected === null}
            onClick={() => expected !== null && onTake(expected, seenTo.length === hazards.length)}
          >
            {t('desk.take')}
          </Button>
        </>
      )}
    </div>
  );
}

interface ReadProps {
  session: DeskSession;
  check: Check;
  entry: LogEntry;
}

function Read({ session, check, entry }: ReadProps) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const sound = readingOf(check, session.sound);
  const came = readingClass(check, entry.answer, sound);
  const wanted = readingText(t, numbers, check, sound);
  return (
    <div className="test-read" aria-live="polite">
      <p className="figure test-read-value">{readingText(t, numbers, check, entry.answer)}</p>
      <p>
        {borneOutBy(entry.expected, came)
          ? t('desk.cameAsExpected')
          : t('desk.cameOtherwise', { what: wordText(t, entry.expected) })}
      </p>
      <p className="quiet">{t('desk.soundReads', { what: wanted })}</p>
      {check.kind === 'shift' && <ShiftTrace session={session} pair={check.target} />}
    </div>
  );
}
