import { tsImport } from 'tsx/esm/api';

/** Before the first test file: the browsers that they share. */
export default async function setUp({ maxWorkers }) {
  const { startPool } = await tsImport('./pool.ts', import.meta.url);
  globalThis.endOfPool = await startPool(maxWorkers);
}
