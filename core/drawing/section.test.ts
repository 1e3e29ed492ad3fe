import type { Unit } from '../geartrain';
import { randomUnit } from '../geartrain/tests/randomUnit';
import { randomFromSeed } from '../numerics';
import { sectionDrawing, type SectionDrawing, type SectionLine } from './index';
import { labelBox, overlapping, signBox } from './sectionLabels';
import { demoAll } from '../tests/demoFile';

const demo = demoAll<Unit>('units');
const random = Array.from({ length: 25 }, (_, k) => ({
  ...randomUnit(randomFromSeed(`section-${k}`)),
  id: `section-${k}`,
}));

const drawn = new Map<Unit, SectionDrawing>();
function draw(unit: Unit): SectionDrawing {
  const known = drawn.get(unit) ?? sectionDrawing(unit);
  drawn.set(unit, known);
  return known;
}

/** Two lines run along one another for more than a touch. */
function overlaps(a: SectionLine, b: SectionLine): boolean {
  const span = (p: number, q: number) => [Math.min(p, q), Math.max(p, q)] as const;
  const common = (p: readonly [number, number], q: readonly [number, number]) =>
    Math.min(p[1], q[1]) - Math.max(p[0], q[0]);
  if (a.y1 === a.y2 && b.y1 === b.y2 && Math.abs(a.y1 - b.y1) < 2)
    return common(span(a.x1, a.x2), span(b.x1, b.x2)) > 0.5;
  if (a.x1 === a.x2 && b.x1 === b.x2 && Math.abs(a.x1 - b.x1) < 2)
    return common(span(a.y1, a.y2), span(b.y1, b.y2)) > 0.5;
  return false;
}

const clashes = ({ lines }: SectionDrawing) =>
  lines.flatMap((a, i) =>
    lines
      .slice(i + 1)
      .filter((b) => a.member !== b.member && overlaps(a, b))
      .map((b) => [a, b]),
  );

test.each([...demo, ...random].map((unit): [string, Unit] => [unit.id, unit]))(
  'no member runs along another, all within bounds: %s',
  (_id, unit) => {
    const drawing = draw(unit);
    expect(clashes(drawing)).toEqual([]);
    const { width, caseY, centreY } = drawing;
    const within = (x: number, y: number) => x >= 0 && x <= width && y >= caseY && y <= centreY;
    const outside = ({ x1, y1, x2, y2 }: SectionLine) => !within(x1, y1) || !within(x2, y2);
    expect(drawing.lines.filter(outside)).toEqual([]);
    expect(drawing.elements.map((e) => e.id).sort()).toEqual(unit.elements.map((e) => e.id).sort());
  },
);

test('every member is one connected line', () => {
  for (const unit of demo) {
    const { lines, gears } = draw(unit);
    for (const { id } of unit.members) {
      const own = lines.filter((l) => l.member === id);
      const boxes = gears.filter((g) => g.member === id);
      const touch = (a: SectionLine, b: SectionLine) => meets(a, b) || meets(b, a);
      const groups = own.map((_, k) => k);
      const merge = (i: number, j: number) => {
        const [from, to] = [groups[j]!, groups[i]!];
        groups.forEach((g, k) => {
          if (g === from) groups[k] = to;
        });
      };
      own.forEach((a, i) => own.forEach((b, j) => touch(a, b) && merge(i, j)));
      // Lines that end at the two sides of one gear are joined by it.
      for (const box of boxes) {
        const at = own.flatMap((l, k) => (nearBox(l, box) ? [k] : []));
        at.slice(1).forEach((k) => merge(at[0]!, k));
      }
      expect([unit.id, id, new Set(groups).size]).toEqual([unit.id, id, 1]);
    }
  }
});

/** An end of `a` lies on `b`. */
function meets(a: SectionLine, b: SectionLine): boolean {
  const on = (x: number, y: number) =>
    x >= Math.min(b.x1, b.x2) - 0.1 &&
    x <= Math.max(b.x1, b.x2) + 0.1 &&
    y >= Math.min(b.y1, b.y2) - 0.1 &&
    y <= Math.max(b.y1, b.y2) + 0.1;
  return on(a.x1, a.y1) || on(a.x2, a.y2);
}

const nearBox = (
  l: SectionLine,
  g: { x: number; y: number; width: number; height: number },
): boolean =>
  [
    [l.x1, l.y1],
    [l.x2, l.y2],
  ].some(
    ([x, y]) =>
      x! >= g.x - 1 && x! <= g.x + g.width + 1 && y! >= g.y - 1 && y! <= g.y + g.height + 1,
  );

// Facts of the trade (common practice, no source): these arrangements are built coaxially, so they can be
// drawn without a crossing.
test.each(['skerry-three', 'quay-four', 'capstan-five', 'lighter-six'])(
  '%s has no crossing',
  (id) => {
    expect(draw(demo.find((u) => u.id === id)!).crossings).toBe(0);
  },
);

test('the same unit is always drawn the same, and its ranges change nothing', () => {
  const unit = demo.find((u) => u.id === 'quay-four')!;
  expect(sectionDrawing(unit)).toEqual(sectionDrawing(structuredClone(unit)));
  expect(sectionDrawing({ ...unit, ranges: [] })).toEqual(sectionDrawing(unit));
});

test('no id runs into another id, a sign or a gear', () => {
  for (const unit of demo) {
    const { elements, gears, caseY } = draw(unit);
    const around = [
      ...elements.flatMap((e) => [
        { of: e.id, name: `the id of ${e.id}`, box: labelBox(e) },
        { of: e.id, name: `the sign of ${e.id}`, box: signBox(e, caseY) },
      ]),
      ...gears.map((g) => ({
        of: null,
        name: `a gear of ${g.set}`,
        box: { x1: g.x, y1: g.y, x2: g.x + g.width, y2: g.y + g.height },
      })),
    ];
    const clash = elements.flatMap((e) =>
      around
        .filter(({ of, box }) => of !== e.id && overlapping(labelBox(e), box))
        .map(({ name }) => `${e.id} runs into ${name}`),
    );
    expect([unit.id, clash]).toEqual([unit.id, []]);
  }
});

test('nobody else’s line runs up through a sign, however near the lines stand', () => {
  for (const unit of [...demo, ...random]) {
    const { elements, lines, caseY } = draw(unit);
    const clash = elements.flatMap((e) => {
      const own: readonly string[] = unit.elements.find((x) => x.id === e.id)!.between;
      const { x1, x2, y1, y2 } = signBox(e, caseY);
      return lines
        .filter((l) => l.x1 === l.x2 && !own.includes(l.member) && l.x1 > x1 && l.x1 < x2)
        .filter((l) => Math.min(l.y1, l.y2) < y2 && Math.max(l.y1, l.y2) > y1)
        .map((l) => `${l.member} through ${e.id}`);
    });
    expect([unit.id, clash]).toEqual([unit.id, []]);
  }
});

// By hand: a clutch between two lines needs room for its sign, two bare lines only to be told apart.
test('lines that nothing stands at stand close, those with a sign between them do not', () => {
  const { lines, elements } = draw(demo.find((u) => u.id === 'ferry-dual')!);
  const uprights = [...new Set(lines.filter((l) => l.x1 === l.x2).map((l) => l.x1))];
  const sorted = uprights.sort((a, b) => a - b);
  const gaps = sorted.slice(1).map((x, k) => ({ from: sorted[k]!, to: x }));
  const held = gaps.filter((g) => elements.some((e) => e.x > g.from && e.x < g.to));
  expect(Math.min(...held.map((g) => g.to - g.from))).toBeGreaterThan(50);
  expect(Math.min(...gaps.map((g) => g.to - g.from))).toBeLessThan(40);
});

/** Sets from left to right. */
const columns = ({ gears }: SectionDrawing) =>
  [...gears].sort((a, b) => a.x - b.x).map((g) => `${g.set} ${g.port}`);

// An instructor who adds one part must find the drawing as it was.
test.each(['skerry-three', 'quay-four', 'capstan-five'])(
  'one more part leaves the gear sets where they stand: %s',
  (id) => {
    const unit = demo.find((u) => u.id === id)!;
    const before = columns(draw(unit));
    for (const member of unit.members) {
      const kind = 'brake' as const;
      const more = { id: 'X9', name: '', kind, between: [member.id, 'case'] as [string, string] };
      const changed = { ...unit, elements: [...unit.elements, more] };
      const after = sectionDrawing(changed, draw(unit).columns);
      expect([id, member.id, columns(after)]).toEqual([id, member.id, before]);
    }
    const named = { ...unit, members: [...unit.members, { id: 'spare', name: 'Spare' }] };
    expect(columns(sectionDrawing(named, draw(unit).columns))).toEqual(before);
    const set = {
      id: 'P9',
      kind: 'single-pinion' as const,
      sun: unit.input,
      carrier: 'spare',
      ring: 'spare2',
      teeth: { sun: 30, pinion: 20, ring: 70 },
    };
    const wider = {
      ...named,
      members: [...named.members, { id: 'spare2', name: 'Spare' }],
      gearsets: [...unit.gearsets, set],
    };
    const drawnWider = sectionDrawing(wider, draw(unit).columns);
    expect(drawnWider.columns.filter((c) => c !== 'P9')).toEqual(draw(unit).columns);
  },
);

// The first drawing is there at once, and the search only ever takes crossings away.
test('a first plan is drawn without searching, and the best has no more crossings', () => {
  for (const unit of demo) {
    const first = sectionDrawing(unit, [], 'first');
    expect(first.elements.map((e) => e.id).sort()).toEqual(unit.elements.map((e) => e.id).sort());
    expect(draw(unit).crossings).toBeLessThanOrEqual(first.crossings);
  }
});
