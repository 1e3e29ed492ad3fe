import { expose } from 'comlink';
import { sectionDrawing } from '../../core/drawing';
import type { DrawingWorker } from './protocol';

const worker: DrawingWorker = { sectionDrawing };
expose(worker);
