/** Where a command writes: its result, and what was wrong. */
export interface Say {
  line(text: string): void;
  wrong(text: string): void;
}
