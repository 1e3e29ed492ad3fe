/** So many results are kept of one model before they are let go. */
const MOST_KEPT = 500;

/**
 * What a model answers is worked out once for each thing that is asked of it, and let go with the model: key, grade and
 * reasons of a question ask for the same runs.
 * @returns asks a model by name; a result of `null` is one too
 */
export function onceFor<M extends object, T>(): (model: M, name: string, work: () => T) => T {
  const known = new WeakMap<M, Map<string, T>>();
  return (model, name, work) => {
    const results = known.get(model) ?? new Map<string, T>();
    known.set(model, results);
    if (results.has(name)) return results.get(name)!;
    const result = work();
    if (results.size >= MOST_KEPT) results.clear();
    results.set(name, result);
    return result;
  };
}
