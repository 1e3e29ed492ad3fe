import { Button, Select } from 'antd';
import type { TFunction } from 'i18next';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import {
  conditionIn,
  DAMAGE_SPECS,
  damagesOf,
  DECISIONS,
  feltOn,
  legalOrder,
  measuresOf,
  REASONS,
  seenOn,
  stationsOf,
  workOf,
  type Damage,
  type Decision,
  type Part,
  type Reason,
} from '../../../core/assembly';
import { randomFromSeed } from '../../../core/numerics';
import { useKept } from '../../shared/kept';
import { PartPicture } from '../gauges/PartPicture';
import { MeasurePanel } from '../MeasurePanel';
import type { OnBench } from '../onBench';
import { partName } from '../partName';
import { useShownWhenNarrow } from '../useShownWhenNarrow';

/** Nothing is judged of these: they are poured away, or stay in the shop. */
const NOT_JUDGED: readonly Part['kind'][] = ['fluid', 'mark', 'battery'];

/** Each part new beside used: looked at, turned by hand, measured, and judged. */
export function Inspect(bench: OnBench) {
  const { job, plan, parts, work, onWork } = bench;
  const { t } = useTranslation();
  const [chosen, setChosen] = useKept<string | null>('Inspect chosen', null);
  const shown = useShownWhenNarrow(chosen);
  const off = new Set(workOf(plan, work.tried).off);
  const all = !stationsOf(job).includes('off');
  const laid = plan.parts.filter((p) => !NOT_JUDGED.includes(p.kind) && (all || off.has(p.id)));
  const groups = groupsOf(laid);
  const part = laid.find((p) => p.id === chosen);
  const rest = legalOrder(plan).filter((id) => !off.has(id));
  return (
    <>
      <section className="strip-down-main" aria-label={t('strip.stations.inspect')}>
        <p role="status">
          {t('strip.judgedOf', {
            count: laid.filter((p) => work.judged[p.id]).length,
            all: laid.length,
          })}
        </p>
        {!all && rest.length > 0 && (
          <div className="row">
            <Button onClick={() => onWork({ tried: [...work.tried, ...rest] })}>
              {t('strip.restOff', { count: rest.length })}
            </Button>
            <span className="quiet">{t('strip.restOffHow')}</span>
          </div>
        )}
        <div className="laid-out">
          {groups.map(([of, group]) => (
            <section key={of} aria-label={groupName(t, of)}>
              {groups.length > 1 && <h3 className="label">{groupName(t, of)}</h3>}
              <ul>
                {group.map((p) => (
                  <li key={p.id}>
                    <button
                      type="button"
                      className="part-button"
                      aria-pressed={chosen === p.id}
                      onClick={() => setChosen(p.id)}
                    >
                      {partName(t, job.unit ?? null, p)}
                      {work.judged[p.id] && (
                        <span className="laid-out-verdict">
                          {t(`strip.decisions.${work.judged[p.id]!.decision}`)}
                        </span>
                      )}
                    </button>
                  </li>
                ))}
              </ul>
            </section>
          ))}
        </div>
      </section>
      <aside ref={shown} className="side-column" aria-label={t('strip.partCard')}>
        {part ? (
          <PartCard key={part.id} {...bench} part={parts.get(part.id)!} />
        ) : (
          <p className="strip-down-choose">{t('strip.choosePart')}</p>
        )}
      </aside>
    </>
  );
}

const LINKS: readonly Part['kind'][] = ['shaft', 'shell', 'nut', 'shaft-bearing', 'shim'];

/** Laid out by what they belong to: an element, a set, a member; then what lies between, and what is round them. */
function groupsOf(parts: readonly Part[]): [string, Part[]][] {
  const groups = new Map<string, Part[]>();
  for (const part of parts) {
    const sleeve = parts.find((p) => p.kind === 'sleeve' && p.sides?.includes(part.of));
    const of = part.kind.startsWith('thrust')
      ? 'thrust'
      : LINKS.includes(part.kind)
        ? 'links'
        : (sleeve?.of ?? part.of);
    groups.set(of, [...(groups.get(of) ?? []), part]);
  }
  return [...groups];
}

const groupName = (t: TFunction, of: string): string =>
  of === 'unit' || of === 'thrust' || of === 'links' ? t(`strip.groups.${of}`) : of;

type Face = 'front' | 'rear';

function faceOf(seed: string, part: string, damage: Damage | null): Face {
  const side = damage === null ? undefined : DAMAGE_SPECS[damage].side;
  if (side !== undefined) return side === 0 ? 'front' : 'rear';
  return randomFromSeed(`face ${seed} ${part}`).next() < 0.5 ? 'front' : 'rear';
}

interface CardProps extends OnBench {
  part: Part;
}

/** One part in the hand. What is decided here goes back into the machine; whether it was right is told at the end. */
function PartCard({ part, ...bench }: CardProps) {
  const { job, work, onWork } = bench;
  const { t } = useTranslation();
  const [felt, setFelt] = useKept(`Felt ${part.id}`, false);
  const { damage, values } = conditionIn(job, part);
  const [face, setFace] = useState<Face>('front');
  // What can be seen is on one of its faces: it has to be turned over to be sure.
  const onThisFace = face === faceOf(job.seed, part.id, damage) ? damage : null;
  const measures = measuresOf(part).filter((m) => m !== 'end-play-in' && m !== 'end-play-out');
  const judged = work.judged[part.id];
  const [decision, setDecision] = useKept<Decision | null>(`Decision ${part.id}`, null);
  const [reason, setReason] = useKept<Reason | null>(`Reason ${part.id}`, null);
  const judge = () => {
    if (decision && reason) onWork({ judged: { ...work.judged, [part.id]: { decision, reason } } });
  };
  return (
    <div className="bench-part">
      <div className="bench-part-look">
        <h3>{partName(t, job.unit ?? null, part)}</h3>
        <PartPicture kind={part.kind} damage={onThisFace} values={values} />
        <div className="row">
          <Button onClick={() => setFace(face === 'front' ? 'rear' : 'front')}>
            {t('strip.turnOver')}
          </Button>
          <span>{t(`strip.faces.${face}`)}</span>
        </div>
        <p>{t(`strip.looks.${seenOn(onThisFace) ?? 'sound'}`)}</p>
        {damagesOf(part).some(feltOn) && (
          <div className="row">
            <Button onClick={() => setFelt(true)}>{t('strip.feel')}</Button>
            {felt && <span role="status">{t(`strip.feels.${feltOn(damage) ?? 'sound'}`)}</span>}
          </div>
        )}
        <h4>{t('strip.verdict')}</h4>
        <OneOf
          label={t('strip.decision')}
          value={decision}
          onValue={setDecision}
          options={DECISIONS.map((d) => ({ value: d, label: t(`strip.decisions.${d}`) }))}
        />
        <OneOf
          label={t('strip.reason')}
          value={reason}
          onValue={setReason}
          options={REASONS.map((r) => ({ value: r, label: t(`strip.reasons.${r}`) }))}
        />
        <Button type="primary" onClick={judge} disabled={!decision || !reason}>
          {t(judged ? 'strip.judgeAgain' : 'strip.judge')}
        </Button>
        {judged && (
          <p className="quiet" role="status">
            {t('strip.judgedAs', {
              decision: t(`strip.decisions.${judged.decision}`),
              reason: t(`strip.reasons.${judged.reason}`),
            })}
          </p>
        )}
      </div>
      {measures.length > 0 && (
        <div className="bench-part-measures">
          {measures.map((measure) => (
            <MeasurePanel key={measure} {...bench} part={part} measure={measure} before={false} />
          ))}
        </div>
      )}
    </div>
  );
}

interface OneOfProps<V extends string> {
  label: string;
  value: V | null;
  onValue: (value: V) => void;
  options: { value: V; label: string }[];
}

/** One of a list that can be typed into. */
const OneOf = <V extends string>({ label, value, onValue, options }: OneOfProps<V>) => (
  <Select<V>
    aria-label={label}
    placeholder={label}
    showSearch
    optionFilterProp="label"
    value={value}
    onChange={onValue}
    options={options}
  />
);
