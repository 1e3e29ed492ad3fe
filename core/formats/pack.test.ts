import { strToU8, zipSync } from 'fflate';
import CRC32 from 'crc-32';
import { type Lesson } from '../lesson';
import { acceptPicture, openFile, readPack, writePack } from './index';
import { sampleLesson as lesson } from './tests/sampleLesson';

const PNG = new Uint8Array([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a, 1, 2, 3]);

const MEGABYTE = 1024 * 1024;

describe('packs', () => {
  const picture = acceptPicture(PNG);
  const media = picture.ok ? { [picture.path]: PNG } : {};
  const withPicture = (): Lesson => {
    const l = lesson();
    l.steps[0]!.blocks[2] = {
      id: 'p',
      kind: 'picture',
      media: Object.keys(media)[0]!,
      alt: 'A gear',
      caption: '',
    };
    return l;
  };
  const failure = (files: Record<string, Uint8Array>) => {
    const r = readPack(zipSync(files));
    return r.ok ? 'opened' : r.failure.cause;
  };
  const json = (value: unknown) => strToU8(JSON.stringify(value));
  const manifest = json({
    format: 'fair-sprocket/pack',
    version: 1,
    lesson: { id: 'lesson-1', title: 'Lesson' },
    files: [],
  });
  const good = { 'manifest.json': manifest, 'lesson.json': json(lesson()) };

  test('a pack reads back as it was written, byte for byte the same each time', () => {
    const bytes = writePack({ lesson: withPicture(), media });
    expect(readPack(bytes)).toEqual({ ok: true, pack: { lesson: withPicture(), media } });
    expect(writePack({ lesson: withPicture(), media })).toEqual(bytes);
    // As a file of which nobody has said what it is.
    expect(openFile(bytes)).toEqual({
      ok: true,
      file: { kind: 'lesson', pack: { lesson: withPicture(), media } },
    });
    expect(openFile(bytes.slice(0, -30))).toMatchObject({ failure: { cause: 'pack-damaged' } });
    expect(() => writePack({ lesson: withPicture(), media: {} })).toThrow(/picture/);
  });

  test('each way a pack can be wrong has its own cause', () => {
    expect(failure(good)).toBe('opened');
    expect(failure({ 'lesson.json': json(lesson()) })).toBe('pack-missing');
    expect(failure({ ...good, '../outside.json': json({}) })).toBe('pack-path');
    expect(failure({ ...good, '/etc/passwd': json({}) })).toBe('pack-path');
    expect(failure({ ...good, 'media\\..\\x.png': PNG })).toBe('pack-path');
    expect(failure({ ...good, 'media/x.png': strToU8('<svg onload=alert(1)>') })).toBe(
      'pack-picture',
    );
    expect(failure({ ...good, 'lesson.json': strToU8('{') })).toBe('pack-part');
    expect(failure({ 'manifest.json': manifest, 'lesson.json': json(withPicture()) })).toBe(
      'pack-missing',
    );
    const bytes = zipSync(good);
    const damaged = readPack(bytes.slice(0, bytes.length - 30));
    expect(damaged).toMatchObject({ failure: { cause: 'pack-damaged' } });
    // Two entries of one name: whose is it?
    const named = Buffer.from(zipSync({ ...good, 'media/one.png': PNG, 'media/two.png': json(0) }));
    const twice = Buffer.from(named.toString('latin1').replaceAll('two.png', 'one.png'), 'latin1');
    expect(readPack(new Uint8Array(twice))).toMatchObject({ failure: { cause: 'pack-damaged' } });
    const many = Object.fromEntries(Array.from({ length: 500 }, (_, k) => [`media/${k}.png`, PNG]));
    expect(failure({ ...good, ...many })).toBe('pack-too-many');
  });

  test('an archive that would unpack to gigabytes is refused before it is unpacked', () => {
    /** An entry of a megabyte whose size is stated otherwise, in both headers. */
    const stating = (size: number) => {
      const bytes = zipSync({ ...good, 'media/huge.png': new Uint8Array(MEGABYTE) }, { level: 1 });
      const view = new DataView(bytes.buffer);
      for (let k = 0; k < bytes.length - 4; k++)
        if (view.getUint32(k, true) === MEGABYTE) view.setUint32(k, size, true);
      return bytes;
    };
    expect(readPack(stating(70 * MEGABYTE))).toMatchObject({
      failure: { cause: 'pack-too-large' },
    });
    // It never grows past what it states, and never falls short of it.
    for (const size of [100, MEGABYTE - 1, MEGABYTE + 1])
      expect(readPack(stating(size))).toMatchObject({ failure: { cause: 'pack-damaged' } });
    expect(readPack(stating(MEGABYTE))).toMatchObject({ failure: { cause: 'pack-picture' } });
  });

  test('whatever byte of its content is changed, the pack is refused', () => {
    const bytes = writePack({ lesson: lesson(), media: {} });
    const view = new DataView(bytes.buffer);
    // Bytes of the entries, not those of the directory at the end.
    const directory = view.getUint32(bytes.length - 6, true);
    let taken = 0;
    for (let k = 30; k < directory; k += 3) {
      const changed = bytes.slice();
      changed[k] = changed[k]! ^ 0x40;
      const opened = readPack(changed);
      if (opened.ok && JSON.stringify(opened.pack.lesson) !== JSON.stringify(lesson())) taken++;
    }
    expect(taken).toBe(0);
    const text = new TextDecoder('latin1').decode(bytes);
    const stored = zipSync({
      ...good,
      'lesson.json': [good['lesson.json'], { level: 0 }],
    } as never);
    const at = new TextDecoder('latin1').decode(stored).indexOf('"title"') + 10;
    stored[at] = stored[at]! ^ 1;
    expect(text.length).toBeGreaterThan(100);
    expect(readPack(stored)).toMatchObject({
      failure: { cause: 'pack-changed', path: 'lesson.json' },
    });
  });

  test('an archive whose entries share one heap of data is refused by its directory, at once', () => {
    // Each entry of the directory states 50 MB of the same packed data: hundreds of kilobytes for gigabytes.
    const one = zipSync({ 'media/a.png': new Uint8Array(MEGABYTE) }, { level: 1 });
    const view = new DataView(one.buffer);
    const directory = view.getUint32(one.length - 6, true);
    view.setUint32(directory + 24, 50 * MEGABYTE, true);
    const entry = one.slice(directory, one.length - 22);
    const copies = Array.from({ length: 300 }, (_v, k) => {
      const copy = entry.slice();
      copy.set(strToU8(`media/${String.fromCharCode(97 + (k % 26))}.png`), 46);
      return copy;
    });
    const bomb = new Uint8Array(directory + entry.length * copies.length + 22);
    bomb.set(one.subarray(0, directory));
    copies.forEach((copy, k) => bomb.set(copy, directory + k * entry.length));
    bomb.set(one.subarray(one.length - 22), bomb.length - 22);
    new DataView(bomb.buffer).setUint16(bomb.length - 12, copies.length, true);
    const refused = readPack(bomb);
    expect(refused.ok).toBe(false);
    const few = bomb.slice();
    new DataView(few.buffer).setUint16(few.length - 12, 20, true);
    expect(readPack(few)).toMatchObject({
      failure: { cause: 'pack-too-large', bytes: 20 * 50 * MEGABYTE },
    });
  });

  test('a password, a name that is empty', () => {
    const locked = zipSync(good);
    const view = new DataView(locked.buffer);
    const directory = view.getUint32(locked.length - 6, true);
    view.setUint16(directory + 8, 1, true);
    expect(readPack(locked)).toMatchObject({ failure: { cause: 'pack-encrypted' } });
    const nameless = zipSync({ '': strToU8('x') });
    expect(readPack(nameless)).toMatchObject({ failure: { cause: 'pack-path', path: '' } });
  });

  // The check value of CRC-32 (published: ISO 3309, and every catalogue of CRCs).
  test('the sum that guards an entry is that of the standard', () => {
    expect(CRC32.bstr('123456789') >>> 0).toBe(0xcbf43926);
  });
});

test('pictures are told by their bytes, not by their name', () => {
  expect(acceptPicture(PNG)).toMatchObject({ ok: true, kind: 'png' });
  expect(acceptPicture(strToU8('<svg></svg>'))).toMatchObject({
    ok: false,
    cause: 'not-a-picture',
  });
  expect(acceptPicture(new Uint8Array(7 * 1024 * 1024))).toMatchObject({
    cause: 'picture-too-large',
  });
});
