import type { Answer, AnswerOperation, AnswerSetup, Judge } from './case.ts';

const told = ({ problems }: Answer): string =>
  problems.map((p) => `${p.severity === 'error' ? '!' : ''}${p.code}`).join(' ') || 'nothing said';
const cutting = (o: AnswerOperation): boolean => o.kind !== 'mount' && o.kind !== 'measure';

/** Nothing is cut, and it is said why. @param why what a code of the reasons matches */
export const refused =
  (why: RegExp = /./): Judge =>
  (a) => {
    const cut = a.setups.flatMap((s) => s.operations).filter(cutting);
    const reasons = a.problems.filter((p) => p.severity === 'error' && why.test(p.code));
    if (cut.length > 0) return `is cut (${cut.length} operations); ${told(a)}`;
    return reasons.length > 0 ? undefined : `refused without that reason; ${told(a)}`;
  };
/** Something is cut, in the first setup or in each of so many. */
export const planned =
  (setups = 1): Judge =>
  (a) => {
    const bare = Array.from({ length: setups }, (_, i) => a.setups[i]).findIndex((s) => !s?.operations.some(cutting));
    return bare < 0 ? undefined : `setup ${bare + 1} cuts nothing; ${told(a)}`;
  };
/** It is said, as a warning or as a reason. */
export const says =
  (code: RegExp): Judge =>
  (a) =>
    a.problems.some((p) => code.test(p.code)) ? undefined : `does not say ${code}; ${told(a)}`;
export const silent =
  (code: RegExp): Judge =>
  (a) =>
    a.problems.some((p) => code.test(p.code)) ? `says ${code}; ${told(a)}` : undefined;

/** Right end of the metal, and its diameter there. */
function endOf({ before }: AnswerSetup): { readonly zMm: number; readonly diameterMm: number } {
  const corners = before.loops.flat();
  const zMm = Math.max(...corners.map((c) => c.zMm));
  const near = corners.filter((c) => c.zMm > zMm - 0.01);
  return { zMm, diameterMm: 2 * Math.max(...near.map((c) => c.rMm)) };
}
/** No end is faced or drilled while more than four diameters of it stand free. FIELD 2 */
export const noEndStandsFree: Judge = (a) => {
  for (const setup of a.setups)
    for (const o of setup.operations) {
      if ((o.kind !== 'face' && o.kind !== 'centre') || o.carried !== 'free' || !setup.held) continue;
      const { zMm, diameterMm } = endOf(setup);
      const outMm = setup.held.ends?.outMm ?? zMm - setup.held.jawsMm;
      if (outMm > 4.05 * diameterMm)
        return `setup ${setup.number}: ${o.kind} with ${(outMm / diameterMm).toFixed(1)} diameters free`;
    }
  return undefined;
};
/** Every operation is carried in one of these ways. */
export const carried =
  (kind: string, ...ways: readonly string[]): Judge =>
  (a) => {
    const of = a.setups.flatMap((s) => s.operations).filter((o) => o.kind === kind);
    if (of.length === 0) return `no ${kind} at all; ${told(a)}`;
    const wrong = of.find((o) => !ways.includes(o.carried ?? ''));
    return wrong && `${kind} is carried ${wrong.carried}`;
  };
/** Nothing asks more of motor, work or jaws than they bear. */
export const bears: Judge = (a) => {
  const over = a.setups.flatMap((s) => s.operations).find((o) => o.exceeds.length > 0);
  return over && `${over.id} exceeds ${over.exceeds.join(', ')}`;
};
/** The first setup is held so. */
export const heldBy =
  (...methods: readonly string[]): Judge =>
  (a) => {
    const method = a.setups[0]?.held?.method;
    return methods.includes(method ?? '') ? undefined : `held by ${method ?? 'nothing'}; ${told(a)}`;
  };
/** Of a setup, a figure between two bounds. */
export const between =
  (what: string, figure: (setup: AnswerSetup) => number | undefined, least: number, most: number, number = 1): Judge =>
  (a) => {
    const setup = a.setups[number - 1];
    const value = setup && figure(setup);
    if (value === undefined) return `no ${what}; ${told(a)}`;
    return value >= least && value <= most ? undefined : `${what} is ${value.toFixed(3)}, not ${least} to ${most}`;
  };
export const gripMm = (s: AnswerSetup): number | undefined => s.held?.gripMm;
export const worstBendMm = (s: AnswerSetup): number => Math.max(0, ...s.operations.map((o) => o.bendMm ?? 0));
export const centrePilotMm = (s: AnswerSetup): number | undefined =>
  Number(s.operations.find((o) => o.kind === 'centre')?.own.pilotMm ?? Number.NaN);
/** Nothing that can be made waits when all setups are done. */
export const allMade =
  (except: RegExp = /^$/): Judge =>
  (a) => {
    const left = a.waiting.filter((w) => !except.test(w.why) && !except.test(w.id));
    return left.length === 0 ? undefined : `waits: ${left.map((w) => `${w.id} ${w.why}`).join(', ')}; ${told(a)}`;
  };
/** Deepest first pass, mm on the radius. */
export const firstDepthMm = (s: AnswerSetup): number | undefined =>
  s.operations.find((o) => o.kind === 'rough')?.passes[0]?.depthMm;

/** Shortest that jaws may hold: 3 mm, of thin work a third of its diameter. FIELD 14 */
const leastGripMm = (onMm: number): number => (onMm < 9 ? onMm / 3 : 3);
/**
 * Nothing dangerous is planned, whatever else is: no end stands free, nothing asks more than is borne, no jaws hold less than the floor, and
 * nothing is turned standing free beyond five diameters of what is there. FIELD 2 and 14
 */
export const safe: Judge = (a) => {
  const first = noEndStandsFree(a) ?? bears(a);
  if (first) return first;
  for (const setup of a.setups) {
    const { held } = setup;
    if (!held || !setup.operations.some(cutting)) continue;
    if (held.method.startsWith('chuck') && held.gripMm < leastGripMm(held.onMm) - 0.01)
      return `setup ${setup.number} is held by ${held.gripMm.toFixed(2)} of Ø${held.onMm.toFixed(1)}`;
    const free = setup.operations.find(
      (o) => o.carried === 'free' && o.passes.length > 0 && o.zToMm - held.jawsMm > 5.2 * thickest(setup),
    );
    if (free) return `${free.id} is turned free, ${(free.zToMm - held.jawsMm).toFixed(0)} mm out`;
  }
  return undefined;
};
/** Largest diameter of the metal before a setup, mm. */
const thickest = ({ before }: AnswerSetup): number => 2 * Math.max(...before.loops.flat().map((c) => c.rMm));

/** Every operation of a kind has a figure between two bounds. */
export const each =
  (
    kind: string,
    what: string,
    figure: (o: AnswerOperation) => number | undefined,
    least: number,
    most: number,
  ): Judge =>
  (a) => {
    const of = a.setups.flatMap((s) => s.operations).filter((o) => o.kind === kind);
    if (of.length === 0) return `no ${kind} at all; ${told(a)}`;
    const wrong = of.find((o) => {
      const value = figure(o);
      return value !== undefined && (value < least - 1e-9 || value > most + 1e-9);
    });
    return wrong && `${wrong.id}: ${what} is ${figure(wrong)}, not ${least} to ${most}`;
  };
/** A note is told at some operation of a kind; of a figure, that too. */
export const notes =
  (kind: string, code: string, value?: number): Judge =>
  (a) => {
    const of = a.setups.flatMap((s) => s.operations).filter((o) => o.kind === kind);
    const found = of.flatMap((o) => o.notes ?? []).filter((n) => n.code === code);
    if (found.length === 0) return `no ${kind} says ${code}; ${told(a)}`;
    return value === undefined || found.some((n) => Math.abs((n.value ?? Number.NaN) - value) < 1e-6)
      ? undefined
      : `${code} says ${found[0]!.value}, not ${value}`;
  };
export const noNote =
  (code: string): Judge =>
  (a) => {
    const o = a.setups.flatMap((s) => s.operations).find((x) => x.notes?.some((n) => n.code === code));
    return o && `${o.id} says ${code}`;
  };
