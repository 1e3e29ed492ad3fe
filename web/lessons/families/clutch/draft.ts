import {
  adjustmentsOf,
  orderWorks,
  selectiveNow,
  type Adjustment,
  type Clutch,
} from '../../../../core/clutch';
import {
  fittedPack,
  handedOut,
  openingOrder,
  type ClutchQuestion,
  type ClutchRig,
} from '../../../../core/lesson';
import { FEET_AT } from '../../../../core/shift';

/** What a student does on the sheet about a clutch: turns a rod, draws with both feet, orders steps, fits a part. */
export interface ClutchDraft {
  readonly pedal: number;
  readonly forkRod: number;
  readonly turnbuckle: number;
  readonly feet: { readonly pedal: readonly number[]; readonly throttle: readonly number[] };
  readonly order: readonly string[];
  readonly thickness: number;
  readonly touched: boolean;
}

/** Both feet where they rest: the pedal on the floor, the throttle closed. They tell nothing. */
const RESTING = { pedal: FEET_AT.map(() => 1), throttle: FEET_AT.map(() => 0.1) };

/** Its adjustments as cards, in an order that does not put it right. */
const cardsOf = (clutch: Clutch, wear: number | undefined, seed: string): string[] =>
  openingOrder(adjustmentsOf(clutch), seed, (order) =>
    orderWorks(clutch, handedOut(clutch, wear), order as readonly Adjustment[]),
  );

/** @param seed what the cards of an order are mixed by */
export function clutchDraft(
  question: ClutchQuestion,
  { clutch, pack }: ClutchRig,
  seed: string,
): ClutchDraft {
  const out = question.kind === 'set-free-play' && clutch ? handedOut(clutch, question.wear) : null;
  return {
    pedal: 0,
    forkRod: out?.forkRod ?? 0,
    turnbuckle: out?.turnbuckle ?? 0,
    feet: RESTING,
    order: question.kind === 'adjust-order' && clutch ? cardsOf(clutch, question.wear, seed) : [],
    thickness:
      question.kind === 'choose-selective' && pack ? selectiveNow(fittedPack(pack, question)) : 0,
    touched: false,
  };
}
