import type { Unit } from '../../core/geartrain';
import { newBlock, type Lesson } from '../../core/lesson';
import { demoAll, demoFile, demoUnit } from '../../core/tests/demoFile';
import { carriedIn, carriedText, fromBase64, pageFor, pageWith, toBase64 } from './onePage';

const lesson = demoFile<Lesson>('lessons/hold-one-drive-one');
const PAGE = '<body><script type="application/json" id="lesson"></script><script>1</script></body>';

test('every demo lesson comes out of its page as it went in', () => {
  for (const one of demoAll<Lesson>('lessons')) {
    const page = pageWith(PAGE, { lesson: one, media: {} });
    const text = /id="lesson">(.*?)<\/script>/s.exec(page)![1]!;
    expect(carriedIn(text)).toEqual({ lesson: one, media: {} });
  }
});

test('nothing in a lesson ends its element or starts a script, and a dollar sign is one', () => {
  const hostile: Lesson = {
    ...lesson,
    title: 'A </script><script>alert(1)</script> $& $1 <!--',
  };
  const text = carriedText({ lesson: hostile, media: {} });
  expect(text).not.toContain('<');
  const page = pageWith(PAGE, { lesson: hostile, media: {} });
  expect(page.match(/<script/g)).toHaveLength(2);
  expect(carriedIn(text)!.lesson.title).toBe(hostile.title);
});

test('a page without a place, a page without a lesson, and one of a newer version', () => {
  expect(() => pageWith('<body></body>', { lesson, media: {} })).toThrow(/place/);
  expect(carriedIn('')).toBeNull();
  expect(carriedIn('{"lesson":{"format":"fair-sprocket/lesson","version":99}}')).toBeNull();
  expect(carriedIn(JSON.stringify({ lesson, media: { a: 1, b: 'AQ==' } }))!.media).toEqual({
    b: 'AQ==',
  });
});

test('pictures of any length go into text and back', () => {
  for (const length of [0, 1, 0x8000, 0x8001, 100_000]) {
    const bytes = Uint8Array.from({ length }, (_, k) => (k * 7) % 256);
    expect(fromBase64(toBase64(bytes))).toEqual(bytes);
  }
});

test('the light page takes what it can show, and nothing else', () => {
  expect(pageFor(lesson)).toBe('light');
  expect(pageFor(demoFile('lessons/follow-the-power'))).toBe('light');
  for (const file of ['why-it-multiplies', 'good-gears-bad-gears', 'set-it', 'draw-the-crossing'])
    expect([file, pageFor(demoFile(`lessons/${file}`))]).toEqual([file, 'full']);
  // A whole unit to drive is drawn without curves, but where two clutches cross.
  const driven = (unit: Unit): Lesson => ({
    ...lesson,
    units: [unit],
    steps: [{ id: 's', title: '', blocks: [newBlock('unit-bench', 'b', undefined, { unit })] }],
  });
  expect(pageFor(driven(demoUnit('quay-four')))).toBe('light');
  expect(pageFor(driven(demoUnit('winch-manual')))).toBe('light');
  expect(pageFor(driven(demoUnit('ferry-dual')))).toBe('full');
});
