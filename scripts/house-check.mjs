import fs from 'node:fs';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import ts from 'typescript';
import { checkCodes, checkKinds } from './lib/house-words.mjs';

/**
 * Keeps the house: directions between rooms, the order inside core, no cycles (type imports counted), no global barrels,
 * unit suffixes on exported numbers, no sentences for people in core, file length, a lock file without addresses; codes have words, and
 * no file but a registry knows two kinds of operation or surface by name.
 */
const ROOT = path.resolve(path.dirname(fileURLToPath(import.meta.url)), '..');
const ROOMS = [
  'quantity',
  'working',
  'limit',
  'material',
  'lathe',
  'gauge',
  'taper',
  'thread',
  'contour',
  'tool',
  'part',
  'worn',
  'mechanics',
  'cutting',
  'stock',
  'means',
  'work',
  'hold',
  'tapering',
  'threading',
  'route',
  'trouble',
  'simulate',
  'run',
  'picture',
  'sheet',
  'trace',
  'job',
  'calc',
  'testing',
];
/** App rooms and what each may import, besides core. */
const APP = {
  messages: [],
  exchange: ['messages'],
  ui: ['messages', 'styles'],
  /** what is set up by questions and readings at a station or in the bench book alike */
  desks: ['ui', 'messages'],
  server: ['exchange', 'messages'],
  stations: ['ui', 'desks', 'messages', 'workers', 'exchange'],
  jobs: ['ui', 'messages', 'server'],
  shop: ['ui', 'messages', 'workers'],
  log: ['ui', 'desks', 'messages', 'server'],
  'bench-book': ['ui', 'desks', 'messages', 'workers'],
  workers: ['exchange'],
  settings: ['ui', 'messages'],
  cli: ['messages', 'server'],
  pages: ['stations', 'jobs', 'shop', 'log', 'bench-book', 'settings', 'ui', 'messages', 'server', 'exchange'],
  'middleware.ts': ['server'],
  styles: [],
};
/** Numbers that have no unit, or whose name is their unit. */
const PLAIN =
  /^(bulge|perLength|number|setup|schema|version|revision|quantity|count|index|grade|piece|seq|divisions|position|minutes|passes|changes|width|height|unitsPerMm|textSize|stepIndex|stepCount|starts|round|ignored|fullTurns|outTurns|turns|passNumber|passCount|decimals|denominator|lines|share|off|mc|product|ratio|ideal|value|step|iterations|driveEfficiency|pieceNow|bits|score|base|limit|mm|um|rpm|wear|fixedPasses)$/;
const SUFFIX =
  /([mM]m|Um|Mm4|N|Nm|Deg|Rad|Kw|GPa|MPa|Min|Rpm|MPerMin|[mM]mPerRev|NPerMm2|Mm2|Kg|MmPerM|KgPerM3|PerK|DegC|Lines|Share|Factor|Diameters|PerN|Percent|Size|Ratio|PerLength)$/;
/** Rooms whose lengths are in a unit of their own, told where they begin: of the picture, of paper, of a file that was read. */
const OWN_UNITS = {
  picture: /^(x|y|size|scale|radius|countersinks)$/,
  sheet: /^(x|y|size|scale|boxes|edgeY|reach|from|to|apart|wide|high|want|half|first)$/,
  /** jaws go by their numbers */
  hold: /^(slacken|tighten|under|tapAt)$/,
  tool: /^(edges|breakers)$/,
  /** so do the holdings of a job */
  threading: /^(teeth|marks|most|start|everyPitches|errorPpm|teethOfStud|spindleGearTeeth|tangents|seconds|stopTurns)$/,
  thread: /^(pitch|pitchCount)$/,
  taper: /^(microradians|percent|perFootIn|doubtful)$/,
  tapering: /^settings$/,
  job: /^(one|other|upTo|setupNow|setupCount|leftCount|lostCount|measureCount)$/,
  stock: /^(size|gap|nodes|mostNodes|pieces)$/,
  worn: /^score$/,
  /** rings are counted in their own lines */
  run: /^(crossSlide|compound)$/,
  simulate: /^(seed|linesPerTurn|across|taper|angleError|warmth)$/,
  trace: /^(axis|radius|tolerance|mmPerUnit|dropped)$/,
};
const faults = [];
const fault = (file, text) => faults.push(`${path.relative(ROOT, file)}: ${text}`);

function* walk(dir) {
  for (const entry of fs.readdirSync(dir, { withFileTypes: true })) {
    const full = path.join(dir, entry.name);
    if (entry.isDirectory()) yield* walk(full);
    else if (/\.(ts|tsx|astro)$/.test(entry.name) && !entry.name.endsWith('.d.ts')) yield full;
  }
}

const files = [...walk(path.join(ROOT, 'core/src')), ...walk(path.join(ROOT, 'app/src'))];
const graph = new Map();

function importsOf(file, text) {
  const code = file.endsWith('.astro') ? (text.split('---')[1] ?? '') : text;
  return ts.preProcessFile(code, true, true).importedFiles.map((i) => i.fileName);
}
function resolve(file, name) {
  if (name.startsWith('@whelk/core/')) return path.join(ROOT, 'core/src', name.slice(12), 'index.ts');
  if (name.startsWith('.')) return path.resolve(path.dirname(file), name);
  return undefined;
}
const roomOf = (file, base) => path.relative(path.join(ROOT, base), file).split(path.sep)[0];

for (const file of files) {
  const text = fs.readFileSync(file, 'utf8');
  const inCore = file.startsWith(path.join(ROOT, 'core'));
  const isTest = /\.test\.tsx?$/.test(file);
  const table = /\/(standard|data)\//.test(file);
  const length = text.split('\n').length;
  if (length > 400 && !table) fault(file, `${length} lines; at most 400, is there a second idea in it?`);
  if (/^export \* from/m.test(text)) fault(file, 'export *: name what others may use');
  const targets = [];
  for (const name of importsOf(file, text)) {
    const target = resolve(file, name);
    if (target) targets.push(target);
    if (inCore && !isTest && !target && !['zod', 'fraction.js', 'clipper2-ts'].includes(name))
      fault(file, `core imports ${name}`);
    if (!target) continue;
    if (target.startsWith(path.join(ROOT, 'core/src'))) {
      const to = roomOf(target, 'core/src');
      if (inCore) {
        const from = roomOf(file, 'core/src');
        if (from !== to) {
          if (!isTest && ROOMS.indexOf(to) >= ROOMS.indexOf(from))
            fault(file, `room ${from} imports ${to}, which stands after it`);
          if (isTest && to !== 'testing' && ROOMS.indexOf(to) > ROOMS.indexOf(from))
            fault(file, `a test in ${from} reaches down to ${to}`);
          if (!target.endsWith('index.ts') && to !== 'testing') fault(file, `${to} is imported past its index`);
          if (!isTest && to === 'testing') fault(file, 'testing is for tests only');
        } else if (target.endsWith('/index.ts') && !isTest) fault(file, 'imports its own index; import the sibling');
      }
    } else if (inCore) fault(file, `core imports ${name}`);
    else {
      // the demo's data: tests look at it, and the server's demo room loads it
      const loadsDemo = file.startsWith(path.join(ROOT, 'app/src/server/demo'));
      if ((isTest || loadsDemo) && target.startsWith(path.join(ROOT, 'demo'))) continue;
      const from = roomOf(file, 'app/src');
      const to = roomOf(target, 'app/src');
      const allowed = APP[from];
      if (!allowed) fault(file, `room ${from} is not in the plan of the house`);
      else if (from !== to && !allowed.includes(to)) {
        const typesOnly = new RegExp(`import type [^;]*from '${name.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')}'`).test(
          text,
        );
        if (!(typesOnly && from === 'jobs' && to === 'server')) fault(file, `${from} imports ${to}`);
      }
      if (from === 'jobs' && to === 'server' && !/import type [^;]*server\//.test(text))
        fault(file, 'an island imports the server');
    }
  }
  graph.set(file, targets);
  if (inCore && !isTest && !table && !file.includes('/testing/')) checkNames(file, text);
}

function checkNames(file, text) {
  const source = ts.createSourceFile(file, text, ts.ScriptTarget.Latest, true);
  const exported = (node) => node.modifiers?.some((m) => m.kind === ts.SyntaxKind.ExportKeyword);
  const own = OWN_UNITS[roomOf(file, 'core/src')];
  const named = (name) => PLAIN.test(name) || SUFFIX.test(name) || own?.test(name);
  for (const node of source.statements) {
    if (ts.isInterfaceDeclaration(node) && exported(node))
      for (const member of node.members)
        if (
          ts.isPropertySignature(member) &&
          member.type?.kind === ts.SyntaxKind.NumberKeyword &&
          !named(member.name.getText())
        )
          fault(file, `exported number ${node.name.text}.${member.name.getText()} has no unit in its name`);
    if (ts.isFunctionDeclaration(node) && exported(node)) {
      if (!ts.getJSDocCommentsAndTags(node).length && !file.endsWith('finish.ts'))
        fault(file, `${node.name?.text} has no doc comment`);
      for (const p of node.parameters)
        if (p.type?.kind === ts.SyntaxKind.NumberKeyword && !named(p.name.getText()) && p.name.getText().length > 1)
          fault(file, `number ${node.name?.text}(${p.name.getText()}) has no unit in its name`);
    }
  }
  const visit = (node) => {
    if (
      (ts.isStringLiteral(node) || ts.isNoSubstitutionTemplateLiteral(node)) &&
      /[a-z]+ [a-z]+ [a-z]+/.test(node.text) &&
      !ts.isThrowStatement(node.parent?.parent ?? node)
    )
      fault(file, `a sentence in core: “${node.text.slice(0, 40)}”`);
    ts.forEachChild(node, visit);
  };
  visit(source);
}

const state = new Map();
function visit(file, trail) {
  if (state.get(file) === 2 || !graph.has(file)) return;
  if (state.get(file) === 1) {
    fault(file, `cycle: ${[...trail.slice(trail.indexOf(file)), file].map((f) => path.relative(ROOT, f)).join(' → ')}`);
    return;
  }
  state.set(file, 1);
  for (const target of graph.get(file)) visit(target, [...trail, file]);
  state.set(file, 2);
}
for (const file of graph.keys()) visit(file, []);
checkKinds(ROOT, files, fault);
checkCodes(ROOT, fault);

const lock = fs.readFileSync(path.join(ROOT, 'package-lock.json'), 'utf8');
if (/https?:\/\/[^"]*\.tgz/.test(lock)) faults.push('package-lock.json names download addresses');
if (faults.length > 0) {
  console.error(faults.join('\n'));
  console.error(`\n${faults.length} faults in the house`);
  process.exitCode = 1;
} else console.log(`The house is in order: ${files.length} files, no cycles`);
