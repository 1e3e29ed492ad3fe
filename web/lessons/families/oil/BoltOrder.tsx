import { Segmented } from 'antd';
import { useMemo, useState } from 'react';
import { useTranslation } from 'react-i18next';
import {
  bodyFor,
  turnedBy,
  type BoltOrder as Turning,
  type BoltOrderQuestion,
  type OilAnswer,
  type OilKey,
  type OilRig,
} from '../../../../core/lesson';
import { BOLT_YIELD, type Turned } from '../../../../core/hydraulics';
import { SmallSlider } from '../../../bench/SmallSlider';
import { Sheet } from '../../../shared/Sheet';
import { BodyDrawing } from './BodyDrawing';
import { leanText } from './boltWords';
import './BoltOrder.css';

interface Props {
  question: BoltOrderQuestion;
  rig: OilRig;
  keyNow: OilKey | null;
  /** As they were pressed. */
  bolts: readonly string[];
  /** What was committed. */
  answer: OilAnswer | undefined;
  onBolts: (bolts: readonly string[]) => void;
}

/** A valve body from below: its bolts are pressed in the order in which they are turned; after the commit it is turned so. */
export function BoltOrder({ question, rig, keyNow, bolts, answer, onBolts }: Props) {
  const { t } = useTranslation();
  const body = useMemo(() => bodyFor(rig, question), [rig, question]);
  const given = answer?.kind === 'bolt-order' ? answer : null;
  const press = (id: string) =>
    onBolts(bolts.includes(id) ? bolts.filter((b) => b !== id) : [...bolts, id]);
  const example = keyNow?.kind === 'bolt-order' ? keyNow : null;
  return given ? (
    <Replay question={question} rig={rig} given={given} example={example} />
  ) : (
    <Sheet label={t(`oilPrompts.bolts.sheet.${question.job}`)}>
      <BodyDrawing body={body} job={question.job} turn={null} order={bolts} onBolt={press} />
    </Sheet>
  );
}

type Order = Extract<OilAnswer, { kind: 'bolt-order' }>;

interface ReplayProps extends Pick<Props, 'question' | 'rig'> {
  given: Order;
  example: Turning | null;
}

/** The turn worth looking at first: the one at which a bolt bent, else the one at which it leaned most. */
function worstTurn({ stress, lean }: Turned): number {
  const worst = Object.values(stress).reduce((a, b) => (b.value > a.value ? b : a));
  return worst.value >= BOLT_YIELD ? worst.turn : lean.turn;
}

/** Turn by turn, what was committed and what would do. */
function Replay({ question, rig, given, example }: ReplayProps) {
  const { t } = useTranslation();
  const [whose, setWhose] = useState<'given' | 'example'>('given');
  const shown = whose === 'example' && example ? example : given;
  const body = bodyFor(rig, question);
  const run = useMemo(() => turnedBy(rig, question, shown), [rig, question, shown]);
  const [at, setAt] = useState<number | null>(null);
  const k = Math.min(run.turns.length - 1, at ?? worstTurn(run));
  const turn = run.turns[k]!;
  const said = t(turn.out ? 'oilPrompts.bolts.out' : 'oilPrompts.bolts.turnedOnce', {
    bolt: turn.bolt,
    lean: leanText(t)(turn.standing.lean),
    count: turn.standing.tensions.filter((f) => f > 0).length,
  });
  return (
    <div className="bolt-replay">
      <div className="bolt-replay-bar">
        <Segmented
          aria-label={t('oilPrompts.bolts.whose')}
          value={whose}
          onChange={(next) => {
            setWhose(next);
            setAt(null);
          }}
          options={(['given', 'example'] as const).map((value) => ({
            value,
            label: t(`oilPrompts.bolts.${value}`),
          }))}
        />
        <SmallSlider
          label={t('oilPrompts.bolts.turnNo')}
          text={t('oilPrompts.bolts.turnOf', { n: k + 1, many: run.turns.length })}
          value={k + 1}
          from={1}
          to={run.turns.length}
          step={1}
          onValue={(n) => setAt(n - 1)}
        />
        <p aria-live="polite">{said}</p>
      </div>
      <Sheet label={t(`oilPrompts.bolts.sheet.${question.job}`)}>
        <BodyDrawing body={body} job={question.job} turn={turn} order={shown.order} />
      </Sheet>
    </div>
  );
}
