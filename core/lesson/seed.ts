/** What draws a student's own numbers: the same seed, the same numbers. */
export interface VariantSeed {
  readonly student: string;
  readonly lessonId: string;
  readonly questionId: string;
  /** 0 for the first try; each "try again with other teeth" adds one. */
  readonly round: number;
}

export const seedText = (s: VariantSeed): string =>
  JSON.stringify([s.student.trim().toLowerCase(), s.lessonId, s.questionId, s.round]);
