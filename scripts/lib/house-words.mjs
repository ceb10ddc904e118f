import fs from 'node:fs';
import path from 'node:path';
import ts from 'typescript';

/** Where the kinds of operations and surfaces are listed, and by which declaration. */
const KINDS = {
  operation: [['core/src/route/operation/kinds.ts', /const kinds = \{([^}]*)\}/]],
  surface: [
    ['core/src/part/shape/details.ts', /const shapes = \{([^}]*)\}/],
    ['core/src/part/shape/outside.ts', /const shapes = \{([^}]*)\}/],
    ['core/src/part/surface.ts', /readonly kind: '([^']*)'/g],
  ],
};
/** Files that may know several kinds by name, and why. */
const REGISTRIES = {
  'core/src/route/plan-setup.ts': 'the order in which operations come',
  'core/src/part/ask.ts': 'the surfaces of a part, sorted once',
  'core/src/trace/features.ts': 'legs of a traced outline are kinds of their own',
};
/** The closed lists of codes. */
const CODES = {
  PROBLEM_CODES: 'core/src/quantity/problem-code.ts',
  WORKING_CODES: 'core/src/working/working-code.ts',
  CAUTIONS: 'core/src/route/operation/any.ts',
  WAITS: 'core/src/hold/reach.ts',
  WAY_CODES: 'core/src/job/way.ts',
  CAUSES: 'core/src/trouble/causes.ts',
  FINDING_CODES: 'core/src/simulate/finding.ts',
  APP_CODES: 'app/src/messages/app-code.ts',
};

const parse = (file, text) => ts.createSourceFile(file, text, ts.ScriptTarget.Latest, true);
function* nodesOf(node) {
  yield node;
  for (const child of node.getChildren()) yield* nodesOf(child);
}

function kindsIn(root, lists) {
  const kinds = new Set();
  for (const [file, pattern] of lists) {
    const text = fs.readFileSync(path.join(root, file), 'utf8');
    const found = pattern.global ? [...text.matchAll(pattern)] : [text.match(pattern)];
    for (const match of found) for (const kind of match?.[1].split(',') ?? []) if (kind.trim()) kinds.add(kind.trim());
  }
  return kinds;
}

/** Whether what is compared is a kind: `x.kind`, or `kind` itself. */
const isKind = (node) =>
  (ts.isPropertyAccessExpression(node) && node.name.text === 'kind') || (ts.isIdentifier(node) && node.text === 'kind');

/** The words that a file compares kinds with. */
function comparedIn(source) {
  const words = new Set();
  for (const node of nodesOf(source)) {
    if (
      ts.isBinaryExpression(node) &&
      /^[!=]==$/.test(node.operatorToken.getText()) &&
      isKind(node.left) &&
      ts.isStringLiteral(node.right)
    )
      words.add(node.right.text);
    if (ts.isCaseClause(node) && ts.isStringLiteral(node.expression) && isKind(node.parent.parent.expression))
      words.add(node.expression.text);
  }
  return words;
}

/**
 * No file knows two kinds of operation, or of surface, by name except the registries: what is known of a kind stands in its own file.
 * @param fault takes a file and what is wrong there
 */
export function checkKinds(root, files, fault) {
  const lists = Object.entries(KINDS).map(([of, where]) => [of, kindsIn(root, where)]);
  for (const file of files) {
    const name = path.relative(root, file);
    if (/\.test\.tsx?$|\.astro$|\/upgrade\//.test(name) || REGISTRIES[name]) continue;
    const words = comparedIn(parse(file, fs.readFileSync(file, 'utf8')));
    for (const [of, kinds] of lists) {
      const known = [...words].filter((w) => kinds.has(w));
      if (known.length > 1) fault(file, `knows ${known.length} kinds of ${of} by name: ${known.join(', ')}`);
    }
  }
}

/** The texts of an exported tuple. */
function textsOf(root, file, name) {
  const source = parse(file, fs.readFileSync(path.join(root, file), 'utf8'));
  for (const node of nodesOf(source))
    if (ts.isVariableDeclaration(node) && node.name.getText() === name)
      return [...nodesOf(node.initializer)].filter(ts.isStringLiteral).map((n) => n.text);
  return undefined;
}

/** Every code of the closed lists is a key of some table of words. */
export function checkCodes(root, fault) {
  const messages = path.join(root, 'app/src/messages');
  const keys = new Set();
  for (const entry of fs.readdirSync(messages, { recursive: true })) {
    if (!/\.ts$/.test(entry) || /\.test\.ts$/.test(entry)) continue;
    const file = path.join(messages, entry);
    for (const node of nodesOf(parse(file, fs.readFileSync(file, 'utf8'))))
      if ((ts.isPropertyAssignment(node) || ts.isMethodDeclaration(node)) && !ts.isComputedPropertyName(node.name))
        keys.add(node.name.text);
  }
  for (const [name, file] of Object.entries(CODES)) {
    const texts = textsOf(root, file, name);
    if (!texts) fault(path.join(root, file), `has no list ${name}`);
    for (const text of texts ?? []) if (!keys.has(text)) fault(path.join(root, file), `${name}: ${text} has no words`);
  }
}
