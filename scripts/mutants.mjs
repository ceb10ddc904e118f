import { fork } from 'node:child_process';
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import ts from 'typescript';
import { ensurePackages } from './lib/install.mjs';
import { ROOT } from './lib/places.mjs';
import { Plain, run, say } from './lib/say.mjs';

/**
 * Changes one sign, figure or comparison at a time in the rooms given and runs their tests: what nothing notices is printed.
 * `npm run mutants -- core/src/run core/src/gauge`; `--count 300`, `--seed 1`, `--with core/src/route,core/src/job`: rooms that stand on
 * these and whose tests count as well. The checkout is not touched.
 */
const args = process.argv.slice(2);
const option = (name, usual) => {
  const at = args.indexOf(`--${name}`);
  return at < 0 ? usual : Number(args.splice(at, 2)[1]);
};
const COUNT = option('count', 300);
const SEED = option('seed', 1);
const withAt = args.indexOf('--with');
const asked = withAt < 0 ? [] : [args.splice(withAt, 2)[1]];
const rooms = args.length > 0 ? args : ['core/src/run', 'core/src/gauge'];
/** The judge cuts pieces by what these rooms decide. */
const JUDGED = ['core/src/run', 'core/src/gauge'];
const FURTHER = [...asked, ...(rooms.some((room) => JUDGED.includes(room)) ? ['core/bench/judge'] : [])].join(',');
const LANES = Math.max(1, Math.min(4, os.availableParallelism()));
/** Schemas and tables are held by the tests of what they let in, not by these; frozen old rules by their fixture, and nobody changes them. */
const LEFT_OUT = /(\.test\.ts|index\.ts|[-/]schema\.ts|\/event\.ts|\/standard\/|\/upgrade\/)/;
/** Figures below this only take up rounding: half as much again does the same, as a class. */
const ROUNDING = 1e-4;
/** Mutants that behave as the original does: a file, the line's text and the change. */
const EQUIVALENT = JSON.parse(fs.readFileSync(path.join(ROOT, 'scripts/equivalent-mutants.json'), 'utf8'));

const SWAPS = new Map([
  [ts.SyntaxKind.PlusToken, '-'],
  [ts.SyntaxKind.MinusToken, '+'],
  [ts.SyntaxKind.AsteriskToken, '/'],
  [ts.SyntaxKind.SlashToken, '*'],
  // lengths are never exactly equal: a comparison is turned round, not moved by nothing
  [ts.SyntaxKind.LessThanToken, '>='],
  [ts.SyntaxKind.LessThanEqualsToken, '>'],
  [ts.SyntaxKind.GreaterThanToken, '<='],
  [ts.SyntaxKind.GreaterThanEqualsToken, '<'],
  [ts.SyntaxKind.EqualsEqualsEqualsToken, '!=='],
  [ts.SyntaxKind.ExclamationEqualsEqualsToken, '==='],
  [ts.SyntaxKind.AmpersandAmpersandToken, '||'],
  [ts.SyntaxKind.BarBarToken, '&&'],
]);

/** Calls that take whole numbers: half as much again is cut off, or only rounds a place further. */
const WHOLE = new Set(['at', 'slice', 'toFixed']);
function isWhole(literal) {
  const said = ts.isPrefixUnaryExpression(literal.parent) ? literal.parent : literal;
  const { parent } = said;
  if (!ts.isCallExpression(parent) || !parent.arguments.includes(said) || Number(literal.text) === 0) return false;
  return ts.isPropertyAccessExpression(parent.expression) && WHOLE.has(parent.expression.name.text);
}

/** All places of a file that can be changed, each with its text and what it becomes. */
function placesOf(file) {
  const text = fs.readFileSync(path.join(ROOT, file), 'utf8');
  const source = ts.createSourceFile(file, text, ts.ScriptTarget.Latest, true);
  const places = [];
  const add = (start, end, to) => {
    const { line } = source.getLineAndCharacterOfPosition(start);
    places.push({
      file,
      start,
      end,
      to,
      from: text.slice(start, end),
      line: line + 1,
      says: text.split('\n')[line].trim(),
    });
  };
  const visit = (node) => {
    if (ts.isImportDeclaration(node) || ts.isTypeNode(node)) return;
    if (ts.isBinaryExpression(node) && SWAPS.has(node.operatorToken.kind)) {
      // text put together is told, not counted
      const told = node.operatorToken.kind === ts.SyntaxKind.PlusToken && /['"`]/.test(node.getText());
      const { right } = node;
      const rounding = ts.isNumericLiteral(right) && Number(right.text) !== 0 && Number(right.text) < ROUNDING;
      if (!told && !rounding)
        add(node.operatorToken.getStart(), node.operatorToken.getEnd(), SWAPS.get(node.operatorToken.kind));
    }
    if (ts.isPrefixUnaryExpression(node) && node.operator === ts.SyntaxKind.MinusToken)
      add(node.getStart(), node.getStart() + 1, '+');
    if (ts.isPrefixUnaryExpression(node) && node.operator === ts.SyntaxKind.ExclamationToken)
      add(node.getStart(), node.getStart() + 1, '');
    if (ts.isNumericLiteral(node) && !ts.isEnumMember(node.parent) && !isWhole(node)) {
      const value = Number(node.text);
      if (value === 0 || value >= ROUNDING)
        add(node.getStart(), node.getEnd(), value === 0 ? '1' : String(Number((value * 1.5).toPrecision(6))));
    }
    if (ts.isPropertyAccessExpression(node) && node.expression.getText() === 'Math') {
      const other = { min: 'max', max: 'min', ceil: 'floor', floor: 'ceil' }[node.name.text];
      if (other) add(node.name.getStart(), node.name.getEnd(), other);
    }
    ts.forEachChild(node, visit);
  };
  visit(source);
  return places;
}

function filesOf(room) {
  return fs
    .readdirSync(path.join(ROOT, room), { recursive: true })
    .map((name) => path.join(room, String(name)))
    .filter((name) => name.endsWith('.ts') && !LEFT_OUT.test(name));
}

/** The same order for the same seed. */
function shuffled(list) {
  let state = SEED >>> 0;
  const even = () => {
    state = (state * 1664525 + 1013904223) >>> 0;
    return state / 4294967296;
  };
  return list
    .map((value) => ({ value, by: even() }))
    .sort((a, b) => a.by - b.by)
    .map((x) => x.value);
}

/** How long the unchanged tests may take, and so many times that, and at least so long, a change may, before it counts as never ending. */
const PATIENCE_MS = 180_000;
const TIMES = 8;
const LEAST_PATIENCE_MS = 15_000;

/** A process that tries one change after the other; resolves when the unchanged code passes its tests. */
async function openLane() {
  const child = fork(path.join(ROOT, 'scripts/lib/mutant-lane.mjs'), [rooms.join(','), FURTHER], {
    cwd: ROOT,
    stdio: 'ignore',
    env: { ...process.env, CI: '1' },
  });
  let patienceMs = PATIENCE_MS;
  const began = Date.now();
  const answer = () =>
    new Promise((resolve) => {
      const done = (value) => {
        clearTimeout(timer);
        child.off('message', done);
        child.off('exit', gone);
        resolve(value);
      };
      const gone = () => done(null);
      const timer = setTimeout(() => child.kill('SIGKILL'), patienceMs);
      child.once('message', done);
      child.once('exit', gone);
    });
  const first = await answer();
  if (!first?.ready) throw new Plain('The tests of these rooms fail before anything is changed.');
  patienceMs = Math.min(PATIENCE_MS, Math.max(LEAST_PATIENCE_MS, TIMES * (Date.now() - began)));
  return {
    /** true, false, or null when the change never ended and the process had to go */
    notices: (place) => {
      const answered = answer();
      child.send(place);
      return answered.then((value) => (value === null ? null : value.noticed));
    },
    close: () => child.kill(),
  };
}

const told = ({ file, line, from, to, says }) => `${file}:${line}  ${from} → ${to || '(nothing)'}    ${says}`;
const minutes = (since) => ((Date.now() - since) / 60_000).toFixed(1);
const equivalent = ({ file, says, from, to }) =>
  EQUIVALENT.some((e) => e.file === file && e.says === says && e.from === from && e.to === to);

await run(async () => {
  ensurePackages();
  const began = Date.now();
  const all = rooms.flatMap((room) => filesOf(room).flatMap(placesOf));
  const chosen = shuffled(all.filter((place) => !equivalent(place))).slice(0, COUNT);
  say(`${chosen.length} of ${all.length} places in ${rooms.join(', ')}, seed ${SEED}, ${LANES} at a time`);
  const survived = [];
  let next = 0;
  let done = 0;
  await Promise.all(
    Array.from({ length: LANES }, async () => {
      let lane = await openLane();
      for (let place = chosen[next++]; place; place = chosen[next++]) {
        const noticed = await lane.notices(place);
        if (noticed === false) {
          survived.push(place);
          say(told(place));
        }
        if (noticed === null) lane = await openLane();
        if (++done % 25 === 0) say(`${done} tried, ${survived.length} not noticed, ${minutes(began)} min`);
      }
      lane.close();
    }),
  );
  say(`Not noticed, ${survived.length}:`);
  for (const place of survived.sort((a, b) => a.file.localeCompare(b.file) || a.line - b.line))
    console.log(`  ${told(place)}`);
  const killed = chosen.length - survived.length;
  const share = killed / chosen.length;
  say(
    `${killed} of ${chosen.length} noticed, ${(100 * share).toFixed(1)} %; ${EQUIVALENT.length} known to change nothing; ${minutes(began)} min`,
  );
  return share >= 0.85 ? 0 : 1;
});
