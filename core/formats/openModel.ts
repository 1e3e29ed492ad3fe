import { MODEL_TABLE } from './modelTable';
import type { Model, ModelKind } from './modelKinds';
import { openAs, type OpenResult } from './opening';

/** A model as it is edited: what is wrong with it, if anything. */
export const openModel = (model: Model): OpenResult<ModelKind> =>
  openAs<ModelKind>(model.format, MODEL_TABLE[model.format], { ...model });
