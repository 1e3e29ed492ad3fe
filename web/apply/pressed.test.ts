import type { Unit } from '../../core/geartrain';
import { pressed } from './pressed';
import { demoFile } from '../../core/tests/demoFile';

const winch = demoFile<Unit>('units/winch-manual');

test('a sleeve that goes in at one side is out at the other; anything else is turned over', () => {
  expect(pressed(winch, ['K', 'S1'], 'S2').sort()).toEqual(['K', 'S2']);
  expect(pressed(winch, ['K', 'S2'], 'S2')).toEqual(['K']);
  expect(pressed(winch, ['S2'], 'K').sort()).toEqual(['K', 'S2']);
  expect(pressed(winch, ['K', 'S2'], 'S3').sort()).toEqual(['K', 'S2', 'S3']);
});
