import { readFileSync } from 'node:fs';
import { configureStore } from '@reduxjs/toolkit';
import type { Converter, Engine } from '../../core/converter';
import type { Services } from './services';
import { documentStore, type DocumentStore } from '../storage/documentStore';
import { memoryStore } from '../storage/keyValueStore';
import { memoryMarks } from '../storage/marks';
import type { TabMessage } from '../storage/tabs';
import { benchOf, editorOf, shelfOf } from '../bench/modelPlaces';
import {
  modelsLoaded,
  modelsReducer,
  onShelf,
  refreshModel,
  removeModel,
  saveModel,
  selectConverters,
  selectEngines,
  selectUnits,
} from './modelsSlice';
import { newConverter, newEngine, newVehicle } from '../models/newModels';

const read = <T>(file: string) => JSON.parse(readFileSync(`demo/${file}.json`, 'utf8')) as T;
const engine = read<Engine>('engines/pilot-petrol');
const converter = read<Converter>('converters/jetty-eleven');

function setUp(documents: DocumentStore = documentStore(memoryStore(), () => 0)) {
  const posted: TabMessage[] = [];
  const services = {
    documents,
    marks: memoryMarks(),
    now: () => '2030-01-01T08:00:00Z',
    tabs: { post: (m: TabMessage) => void posted.push(m), listen: () => () => undefined },
  } as unknown as Services;
  const store = configureStore({
    reducer: { models: modelsReducer },
    middleware: (defaults) => defaults({ thunk: { extraArgument: services } }),
  });
  // The thunks are typed for the whole application's store.
  const dispatch = store.dispatch as (action: unknown) => Promise<unknown>;
  return { store, dispatch, documents, posted };
}

test('models stand on the shelf of their kind, in the order in which they came', () => {
  const { store, dispatch } = setUp();
  void dispatch(modelsLoaded([engine, converter, { ...engine, id: 'second' }]));
  const state = store.getState();
  expect(onShelf(selectEngines(state)).map((e) => e.id)).toEqual([engine.id, 'second']);
  expect(onShelf(selectConverters(state))).toEqual([converter]);
  expect(onShelf(selectUnits(state))).toEqual([]);
});

test('a saved model is stored, shown, and told to the other tabs', async () => {
  const { store, dispatch, documents, posted } = setUp();
  await dispatch(saveModel({ model: engine, base: null }));
  expect(selectEngines(store.getState()).byId[engine.id]).toEqual(engine);
  expect(await documents.readModel('fair-sprocket/engine', engine.id)).toEqual(engine);
  expect(posted).toEqual([{ type: 'model-saved', kind: engine.format, id: engine.id }]);
});

test('a save on an older version is not made: the stored one is shown', async () => {
  const { store, dispatch, documents, posted } = setUp();
  await dispatch(saveModel({ model: engine, base: null }));
  const theirs = { ...engine, name: 'theirs' };
  await documents.saveModel(theirs, engine);
  await dispatch(saveModel({ model: { ...engine, name: 'mine' }, base: engine }));
  expect(selectEngines(store.getState()).byId[engine.id]?.name).toBe('theirs');
  expect(posted).toHaveLength(1);
});

test('another tab’s save is read again; a removed model can be put back', async () => {
  const { store, dispatch, documents } = setUp();
  await dispatch(saveModel({ model: converter, base: null }));
  const newer = { ...converter, name: 'newer' };
  await documents.saveModel(newer, converter);
  // What another tab has saved is not deleted by one that has not seen it.
  await dispatch(removeModel(converter));
  expect((await documents.readModel(converter.format, converter.id))?.name).toBe('newer');
  await dispatch(refreshModel({ kind: converter.format, id: converter.id }));
  expect(selectConverters(store.getState()).byId[converter.id]?.name).toBe('newer');
  await dispatch(removeModel(newer));
  expect(selectConverters(store.getState()).ids).toEqual([]);
  expect(await documents.readModel(converter.format, converter.id)).toBeNull();
  await dispatch(saveModel({ model: converter, base: null }));
  expect(selectConverters(store.getState()).ids).toEqual([converter.id]);
});

test('a storage that refuses fails the save with its reason, and shows nothing new', async () => {
  const kv = memoryStore();
  const full = { ...kv, change: () => Promise.reject(new Error('QuotaExceededError')) };
  const { store, dispatch } = setUp(documentStore(full, () => 0));
  const result = (await dispatch(saveModel({ model: engine, base: null }))) as { payload: string };
  expect(result.payload).toContain('Quota');
  expect(selectEngines(store.getState()).ids).toEqual([]);
});

test('every kind has its places, and what is new is sound', async () => {
  const { dispatch, documents } = setUp();
  const models = [newConverter('c', 'C'), newEngine('e', 'E'), newVehicle('v', 'V')];
  for (const model of models) {
    await dispatch(saveModel({ model, base: null }));
    expect(await documents.readModel(model.format, model.id)).toEqual(model);
    expect(editorOf(model)).toBe(`${shelfOf(model.format)}/${model.id}`);
    expect(benchOf(model)).toContain(`=${model.id}`);
  }
  expect(new Set(models.map((m) => shelfOf(m.format))).size).toBe(3);
});
