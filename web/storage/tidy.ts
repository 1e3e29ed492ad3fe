import { stringify } from 'safe-stable-stringify';
import { HISTORY } from './history';
import type { KeyValueStore } from './keyValueStore';
import { ATTEMPT, LESSON, picture } from './stored';

export const MEDIA = 'media:';
export const VERSION = 'version:';

/** A picture that was put in this lately may belong to a lesson that is still on its way in. */
const SETTLED_MS = 10 * 60_000;

/** Texts of all that may need a picture or a version. */
async function textsOf(
  store: KeyValueStore,
  keys: readonly string[],
): Promise<Map<string, string>> {
  const texts = new Map<string, string>();
  for (const key of keys)
    if ([LESSON, VERSION, ATTEMPT, HISTORY].some((kind) => key.startsWith(kind)))
      texts.set(key, stringify(await store.get(key)) ?? '');
  return texts;
}

/** What nothing needs any more: pictures that no lesson shows, versions that nobody began, what was before of what is gone. */
export async function idleKeys(store: KeyValueStore, now: number): Promise<string[]> {
  const keys = await store.keys();
  const texts = await textsOf(store, keys);
  const begun = [...texts].filter(([key]) => key.startsWith(ATTEMPT)).map(([, text]) => text);
  const idle = keys.filter(
    (key) =>
      key.startsWith(VERSION) && !begun.some((text) => text.includes(key.slice(VERSION.length))),
  );
  // What is gone for good takes its earlier versions along.
  for (const key of keys)
    if (key.startsWith(HISTORY) && !keys.includes(key.slice(HISTORY.length))) idle.push(key);
  // What can't be read may need its pictures: they are looked for as they are written.
  const needed = new Set<string>();
  for (const [key, text] of texts)
    if (!idle.includes(key))
      for (const [path] of text.matchAll(/media\/[\w.-]+/g)) needed.add(path);
  for (const key of keys) {
    if (!key.startsWith(MEDIA) || needed.has(key.slice(MEDIA.length))) continue;
    const kept = picture(await store.get(key));
    if (!kept || now - kept.at >= SETTLED_MS) idle.push(key);
  }
  return idle;
}
