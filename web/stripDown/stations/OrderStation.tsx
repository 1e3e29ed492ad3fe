import { Button, Checkbox } from 'antd';
import { useTranslation } from 'react-i18next';
import {
  bestSize,
  breakEven,
  changeCost,
  comeBackCost,
  daysOf,
  hoursOf,
  MEASURES,
  numberOn,
  offsetOf,
  priceOf,
  selectivesOf,
  knownBy,
  sizesToHave,
  spreadOf,
  stationsOf,
  unasked,
  workOf,
  type MachineFact,
  type Part,
  type Selective,
  pricesOf,
  limitsOf,
} from '../../../core/assembly';
import { randomFromSeed } from '../../../core/numerics';
import { formatShare, useNumbers } from '../../shared/numbers';
import { BothWays } from '../BothWays';
import { machineOf, measureText, moneyText, sizeText } from '../jobWords';
import type { OnBench } from '../onBench';
import { partName } from '../partName';

const NOT_SOLD = ['fluid', 'mark', 'battery', 'case', 'gearbox'];

/** What to order: each part with its price and from which chance of coming back it is worth it. */
export function OrderStation({ job, plan, work, onWork }: OnBench) {
  const { t } = useTranslation();
  const prices = pricesOf(job);
  const back = comeBackCost(plan, prices);
  const list = plan.parts.filter((p) => !NOT_SOLD.includes(p.kind));
  const ordered = new Set(work.ordered);
  const spent = list.reduce((sum, p) => sum + (ordered.has(p.id) ? changeCost(p, prices) : 0), 0);
  // A bearing goes by the number on its ring: before it is out nobody knows that.
  const off = new Set(workOf(plan, work.tried).off);
  const inside = stationsOf(job).includes('off');
  const isHidden = (p: Part) => inside && numberOn(plan, p) !== null && !off.has(p.id);
  const toggle = (id: string) =>
    onWork({
      ordered: ordered.has(id) ? work.ordered.filter((o) => o !== id) : [...work.ordered, id],
    });
  return (
    <>
      <section className="strip-down-main" aria-label={t('strip.stations.order')}>
        <p role="status">
          {t('strip.orderedSum', { count: ordered.size, sum: moneyText(t, spent) })}
        </p>
        <div className="order-scroll" tabIndex={0} role="group" aria-label={t('strip.orderList')}>
          <table className="order-table">
            <thead>
              <tr>
                <th>{t('strip.part')}</th>
                <th>{t('strip.judgedColumn')}</th>
                <th>{t('strip.pieces')}</th>
                <th>{t('strip.price')}</th>
                <th>{t('strip.days')}</th>
                <th>{t('strip.worthAbove')}</th>
              </tr>
            </thead>
            <tbody>
              {list.map((p) => (
                <tr key={p.id} data-ordered={ordered.has(p.id)}>
                  <th scope="row">
                    <Checkbox
                      checked={ordered.has(p.id)}
                      disabled={isHidden(p) && !ordered.has(p.id)}
                      onChange={() => toggle(p.id)}
                    >
                      {partName(t, job.unit ?? null, p)}
                    </Checkbox>
                    {numberOn(plan, p) !== null && (
                      <span className="quiet order-number">
                        {isHidden(p)
                          ? t('strip.numberInside')
                          : t('strip.numberOn', { number: numberOn(plan, p) })}
                      </span>
                    )}
                  </th>
                  <td>
                    {work.judged[p.id] ? t(`strip.decisions.${work.judged[p.id]!.decision}`) : '–'}
                  </td>
                  <td className="figure">{p.count}</td>
                  <td className="figure">{moneyText(t, priceOf(p, prices))}</td>
                  <td className="figure">{daysOf(p, prices)}</td>
                  <td className="figure">{formatShare(breakEven(p, plan, prices))}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      </section>
      <aside className="side-column" aria-label={t('strip.costs')}>
        <AskFirst job={job} plan={plan} work={work} onWork={onWork} />
        <h3>{t('strip.comingBack')}</h3>
        <p>
          {t('strip.comingBackIs', {
            cost: moneyText(t, back),
            hours: hoursOf(plan).toFixed(1),
            days: prices.daysLost,
          })}
        </p>
        <p className="quiet">{t('strip.comingBackRule')}</p>
        <h3>{t('strip.sizes')}</h3>
        <Sizes job={job} plan={plan} work={work} />
        <BothWays job={job} plan={plan} known={knownBy(work)} />
      </aside>
    </>
  );
}

/** What a dealer asks about the machine: told once it is asked. */
function AskFirst({ job, plan, work, onWork }: Pick<OnBench, 'job' | 'plan' | 'work' | 'onWork'>) {
  const { t } = useTranslation();
  const facts = unasked(
    plan,
    plan.parts.map((p) => p.id),
    [],
  );
  if (facts.length === 0) return null;
  const asked = work.asked ?? [];
  const told: Readonly<Record<MachineFact, string>> = {
    model: machineOf(job),
    year: t('strip.factYear', { year: yardYear(job.seed) }),
    engine:
      job.engine?.name ?? t('strip.factPlate', { number: yardYear(`${job.seed} plate`) * 37 }),
  };
  return (
    <section aria-label={t('strip.askFirst')}>
      <h3>{t('strip.askFirst')}</h3>
      <p className="quiet">{t('strip.askFirstHow')}</p>
      <ul className="plain-list">
        {facts.map((fact) => (
          <li key={fact}>
            {asked.includes(fact) ? (
              <>
                <span className="label">{t(`strip.facts.${fact}`)}</span> {told[fact]}
              </>
            ) : (
              <Button size="small" onClick={() => onWork({ asked: [...asked, fact] })}>
                {t('strip.askFor', { fact: t(`strip.facts.${fact}`) })}
              </Button>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}

/** The shop counts years by itself. */
const yardYear = (seed: string): number => randomFromSeed(`year ${seed}`).whole(9, 38);

/** Sizes to have at hand, so that one order is enough: from what was read and how far the readings lie apart. */
function Sizes({ job, plan, work }: Pick<OnBench, 'job' | 'plan' | 'work'>) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const rows = selectivesOf(plan).flatMap((selective) => {
    const reads = work.taken.filter(
      (r) => r.part === selective.on && r.measure === selective.measure,
    );
    // Without what the state in which it was read adds.
    const gaps = reads.map((r) => r.value - offsetOf(r.measure, r.state));
    return reads.length > 0 ? [{ selective, ...spreadOf(gaps) }] : [];
  });
  if (rows.length === 0) return <p className="quiet">{t('strip.noSizes')}</p>;
  const nameOf = (s: Selective) =>
    partName(
      t,
      job.unit ?? null,
      plan.parts.find((p) => p.id === s.part)!,
    );
  return (
    <ul className="plain-list">
      {rows.map(({ selective, mean, spread }) => {
        const on = plan.parts.find((p) => p.id === selective.on)!;
        const doubt = Math.max(spread, 2 * MEASURES[selective.measure].scatter);
        const best = (gap: number) => bestSize(selective, gap, on, limitsOf(job));
        const have = sizesToHave(selective.sizes, best, mean, doubt);
        return (
          <li key={selective.part}>
            {t('strip.sizesFor', {
              part: nameOf(selective),
              measured: measureText(numbers, selective.measure, mean),
              sizes: have.map((s) => sizeText(numbers, s)).join(', '),
            })}
          </li>
        );
      })}
    </ul>
  );
}
