import { checkTeeth } from './toothConditions';
import { centreTeeth, pairsByShafts } from './shafts';
import { loosePairs, sleeveClashes } from './sleeves';
import { solveUnit, type Outcome } from './solve';
import { portsOf, type Unit } from './unit';

/**
 * What is odd about a unit that can be read: nothing here stops a file from opening. Every finding says where
 * (a path in the document) and with which values; the words come from the catalogue.
 */
export type UnitFindingCode =
  | 'member-untied'
  | 'input-untied'
  | 'output-untied'
  | 'port-twice'
  | 'sets-contradict'
  | 'teeth'
  | 'centre-distance'
  | 'element-unused'
  | 'range-binds'
  | 'range-does-nothing'
  | 'ranges-alike'
  | 'range-named-twice'
  | 'both-sides'
  | 'interlocked'
  | 'no-interlock';

export interface UnitFinding {
  readonly code: UnitFindingCode;
  /** Such as `members[2]` or `ranges[0].apply`. */
  readonly path: string;
  readonly values: Readonly<Record<string, string | number>>;
  /** `wrong`: no unit like this can turn. `odd`: it can, and may be meant. */
  readonly weight: 'wrong' | 'odd';
}

/** All findings. The unit must satisfy its schema. */
export function unitFindings(unit: Unit): UnitFinding[] {
  const structure = [
    ...memberFindings(unit),
    ...setFindings(unit),
    ...shaftFindings(unit),
    ...elementFindings(unit),
  ];
  const still = { ...unit, elements: [] };
  const bare = solveUnit(still, []).outcome;
  if (bare === 'tied-up' || bare === 'input-held' || bare === 'output-held')
    return [...structure, finding('sets-contradict', 'gearsets', { outcome: bare }, 'wrong')];
  return [...structure, ...rangeFindings(unit), ...sleeveFindings(unit)];
}

const finding = (
  code: UnitFindingCode,
  path: string,
  values: UnitFinding['values'] = {},
  weight: UnitFinding['weight'] = 'odd',
): UnitFinding => ({ code, path, values, weight });

function memberFindings(unit: Unit): UnitFinding[] {
  const tied = new Set([
    ...unit.gearsets.flatMap((set) => portsOf(set).map((p) => p.member)),
    ...unit.elements.flatMap((e) => e.between),
  ]);
  return unit.members.flatMap(({ id, name }, k) => {
    if (tied.has(id)) return [];
    const code =
      id === unit.input ? 'input-untied' : id === unit.output ? 'output-untied' : 'member-untied';
    return [finding(code, `members[${k}]`, { member: name || id })];
  });
}

function setFindings(unit: Unit): UnitFinding[] {
  return unit.gearsets.flatMap((set, k) => {
    const ports = portsOf(set);
    const twice = ports.find((p, i) => ports.findIndex((q) => q.member === p.member) !== i);
    const findings = twice
      ? [finding('port-twice', `gearsets[${k}].${twice.port}`, { set: set.id })]
      : [];
    if (set.kind === 'mesh') return findings;
    const teeth = checkTeeth(set).map(({ code, path, values }) =>
      finding('teeth', `gearsets[${k}].${path}`, { ...values, set: set.id, condition: code }),
    );
    return [...findings, ...teeth];
  });
}

/** Pairs between the same shafts whose gears would not all mesh at one distance. */
const shaftFindings = (unit: Unit): UnitFinding[] =>
  pairsByShafts(unit).flatMap(({ pairs }) => {
    const first = pairs[0]!;
    return pairs
      .filter((pair) => centreTeeth(pair) !== centreTeeth(first))
      .map((pair) =>
        finding('centre-distance', `gearsets[${unit.gearsets.indexOf(pair)}].teeth`, {
          set: pair.id,
          sum: centreTeeth(pair),
          other: first.id,
          needed: centreTeeth(first),
        }),
      );
  });

const elementFindings = (unit: Unit): UnitFinding[] =>
  unit.elements.flatMap(({ id, kind }, k) =>
    kind === 'one-way' || unit.ranges.length === 0 || unit.ranges.some((r) => r.apply.includes(id))
      ? []
      : [finding('element-unused', `elements[${k}]`, { element: id })],
  );

const BINDS: readonly Outcome[] = ['tied-up', 'input-held', 'output-held'];

/** A lever place that is meant to hold the output, and one that is meant to do nothing. */
const isPark = (lever: string): boolean => lever.trim().toUpperCase() === 'P';
const isNeutral = (lever: string): boolean => lever.trim().toUpperCase() === 'N' || isPark(lever);

function rangeFindings(unit: Unit): UnitFinding[] {
  const sameSet = (a: readonly string[], b: readonly string[]) =>
    a.length === b.length && a.every((id) => b.includes(id));
  return unit.ranges.flatMap((range, k) => {
    const findings: UnitFinding[] = [];
    const path = `ranges[${k}]`;
    const { outcome } = solveUnit(unit, range.apply);
    const values = { range: range.id, outcome };
    if (BINDS.includes(outcome) && !(isPark(range.lever) && outcome === 'output-held'))
      findings.push(finding('range-binds', `${path}.apply`, values));
    if (outcome === 'neutral' && !isNeutral(range.lever))
      findings.push(finding('range-does-nothing', `${path}.apply`, values));
    const before = unit.ranges.slice(0, k);
    const alike = before.find((r) => r.lever === range.lever && sameSet(r.apply, range.apply));
    if (alike) findings.push(finding('ranges-alike', path, { ...values, other: alike.id }));
    const named = before.find((r) => r.lever === range.lever && r.gear === range.gear);
    if (named) findings.push(finding('range-named-twice', path, { ...values, other: named.id }));
    return findings;
  });
}

/** Rows that no lever can set, and sleeves that nothing keeps apart. */
const sleeveFindings = (unit: Unit): UnitFinding[] => [
  ...unit.ranges.flatMap((range, k) =>
    sleeveClashes(unit, range.apply).map(({ code, ...names }) =>
      finding(code, `ranges[${k}].apply`, { range: range.id, ...names }),
    ),
  ),
  ...loosePairs(unit).map(({ sleeves: [sleeve, other], sides: [first, second] }) =>
    finding('no-interlock', `sleeves[${unit.sleeves!.findIndex((s) => s.id === other)}]`, {
      sleeve,
      other,
      first,
      second,
    }),
  ),
];
