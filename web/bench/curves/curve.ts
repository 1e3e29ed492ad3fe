export interface Curve {
  readonly label: string;
  /** Name of the colour on the paper, such as `--drives`. */
  readonly ink: string;
  readonly points: readonly { readonly x: number; readonly y: number }[];
  readonly look?: 'line' | 'dashed' | 'dotted' | 'thin' | 'marks';
  /** Belongs to the axis at the right. */
  readonly right?: boolean;
}

export interface Figures {
  readonly titles: readonly string[];
  readonly rows: readonly (readonly string[])[];
}

/** What hands curves out: there once what draws them is. */
export interface CurveTools {
  /** The chart as it stands, with this title above. */
  readonly png: (title: string) => Promise<Uint8Array>;
  readonly csv: (figures: Figures) => string;
}
