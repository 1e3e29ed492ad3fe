import { unitFindings, type Unit } from './index';
import { members, simpson, UNNAMED } from './tests/textbookUnits';

const sound: Unit = {
  ...simpson(33, 75),
  ranges: [
    { id: 'D1', lever: 'D', gear: '1', apply: ['C1'] },
    { id: 'D2', lever: 'D', gear: '2', apply: ['C1', 'B1'] },
    { id: 'D3', lever: 'D', gear: '3', apply: ['C1', 'C2'] },
    { id: 'R', lever: 'R', gear: 'R', apply: ['C2', 'B2'] },
    { id: 'N', lever: 'N', gear: 'N', apply: [] },
  ],
};
const codes = (unit: Unit) => unitFindings(unit).map((f) => `${f.code} ${f.path}`);

test('a sound unit has no findings', () => {
  expect(unitFindings(sound)).toEqual([]);
});

test('each oddity is found where it stands', () => {
  const lone = { ...sound, members: [...sound.members, { id: 'x', name: 'Lone' }] };
  expect(codes(lone)).toEqual(['member-untied members[5]']);
  const free = { ...sound, output: 'x', members: lone.members };
  expect(codes(free)).toContain('output-untied members[5]');
  const ranges = [
    ...sound.ranges,
    { id: 'X', lever: 'D', gear: '9', apply: ['C1', 'B1', 'B2'] },
    { id: 'Y', lever: 'D', gear: '2', apply: ['B1', 'C1'] },
    { id: 'Z', lever: 'D', gear: '0', apply: [] },
  ];
  expect(codes({ ...sound, ranges })).toEqual([
    'range-binds ranges[5].apply',
    'ranges-alike ranges[6]',
    'range-named-twice ranges[6]',
    'range-does-nothing ranges[7].apply',
  ]);
  expect(codes({ ...sound, ranges: sound.ranges.slice(0, 1) })).toEqual([
    'element-unused elements[1]',
    'element-unused elements[2]',
    'element-unused elements[3]',
  ]);
  const [first, second] = sound.gearsets as [Unit['gearsets'][number], Unit['gearsets'][number]];
  const odd = { ...first, teeth: { sun: 33, pinion: 20, ring: 75 } } as Unit['gearsets'][number];
  expect(codes({ ...sound, gearsets: [odd, second] })).toEqual(['teeth gearsets[0].teeth.ring']);
  const twice = { ...second, carrier: 'out' } as Unit['gearsets'][number];
  expect(codes({ ...sound, gearsets: [first, twice] })).toContain('port-twice gearsets[1].carrier');
});

test('park may hold the output; nothing else may', () => {
  const elements: Unit['elements'] = [
    ...sound.elements,
    { id: 'PP', name: 'Pawl', kind: 'dog', between: ['out', 'case'] },
  ];
  const at = (lever: string) =>
    codes({
      ...sound,
      elements,
      ranges: [...sound.ranges, { id: 'P', lever, gear: 'P', apply: ['PP'] }],
    });
  expect(at('P')).toEqual([]);
  expect(at('L')).toEqual(['range-binds ranges[5].apply']);
});

test('gear sets that contradict each other are wrong, and pairs of uneven centre distance odd', () => {
  const pair = (id: string, first: number, second: number) => ({
    id,
    kind: 'mesh' as const,
    first: 'a',
    second: 'b',
    teeth: { first, second },
  });
  const unit: Unit = {
    ...UNNAMED,
    id: 'two-pairs',
    members: members('a', 'b'),
    input: 'a',
    output: 'b',
    gearsets: [pair('G1', 20, 40), pair('G2', 25, 35)],
    elements: [],
  };
  expect(unitFindings(unit)).toEqual([
    { code: 'sets-contradict', path: 'gearsets', values: { outcome: 'tied-up' }, weight: 'wrong' },
  ]);
  const uneven = { ...unit, gearsets: [pair('G1', 20, 40), pair('G2', 20, 44)] };
  expect(codes(uneven)).toContain('centre-distance gearsets[1].teeth');
});
