import type { Model } from '../../core/formats';

/** The model with these notes; empty ones are left out. */
export function withNotes<M extends Model>(model: M, notes: string): M {
  if (notes !== '') return { ...model, notes };
  const plain = { ...model };
  delete plain.notes;
  return plain;
}
