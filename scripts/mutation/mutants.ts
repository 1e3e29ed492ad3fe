import { readFileSync } from 'node:fs';
import ts from 'typescript';

/** One plausible bug: a place in a file, and what would stand there. */
export interface Mutant {
  readonly file: string;
  readonly line: number;
  readonly from: string;
  readonly to: string;
  /** Its number within the file, in the order in which they are met. */
  readonly at: number;
}

const OPERATORS = new Map<ts.SyntaxKind, string>([
  [ts.SyntaxKind.LessThanToken, '<='],
  [ts.SyntaxKind.LessThanEqualsToken, '<'],
  [ts.SyntaxKind.GreaterThanToken, '>='],
  [ts.SyntaxKind.GreaterThanEqualsToken, '>'],
  [ts.SyntaxKind.EqualsEqualsEqualsToken, '!=='],
  [ts.SyntaxKind.ExclamationEqualsEqualsToken, '==='],
  [ts.SyntaxKind.PlusToken, '-'],
  [ts.SyntaxKind.MinusToken, '+'],
  [ts.SyntaxKind.AsteriskToken, '/'],
  [ts.SyntaxKind.SlashToken, '*'],
  [ts.SyntaxKind.AmpersandAmpersandToken, '||'],
  [ts.SyntaxKind.BarBarToken, '&&'],
]);
const CALLS = new Map([
  ['Math.max', 'Math.min'],
  ['Math.min', 'Math.max'],
  ['Math.floor', 'Math.ceil'],
  ['Math.ceil', 'Math.floor'],
]);

type Text = (node: ts.Node) => string;

/** What could stand in place of an expression; `null` where nothing of the kind. */
function changeOf(node: ts.Node, source: ts.SourceFile, text: Text): string | null {
  const { parent } = node;
  if (ts.isBinaryExpression(node)) {
    const to = OPERATORS.get(node.operatorToken.kind);
    const isText = ts.isStringLiteralLike(node.left) || ts.isStringLiteralLike(node.right);
    if (!to || (isText && node.operatorToken.kind === ts.SyntaxKind.PlusToken)) return null;
    return `(${text(node.left)}) ${to} (${text(node.right)})`;
  }
  if (ts.isNumericLiteral(node)) {
    // The name of a property is no number.
    if (ts.isPropertyAssignment(parent) && parent.name === node) return null;
    const value = Number(node.text.replaceAll('_', ''));
    // One more where it counts; of a measure, twice as much: a hundredth more of it is no bug that anyone makes.
    return Number.isInteger(value) && value <= 10 ? String(value + 1) : String(value * 2);
  }
  if (ts.isConditionalExpression(node))
    return `(${text(node.condition)}) ? (${text(node.whenFalse)}) : (${text(node.whenTrue)})`;
  if (ts.isPropertyAccessExpression(node)) return CALLS.get(node.getText(source)) ?? null;
  if (ts.isPrefixUnaryExpression(node)) {
    const turned = [ts.SyntaxKind.ExclamationToken, ts.SyntaxKind.MinusToken];
    return turned.includes(node.operator) ? text(node.operand) : null;
  }
  if (node.kind === ts.SyntaxKind.TrueKeyword) return 'false';
  if (node.kind === ts.SyntaxKind.FalseKeyword) return 'true';
  return null;
}

const isLeftOut = (node: ts.Node): boolean =>
  // Types say nothing at run time, and a message is no behaviour.
  ts.isTypeNode(node) || ts.isImportDeclaration(node) || ts.isThrowStatement(node);

/** Everything that can be changed at a node: the expression itself, and that what it decides never comes. */
function changesAt(node: ts.Node, source: ts.SourceFile, text: Text): string[] {
  const own = changeOf(node, source, text);
  const decides = ts.isIfStatement(node.parent) && node.parent.expression === node;
  return [...(own === null ? [] : [own]), ...(decides ? ['false'] : [])];
}

const parsed = (file: string): ts.SourceFile =>
  ts.createSourceFile(file, readFileSync(file, 'utf8'), ts.ScriptTarget.Latest, true);

export function mutantsOf(file: string): Mutant[] {
  const source = parsed(file);
  const found: Mutant[] = [];
  const visit = (node: ts.Node): void => {
    if (isLeftOut(node)) return;
    if (!ts.isSourceFile(node))
      for (const to of changesAt(node, source, (n) => n.getText(source))) {
        const line = source.getLineAndCharacterOfPosition(node.getStart(source)).line + 1;
        found.push({ file, line, from: node.getText(source), to, at: found.length });
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
      if (number !== null) said = `(mutant(${number}) ? ${changes[k]!} : ${said})`;
    return said;
  };
  return `const mutant = globalThis.mutant; ${render(source)}`;
}
