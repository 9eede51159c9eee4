// Writes a made-up language beside English, `src/wording/xx`: every text of `en` with its vowels accented and doubled,
// so that what was left untranslated, or has no room for longer words, is seen. It is made for a test and kept nowhere.
import { mkdirSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { dirname, join, relative, resolve } from 'node:path';
import ts from 'typescript';

const ENGLISH = resolve('src/wording/en');
export const PSEUDO = resolve('src/wording/xx');

const VOWELS: Readonly<Record<string, string>> = { a: 'á', e: 'é', i: 'í', o: 'ó', u: 'ú', y: 'ý' };
const LETTER = /[a-z]/i;

/** A text of the made-up language: each vowel accented, and doubled where it is small. What stands in `${}` stays. */
export const pseudo = (text: string): string =>
  text.replace(/[aeiouy]/gi, (vowel) => {
    const small = VOWELS[vowel.toLowerCase()]!;
    return vowel === vowel.toLowerCase() ? small + small : small.toUpperCase();
  });

/** Ids such as `bar.bow`, `code.` or `.done`, which no language changes. */
const ID = /^[`'"}]?[\w-]*\.[\w.-]*[`'"]?$|^\}?\.\w+[`'"]?$/;
/** Calls whose arguments are no texts. */
const NO_TEXTS = /^(split|join|includes|startsWith|endsWith|has|get|localeCompare)$/;

/** Whether a text stands where only certain words are allowed: it is a key, and no language's. */
function isKey(node: ts.Expression, checker: ts.TypeChecker): boolean {
  const expected = checker.getContextualType(node);
  if (!expected) return false;
  const allowed = expected.isUnion() ? expected.types : [expected];
  const named = allowed.some(({ flags }) => flags & ts.TypeFlags.StringLiteral);
  return named && !allowed.some(({ flags }) => flags & ts.TypeFlags.String);
}

/** Whether a text stands in a list that is kept to the letter. */
function isConstant(node: ts.Node): boolean {
  if (ts.isAsExpression(node)) return node.type.getText() === 'const';
  return (ts.isArrayLiteralExpression(node) || ts.isStringLiteralLike(node)) && isConstant(node.parent);
}

/** Whether what stands here is said to people. */
function isSaid(node: ts.Expression, checker: ts.TypeChecker): boolean {
  const { parent } = node;
  if (ts.isImportDeclaration(parent) || ts.isExportDeclaration(parent) || ts.isLiteralTypeNode(parent)) return false;
  if (ts.isPropertyAssignment(parent) && parent.name === node) return false;
  if (ts.isConditionalExpression(parent) && ts.isElementAccessExpression(parent.parent)) return false;
  if (ts.isCaseClause(parent) || ts.isElementAccessExpression(parent) || ts.isNewExpression(parent)) return false;
  if (ts.isBinaryExpression(parent) && /^([!=]==|in)$/.test(parent.operatorToken.getText())) return false;
  if (ts.isCallExpression(parent) && ts.isPropertyAccessExpression(parent.expression))
    if (NO_TEXTS.test(parent.expression.name.text)) return false;
  return !isKey(node, checker) && !isConstant(node);
}

/** Where texts stand in a file, each piece of a template by itself, and what stands there in the made-up language. */
function changes(file: ts.SourceFile, checker: ts.TypeChecker): { from: number; to: number; text: string }[] {
  const found: { from: number; to: number; text: string }[] = [];
  const change = (node: ts.Node) => {
    const text = node.getText(file);
    if (LETTER.test(text) && !ID.test(text))
      found.push({ from: node.getStart(file), to: node.end, text: escaped(text) });
  };
  const look = (node: ts.Node): void => {
    if (ts.isStringLiteralLike(node)) {
      if (isSaid(node, checker)) change(node);
      return;
    }
    if (ts.isTemplateExpression(node) && !isKey(node, checker)) {
      change(node.head);
      for (const span of node.templateSpans) change(span.literal);
    }
    ts.forEachChild(node, look);
  };
  look(file);
  return found;
}

/** Escapes such as `\n` are no letters. */
const escaped = (text: string): string =>
  text
    .split(/(\\u\{?[0-9a-f]+\}?|\\.)/i)
    .map((piece, i) => (i % 2 === 0 ? pseudo(piece) : piece))
    .join('');

/** Writes the folder of the made-up language. */
export function writePseudo(): void {
  const { options } = ts.getParsedCommandLineOfConfigFile(
    'tsconfig.json',
    {},
    { ...ts.sys, onUnRecoverableConfigFileDiagnostic: console.error },
  )!;
  const names = (readdirSync(ENGLISH, { recursive: true }) as string[]).filter((name) => name.endsWith('.ts'));
  const program = ts.createProgram(
    names.map((name) => join(ENGLISH, name)),
    options,
  );
  const checker = program.getTypeChecker();
  rmSync(PSEUDO, { recursive: true, force: true });
  for (const name of names) {
    const file = program.getSourceFile(join(ENGLISH, name))!;
    let text = file.text;
    for (const each of changes(file, checker).sort((a, b) => b.from - a.from))
      text = text.slice(0, each.from) + each.text + text.slice(each.to);
    const target = join(PSEUDO, relative(ENGLISH, file.fileName));
    mkdirSync(dirname(target), { recursive: true });
    writeFileSync(target, text);
  }
}
