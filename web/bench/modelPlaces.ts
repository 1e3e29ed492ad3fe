import type { Model, ModelKind } from '../../core/formats';
import { LIST_OF } from '../../core/lesson';

/** Where the models of each kind stand in the application. */
export const shelfOf = (kind: ModelKind): string => `/teach/models/${LIST_OF[kind]}`;
export const editorOf = (model: Model): string => `${shelfOf(model.format)}/${model.id}`;

/** The bench that a model is operated on. */
export function benchOf(model: Model): string {
  switch (model.format) {
    case 'fair-sprocket/unit':
      return `/teach/apply/${model.id}`;
    case 'fair-sprocket/clutch':
      return `/teach/clutch?clutch=${model.id}`;
    case 'fair-sprocket/hydraulics':
      return `/teach/shift/${model.unit}?plan=${model.id}`;
    case 'fair-sprocket/fault-case':
      return `/teach/faults?case=${model.id}`;
    case 'fair-sprocket/job':
      return `/teach/strip-down/jobs/${model.id}`;
    case 'fair-sprocket/clutch-pack':
      return `/teach/clutch/packs?pack=${model.id}`;
    case 'fair-sprocket/converter':
    case 'fair-sprocket/engine':
    case 'fair-sprocket/vehicle':
      return `/teach/converter?${model.format.slice('fair-sprocket/'.length)}=${model.id}`;
  }
}
