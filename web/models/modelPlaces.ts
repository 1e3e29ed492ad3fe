import type { Model, ModelKind } from '../../core/formats';
import { LIST_OF } from '../../core/lesson';

/** Where the models of each kind stand in the application. */
export const shelfOf = (kind: ModelKind): string => `/teach/models/${LIST_OF[kind]}`;
export const editorOf = (model: Model): string => `${shelfOf(model.format)}/${model.id}`;

/** The bench that a model is operated on. */
export const benchOf = (model: Model): string =>
  model.format === 'fair-sprocket/unit'
    ? `/teach/apply/${model.id}`
    : `/teach/converter?${model.format.slice('fair-sprocket/'.length)}=${model.id}`;
