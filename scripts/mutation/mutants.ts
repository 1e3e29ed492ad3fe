import { readFileSync } from 'node:fs';
import ts from 'typescript';

/**
 * What mutation tools usually change, and numbers besides, which most of them leave alone: a limit, a comparison turned
 * round, arithmetic, logic, which of two, a condition that always or never holds, a sign or a not, a list left empty, a
 * step left out, a number.
 */
export const KINDS = [
  'limit',
  'comparison',
  'arithmetic',
  'logic',
  'which',
  'condition',
  'sign',
  'list',
  'step',
  'number',
] as const;
export type Kind = (typeof KINDS)[number];

interface Change {
  readonly kind: Kind;
  readonly to: string;
}

/** One plausible bug: a place in a file, and what would stand there. */
export interface Mutant {
  readonly file: string;
  readonly line: number;
  readonly kind: Kind;
  readonly from: string;
  readonly to: string;
  /** Its number within the file, in the order in which they are met. */
  readonly at: number;
}

type Other = readonly [Kind, string];
const relation = (limit: string, turned: string): readonly Other[] => [
  ['limit', limit],
  ['comparison', turned],
];
/** What may stand in the place of an operator. */
const OPERATORS: Readonly<Record<string, readonly Other[]>> = {
  '<': relation('<=', '>='),
  '<=': relation('<', '>'),
  '>': relation('>=', '<='),
  '>=': relation('>', '<'),
  '===': [['comparison', '!==']],
  '!==': [['comparison', '===']],
  '+': [['arithmetic', '-']],
  '-': [['arithmetic', '+']],
  '*': [['arithmetic', '/']],
  '/': [['arithmetic', '*']],
  '&&': [['logic', '||']],
  '||': [['logic', '&&']],
};
const CALLS = new Map([
  ['Math.max', 'Math.min'],
  ['Math.min', 'Math.max'],
  ['Math.floor', 'Math.ceil'],
  ['Math.ceil', 'Math.floor'],
]);

type Text = (node: ts.Node) => string;

const one = (kind: Kind, to: string): readonly Change[] => [{ kind, to }];

/** What could stand in place of an expression. */
function changesOf(node: ts.Node, source: ts.SourceFile, text: Text): readonly Change[] {
  const { parent } = node;
  if (ts.isBinaryExpression(node)) {
    const isText = ts.isStringLiteralLike(node.left) || ts.isStringLiteralLike(node.right);
    if (isText && node.operatorToken.kind === ts.SyntaxKind.PlusToken) return [];
    return (OPERATORS[node.operatorToken.getText(source)] ?? []).map(([kind, operator]) => ({
      kind,
      to: `(${text(node.left)}) ${operator} (${text(node.right)})`,
    }));
  }
  if (ts.isNumericLiteral(node)) {
    // The name of a property is no number.
    if (ts.isPropertyAssignment(parent) && parent.name === node) return [];
    const value = Number(node.text.replaceAll('_', ''));
    // One more where it counts; of a measure, twice as much: a hundredth more of it is no bug that anyone makes.
    return one('number', String(Number.isInteger(value) && value <= 10 ? value + 1 : value * 2));
  }
  if (ts.isConditionalExpression(node))
    return one(
      'which',
      `(${text(node.condition)}) ? (${text(node.whenFalse)}) : (${text(node.whenTrue)})`,
    );
  if (ts.isPropertyAccessExpression(node)) {
    const other = CALLS.get(node.getText(source));
    return other === undefined ? [] : one('which', other);
  }
  if (ts.isPrefixUnaryExpression(node)) {
    const turned = [ts.SyntaxKind.ExclamationToken, ts.SyntaxKind.MinusToken];
    return turned.includes(node.operator) ? one('sign', text(node.operand)) : [];
  }
  if (node.kind === ts.SyntaxKind.TrueKeyword) return one('which', 'false');
  if (node.kind === ts.SyntaxKind.FalseKeyword) return one('which', 'true');
  if (ts.isArrayLiteralExpression(node) && node.elements.length > 0 && !isAssigned(node))
    return one('list', '[]');
  return [];
}

/** `[a, b] = [b, a]`: what stands on the left is no list. */
const isAssigned = (node: ts.Expression): boolean =>
  ts.isBinaryExpression(node.parent) &&
  node.parent.left === node &&
  node.parent.operatorToken.kind === ts.SyntaxKind.EqualsToken;

const isLeftOut = (node: ts.Node): boolean =>
  // Types say nothing at run time, and a message is no behaviour.
  ts.isTypeNode(node) || ts.isImportDeclaration(node) || ts.isThrowStatement(node);

/** Everything that can be changed at a node: the expression itself, that what it decides always or never comes, and that it never comes. */
function changesAt(node: ts.Node, source: ts.SourceFile, text: Text): readonly Change[] {
  const { parent } = node;
  const decides = ts.isIfStatement(parent) && parent.expression === node;
  const condition = ['false', 'true'].map((to): Change => ({ kind: 'condition', to }));
  return [
    ...changesOf(node, source, text),
    ...(decides ? condition : []),
    ...(ts.isExpressionStatement(parent) ? one('step', 'undefined') : []),
  ];
}

const parsed = (file: string): ts.SourceFile =>
  ts.createSourceFile(file, readFileSync(file, 'utf8'), ts.ScriptTarget.Latest, true);

export function mutantsOf(file: string): Mutant[] {
  const source = parsed(file);
  const found: Mutant[] = [];
  const visit = (node: ts.Node): void => {
    if (isLeftOut(node)) return;
    if (!ts.isSourceFile(node))
      for (const { kind, to } of changesAt(node, source, (n) => n.getText(source))) {
        const line = source.getLineAndCharacterOfPosition(node.getStart(source)).line + 1;
        found.push({ file, line, kind, from: node.getText(source), to, at: found.length });
      }
    ts.forEachChild(node, visit);
  };
  visit(source);
  return found;
}

/**
 * A file with all of these bugs in it, each of them asleep: `mutant(number)` says whether it is the one that is awake.
 * @param numberOf what a bug of this file is called; `null` for one that is not wanted
 */
export function withMutants(file: string, numberOf: (at: number) => number | null): string {
  const source = parsed(file);
  let met = 0;
  const render = (node: ts.Node): string => {
    if (isLeftOut(node)) return node.getText(source);
    // Counted as they are found: a node before what is within it.
    const here = ts.isSourceFile(node)
      ? 0
      : changesAt(node, source, (n) => n.getText(source)).length;
    const numbers = Array.from({ length: here }, () => numberOf(met++));
    const parts = new Map<ts.Node, string>();
    let [said, from] = ['', node.getStart(source)];
    ts.forEachChild(node, (child) => {
      const part = render(child);
      parts.set(child, part);
      said += source.text.slice(from, child.getStart(source)) + part;
      from = child.end;
    });
    said += source.text.slice(from, node.end);
    if (numbers.every((n) => n === null)) return said;
    const changes = changesAt(node, source, (n) => parts.get(n) ?? n.getText(source));
    for (const [k, number] of numbers.entries())
      if (number !== null) said = `(mutant(${number}) ? ${changes[k]!.to} : ${said})`;
    return said;
  };
  return `const mutant = globalThis.mutant; ${render(source)}`;
}
