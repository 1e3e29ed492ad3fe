import { expose } from 'comlink';
import { openFile, readEverything, writeEverything, writePack } from '../../core/formats';
import type { FileWorker } from './protocol';

const worker: FileWorker = {
  openFile,
  packLesson: writePack,
  openEverything: readEverything,
  packEverything: writeEverything,
};
expose(worker);
