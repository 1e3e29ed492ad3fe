import type { KeyValueStore } from './keyValueStore';

/** What is kept beside documents, each by its name. */
export interface SettingsStore {
  readSetting(name: string): Promise<unknown>;
  saveSetting(name: string, value: unknown): Promise<void>;
}

export const settingKey = (name: string): string => `setting:${name}`;

export const settingsIn = (store: KeyValueStore): SettingsStore => ({
  readSetting: (name) => store.get(settingKey(name)),
  saveSetting: (name, value) => store.set(settingKey(name), value),
});
