import type { Unit } from '../../../core/geartrain';
import type { Block } from '../../../core/lesson';

/** What the editor of a block gets. With a unit, the lesson carries it from now on. */
export interface EditsBlock<B extends Block = Block> {
  block: B;
  onBlock: (block: Block, unit?: Unit) => void;
}
