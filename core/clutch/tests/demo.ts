import type { Clutch, ClutchPack } from '../index';
import { demoFile } from '../../tests/demoFile';

/** The clutches and packs of the demo world, as tests take them. */
export const BOLLARD = demoFile<Clutch>('clutches/bollard-nine');
export const HAWSER = demoFile<Clutch>('clutches/hawser-twelve');
export const GUNWALE = demoFile<Clutch>('clutches/gunwale-eight');
export const FENDER = demoFile<ClutchPack>('clutch-packs/fender-pack');
export const WINDLASS = demoFile<ClutchPack>('clutch-packs/windlass-brake');

/** The same cases every time. */
export const SEED = 20261125;
