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

/** Every screen is loaded when it is opened. */
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
