// Printed by the build: JavaScript that each screen's first load takes, compressed as the server sends it.
import { existsSync, readdirSync, readFileSync, statSync } from 'node:fs';

const manifest = JSON.parse(readFileSync('dist/web/.vite/manifest.json', 'utf8'));
const sizes = new Map();

function closure(key, seen) {
  const chunk = manifest[key];
  if (!chunk || seen.has(chunk.file)) return seen;
  seen.add(chunk.file);
  for (const next of chunk.imports ?? []) closure(next, seen);
  return seen;
}

function kilobytes(...keys) {
  const files = new Set();
  for (const key of keys) closure(key, files);
  let bytes = 0;
  for (const file of files) {
    const sent = `dist/web/${file}.br`;
    if (!sizes.has(file))
      sizes.set(file, statSync(existsSync(sent) ? sent : `dist/web/${file}`).size);
    bytes += sizes.get(file);
  }
  return Math.round(bytes / 1000);
}

const player = ['lessons/player/PlayerScreen.tsx', 'shared/Markdown.tsx'];
const screens = {
  home: [],
  player: [...player, 'lessons/families/gear-set/Stage.tsx'],
  'player, unit': [...player, 'lessons/families/unit/Stage.tsx'],
  'player, converter': [...player, 'lessons/families/converter/Stage.tsx'],
  'player, clutch': [...player, 'lessons/families/clutch/Stage.tsx'],
  'player, fault': [...player, 'lessons/families/fault/Stage.tsx'],
  'ratio bench': ['ratio/RatioBench.tsx'],
  'lesson library': ['lessons/library/LessonLibrary.tsx'],
  builder: ['lessons/builder/BuilderScreen.tsx'],
  'class book': ['classBook/ClassBookScreen.tsx'],
};
// Every screen but the first also needs its words.
const WORDS = [
  'app/words/en.json',
  'app/words/bench.en.json',
  'app/words/strip.en.json',
  'app/words/teach.en.json',
];
const wordsOf = (name) =>
  /^player(, unit)?$/.test(name)
    ? WORDS.slice(0, 1)
    : name.startsWith('player')
      ? WORDS.slice(0, 2)
      : WORDS;
for (const [name, keys] of Object.entries(screens))
  console.log(
    `first load, ${name}: ${kilobytes('index.html', ...keys, ...(name === 'home' ? [] : wordsOf(name)))} kB of compressed JavaScript`,
  );
// What checks stored documents is fetched beside every page, by a worker of its own.
const worker = readdirSync('dist/web/assets').find((f) => /^documents\.worker-.*\.js$/.test(f));
console.log(
  `beside it, the store of documents: ${Math.round(statSync(`dist/web/assets/${worker}.br`).size / 1000)} kB`,
);
