import type { ConverterSetting } from '../../../../core/lesson';

/** What a student does on the sheet: operates the bench, draws a curve, puts events in order. */
export interface ConverterDraft {
  readonly setting: ConverterSetting;
  readonly values: readonly number[];
  /** The sketch, or the order, was touched. */
  readonly touched: boolean;
  readonly order: readonly string[];
}
