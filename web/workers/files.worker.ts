import { expose } from 'comlink';
import { openFile, writePack } from '../../core/formats';
import type { FileWorker } from './protocol';

const worker: FileWorker = { openFile, packLesson: writePack };
expose(worker);
