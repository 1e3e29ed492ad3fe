/** What a student does on the sheet: cells turned over, or members chosen in order. */
export interface UnitDraft {
  readonly on: readonly string[];
  readonly members: readonly string[];
}
