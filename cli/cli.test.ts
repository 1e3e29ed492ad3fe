import { spawnSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';

const run = (script: string, ...args: string[]) => {
  const r = spawnSync(process.execPath, ['--import', 'tsx', `cli/${script}.ts`, ...args], {
    encoding: 'utf8',
  });
  return { code: r.status, out: r.stdout, err: r.stderr };
};

test('check: good files pass, a bad one is named with its path and what would be right', () => {
  expect(
    run(
      'check',
      'demo/lessons/name-the-parts.json',
      'demo/units/skerry-three.json',
      'demo/attempts/demo-1.json',
    ).code,
  ).toBe(0);
  const bad = path.join(mkdtempSync(path.join(tmpdir(), 'check-')), 'bad.json');
  writeFileSync(bad, '{"format":"fair-sprocket/unit","version":1,"id":"u","name":"U"}');
  const result = run('check', bad);
  expect(result.code).toBe(1);
  expect(result.err).toContain('members: invalid_type (expected array)');
  expect(run('check', 'no/such/file.json').code).toBe(1);
}, 30_000);

test('inspect: ranges of the demo unit, drive and coast', () => {
  const { code, out } = run('inspect', 'demo/units/skerry-three.json');
  expect(code).toBe(0);
  const { ranges } = JSON.parse(out) as {
    ranges: {
      id: string;
      ratioExact: string | null;
      coast: object;
      elements: Record<string, { state: string }>;
    }[];
  };
  const of = (id: string) => ranges.find((r) => r.id === id)!;
  expect(of('D1').ratioExact).toBe('61/25');
  expect(of('D1').elements['F1']?.state).toBe('holding');
  expect(of('D1').coast).toEqual({ outcome: 'overruns', engineBraking: false });
  expect(of('L1').coast).toEqual({ outcome: 'drives', engineBraking: true });
  expect(of('N').ratioExact).toBeNull();
}, 30_000);
