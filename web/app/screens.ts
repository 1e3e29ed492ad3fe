/** Every screen that loads when it is opened. */
export const screens = {
  ratio: async () => (await import('../ratio/RatioBench')).RatioBench,
  library: async () => (await import('../lessons/library/LessonLibrary')).LessonLibrary,
  builder: async () => (await import('../lessons/builder/BuilderScreen')).BuilderScreen,
  player: async () => (await import('../lessons/player/PlayerScreen')).PlayerScreen,
  records: async () => (await import('../lessons/player/RecordsScreen')).RecordsScreen,
  classBook: async () => (await import('../classBook/ClassBookScreen')).ClassBookScreen,
};

/** Parts of screens that load later still. */
const parts = [
  () => import('./KeysSheet'),
  () => import('../shared/Markdown'),
  () => import('../lessons/builder/RichText'),
  () => import('../classBook/ConfidenceChart'),
  () => import('./demoFiles'),
  async () => (await import('../workers/fileWorker')).withFileWorker(() => Promise.resolve()),
];

/**
 * Loads every screen while the browser is idle, one after the other, so that all of the application works
 * when the server is gone. What can't be loaded now is loaded when it is opened.
 */
export function loadAheadWhenIdle(): void {
  const queue = [...Object.values(screens), ...parts];
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
