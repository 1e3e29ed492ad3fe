import { sectionDrawing } from '../../core/drawing';
import { demoUnit } from '../../core/tests/demoFile';
import { READABLE, sectionBox, sectionFit } from './sectionFit';

const wide = sectionDrawing(demoUnit('ferry-dual'));
const narrow = sectionDrawing(demoUnit('skerry-three'));

test('a section that fits where it can be read is not wider, one that would be moved sideways is', () => {
  const place = { width: 800, height: 350 };
  expect(sectionFit(narrow, place, READABLE).wider).toBe(false);
  expect(sectionFit(wide, place, READABLE).wider).toBe(true);
  // By hand: its width at the share that can be read, and one pixel of rounding.
  const enough = { width: READABLE * sectionBox(wide).width, height: 2000 };
  expect(sectionFit(wide, enough, READABLE).wider).toBe(false);
  expect(sectionFit(wide, { ...enough, width: enough.width - 2 }, READABLE).wider).toBe(true);
  // Where it is low it is drawn smaller: as much higher as wide, and no wider than its place.
  const low = { width: 800, height: (800 * sectionBox(wide).height) / sectionBox(wide).width };
  expect(sectionFit(wide, low, READABLE).wider).toBe(false);
  expect(sectionFit(wide, { width: 0, height: 0 }, READABLE).wider).toBe(false);
});

test('letters of the whole keep a size on the screen, and never run into one another', () => {
  const half = sectionBox(wide).width / 2;
  expect(sectionFit(wide, { width: half, height: 900 }, READABLE).least).toBe(19);
  expect(sectionFit(wide, { width: half / 4, height: 900 }, READABLE).least).toBe(26);
});
