import { readFileSync } from 'node:fs';
import { execFileSync } from 'node:child_process';
import ts from 'typescript';

/**
 * `npm run words`: holds the catalogue and the code against each other, both ways. A key that is put together, such as
 * t(`outcomes.${outcome}`), is expanded by the types of its parts: every member of a closed set has its word, and a word
 * that no member asks for is not kept. A part that may be any text stands for anything.
 */
const ANY = '\u0000';
/** Parts with more values than this are taken for any text. */
const MOST = 400;

const read = (file: string) =>
  JSON.parse(readFileSync(`web/app/words/${file}.json`, 'utf8')) as object;
const keysIn = (value: object, prefix = ''): string[] =>
  Object.entries(value).flatMap(([k, v]) =>
    typeof v === 'string' ? [prefix + k] : keysIn(v as object, `${prefix}${k}.`),
  );
const withoutCount = (key: string): string => key.replace(/_(one|other)$/, '');
const PARTS = ['start.en', 'en', 'bench.en', 'strip.en', 'teach.en'];

/** Names that an object of the catalogue has twice: the first of them is lost without a word when it is read. */
function twiceIn(part: string): string[] {
  const file = `web/app/words/${part}.json`;
  const found: string[] = [];
  const look = (node: ts.Node): void => {
    if (ts.isObjectLiteralExpression(node)) {
      const names = node.properties.map((p) => (p.name as ts.StringLiteral).text);
      found.push(...names.filter((n, k) => names.indexOf(n) < k).map((n) => `${part}: ${n}`));
    }
    ts.forEachChild(node, look);
  };
  look(ts.parseJsonText(file, readFileSync(file, 'utf8')));
  return found;
}
const catalogue = new Set(PARTS.flatMap((part) => keysIn(read(part))).map(withoutCount));

const config = ts.readConfigFile('tsconfig.json', (file) => readFileSync(file, 'utf8'));
const { options } = ts.parseJsonConfigFileContent(config.config, ts.sys, '.');
const files = execFileSync('git', ['ls-files', '-co', '--exclude-standard', 'web'], {
  encoding: 'utf8',
})
  .trim()
  .split('\n')
  .filter((f) => /\.tsx?$/.test(f) && !/\.test\.ts$|\/tests\//.test(f));
/** Packages whose types are many, and none of which is a part of a key. */
const LEFT_OUT =
  /^(antd|@ant-design|i18next|react-i18next|react-router|comlink|@tiptap|@dnd-kit|chart\.js|zod|react-chartjs-2|react-markdown|mdast|selenium)/;
const host = ts.createCompilerHost(options);
host.resolveModuleNameLiterals = (names, from) =>
  names.map(({ text }) =>
    LEFT_OUT.test(text)
      ? { resolvedModule: undefined }
      : ts.resolveModuleName(text, from, options, host),
  );
const program = ts.createProgram(files, { ...options, types: [] }, host);
const checker = program.getTypeChecker();

/** Every text that an expression can be; `ANY` stands for a part that can be anything. */
function textsOf(node: ts.Expression): string[] {
  if (ts.isParenthesizedExpression(node)) return textsOf(node.expression);
  if (ts.isStringLiteralLike(node)) return [node.text];
  if (ts.isConditionalExpression(node))
    return [...textsOf(node.whenTrue), ...textsOf(node.whenFalse)];
  if (ts.isTemplateExpression(node))
    return node.templateSpans.reduce<string[]>(
      (heads, span) => {
        const parts = textsOf(span.expression);
        return heads.flatMap((head) => parts.map((part) => head + part + span.literal.text));
      },
      [node.head.text],
    );
  if (
    ts.isBinaryExpression(node) &&
    [ts.SyntaxKind.BarBarToken, ts.SyntaxKind.QuestionQuestionToken].includes(
      node.operatorToken.kind,
    )
  )
    return [...typeTexts(node.left), ...textsOf(node.right)];
  return typeTexts(node);
}

function typeTexts(node: ts.Expression): string[] {
  const type = checker.getTypeAtLocation(node);
  const members = (type.isUnion() ? type.types : [type]).filter(
    (t) => (t.flags & (ts.TypeFlags.Undefined | ts.TypeFlags.Null)) === 0,
  );
  const texts = members.flatMap((t) =>
    t.isStringLiteral() || t.isNumberLiteral() ? [String(t.value)] : [ANY],
  );
  return texts.length > MOST || texts.includes(ANY) ? [ANY] : texts;
}

interface Asked {
  readonly key: string;
  readonly at: string;
  /** Says itself what stands where there is no word. */
  readonly falls: boolean;
}

const asked: Asked[] = [];
/** Texts in the code that are keys: handed on, or listed in a table, before they are asked for. */
const named = new Set<string>();

function visit(node: ts.Node, file: ts.SourceFile): void {
  if (ts.isCallExpression(node) && node.arguments[0]) {
    const name = ts.isIdentifier(node.expression) ? node.expression.text : '';
    if (name === 't') {
      const { line } = file.getLineAndCharacterOfPosition(node.getStart(file));
      const falls = node.arguments[1]?.getText(file).includes('defaultValue') ?? false;
      for (const key of textsOf(node.arguments[0]))
        asked.push({ key, at: `${file.fileName}:${line + 1}`, falls });
    }
  }
  if (ts.isStringLiteralLike(node) && catalogue.has(node.text)) named.add(node.text);
  ts.forEachChild(node, (child) => visit(child, file));
}
for (const file of files) {
  const source = program.getSourceFile(file);
  if (source) visit(source, source);
}

const pattern = (key: string): RegExp =>
  new RegExp(
    `^${key
      .split(ANY)
      .map((part) => part.replace(/[.*+?^${}()|[\]\\]/g, '\\$&'))
      .join('[\\w./-]+')}$`,
  );
const exact = asked.filter((a) => !a.key.includes(ANY));
const open = [...new Set(asked.filter((a) => a.key.includes(ANY)).map((a) => a.key))].map(pattern);
const missing = exact.filter((a) => !a.falls && !catalogue.has(a.key));
const wanted = new Set([...exact.map((a) => a.key), ...named]);
const unused = [...catalogue].filter((k) => !wanted.has(k) && !open.some((p) => p.test(k)));

const twice = PARTS.flatMap(twiceIn);

for (const name of twice) console.log(`twice ${name}`);
for (const { key, at } of missing) console.log(`missing ${key} (${at})`);
for (const key of unused) console.log(`unused ${key}`);
if (process.argv.includes('--open'))
  for (const { key, at } of asked)
    if (key.includes(ANY)) console.log(`open ${key.replaceAll(ANY, '*')} (${at})`);
console.log(
  `${catalogue.size} words, ${new Set(exact.map((a) => a.key)).size} asked for by name, ${open.length} open`,
);
process.exitCode = missing.length + unused.length + twice.length > 0 ? 1 : 0;
