import type { Model } from '../../../core/formats';
import type { Block } from '../../../core/lesson';

/** What the editor of a block gets. With models, the lesson carries them from now on. */
export interface EditsBlock<B extends Block = Block> {
  block: B;
  onBlock: (block: Block, models?: readonly Model[]) => void;
}
