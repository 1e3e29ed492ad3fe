import type { Characteristic, Converter, StatorFault } from './converter';
import { streamlineCharacteristic } from './streamline';
import { tableCharacteristic } from './table';

/**
 * What a converter does over its speed ratio.
 * @returns `null` for a stator fault on a converter stated by a table: a table does not say how it would behave
 */
export function characteristicOf(
  { model }: Converter,
  fault: StatorFault | null = null,
): Characteristic | null {
  if (model.kind === 'streamline') return streamlineCharacteristic(model, fault);
  return fault === null ? tableCharacteristic(model) : null;
}
