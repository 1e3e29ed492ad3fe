import {
  isOf,
  newBlock,
  type Block,
  type BlockKind,
  type Carried,
  type LessonStep,
} from '../../../core/lesson';
import { useServices } from '../../state/hooks';
import { useClutchRig } from './useClutchRig';
import { useLessonModels } from './useLessonModels';
import { useRig } from './useRig';

interface NewBlock {
  readonly block: Block;
  /** What it is about, for the lesson to carry; left out where it is about none. */
  readonly models?: readonly Carried[];
}

/** Makes a block of a kind for a step, about the first model of each sort that there is. */
export function useNewBlock(step: LessonStep): (kind: BlockKind) => NewBlock {
  const services = useServices();
  const units = useLessonModels('fair-sprocket/unit').models;
  const unit = units[0];
  const plan = useLessonModels('fair-sprocket/hydraulics').models[0];
  const fed = units.find((u) => u.id === plan?.unit);
  const { firstRig } = useRig({});
  const { clutch, pack } = useClutchRig({}).firstRig;
  const needed: Partial<Record<BlockKind, readonly (Carried | null | undefined)[]>> = {
    'unit-bench': [unit],
    'fault-table': [unit],
    'converter-bench': [firstRig?.converter, firstRig?.engine],
    'shift-bench': [plan, fed],
    'clutch-bench': [clutch],
    'pack-bench': [pack],
  };
  return (kind) => {
    const block = newBlock(kind, services.newId(), setupBefore(step), {
      unit,
      ...(firstRig ? { converter: firstRig.converter.id, engine: firstRig.engine.id } : {}),
      ...(clutch ? { clutch: clutch.id } : {}),
      ...(pack ? { pack: pack.id } : {}),
      ...(plan ? { plan } : {}),
    });
    const models = needed[kind];
    return isWhole(models) ? { block, models } : { block };
  };
}

const isWhole = (
  models: readonly (Carried | null | undefined)[] | undefined,
): models is readonly Carried[] =>
  models !== undefined && models.every((m) => m !== null && m !== undefined);

/** A new question starts from the gear set that stands before it. */
const setupBefore = ({ blocks }: LessonStep) =>
  blocks
    .map((b) =>
      b.kind === 'bench'
        ? b.setup
        : b.kind === 'question' && isOf('gear-set', b.question)
          ? b.question.setup
          : undefined,
    )
    .findLast((s) => s !== undefined);
