import { readdirSync, readFileSync } from 'node:fs';
import { QUESTION_KINDS } from '../../../core/lesson';

const FOLDER = 'web/public/examples';

test('every kind of question has its picture on both papers, and no picture is of another', () => {
  const wanted = QUESTION_KINDS.flatMap((kind) => [`${kind}-day.webp`, `${kind}-night.webp`]);
  expect(readdirSync(FOLDER).toSorted()).toEqual(wanted.toSorted());
  for (const file of wanted) {
    const bytes = readFileSync(`${FOLDER}/${file}`);
    // A whole WebP says its own length (RIFF container; published).
    expect([file, bytes.toString('latin1', 0, 4), bytes.toString('latin1', 8, 12)]).toEqual([
      file,
      'RIFF',
      'WEBP',
    ]);
    expect(bytes.readUInt32LE(4) + 8).toBe(bytes.length);
    // Pictures of a list are small.
    expect(bytes.length).toBeLessThan(20_000);
  }
});
