import { calculate, calculationNamed } from '../../src/calc/index.ts';
import { chanceOf } from '../../src/simulate/index.ts';
import { barPart } from '../../src/testing/families.ts';
import { feature } from '../../src/testing/shop.ts';
import { follow } from './asking.ts';

/**
 * A turner who faces a piece to length as he is told, in a world of its own: a face, a compound with lines, a saw that
 * left what it left, a gauge that errs. Of the rest he knows only what `run.begin` and `run.after` answer to anyone.
 */
export interface LengthRow {
  /** limits of the flange that the far face makes */
  readonly limits: string;
  /** standard deviation of what the gauge shows, mm */
  readonly sigmaMm: number;
  readonly handLines: number;
}
/** The compound's screw, mm; how far out the saw may be, and touching the face. */
const LINE_MM = 0.02;
const SAW_MM = 0.6;
const TOUCH_MM = 0.015;
/** Resolution of what reads the length. */
const SHOWS_MM = 0.01;
const FLANGE_MM = 10;
const MOST_READINGS = 12;

const begin = calculationNamed('run.begin')!;

/** The second holding of a flange on a body, which is faced to its thickness. */
export function lengthRun(row: LengthRow): { run: object; limits: { lowerMm: number; upperMm: number } } {
  const flange = { ...feature(1, 40, FLANGE_MM), lengthLimits: row.limits };
  const { job, shop, planned } = barPart([flange, feature(2, 28, 40)], 42);
  const answer = calculate(begin, { job, shop, setup: 2 });
  if (!answer.ok) throw new Error(JSON.stringify(answer.problems));
  const { limits } = planned.part.lengths.find((l) => l.id === 'f1')!;
  return { run: (answer.result as { run: object }).run, limits };
}

/** Where the face comes to, and how often it was read. */
export function faceOne(row: LengthRow, run: object, seed: number): { mm: number; readings: number; told: boolean } {
  const chance = chanceOf(seed * 104_729 + 7);
  const { add, ask } = follow(run);
  let answer = ask();
  while (answer.step && answer.step.kind !== 'face') {
    add({ kind: 'done', stepId: answer.step.id });
    answer = ask();
  }
  const stepId: string = answer.step.id;
  // metal beyond the face as the saw left it; the tool touches it a little off
  let thick = FLANGE_MM + 1 + chance.between(-SAW_MM, SAW_MM);
  let toolAt = thick + chance.between(-TOUCH_MM, TOUCH_MM);
  let readings = 0;
  for (;;) {
    for (const mm of answer.length.cutsMm as number[]) {
      const lines = Math.round(mm / LINE_MM) + chance.bell() * row.handLines;
      // the slack was taken up when it touched, and is not let back in between
      toolAt -= lines * LINE_MM;
      thick = Math.min(thick, toolAt);
    }
    if (readings > 0 && answer.length.leftMm === 0) break;
    if (readings >= MOST_READINGS) return { mm: thick, readings, told: false };
    readings++;
    const shown = Math.round((thick + chance.bell() * row.sigmaMm) / SHOWS_MM) * SHOWS_MM;
    add({
      ...{ kind: 'lengthRead', stepId, raw: { text: shown.toFixed(2), unit: 'mm' } },
      instrumentId: answer.length.instrumentId,
    });
    answer = ask();
    // less than a line is left and nothing can be set: he says that it is done
    if (answer.length.cutsMm.length === 0) break;
  }
  return { mm: thick, readings, told: true };
}

export interface LengthsCounted {
  readonly count: number;
  readonly inside: number;
  readonly short: number;
  readonly long: number;
  readonly readings: number;
}

/** Faces many pieces and counts what became of them. */
export function faceMany(row: LengthRow, count: number, from = 1): LengthsCounted {
  const { run, limits } = lengthRun(row);
  let [inside, short, long, readings] = [0, 0, 0, 0];
  for (let i = 0; i < count; i++) {
    const made = faceOne(row, run, from + i);
    if (made.mm < limits.lowerMm) short++;
    else if (made.mm > limits.upperMm) long++;
    else inside++;
    readings += made.readings;
  }
  return { count, inside, short, long, readings };
}

/** The rows of the table: a caliper for what is open, a micrometer for what is close. */
export const LENGTH_ROWS: readonly LengthRow[] = [
  { limits: '±0.2', sigmaMm: 0.015, handLines: 0.1 },
  { limits: '±0.1', sigmaMm: 0.015, handLines: 0.1 },
  { limits: '±0.05', sigmaMm: 0.004, handLines: 0.1 },
  { limits: '+0.06/0', sigmaMm: 0.004, handLines: 0.1 },
];
