// Builds the two pages that play by themselves and puts them beside the application, where an export takes them from:
// `light` for lessons about gear sets and whole units, `full` for every lesson.
import { spawn } from 'node:child_process';
import { copyFileSync, readFileSync } from 'node:fs';
import { gzipSync } from 'node:zlib';

const PAGES = { light: 'dist/light/index.html', full: 'dist/single/index.html' };

const build = (name) =>
  new Promise((done, fail) => {
    const vite = spawn(
      process.execPath,
      [
        'node_modules/vite/bin/vite.js',
        'build',
        '--config',
        'vite.single.config.ts',
        '--logLevel',
        'warn',
      ],
      { stdio: ['ignore', 'ignore', 'inherit'], env: { ...process.env, SINGLE: name } },
    );
    vite.on('error', fail);
    vite.on('exit', (code) => (code === 0 ? done() : fail(new Error(`onePages: ${name} failed`))));
  });

await Promise.all(Object.keys(PAGES).map(build));
for (const [name, file] of Object.entries(PAGES)) {
  // Words that were left out and are asked for all the same would show their keys.
  const page = readFileSync(file, 'utf8');
  const config = readFileSync('vite.single.config.ts', 'utf8');
  const [, listed] = /const NO_SCREENS = new Set\(\s*'([^']*)'/.exec(config);
  const keysOf = (file) => Object.keys(JSON.parse(readFileSync(`web/app/words/${file}`)));
  const of = (part) => keysOf(`${part}.en.json`);
  const there = keysOf('en.json');
  // What stands in a part that is there, too, is left out only for what this page does not have.
  const left = (part) => of(part).filter((key) => !there.includes(key));
  const silent = [
    ...listed.split(' '),
    ...left('teach'),
    ...(name === 'light' ? left('bench') : []),
  ];
  const asked = silent.filter((key) => new RegExp(`[\`'"]${key}\\.[a-zA-Z$]`).test(page));
  if (asked.length > 0)
    throw new Error(`onePages: ${name} asks for words it has not: ${asked.join(', ')}`);
  copyFileSync(file, `dist/web/one-page-${name}.html`);
  const kilobytes = Math.round(gzipSync(readFileSync(file), { level: 9 }).length / 1000);
  console.log(`one page, ${name}: ${kilobytes} kB compressed, without its lesson`);
}
