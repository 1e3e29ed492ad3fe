import { Button, Segmented } from 'antd';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import {
  conditionIn,
  MEASURES,
  readingOf,
  spreadOf,
  whyOff,
  windowAsMeasured,
  type MeasureId,
  type MeasureState,
  type Part,
  type StateWhy,
} from '../../core/assembly';
import { randomFromSeed } from '../../core/numerics';
import { useNumbers } from '../shared/numbers';
import { TypedNumber } from '../shared/TypedNumber';
import { measureText, measureUnit, toMeasure, windowText } from './jobWords';
import { Gauge } from './gauges/Gauge';
import type { OnBench } from './onBench';

interface Props extends OnBench {
  part: Part;
  measure: MeasureId;
  /** While nothing but the fluid is off. */
  before: boolean;
}

/** Within so many of the instrument's steps it was read right. */
const MISREAD = 1.5;

/** One measure on one part: the state, the instrument, what is read from it, and all that was read so far. */
export function MeasurePanel({ job, part, measure, before, work, onWork }: Props) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const spec = MEASURES[measure];
  const [state, setState] = useState<MeasureState>(firstState(measure, part.id, job.seed));
  const [standing, setStanding] = useState<number | null>(null);
  const [typed, setTyped] = useState<number | null>(null);
  const [told, setTold] = useState<'misread' | StateWhy | null>(null);
  const taken = work.taken.filter((r) => r.part === part.id && r.measure === measure);
  const take = () => {
    const random = randomFromSeed(
      `${job.seed} ${part.id} ${measure} ${work.taken.length} ${state}`,
    );
    const value = conditionIn(job, part).values[measure]!;
    setStanding(readingOf(measure, value, state, random));
    setTyped(null);
    setTold(null);
  };
  const write = () => {
    if (typed === null || standing === null) return;
    const value = toMeasure(numbers, measure, typed);
    const off = Math.abs(value - standing) > MISREAD * spec.readsTo;
    setTold(off ? 'misread' : whyOff(measure, state, job.school));
    onWork({ taken: [...work.taken, { part: part.id, measure, state, value, before }] });
    setStanding(null);
    setTyped(null);
  };
  const { mean, spread } = spreadOf(taken.map((r) => r.value));
  return (
    <section className="measure-panel" aria-label={t(`strip.measures.${measure}`)}>
      <h4>{t(`strip.measures.${measure}`)}</h4>
      <p className="quiet">
        {t('strip.with', { instrument: t(`strip.instruments.${spec.instrument}`) })}{' '}
        {windowText(t, numbers, measure, windowAsMeasured(measure, part, job))}
      </p>
      {spec.each && <p>{t(`strip.cushion.${job.school.cushion}`)}</p>}
      {spec.states.length > 1 && (
        <Segmented<MeasureState>
          aria-label={t('strip.state')}
          value={state}
          onChange={setState}
          options={spec.states.map(([s]) => ({ value: s, label: t(`strip.states.${s}`) }))}
        />
      )}
      <Gauge measure={measure} value={standing} />
      <div className="row">
        <Button onClick={take}>{t('strip.takeReading')}</Button>
        {standing !== null && (
          <>
            <span className="measure-typed">
              <span className="label">{t('strip.whatItReads')}</span>
              <TypedNumber
                label={t('strip.whatItReads')}
                value={typed}
                suffix={measureUnit(numbers, measure)}
                onValue={setTyped}
              />
            </span>
            <Button type="primary" onClick={write} disabled={typed === null}>
              {t('strip.writeDown')}
            </Button>
          </>
        )}
      </div>
      {told && (
        <p className="strip-told" role="alert">
          {told === 'misread' ? t('strip.misread') : t(`strip.stateWhy.${told}`)}
        </p>
      )}
      {taken.length > 0 && (
        <p>
          <span className="label">{t('strip.readings')}</span>{' '}
          {taken.map((r) => measureText(numbers, measure, r.value)).join(', ')}
          {taken.length > 1 && (
            <>
              {'; '}
              {t('strip.meanSpread', {
                mean: measureText(numbers, measure, mean),
                spread: measureText(numbers, measure, spread),
              })}
            </>
          )}
        </p>
      )}
    </section>
  );
}

/** How the part happens to lie there: not always as it should. */
function firstState(measure: MeasureId, part: string, seed: string): MeasureState {
  const { states } = MEASURES[measure];
  return randomFromSeed(`state ${seed} ${part} ${measure}`).pick(states)[0];
}
