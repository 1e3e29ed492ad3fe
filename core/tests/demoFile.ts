import { readdirSync, readFileSync } from 'node:fs';
import type { Unit } from '../geartrain';

/** A document of the demo world, as tests take it: `demoFile<Engine>('engines/yard-diesel')`. */
export const demoFile = <T>(name: string): T =>
  JSON.parse(readFileSync(`demo/${name}.json`, 'utf8')) as T;

export const demoUnit = (id: string): Unit => demoFile<Unit>(`units/${id}`);

/** Every document of one kind, by file name: `demoAll<Lesson>('lessons')`. */
export const demoAll = <T>(kind: string): T[] =>
  readdirSync(`demo/${kind}`)
    .toSorted()
    .map((file) => demoFile<T>(`${kind}/${file.replace(/\.json$/, '')}`));

/** Every unit that the shop has, the automatics and the manual. */
export const demoUnits = (): Unit[] => demoAll<Unit>('units');
