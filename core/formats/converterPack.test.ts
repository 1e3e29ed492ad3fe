import { strToU8, unzipSync, zipSync } from 'fflate';
import { readFileSync } from 'node:fs';
import type { Converter } from '../converter';
import { rigOf, type Lesson } from '../lesson';
import { lessonHash, openValue, readPack, writePack } from './index';
import { demoFile } from '../tests/demoFile';

const lesson = demoFile<Lesson>('lessons/stator-and-launch');

test('a pack keeps each model of a lesson as a file of its own, and gives the same lesson back', () => {
  const bytes = writePack({ lesson, media: {} });
  const files = unzipSync(bytes);
  expect(Object.keys(files).sort()).toEqual([
    'converters/jetty-eleven.json',
    'engines/pilot-petrol.json',
    'lesson.json',
    'manifest.json',
    'units/skerry-three.json',
    'vehicles/yard-tractor.json',
  ]);
  const opened = readPack(bytes);
  if (!opened.ok) throw new Error(JSON.stringify(opened.failure));
  expect(opened.pack.lesson).toEqual(lesson);
  expect(lessonHash(opened.pack.lesson)).toBe(lessonHash(lesson));
  expect(
    rigOf(opened.pack.lesson, { converter: 'jetty-eleven', engine: 'pilot-petrol' }),
  ).not.toBeNull();
});

const repacked = (change: (files: Record<string, Uint8Array>) => void) => {
  const files = unzipSync(writePack({ lesson, media: {} }));
  change(files);
  return readPack(zipSync(files));
};

test('a converter that is wrong in a pack is named with its file and its row', () => {
  const table = demoFile<Converter>('converters/slipway-table');
  if (table.model.kind !== 'table') throw new Error('expected a table');
  table.model.rows[2]!.speedRatio = 0.05;
  const result = repacked((files) => {
    files['converters/slipway-table.json'] = strToU8(JSON.stringify(table));
  });
  expect(result).toMatchObject({
    ok: false,
    failure: {
      cause: 'pack-part',
      path: 'converters/slipway-table.json',
      failure: {
        cause: 'invalid',
        problems: [{ path: 'model.rows[2].speedRatio', code: 'must-rise' }],
      },
    },
  });
});

test('an engine in the converters’ folder is refused; so is any other folder', () => {
  const engine = readFileSync('demo/engines/pilot-petrol.json');
  const misplaced = repacked((files) => {
    files['converters/engine.json'] = new Uint8Array(engine);
  });
  expect(misplaced).toMatchObject({ ok: false, failure: { failure: { cause: 'wrong-kind' } } });
  const stray = repacked((files) => {
    files['motors/engine.json'] = new Uint8Array(engine);
  });
  expect(stray).toMatchObject({ ok: false, failure: { cause: 'pack-path' } });
});

test('what a schedule, a part load or a setting may not say is found at its path', () => {
  const vehicle = {
    ...demoFile<object>('vehicles/yard-tractor'),
    schedule: { light: 0.8, full: 0.2, hysteresis: 0.9, kickDown: 0.9 },
  };
  const problems = (value: unknown) => {
    const opened = openValue(value);
    return opened.ok || opened.failure.cause !== 'invalid'
      ? []
      : opened.failure.problems.map((p) => `${p.path} ${p.code}`).sort();
  };
  expect(problems(vehicle)).toEqual([
    'schedule.full full-above-light',
    'schedule.hysteresis too_big',
  ]);
  const upside = {
    ...vehicle,
    schedule: { light: 0.8, full: 0.2, hysteresis: 0.3, kickDown: 0.9 },
  };
  expect(problems(upside)).toEqual(['schedule.full full-above-light']);
  const engine = demoFile<{ rows: { speedRpm: number; torqueNm: number }[] }>(
    'engines/pilot-petrol',
  );
  const partLoad = [
    { throttle: 0.6, rows: engine.rows },
    { throttle: 0.3, rows: [...engine.rows].reverse() },
  ];
  const found = problems({ ...engine, partLoad });
  expect(found).toContain('partLoad[1].throttle must-rise');
  expect(found).toContain('partLoad[1].rows[1].speedRpm must-rise');
});
