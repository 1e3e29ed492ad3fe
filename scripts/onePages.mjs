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
  copyFileSync(file, `dist/web/one-page-${name}.html`);
  const kilobytes = Math.round(gzipSync(readFileSync(file), { level: 9 }).length / 1000);
  console.log(`one page, ${name}: ${kilobytes} kB compressed, without its lesson`);
}
