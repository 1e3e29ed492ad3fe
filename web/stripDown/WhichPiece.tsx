import { Select } from 'antd';
import { useTranslation } from 'react-i18next';
import {
  bagsOf,
  conditionFitted,
  demandsOf,
  lookAlikes,
  readingOf,
  type Job,
  type Part,
  type StripPlan,
} from '../../core/assembly';
import { randomFromSeed } from '../../core/numerics';
import { useNumbers } from '../shared/numbers';
import { Gauge } from './gauges/Gauge';
import { measureText } from './jobWords';
import type { OnBench } from './onBench';
import { partName } from './partName';

const MEASURE = 'washer';

interface Props extends OnBench {
  /** Whose place it goes to. */
  part: Part;
  piece: string | null;
  onPiece: (piece: string) => void;
  /** Those that lie in another place already. */
  used: ReadonlySet<string>;
}

/** Which of the parts that look alike goes here: by its bag, or by the gauge and what was read and written down. */
export function WhichPiece({ job, plan, parts, work, part, piece, onPiece, used }: Props) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const inHand = piece === null ? undefined : parts.get(piece);
  const read = work.taken.filter((r) => r.part === part.id && r.measure === MEASURE);
  const thickness = inHand && conditionFitted(job, inHand, work.judged).values[MEASURE];
  const options = offered(job, plan).map(({ id, bag, letter }) => ({
    value: id,
    disabled: used.has(id),
    label: bag
      ? t('strip.fromBag', { part: partName(t, job.unit ?? null, parts.get(bag)!) })
      : t('strip.fromHeap', { letter }),
  }));
  return (
    <div className="which-piece">
      <p>{t('strip.whichOne')}</p>
      {read.length > 0 && (
        <p>
          {t('strip.youRead', {
            readings: read.map((r) => measureText(numbers, MEASURE, r.value)).join(', '),
          })}
        </p>
      )}
      <Select<string>
        aria-label={t('strip.whichOne')}
        placeholder={t('strip.whichOne')}
        value={piece}
        onChange={onPiece}
        options={options}
      />
      {thickness !== undefined && (
        <>
          <p className="label">{t('strip.inHand')}</p>
          <Gauge
            measure={MEASURE}
            value={readingOf(MEASURE, thickness, 'dry', randomFromSeed(`${job.seed} ${piece}`))}
          />
        </>
      )}
    </div>
  );
}

/** By their bags in their order; without names in an order that tells nothing. */
function offered(job: Job, plan: StripPlan): { id: string; bag?: string; letter?: string }[] {
  if (demandsOf(job).labels === 'kept')
    return [...bagsOf(job, plan)].map(([bag, id]) => ({ id, bag }));
  const random = randomFromSeed(`heap ${job.seed}`);
  return lookAlikes(plan)
    .map(({ id }) => ({ id, at: random.next() }))
    .sort((a, b) => a.at - b.at)
    .map(({ id }, k) => ({ id, letter: String.fromCharCode(65 + k) }));
}
