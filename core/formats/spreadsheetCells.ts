/**
 * What a spreadsheet may take for a formula: an operator at the start of a cell, plain or full-width, behind whatever it
 * skips over. Such cells get a leading apostrophe.
 */
export const FORMULA_LIKE =
  /^[\s\u200b-\u200d\u2060\ufeff]*[=+\-@\uff1d\uff0b\uff0d\uff20]|^[\t\r\n]/;
