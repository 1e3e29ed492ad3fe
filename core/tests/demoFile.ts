import { readdirSync, readFileSync } from 'node:fs';
import type { Unit } from '../geartrain';

/** A document of the demo world, as tests take it: `demoFile<Engine>('engines/yard-diesel')`. */
export const demoFile = <T>(name: string): T =>
  JSON.parse(readFileSync(`demo/${name}.json`, 'utf8')) as T;

export const demoUnit = (id: string): Unit => demoFile<Unit>(`units/${id}`);

/** Every unit that the shop has, the automatics and the manual. */
export const demoUnits = (): Unit[] =>
  readdirSync('demo/units')
    .toSorted()
    .map((file) => demoUnit(file.replace(/\.json$/, '')));
