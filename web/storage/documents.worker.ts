import { expose } from 'comlink';
import { browserStore } from './browserStore';
import { loadDemoWorld } from './demoWorld';
import { documentStore } from './documentStore';
import type { DocumentsWorker } from './documentsInWorker';

const worker: DocumentsWorker = { ...documentStore(browserStore(), Date.now), loadDemoWorld };
expose(worker);
