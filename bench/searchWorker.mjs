import { parentPort, workerData } from 'node:worker_threads';
import { tsImport } from 'tsx/esm/api';

/** One worker of the tooth search: warms up, waits until all are ready, then posts candidates a second. */
const WARM_MS = 1500;
const SEARCH_MS = 2000;
const { searchFor } = await tsImport('./units.ts', import.meta.url);
searchFor(workerData, WARM_MS);
parentPort.once('message', () => {
  parentPort.postMessage(searchFor(workerData, SEARCH_MS));
  parentPort.close();
});
parentPort.postMessage('ready');
