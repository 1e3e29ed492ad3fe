import { readdirSync, readFileSync } from 'node:fs';

const sheets = readdirSync('web', { recursive: true, encoding: 'utf8' })
  .filter((f) => f.endsWith('.css'))
  .map((file) => ({
    file,
    text: readFileSync(`web/${file}`, 'utf8').replace(/\/\*[\s\S]*?\*\//g, ''),
  }));

test('every colour is named once, in the theme', () => {
  for (const { file, text } of sheets) {
    if (file === 'app/theme.css') continue;
    expect([file, text.match(/#[0-9a-f]{3,8}\b|\brgba?\(|\bhsla?\(/gi) ?? []]).toEqual([file, []]);
  }
});

test('text has the sizes of the scale; a drawing in its own units may have its own', () => {
  for (const { file, text } of sheets) {
    const odd = [...text.matchAll(/font-size: ([^;]+);/g)]
      .map((m) => m[1]!)
      .filter(
        (size) =>
          !/^(var\(--text-[a-z0-9]+\)|[\d.]+em|0|clamp\(.*\)|[1-9]\.\dpx)$/.test(
            // Never smaller on the screen than can be read.
            size.replace(/^max\((.+), var\(--least\)\)$/, '$1'),
          ),
      );
    expect([file, odd]).toEqual([file, []]);
  }
});

test('a class is laid out in one file; others may only place it within what is theirs', () => {
  const owners = new Map<string, Set<string>>();
  for (const { file, text } of sheets)
    for (const [, selectors] of text.matchAll(/([^{}]+)\{/g))
      for (const selector of selectors!.split(',')) {
        // A class that stands alone, with no more than a state.
        const alone = /^\s*\.([a-zA-Z][\w-]*)(\[[^\]]*\]|:[\w-]+(\([^)]*\))?)*\s*$/.exec(selector);
        if (alone) owners.set(alone[1]!, (owners.get(alone[1]!) ?? new Set()).add(file));
      }
  const shared = [...owners].filter(([, files]) => files.size > 1);
  expect(shared.map(([name, files]) => [name, ...files])).toEqual([]);
});

test('a rule stands once in its file', () => {
  for (const { file, text } of sheets) {
    // Blocks within a media query are rules of their own.
    const flat = text.replace(
      /@(media|supports|container)[^{]*\{(?:[^{}]*\{[^{}]*\})*[^{}]*\}/g,
      '',
    );
    const selectors = [...flat.matchAll(/([^{}]+)\{/g)].map((m) =>
      m[1]!.trim().replace(/\s+/g, ' '),
    );
    const twice = selectors.filter((s, k) => selectors.indexOf(s) < k && !s.startsWith('@'));
    expect([file, twice]).toEqual([file, []]);
  }
});
