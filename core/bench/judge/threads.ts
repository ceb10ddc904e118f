import { calculate, calculationNamed } from '../../src/calc/index.ts';
import type { Job, Shop } from '../../src/job/index.ts';
import type { Lathe } from '../../src/lathe/index.ts';
import { emptyDetail, type Feature } from '../../src/part/index.ts';
import { chanceOf } from '../../src/simulate/index.ts';
import { boreStep, drawer, holeGauges } from '../../src/testing/drawer.ts';
import { jobOf, shopWith, twoChucks } from '../../src/testing/jobs.ts';
import { feature, instruments, tools } from '../../src/testing/shop.ts';
import type { Tool } from '../../src/tool/index.ts';
import { type Answer, follow } from './asking.ts';
import { PretendedThread, type ThreadWorld } from './thread-world.ts';

/** One line of the judge's threads: what is drawn, and how much it springs. */
export interface ThreadRow {
  readonly designation: string;
  readonly close: string;
  readonly majorMm: number;
  readonly pitchMm: number;
  readonly pitchText: string;
  readonly unit: 'mm' | 'tpi';
  readonly springShare: number;
  /** a form of other flanks than 60°, with the flats of its forming bit and of a narrower one before it, and its wires */
  readonly steep?: {
    readonly includedDeg: number;
    readonly flatMm: number;
    readonly roughFlatMm: number;
    readonly wireMm: number;
  };
  /** inside: the bore that it is cut in, and the plug's limits are asked of the run */
  readonly holeMm?: number;
}
const LINE_MM = 0.02;
const LENGTH_MM = 30;
const FLAT_SHARE = 1 / 8;
const begin = calculationNamed('run.begin')!;

/** A lathe that gives the pitch, its compound's ring in lines of a fiftieth. */
const latheFor = ({ pitchText, unit }: ThreadRow): Lathe => ({
  ...twoChucks,
  threads: {
    ...twoChucks.threads,
    leadscrewLead: { text: '6', unit: 'mm' },
    controls: [{ id: 'box', name: 'Box', kind: 'lever', positions: ['A'], changeMin: 0.2, stopFirst: false }],
    settings: [{ at: { box: 'A' }, pitch: pitchText, unit }],
  },
  slides: {
    ...twoChucks.slides,
    compound: { ...twoChucks.slides.compound, travelPerTurn: '1', divisions: 50, kind: 'radius', unit: 'mm' },
  },
});
const bitsFor = ({ pitchMm, holeMm, steep }: ThreadRow): readonly Tool[] => {
  const form = { material: 'hss', angleDeg: steep?.includedDeg ?? 60, deepestMm: 6, widthMm: 5 } as const;
  const id = '00000000-0000-4000-8000-0000000000b1';
  if (steep)
    return [steep.flatMm, steep.roughFlatMm].map((tipMm, i) => ({
      ...{ ...form, id: `${id.slice(0, -1)}${i + 4}`, name: `bit ${tipMm}`, kind: 'threading', tipMm },
    }));
  return [
    holeMm === undefined
      ? { ...form, id, name: 'bit 60', kind: 'threading', tipMm: FLAT_SHARE * pitchMm }
      : {
          ...{ ...form, id, name: 'inside bit 60', kind: 'inside threading', tipMm: flatOf({ pitchMm, holeMm }) },
          ...{ deepestMm: 0.8 * pitchMm, leastBoreMm: 0.8 * holeMm, reachMm: 60 },
        },
  ];
};
/** Inside the flat at the point is half of that outside: the crest of the mate is sharper. */
const flatOf = ({ pitchMm, holeMm }: Pick<ThreadRow, 'pitchMm' | 'holeMm'>): number =>
  (holeMm === undefined ? FLAT_SHARE : FLAT_SHARE / 2) * pitchMm;
const WIRES = '00000000-0000-4000-8000-0000000000b2';
/** A go plug is made inside the limit by what it may wear. ISO 1502, the least that it has for these */
const WEAR_MM = 0.006;
const PLUG = '00000000-0000-4000-8000-0000000000b3';

/** A drawn bar that is threaded at its end, or a bush that is in its bore, and the shop that does it. */
export function threadJob(row: ThreadRow): { readonly job: Job; readonly shop: Shop } {
  const { holeMm, majorMm } = row;
  const thread = { ...emptyDetail('t1', 'thread', 'mm'), designation: row.designation, class: row.close };
  const details = [thread] as unknown as Feature['details'];
  const outMm = Math.ceil(majorMm) + 14;
  const job =
    holeMm === undefined
      ? jobOf([feature(1, majorMm, LENGTH_MM, '', { details })])
      : jobOf([feature(1, outMm, LENGTH_MM)], 1, {
          bores: { left: [], right: [boreStep('core', holeMm, '', { limits: '+0.1/0', details: details as never })] },
        });
  const lathe = latheFor(row);
  const shop = {
    ...shopWith(String(holeMm === undefined ? majorMm : outMm), '900', lathe, 'medium-carbon-steel'),
    tools: [...(holeMm === undefined ? tools : drawer), ...bitsFor(row)],
    instruments: [
      ...(holeMm === undefined ? instruments : holeGauges),
      {
        ...{ id: PLUG, name: 'plug', kind: 'thread plug', unit: 'mm', fromMm: 0, toMm: 80 },
        ...{ resolutionMm: 0.01, uncertaintyMm: 0.005, designation: `${row.designation} ${row.close}` },
      },
      {
        ...{ id: WIRES, name: 'wires', kind: 'thread wires', unit: 'mm', fromMm: 0, toMm: 80 },
        ...{ resolutionMm: 0.001, uncertaintyMm: 0.005, wiresMm: [row.steep?.wireMm ?? row.pitchMm * 0.577] },
      },
    ],
  };
  return { job: { ...job, hold: { ...job.hold, latheId: lathe.id } }, shop: shop as Shop };
}

/** The run that is told for a row. */
export function threadRun(row: ThreadRow): object {
  const answer = calculate(begin, threadJob(row));
  if (!answer.ok) throw new Error(JSON.stringify(answer.problems));
  return (answer.result as { run: object }).run;
}

/** The world of one piece: everything that differs from piece to piece is drawn anew. */
export function threadWorldOf(row: ThreadRow, seed: number, compoundDeg: number): ThreadWorld {
  const chance = chanceOf(seed * 7919 + 31);
  return {
    ...{ seed, side: row.holeMm === undefined ? 'outside' : 'inside', pitchMm: row.pitchMm },
    includedDeg: row.steep?.includedDeg ?? 60,
    ...(row.steep ? { roughFlatMm: row.steep.roughFlatMm + chance.between(-0.02, 0.02) } : {}),
    blankMm:
      row.holeMm === undefined ? row.majorMm - chance.even() * 0.06 : row.holeMm + 0.05 + chance.between(-0.01, 0.01),
    flatMm: (row.steep?.flatMm ?? flatOf(row)) + chance.between(-0.02, 0.02),
    ...{ compoundDeg: compoundDeg + chance.between(-0.25, 0.25), lineMm: LINE_MM, springShare: row.springShare },
    ...{ touchMm: 0.02, handLines: 0.1, wiresMm: 0.005, feltMm: 0.003, shortMm: 0.004 },
  };
}

export interface CutThread {
  readonly pitchDiameterMm: number;
  readonly finished: boolean;
  readonly measurements: number;
  readonly passes: number;
}

/** Cuts one thread as it is told, to the end or until nothing more is told. */
export function cutThread(row: ThreadRow, run: object, seed: number, pickUpAfter?: number): CutThread {
  const { add, ask } = follow(run);
  const steps = (run as { steps: { kind: string; compoundDeg?: number }[] }).steps;
  const compoundDeg = steps.find((s) => s.kind === 'thread')?.compoundDeg ?? 0;
  const world = threadWorldOf(row, seed, compoundDeg);
  const limits = threadLimitsOf(run);
  const thread = new PretendedThread(world);
  let [measurements, passes] = [0, 0];
  let [picked, straight] = [false, false];
  for (let guard = 0; guard < 300; guard++) {
    const told = ask();
    if (told.over) return { pitchDiameterMm: thread.truth(), finished: true, measurements, passes };
    const { step } = told;
    const doubt: Answer = told.asks[0];
    if (doubt && step.kind !== 'touchOff') {
      add({ kind: 'confirmed', readingId: doubt.eventId });
      continue;
    }
    if (step.inGroove) {
      thread.form();
      add({ kind: 'pickedUp', stepId: step.id, crossNumber: '0.00' });
      continue;
    }
    if (step.kind === 'touchOff') {
      if (step.forThread) thread.touch();
      add({
        ...{ kind: 'touchedOff', stepId: step.id, approach: world.side === 'inside' ? 'out' : 'in' },
        ...{ crossNumber: '0.00', endNumber: '0' },
        diameter: {
          text: (step.forThread ? world.blankMm : (step.targetMm ?? row.majorMm + 13.7)).toFixed(3),
          unit: 'mm',
        },
        ...(step.compoundDeg === undefined ? {} : { compoundNumber: '0.00' }),
        ...(doubt ? { lookedAgain: true } : {}),
      });
      continue;
    }
    if (step.kind === 'measure' && !told.measured && step.featureId !== 't1') {
      // what is bored before comes out as it is asked
      const [low, high] = [step.limits?.lowerMm ?? step.targetMm, step.limits?.upperMm ?? step.targetMm];
      add({
        ...{ kind: 'reading', stepId: step.id, instrumentId: 'unlisted', place: 'middle', lookedAgain: true },
        raw: { text: (step.last ? (low + high) / 2 : step.targetMm).toFixed(3), unit: 'mm' },
      });
      continue;
    }
    if (step.kind === 'measure' && !told.measured && world.side === 'inside') {
      measurements++;
      // go is made to the lower limit, not-go to the upper one
      const { lowerMm, upperMm } = limits;
      const felt = (feel: 'small' | 'large', madeToMm: number): void => {
        add({
          ...{ kind: 'reading', stepId: step.id, instrumentId: PLUG, place: 'middle', feel },
          raw: { text: String(Number(madeToMm.toFixed(6))), unit: 'mm' },
        });
      };
      if (!thread.goes(lowerMm + WEAR_MM)) felt('small', lowerMm);
      else if (thread.goes(upperMm)) felt('large', upperMm);
      else {
        felt('large', lowerMm);
        felt('small', upperMm);
      }
      continue;
    }
    if (step.kind === 'measure' && !told.measured) {
      measurements++;
      add({
        ...{ kind: 'reading', stepId: step.id, instrumentId: WIRES, place: 'middle' },
        raw: { text: thread.measure().toFixed(3), unit: 'mm' },
      });
      continue;
    }
    const [act] = told.acts;
    if (!act || act.code === 'gone') return { pitchDiameterMm: thread.truth(), finished: false, measurements, passes };
    const body = act.code === 'byHand' ? told.acts.at(-1).body : act.body;
    if (told.move?.kind === 'move' && /^thread/.test(step.kind)) {
      if (straight && told.move.slide !== 'crossSlide') throw new Error('picked up it goes straight in');
      const { slide, fullTurns, rest, outTurns } = told.move;
      thread.wind(slide, fullTurns * 50 + Number(rest) / LINE_MM - outTurns * 50);
      thread.pass();
      passes++;
    }
    add(body);
    const next = passes === pickUpAfter && !picked ? ask() : undefined;
    if (next && !next.over && /^thread/.test(next.step.kind)) {
      picked = true;
      thread.pickUp();
      straight = true;
      add({ kind: 'pickedUp', stepId: next.step.id, crossNumber: '0.60', compoundNumber: '0.40' });
    }
  }
  return { pitchDiameterMm: thread.truth(), finished: false, measurements, passes };
}

/** The plain rule: feed the calculated depth by the compound, from the touch, and be done. */
export function byCalculatedDepth(row: ThreadRow, run: object, seed: number): number {
  const step = (
    run as { steps: { kind: string; compoundDeg?: number; depthMm?: number; passCount?: number }[] }
  ).steps.find((s) => s.kind === 'thread')!;
  const { roughFlatMm: _narrow, ...world } = threadWorldOf(row, seed, step.compoundDeg!);
  const thread = new PretendedThread(world);
  thread.touch();
  if (row.steep) return byDepthOfForm(row, thread);
  // the depth of the sharp form in the bore or on the bar, less what the flat cuts off
  const deepMm =
    row.holeMm === undefined
      ? 0.7578 * row.pitchMm - 0.866 * FLAT_SHARE * row.pitchMm
      : (row.majorMm - row.holeMm) / 2 + 0.10825 * row.pitchMm - 0.866 * flatOf(row);
  const travel = deepMm / Math.cos((step.compoundDeg! * Math.PI) / 180);
  const count = Math.max(4, step.passCount ?? 10);
  let set = 0;
  for (let i = 1; i <= count; i++) {
    const at = Math.round((travel * Math.sqrt(i / count)) / LINE_MM);
    thread.wind('compound', at - set);
    set = at;
    thread.pass();
  }
  return thread.truth();
}

/** The same of a steep form: half its pitch and the usual clearance, straight in by the forming bit alone. */
function byDepthOfForm({ pitchMm }: ThreadRow, thread: PretendedThread): number {
  const deepMm = pitchMm / 2 + 0.25;
  const count = 40;
  for (let i = 1; i <= count; i++) {
    thread.wind(
      'crossSlide',
      Math.round((deepMm * Math.sqrt(i / count) - deepMm * Math.sqrt((i - 1) / count)) / LINE_MM),
    );
    thread.pass();
  }
  return thread.truth();
}

/** Limits of the pitch diameter that a run is told with. */
export const threadLimitsOf = (run: object): { readonly upperMm: number; readonly lowerMm: number } =>
  (run as { steps: { kind: string; limits?: { upperMm: number; lowerMm: number } }[] }).steps.find(
    (s) => s.kind === 'threadLast',
  )!.limits!;

/** Rows of the table: threads outside and inside, in both systems, from fine to coarse. */
export const THREAD_ROWS: readonly ThreadRow[] = (
  [
    ...([
      { designation: 'M24x1', close: '6H', majorMm: 24, holeMm: 22.92, pitchMm: 1, pitchText: '1', unit: 'mm' },
      { designation: 'M24x1.5', close: '6H', majorMm: 24, holeMm: 22.4, pitchMm: 1.5, pitchText: '1.5', unit: 'mm' },
      { designation: 'M30x3.5', close: '6H', majorMm: 30, holeMm: 26.25, pitchMm: 3.5, pitchText: '3.5', unit: 'mm' },
      {
        designation: '3/4-10 UNC',
        close: '2B',
        majorMm: 19.05,
        holeMm: 16.35,
        pitchMm: 2.54,
        pitchText: '10',
        unit: 'tpi',
      },
    ] as const),
    { designation: 'M10x0.75', close: '6g', majorMm: 10, pitchMm: 0.75, pitchText: '0.75', unit: 'mm' },
    { designation: 'M8', close: '6g', majorMm: 8, pitchMm: 1.25, pitchText: '1.25', unit: 'mm' },
    {
      ...({ designation: 'Tr 24x5', close: '7e', majorMm: 24, pitchMm: 5, pitchText: '5', unit: 'mm' } as const),
      steep: { includedDeg: 30, flatMm: 1.69, roughFlatMm: 1.25, wireMm: 2.59 },
    },
    { designation: 'M20', close: '6g', majorMm: 20, pitchMm: 2.5, pitchText: '2.5', unit: 'mm' },
    { designation: '1/2-13 UNC', close: '2A', majorMm: 12.7, pitchMm: 25.4 / 13, pitchText: '13', unit: 'tpi' },
  ] as const
).flatMap((one) => [0, 0.05, 0.1].map((springShare): ThreadRow => ({ ...one, springShare })));

export interface CountedThreads {
  readonly count: number;
  readonly inside: number;
  readonly under: number;
  readonly unfinished: number;
  readonly measurements: number;
  readonly plainInside: number;
  readonly plainUnder: number;
}
/** What becomes of so many pieces, as they are told and by the calculated depth. */
export function cutThreads(row: ThreadRow, count: number): CountedThreads {
  const run = threadRun(row);
  const { lowerMm, upperMm } = threadLimitsOf(run);
  const counted = { count, inside: 0, under: 0, unfinished: 0, measurements: 0, plainInside: 0, plainUnder: 0 };
  for (let seed = 1; seed <= count; seed++) {
    const made = cutThread(row, run, seed);
    const plain = byCalculatedDepth(row, run, seed);
    counted.measurements += made.measurements;
    if (!made.finished) counted.unfinished++;
    // what cannot be put back: under its least size outside, over its largest inside
    const spoiled = (mm: number): boolean => (row.holeMm === undefined ? mm < lowerMm - 1e-9 : mm > upperMm + 1e-9);
    const isInside = (mm: number): boolean => mm >= lowerMm - 1e-9 && mm <= upperMm + 1e-9;
    if (spoiled(made.pitchDiameterMm)) counted.under++;
    else if (isInside(made.pitchDiameterMm)) counted.inside++;
    if (spoiled(plain)) counted.plainUnder++;
    else if (isInside(plain)) counted.plainInside++;
  }
  return counted;
}
