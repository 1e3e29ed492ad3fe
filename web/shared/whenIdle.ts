/** How long it may be put off by other work. */
const AT_MOST_MS = 500;

/** Does it once the page has drawn what there is to draw. @returns calls it off */
export function whenIdle(task: () => void): () => void {
  // Not every browser has it.
  if (typeof requestIdleCallback === 'undefined') {
    const timer = setTimeout(task, 0);
    return () => clearTimeout(timer);
  }
  const asked = requestIdleCallback(task, { timeout: AT_MOST_MS });
  return () => cancelIdleCallback(asked);
}
