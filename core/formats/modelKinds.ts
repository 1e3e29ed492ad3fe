import { LIST_OF, type Carried } from '../lesson';

/** The kinds that stand in the library as models, and that lessons carry. */
export type ModelKind = Carried['format'];
export type Model = Carried;
export const MODEL_KINDS = Object.keys(LIST_OF) as ModelKind[];

export const isModel = (document: { readonly format: string }): document is Model =>
  (MODEL_KINDS as readonly string[]).includes(document.format);
