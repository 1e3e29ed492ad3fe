/** What a student does on the sheet: cells turned over, or members chosen in order. */
export interface SheetDraft {
  readonly on: readonly string[];
  readonly members: readonly string[];
}
