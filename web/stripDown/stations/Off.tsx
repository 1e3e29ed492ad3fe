import { Button, Checkbox, Segmented } from 'antd';
import { useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import {
  demandsOf,
  freeParts,
  hazardsOf,
  HELP_COSTS,
  lateCost,
  minutesTaken,
  timeOf,
  workOf,
  type Part,
  type Violation,
} from '../../../core/assembly';
import type { Unit } from '../../../core/geartrain';
import { CautionBox } from '../../bench/CautionBox';
import { useKept } from '../../shared/kept';
import { useShortcuts } from '../../shared/useShortcuts';
import type { OnBench } from '../onBench';
import { LogForm } from '../Log';
import { PartList } from '../PartList';
import { partName } from '../partName';
import { useShownWhenNarrow } from '../useShownWhenNarrow';
import { SectionParts } from '../SectionParts';
import { StackDrawing } from '../StackDrawing';
import { Tray } from '../Tray';

const NONE: string[] = [];
/** The stack drawn apart along its axis, or the unit cut open. */
const SEEN = ['stack', 'section'] as const;
type Seen = (typeof SEEN)[number];

/** What is still on it, what lies in the tray and in what order, and what the last step cost. */
export function Off(bench: OnBench) {
  const { job, plan, parts, work: done, onWork } = bench;
  const { t } = useTranslation();
  const unit = job.unit ?? null;
  const { tried } = done;
  const setTried = (next: string[]) => onWork({ tried: next });
  const [chosen, setChosen] = useKept<string | null>('Off chosen', null);
  const shown = useShownWhenNarrow(chosen);
  const [seen, setSeen] = useKept<Seen>('Off seen', 'stack');
  const [helped, setHelped] = useKept('Off helped', false);
  const work = useMemo(() => workOf(plan, tried), [plan, tried]);
  const off = useMemo(() => new Set(work.off), [work]);
  const free = useMemo(() => new Set(helped ? freeParts(plan, off) : []), [helped, plan, off]);
  const part = chosen !== null && !off.has(chosen) ? parts.get(chosen) : undefined;
  const take = (id: string) => setTried([...tried, id]);
  const time = timeOf(plan, work.off);
  const taken = minutesTaken(plan, done);
  const { minutes: given, help } = demandsOf(job);
  const takeOff = () => {
    if (part) take(part.id);
  };
  // The last try at a part that is off is the one that took it off; what was wasted before stays wasted.
  const putBack = () =>
    setTried(tried.filter((_id, k) => k !== tried.lastIndexOf(work.off.at(-1)!)));
  useShortcuts({ o: takeOff, u: putBack });
  const now = { plan, unit, off, free, chosen, onPart: setChosen };
  return (
    <>
      <section className="strip-down-main" aria-label={t('strip.stations.off')}>
        <div className="strip-down-head">
          <span className="quiet" role="status">
            {t(off.size === plan.parts.length ? 'stripDown.all' : 'stripDown.left', {
              count: plan.parts.length - off.size,
              all: plan.parts.length,
            })}
          </span>
        </div>
        {unit && (
          <Segmented<Seen>
            aria-label={t('stripDown.drawing')}
            value={seen}
            onChange={setSeen}
            options={SEEN.map((s) => ({ value: s, label: t(`stripDown.drawings.${s}`) }))}
          />
        )}
        {unit && seen === 'section' ? (
          <SectionParts {...now} unit={unit} />
        ) : (
          <StackDrawing {...now} onTake={take} />
        )}
        <PartList {...now} />
      </section>
      <aside ref={shown} className="side-column" aria-label={t('stripDown.work')}>
        <NextPart unit={unit} part={part} onTakeOff={takeOff} />
        {work.last.map((v) => (
          <Broken key={v.rule} violation={v} unit={unit} parts={parts} />
        ))}
        <div className="row">
          <Button onClick={putBack} disabled={off.size === 0}>
            {t('stripDown.putBack')}
          </Button>
          <Button onClick={() => setTried(NONE)} disabled={tried.length === 0}>
            {t('stripDown.again')}
          </Button>
        </div>
        {help && (
          <Checkbox
            checked={helped}
            onChange={(e) => {
              setHelped(e.target.checked);
              if (e.target.checked) onWork({ helped: done.helped + 1 });
            }}
          >
            {t('stripDown.showFree')}
          </Checkbox>
        )}
        <p className="quiet">{t('stripDown.time', { minutes: time.minutes, count: time.turns })}</p>
        {given !== null && (
          <p data-late={given < taken}>{t('strip.ofMinutes', { minutes: taken, given })}</p>
        )}
        <p>
          <span className="label">{t('stripDown.cost')}</span>{' '}
          <strong className="figure">
            {work.cost + HELP_COSTS * done.helped + lateCost(job, taken)}
          </strong>
        </p>
        {work.off.length > 0 && <LogForm {...bench} part={work.off.at(-1)!} />}
        <Tray
          title={t('stripDown.tray')}
          empty={t('stripDown.trayEmpty')}
          unit={unit}
          parts={parts}
          work={work}
        />
        <p className="quiet">{t('stripDown.manual')}</p>
      </aside>
    </>
  );
}

interface NextProps {
  unit: Unit | null;
  part: Part | undefined;
  onTakeOff: () => void;
}

/** The part that the hand is on: its caution stands there before it is taken off. */
function NextPart({ unit, part, onTakeOff }: NextProps) {
  const { t } = useTranslation();
  if (!part) return <p className="strip-down-choose">{t('stripDown.choose')}</p>;
  return (
    <div className="strip-down-next">
      <h3>{partName(t, unit, part)}</h3>
      <p className="quiet">
        {t('stripDown.pieces', { count: part.count })}{' '}
        {part.openings.map((o) => t(`stripDown.openings.${o}`)).join(t('question.or'))}
      </p>
      {hazardsOf(part).map((topic) => (
        <CautionBox key={topic} block={{ id: topic, kind: 'caution', topic, markdown: '' }} />
      ))}
      <Button type="primary" size="large" onClick={onTakeOff}>
        {t('stripDown.takeOff')}
      </Button>
    </div>
  );
}

interface BrokenProps {
  /** It is being put in: what stands there already is in the way. */
  goingIn?: boolean;
  violation: Violation;
  unit: Unit | null;
  parts: ReadonlyMap<string, Part>;
}

/** A rule that the last step broke: why it is one, what should have come first, what it does. */
export function Broken({ violation, unit, parts, goingIn = false }: BrokenProps) {
  const { t } = useTranslation();
  const { rule, missing, consequence } = violation;
  const part = parts.get(violation.part);
  const names = missing.flatMap((id) => {
    const part = parts.get(id);
    return part ? [partName(t, unit, part)] : [];
  });
  return (
    <div className="strip-down-broken" role="alert" data-consequence={consequence}>
      <strong>
        {part && `${partName(t, unit, part)}: `}
        {t(goingIn ? 'strip.wontGoIn' : `stripDown.consequences.${consequence}`)}
      </strong>
      {!goingIn && <p>{t(`stripDown.rules.${rule}`)}</p>}
      {names.length > 0 && (
        <p>{t(goingIn ? 'strip.inTheWay' : 'stripDown.stillOn', { parts: shortList(t, names) })}</p>
      )}
    </div>
  );
}

/** The first few of a list that may be long. */
const MOST_NAMED = 4;
function shortList(t: ReturnType<typeof useTranslation>['t'], names: readonly string[]): string {
  const more = names.length - MOST_NAMED;
  const shown = names.slice(0, MOST_NAMED).join(', ');
  return more > 0 ? t('stripDown.andMore', { parts: shown, count: more }) : shown;
}
