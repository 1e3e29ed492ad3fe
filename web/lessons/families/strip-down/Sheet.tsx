import { useTranslation } from 'react-i18next';
import {
  changeCost,
  checkOrder,
  comeBackCost,
  conditionIn,
  damagesOf,
  feltOn,
  hoursOf,
  MEASURES,
  measuresOf,
  priceOf,
  readingOf,
  seenOn,
  stateAsked,
  windowAsMeasured,
  windowOf,
  type JobWork,
  type Part,
  pricesOf,
  limitsOf,
} from '../../../../core/assembly';
import {
  measuredGap,
  onlyThese,
  shownOn,
  type LaidJob,
  type StripAnswer,
  type StripQuestion,
} from '../../../../core/lesson';
import { randomFromSeed } from '../../../../core/numerics';
import { useNumbers } from '../../../shared/numbers';
import { Gauge } from '../../../stripDown/gauges/Gauge';
import { PartPicture } from '../../../stripDown/gauges/PartPicture';
import { JobStations } from '../../../stripDown/JobBench';
import {
  machineOf,
  measureText,
  moneyText,
  sizeText,
  windowText,
} from '../../../stripDown/jobWords';
import { partName } from '../../../stripDown/partName';
import { StackDrawing } from '../../../stripDown/StackDrawing';
import { OrderSheet } from '../../player/OrderSheet';

interface Props {
  question: StripQuestion;
  laid: LaidJob;
  order: readonly string[];
  given: StripAnswer | undefined;
  work: JobWork;
  onWork: (change: Partial<JobWork>) => void;
  onOrder: ((order: string[]) => void) | undefined;
}

const NONE: ReadonlySet<string> = new Set();
const READINGS = 3;

/** What lies before the student: the stack, the cards, the part, the scale, the sums, or the whole bench. */
export function StripSheet(props: Props) {
  const { question, laid, order, given, work, onWork, onOrder } = props;
  const { t } = useTranslation();
  const { job, plan, parts } = laid;
  const unit = job.unit ?? null;
  const name = (id: string) => partName(t, unit, parts.get(id)!);
  const head = <h2>{machineOf(job)}</h2>;
  const stack = (off: ReadonlySet<string>, chosen: string | null) => (
    <StackDrawing
      plan={plan}
      unit={unit}
      off={off}
      free={NONE}
      chosen={chosen}
      onPart={() => undefined}
    />
  );
  switch (question.kind) {
    case 'free-now':
      return (
        <>
          {head}
          {stack(new Set(question.off), null)}
          <p className="quiet">
            {question.off.length === 0
              ? t('stripPrompts.nothingOff')
              : t('stripPrompts.offSoFar', { parts: question.off.map(name).join(', ') })}
          </p>
        </>
      );
    case 'why-first':
      return (
        <>
          {head}
          {stack(NONE, question.part)}
        </>
      );
    case 'strip-order':
    case 'lay-out': {
      const said = given && 'order' in given ? given.order : order;
      return (
        <>
          {head}
          <OrderSheet
            order={said}
            nameOf={name}
            how={t('order.how')}
            told={
              given && question.kind === 'strip-order'
                ? (_id, k) => {
                    const here = onlyThese(plan, said);
                    const right = checkOrder(here, said).violations.every((v) => v.at !== k);
                    return { right, said: right ? '' : t('stripDown.tooSoon') };
                  }
                : null
            }
            onOrder={onOrder}
          />
        </>
      );
    }
    case 'way-round':
      return (
        <>
          <h2>{name(question.part)}</h2>
          <PartPicture kind={parts.get(question.part)!.kind} damage={null} values={{}} />
          {stack(NONE, question.part)}
        </>
      );
    case 'verdict':
      return <OnePart laid={laid} part={parts.get(question.part)!} name={name(question.part)} />;
    case 'read-gauge':
      return <OneScale laid={laid} question={question} name={name(question.part)} />;
    case 'choose-size':
      return <OneGap laid={laid} part={question.part} name={name(question.part)} />;
    case 'worth-it':
      return <Sums laid={laid} part={parts.get(question.part)!} name={name(question.part)} />;
    case 'whole-job':
      return (
        <JobStations
          job={job}
          plan={plan}
          work={given?.kind === 'whole-job' ? given.work : work}
          onWork={given ? () => undefined : onWork}
          closed={!given}
        />
      );
  }
}

/** A part with all that eye, hand and gauge tell of it. */
function OnePart({ laid: { job }, part, name }: { laid: LaidJob; part: Part; name: string }) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const { damage, values } = conditionIn(job, part);
  return (
    <>
      <h2>{name}</h2>
      <PartPicture kind={part.kind} damage={damage} values={values} />
      <p>{t(`strip.looks.${seenOn(damage) ?? 'sound'}`)}</p>
      {damagesOf(part).some(feltOn) && (
        <p>
          {t('strip.feel')}: {t(`strip.feels.${feltOn(damage) ?? 'sound'}`)}
        </p>
      )}
      {measuresOf(part).map((measure) => {
        const random = randomFromSeed(`verdict ${job.seed} ${part.id} ${measure}`);
        const state = stateAsked(measure, job.school);
        const reads = Array.from({ length: READINGS }, () =>
          readingOf(measure, values[measure]!, state, random),
        );
        return (
          <p key={measure}>
            <strong>{t(`strip.measures.${measure}`)}:</strong>{' '}
            {reads.map((r) => measureText(numbers, measure, r)).join(', ')}.{' '}
            <span className="quiet">
              {windowText(t, numbers, measure, windowAsMeasured(measure, part, job))}
            </span>
          </p>
        );
      })}
    </>
  );
}

function OneScale({
  laid,
  question,
  name,
}: {
  laid: LaidJob;
  question: Extract<StripQuestion, { kind: 'read-gauge' }>;
  name: string;
}) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const { part, measure } = question;
  const window = windowAsMeasured(measure, laid.parts.get(part)!, laid.job);
  return (
    <>
      <h2>
        {t(`strip.measures.${measure}`)}, {name}
      </h2>
      <p>
        {t('strip.with', { instrument: t(`strip.instruments.${MEASURES[measure].instrument}`) })}{' '}
        {windowText(t, numbers, measure, window)}
      </p>
      <Gauge measure={measure} value={shownOn(laid, part, measure)} />
    </>
  );
}

function OneGap({ laid, part, name }: { laid: LaidJob; part: string; name: string }) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const measured = measuredGap(laid, part);
  if (!measured) return <h2>{name}</h2>;
  const { selective, gap, on } = measured;
  const { measure, now } = selective;
  return (
    <>
      <h2>{name}</h2>
      <table className="plain strip-sums">
        <tbody>
          <tr>
            <th scope="row">{t(`strip.measures.${measure}`)}</th>
            <td>{sizeText(numbers, gap)}</td>
          </tr>
          <tr>
            <th scope="row">{t('stripPrompts.inNow')}</th>
            <td>{sizeText(numbers, now)}</td>
          </tr>
        </tbody>
      </table>
      <p>{windowText(t, numbers, measure, windowOf(measure, on, limitsOf(laid.job)))}</p>
      <p className="quiet">{t('stripPrompts.newIn')}</p>
    </>
  );
}

/** What it would cost, in the shop's own units. */
function Sums({ laid: { job, plan }, part, name }: { laid: LaidJob; part: Part; name: string }) {
  const { t } = useTranslation();
  const prices = pricesOf(job);
  const price = priceOf(part, prices);
  const hours = hoursOf(plan);
  const rows: [string, string][] = [
    [t('stripPrompts.sums.price', { part: name }), moneyText(t, price)],
    [t('stripPrompts.sums.work'), moneyText(t, changeCost(part, prices) - price)],
    [t('stripPrompts.sums.hours'), `${hours.toFixed(1)} h`],
    [t('strip.priceFields.rate'), moneyText(t, prices.rate)],
    [t('strip.priceFields.daysLost'), String(prices.daysLost)],
    [t('strip.priceFields.day'), moneyText(t, prices.day)],
    [
      t('stripPrompts.sums.again'),
      moneyText(t, comeBackCost(plan, prices) - hours * prices.rate - prices.daysLost * prices.day),
    ],
  ];
  return (
    <>
      <h2>{machineOf(job)}</h2>
      <table className="plain strip-sums">
        <tbody>
          {rows.map(([what, value]) => (
            <tr key={what}>
              <th scope="row">{what}</th>
              <td>{value}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="quiet">{t('strip.comingBackRule')}</p>
    </>
  );
}
