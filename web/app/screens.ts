import type { ComponentType } from 'react';
import type { WordPart } from '../shared/moreWords';
import { moreWords } from './i18n';

type Loader<P> = () => Promise<ComponentType<P>>;

/** A screen is shown when its words are here too; all of them where none are named. */
const worded =
  <P extends object>(load: Loader<P>, ...parts: readonly WordPart[]): Loader<P> =>
  async () =>
    (await Promise.all([load(), moreWords(...parts)]))[0];

/** Loads a screen together with the dialogs it uses. */
async function withDialogs<P extends object>(
  screen: Promise<ComponentType<P>>,
): Promise<ComponentType<P>> {
  const [{ withDialogs: wrap }, Screen] = await Promise.all([import('./withDialogs'), screen]);
  return wrap(Screen);
}

const library = async () => (await import('../lessons/library/LessonLibrary')).LessonLibrary;
const firstLesson = async () => (await import('../lessons/library/FirstLesson')).FirstLesson;
const models = async () => (await import('../models/ModelLibrary')).ModelLibrary;
const modelEditor = async () => (await import('../models/ModelEditorScreen')).ModelEditorScreen;
const apply = async () => (await import('../apply/ApplyBench')).ApplyBench;
const shift = async () => (await import('../shift/ShiftBench')).ShiftBench;
const builder = async () => (await import('../lessons/builder/BuilderScreen')).BuilderScreen;
const packs = async () => (await import('../packs/PackBench')).PackBench;
const records = async () => (await import('../lessons/player/RecordsScreen')).RecordsScreen;
const classBook = async () => (await import('../classBook/ClassBookScreen')).ClassBookScreen;

const paper = async () => (await import('../paper/PaperScreen')).PaperScreen;
const run = async () => (await import('../run/RunScreen')).RunScreen;
const runNotes = async () => (await import('../run/RunNotes')).RunNotes;
const roomHost = async () => (await import('../room/RoomHost')).RoomHost;

/** Every screen is loaded when it is opened. */
export const screens = {
  ratio: worded(async () => (await import('../ratio/RatioBench')).RatioBench),
  apply: worded(() => withDialogs(apply())),
  converter: worded(async () => (await import('../converter/ConverterBench')).ConverterBench),
  shift: worded(() => withDialogs(shift())),
  faultDesk: worded(async () => (await import('../faults/FaultDesk')).FaultDesk),
  atlas: worded(async () => (await import('../faults/AtlasScreen')).AtlasScreen),
  stripDown: worded(async () => (await import('../stripDown/StripDownBench')).StripDownBench),
  clutch: worded(async () => (await import('../clutch/ClutchBench')).ClutchBench),
  packs: worded(() => withDialogs(packs())),
  models: worded(() => withDialogs(models())),
  modelEditor: worded(() => withDialogs(modelEditor())),
  // What benches add comes with the lessons that need it.
  player: worded(async () => (await import('../lessons/player/PlayerScreen')).PlayerScreen, 'rest'),
  library: worded(() => withDialogs(library())),
  builder: worded(() => withDialogs(builder())),
  records: worded(() => withDialogs(records())),
  roomOpening: worded(async () => (await import('../room/RoomOpening')).RoomOpening),
  firstLesson: worded(() => withDialogs(firstLesson())),
  paper: worded(() => withDialogs(paper())),
  run: worded(() => withDialogs(run())),
  runNotes: worded(runNotes),
  roomHost: worded(() => withDialogs(roomHost())),
  roomStudent: worded(async () => (await import('../room/RoomStudent')).RoomStudent),
  classBook: worded(() => withDialogs(classBook())),
};
