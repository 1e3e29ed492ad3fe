interface OfUnit {
  readonly unit: unknown;
}

/** What was worked out for one unit does not stand under another's name. */
export const sameUnit = (a: OfUnit, b: OfUnit): boolean => a.unit === b.unit;

/** Nor what is of one gear change under another's. */
export const sameShift = (
  a: OfUnit & { readonly from: { readonly range: string } },
  b: OfUnit & { readonly from: { readonly range: string } },
): boolean => sameUnit(a, b) && a.from.range === b.from.range;
