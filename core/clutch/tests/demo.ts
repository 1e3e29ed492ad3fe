import { readFileSync } from 'node:fs';
import type { Clutch, ClutchPack } from '../index';

const read = <T>(file: string) => JSON.parse(readFileSync(`demo/${file}.json`, 'utf8')) as T;

/** The clutches and packs of the demo world, as tests take them. */
export const BOLLARD = read<Clutch>('clutches/bollard-nine');
export const HAWSER = read<Clutch>('clutches/hawser-twelve');
export const GUNWALE = read<Clutch>('clutches/gunwale-eight');
export const FENDER = read<ClutchPack>('clutch-packs/fender-pack');
export const WINDLASS = read<ClutchPack>('clutch-packs/windlass-brake');

/** The same cases every time. */
export const SEED = 20261125;
