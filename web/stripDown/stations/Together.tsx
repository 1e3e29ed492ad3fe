import { Button, Radio, Select } from 'antd';
import { useMemo, useState } from 'react';
import { useTranslation } from 'react-i18next';
import {
  checksFor,
  errorsIn,
  FACINGS,
  fromBag,
  isOneOfMany,
  hasFacing,
  hazardsOf,
  legalOrder,
  pieceIn,
  selectivesOf,
  shownBy,
  togetherOf,
  type AssemblyError,
  type Fit,
  type Part,
  type TogetherCheck,
  type Violation,
} from '../../../core/assembly';
import { randomFromSeed } from '../../../core/numerics';
import { CautionBox } from '../../bench/CautionBox';
import { useKept } from '../../shared/kept';
import { useNumbers } from '../../shared/numbers';
import { sizeText } from '../jobWords';
import type { OnBench } from '../onBench';
import { LogOf } from '../Log';
import { PartList } from '../PartList';
import { partName } from '../partName';
import { useShownWhenNarrow } from '../useShownWhenNarrow';
import { StackDrawing } from '../StackDrawing';
import { Tray } from '../Tray';
import { WhichPiece } from '../WhichPiece';
import { Broken } from './Off';

const NONE: ReadonlySet<string> = new Set();
const NONE_AT: ReadonlySet<number> = new Set();

/** In again: order, way round and size; checks show some mistakes while they can still be put right. */
export function Together(bench: OnBench) {
  const { job, plan, parts, work, onWork } = bench;
  const { t } = useTranslation();
  const unit = job.unit ?? null;
  const [chosen, setChosen] = useKept<string | null>('Together chosen', null);
  const shown = useShownWhenNarrow(chosen);
  const together = useMemo(() => togetherOf(plan, work.fits), [plan, work.fits]);
  const inside = useMemo(() => new Set(together.in.map((f) => f.part)), [together]);
  const part = chosen === null ? undefined : parts.get(chosen);
  // What could not go in is no step of the work: taken out again, another part must not let it in.
  const [broken, setBroken] = useState<readonly Violation[]>([]);
  const put = (fit: Fit) => {
    const fits = [...work.fits, fit];
    const { last } = togetherOf(plan, fits);
    setBroken(last);
    onWork(last.length > 0 ? { wasted: work.wasted + 1 } : { fits });
  };
  return (
    <>
      <section className="strip-down-main" aria-label={t('strip.stations.together')}>
        <p role="status">{t('strip.inOf', { count: inside.size, all: plan.parts.length })}</p>
        <StackDrawing
          plan={plan}
          unit={unit}
          off={new Set(plan.parts.map((p) => p.id).filter((id) => !inside.has(id)))}
          free={NONE}
          chosen={chosen}
          onPart={setChosen}
          any
        />
        <PartList
          plan={plan}
          unit={unit}
          off={inside}
          free={NONE}
          chosen={chosen}
          onPart={setChosen}
        />
      </section>
      <aside ref={shown} className="side-column" aria-label={t('strip.putIn')}>
        {part ? (
          <PutIn
            key={part.id}
            {...bench}
            part={part}
            fitted={inside.has(part.id)}
            used={new Set(together.in.flatMap((f) => (f.part === part.id ? [] : [pieceIn(f)])))}
            onPut={put}
          />
        ) : (
          <p className="strip-down-choose">{t('strip.choosePutIn')}</p>
        )}
        {broken.map((v) => (
          <Broken key={v.rule} violation={v} unit={unit} parts={parts} goingIn />
        ))}
        <PlainOnes {...bench} inside={inside} />
        <Button
          disabled={together.in.length === 0}
          onClick={() => {
            const last = together.in.at(-1)!.part;
            onWork({ fits: work.fits.filter((f) => f.part !== last) });
          }}
        >
          {t('strip.lastOut')}
        </Button>
        <Checks {...bench} />
        <Tray
          title={t('strip.inside')}
          empty={t('strip.nothingIn')}
          unit={unit}
          parts={parts}
          work={{ off: together.in.map((f) => f.part), outOfTurn: NONE_AT }}
        />
      </aside>
    </>
  );
}

interface PutInProps extends OnBench {
  part: Part;
  /** It is in already: put in anew, the other way or in another size. */
  fitted: boolean;
  /** Parts that lie in other places already. */
  used: ReadonlySet<string>;
  onPut: (fit: Fit) => void;
}

type Way = 'right' | 'wrong';

function PutIn({ part, fitted, used, onPut, ...bench }: PutInProps) {
  const { job, plan } = bench;
  const { t } = useTranslation();
  const numbers = useNumbers();
  const [way, setWay] = useState<Way | null>(null);
  const [size, setSize] = useState<number | null>(null);
  const many = isOneOfMany(job, plan, part);
  const own = fromBag(job, plan, part);
  const [piece, setPiece] = useState<string | null>(own !== null && used.has(own) ? null : own);
  const facing = hasFacing(part) ? FACINGS[part.kind] : undefined;
  const selective = selectivesOf(plan).find((s) => s.part === part.id);
  // The same order for the same job, and neither always first.
  const ways: Way[] =
    randomFromSeed(`ways ${job.seed} ${part.id}`).next() < 0.5
      ? ['right', 'wrong']
      : ['wrong', 'right'];
  const ready =
    (!facing || way !== null) && (!selective || size !== null) && (!many || piece !== null);
  return (
    <div className="strip-down-next">
      <h3>{partName(t, job.unit ?? null, part)}</h3>
      <LogOf {...bench} part={part.id} />
      {hazardsOf(part).map((topic) => (
        <CautionBox key={topic} block={{ id: topic, kind: 'caution', topic, markdown: '' }} />
      ))}
      {many && <WhichPiece {...bench} part={part} piece={piece} onPiece={setPiece} used={used} />}
      {facing && (
        <>
          <p>{t(`strip.facings.${facing.rule}.ask`)}</p>
          <Radio.Group
            className="stacked"
            aria-label={t(`strip.facings.${facing.rule}.ask`)}
            value={way}
            onChange={(e) => setWay(e.target.value as Way)}
            options={ways.map((w) => ({ value: w, label: t(`strip.facings.${facing.rule}.${w}`) }))}
          />
        </>
      )}
      {selective && (
        <Select<number>
          aria-label={t('strip.size')}
          placeholder={t('strip.size')}
          value={size}
          onChange={setSize}
          options={selective.sizes.map((s) => ({
            value: s,
            label:
              s === selective.now
                ? t('strip.sizeNow', { size: sizeText(numbers, s) })
                : sizeText(numbers, s),
          }))}
        />
      )}
      <Button
        type="primary"
        size="large"
        disabled={!ready}
        onClick={() =>
          onPut({
            part: part.id,
            turned: way === 'wrong',
            ...(many && piece !== null && piece !== part.id ? { piece } : {}),
            ...(size === null ? {} : { size }),
          })
        }
      >
        {t(fitted ? 'strip.putInAnew' : 'strip.putIn')}
      </Button>
    </div>
  );
}

/** What has one way to go in and nothing to choose goes in by itself, up to the next that has. */
function PlainOnes({
  plan,
  parts,
  work,
  onWork,
  inside,
}: OnBench & { inside: ReadonlySet<string> }) {
  const { t } = useTranslation();
  const chosenBySize = new Set(selectivesOf(plan).map((s) => s.part));
  const plain = () => {
    const order = [...legalOrder(plan)].reverse().filter((id) => !inside.has(id));
    const stop = order.findIndex((id) => hasFacing(parts.get(id)!) || chosenBySize.has(id));
    return stop < 0 ? order : order.slice(0, stop);
  };
  const next = plain();
  return (
    <Button
      disabled={next.length === 0}
      onClick={() =>
        onWork({ fits: [...work.fits, ...next.map((part) => ({ part, turned: false }))] })
      }
    >
      {t('strip.plainOnes', { count: next.length })}
    </Button>
  );
}

/** Tried while it is open: what each shows now. */
function Checks({ job, plan, parts, work }: OnBench) {
  const { t } = useTranslation();
  const [shown, setShown] = useState<{
    check: TogetherCheck;
    found: readonly AssemblyError[];
  } | null>(null);
  const look = (check: TogetherCheck) => {
    const { in: fitted } = togetherOf(plan, work.fits);
    setShown({ check, found: shownBy(check, errorsIn(job, plan, work.judged, fitted)) });
  };
  return (
    <section aria-label={t('strip.checks')}>
      <h3>{t('strip.checks')}</h3>
      <div className="row">
        {checksFor(plan).map((check) => (
          <Button key={check} size="small" onClick={() => look(check)}>
            {t(`strip.check.${check}`)}
          </Button>
        ))}
      </div>
      {shown && (
        <div role="status" className="strip-found" data-found={shown.found.length > 0}>
          <strong>{t(`strip.check.${shown.check}`)}: </strong>
          {shown.found.length === 0
            ? t('strip.checkGood')
            : shown.found
                .map((e) =>
                  t(`strip.checkBad.${shown.check}`, {
                    part: partName(t, job.unit ?? null, parts.get(e.part)!),
                  }),
                )
                .join(' ')}
        </div>
      )}
    </section>
  );
}
