/** What was typed into a number's field. either: it can be read in two ways, and only the reader knows which. */
export type ReadNumber =
  | { readonly kind: 'number'; readonly value: number }
  | { readonly kind: 'either'; readonly values: readonly [number, number] }
  | { readonly kind: 'none' };

const NONE: ReadNumber = { kind: 'none' };
const number = (text: string): ReadNumber => {
  const value = Number(text);
  return text.trim() === '' || !Number.isFinite(value) ? NONE : { kind: 'number', value };
};

/**
 * A number as people write it, with a point or a comma before its decimals. Shown numbers have a point, so a single point
 * is one; a single comma is one unless exactly three digits follow: `1,234` may be 1.234 or one thousand and more.
 */
export function readNumber(typed: string): ReadNumber {
  // Spaces stand between thousands; a true minus is a minus.
  const text = typed.replace(/[\s\u2009\u202f\u00a0]/g, '').replace(/\u2212/g, '-');
  const commas = text.split(',').length - 1;
  const points = text.split('.').length - 1;
  if (commas === 0) return number(text);
  if (commas > 1 && points > 1) return NONE;
  if (commas > 1) return thousands(text, ',') ? number(text.replaceAll(',', '')) : NONE;
  if (points > 1)
    return thousands(text, '.') ? number(text.replaceAll('.', '').replace(',', '.')) : NONE;
  if (points === 1)
    return text.indexOf(',') < text.indexOf('.')
      ? number(text.replace(',', ''))
      : number(text.replace('.', '').replace(',', '.'));
  const [decimal, whole] = [number(text.replace(',', '.')), number(text.replace(',', ''))];
  const unclear = /^-?[1-9]\d{0,2},\d{3}$/.test(text);
  return unclear && decimal.kind === 'number' && whole.kind === 'number'
    ? { kind: 'either', values: [decimal.value, whole.value] }
    : decimal;
}

/** Whole groups of three digits after the first separator, up to the other separator. */
function thousands(text: string, separator: string): boolean {
  const whole = text.replace(/^-/, '').split(separator === ',' ? '.' : ',')[0]!;
  const [first = '', ...groups] = whole.split(separator);
  return /^\d{1,3}$/.test(first) && groups.every((g) => /^\d{3}$/.test(g));
}
