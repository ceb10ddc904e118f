import { twoChucks } from '../../src/testing/jobs.ts';
import { CONE_ROWS, turnCones } from './cones.ts';
import { faceMany, LENGTH_ROWS } from './lengths.ts';
import { byRule, PLAIN_RULES } from './plain-rules.ts';
import { type Counted, cutMany, GAUGE, learn, type Row, runOf, worldOf } from './rows.ts';
import { TAPER_ROWS, turnTapers } from './tapers.ts';
import { cutThreads, THREAD_ROWS } from './threads.ts';

/**
 * One share of the judge's rows, as lines of JSON. Arguments: which share, of how many, features a row.
 * Limits go with the way of setting that planning chooses for them; h8 is cut by a careful hand.
 */
const [share = 0, shares = 1, features = 5000] = process.argv.slice(2).map(Number);
const LIMITS = ['h6', 'h7', 'h8', 'h9', 'h10', 'h11', '±0.1'];
const SPRINGS = [0, 0.03, 0.06, 0.1];
const rows: Row[] = [
  ...LIMITS.flatMap((limits) =>
    SPRINGS.map((springShare) => ({ limits, springShare, handLines: limits === 'h8' ? 0.05 : 0.1 })),
  ),
  { limits: 'h9', springShare: 0.05, handLines: 0.1, readingSlips: 0.03 },
  { limits: 'h9', springShare: 0.05, handLines: 0.1, handSlips: 0.03 },
  // the schools of the last cuts; of what one cut cannot hold they make two
  ...(['equal', 'halved', 'trial', 'single'] as const).flatMap((school) =>
    ['h9', '±0.3'].map((limits): Row => ({ limits, springShare: 0.06, handLines: 0.1, school })),
  ),
  // bars spring more
  ...['H7', 'H8', 'H9', 'H10', '±0.1'].flatMap((limits) =>
    [0.05, 0.12].map(
      (springShare): Row => ({ limits, springShare, handLines: limits === 'H8' ? 0.05 : 0.1, inside: true }),
    ),
  ),
];

interface Frozen {
  readonly piece: {
    readonly part: {
      readonly surfaces: readonly { readonly id: string; readonly limits: { upperMm: number; lowerMm: number } }[];
    };
  };
  readonly steps: readonly {
    readonly kind: string;
    readonly featureId?: string;
    readonly fineness?: string;
    readonly toolId?: string;
    readonly springShare?: number;
  }[];
}

// lengths are quick: the first share does them all
if (share === 0)
  for (const [i, row] of LENGTH_ROWS.entries())
    console.log(JSON.stringify({ i: rows.length + i, length: row, counted: faceMany(row, features) }));

if (share === 0)
  for (const [i, row] of TAPER_ROWS.entries())
    console.log(JSON.stringify({ i: 2000 + i, taper: row, counted: turnTapers(row, Math.ceil(features / 5)) }));

for (const [i, row] of CONE_ROWS.entries())
  if (i % shares === share)
    console.log(JSON.stringify({ i: 3000 + i, cone: row, counted: turnCones(row, Math.ceil(features / 10)) }));

// of threads a fifth as many: each is told in a dozen passes
for (const [i, row] of THREAD_ROWS.entries())
  if (i % shares === share)
    console.log(JSON.stringify({ i: 1000 + i, thread: row, counted: cutThreads(row, Math.ceil(features / 5)) }));

for (const [i, row] of rows.entries()) {
  if (i % shares !== share) continue;
  const { run, warnings } = runOf(row, twoChucks);
  const { piece, steps } = run as Frozen;
  const of = row.inside ? 'b1' : 'f1';
  const { limits } = piece.part.surfaces.find((s) => s.id === of)!;
  const setBy = steps.find((s) => s.kind === 'finish' && s.featureId === of)?.fineness;
  const half = Math.floor(features / 2);
  const began = performance.now();
  const refused = setBy === undefined ? warnings.find((w) => w.startsWith('route.tooFine')) : undefined;
  let before: Counted | undefined;
  let learned: Counted | undefined;
  if (setBy !== undefined) {
    before = cutMany(row, run, half, limits);
    learned = cutMany(row, { ...run, known: learn(row, run) }, half, limits, 500_000);
  }
  const middleMm = (limits.upperMm + limits.lowerMm) / 2;
  // the plain rules are told of outsides only
  const plain = (row.inside ? [] : PLAIN_RULES).map((rule) => {
    let inside = 0;
    let undersize = 0;
    for (let seed = 1; seed <= features; seed++) {
      const { smallestMm, largestMm } = byRule(rule, worldOf(row, seed), GAUGE, middleMm, setBy === 'lines' ? 1 : 0.5);
      if (smallestMm < limits.lowerMm) undersize++;
      else if (largestMm <= limits.upperMm) inside++;
    }
    return { rule, inside: inside / features, undersize: undersize / features };
  });
  console.log(
    JSON.stringify({ i, row, setBy, refused, before, learned, plain, seconds: (performance.now() - began) / 1000 }),
  );
}
