import type { ComponentType } from 'react';

/** Loads a screen together with the dialogs it uses. */
async function withDialogs<P extends object>(
  screen: Promise<ComponentType<P>>,
): Promise<ComponentType<P>> {
  const [{ withDialogs: wrap }, Screen] = await Promise.all([import('./withDialogs'), screen]);
  return wrap(Screen);
}

const library = async () => (await import('../lessons/library/LessonLibrary')).LessonLibrary;
const models = async () => (await import('../models/ModelLibrary')).ModelLibrary;
const modelEditor = async () => (await import('../models/ModelEditorScreen')).ModelEditorScreen;
const apply = async () => (await import('../apply/ApplyBench')).ApplyBench;
const builder = async () => (await import('../lessons/builder/BuilderScreen')).BuilderScreen;
const packs = async () => (await import('../packs/PackBench')).PackBench;
const records = async () => (await import('../lessons/player/RecordsScreen')).RecordsScreen;
const classBook = async () => (await import('../classBook/ClassBookScreen')).ClassBookScreen;

/** Every screen that loads when it is opened. */
export const screens = {
  ratio: async () => (await import('../ratio/RatioBench')).RatioBench,
  apply: () => withDialogs(apply()),
  converter: async () => (await import('../converter/ConverterBench')).ConverterBench,
  faultDesk: async () => (await import('../faults/FaultDesk')).FaultDesk,
  atlas: async () => (await import('../faults/AtlasScreen')).AtlasScreen,
  clutch: async () => (await import('../clutch/ClutchBench')).ClutchBench,
  packs: () => withDialogs(packs()),
  models: () => withDialogs(models()),
  modelEditor: () => withDialogs(modelEditor()),
  player: async () => (await import('../lessons/player/PlayerScreen')).PlayerScreen,
  library: () => withDialogs(library()),
  builder: () => withDialogs(builder()),
  records: () => withDialogs(records()),
  classBook: () => withDialogs(classBook()),
};

/** What takes work out to a file: there before anything else, for when the server goes. */
const rescue = [async () => (await import('../workers/fileWorker')).loadFileWorker()];

/** Parts of screens that load later still. */
const parts = [
  () => import('../lessons/player/BenchStage'),
  () => import('../lessons/player/UnitQuestionStage'),
  () => import('../lessons/player/UnitBenchStage'),
  () => import('../lessons/player/ConverterQuestionStage'),
  () => import('../lessons/player/ConverterBenchStage'),
  () => import('../lessons/player/ClutchQuestionStage'),
  () => import('../lessons/player/ClutchBenchStage'),
  () => import('../lessons/player/FaultRowStage'),
  () => import('../lessons/player/CaseStage'),
  () => import('../lessons/player/FaultTableStage'),
  () => import('./StorageNotice'),
  () => import('./KeysSheet'),
  () => import('../shared/Markdown'),
  () => import('../lessons/builder/RichText'),
  () => import('../classBook/ConfidenceChart'),
  () => import('./demoFiles'),
  async () => (await import('../workers/drawingWorker')).loadDrawingWorker(),
  async () => (await import('../workers/searchWorkers')).loadSearchWorker(),
  async () => (await import('../workers/converterWorker')).loadConverterWorker(),
  async () => (await import('../workers/clutchWorker')).loadClutchWorker(),
  async () => (await import('../workers/faultWorker')).loadFaultWorker(),
  async () => (await import('../workers/gradingWorker')).loadGradingWorker(),
  async () => (await import('../workers/unitWorker')).loadUnitWorker(),
];

/**
 * Loads every screen while the browser is idle, one after the other, so that all of the application works
 * when the server is gone. What can't be loaded now is loaded when it is opened.
 */
export function loadAheadWhenIdle(): void {
  const queue: (() => Promise<unknown>)[] = [...rescue, ...Object.values(screens), ...parts];
  const next = () => {
    const load = queue.shift();
    if (!load) return;
    load().then(schedule, schedule);
  };
  const schedule = () => void setTimeout(next, IDLE_PAUSE_MS);
  setTimeout(next, FIRST_PAUSE_MS);
}

const FIRST_PAUSE_MS = 1500;
const IDLE_PAUSE_MS = 60;
