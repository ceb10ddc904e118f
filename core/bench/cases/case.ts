import shopFile from '../../../demo/shop.json' with { type: 'json' };
import { calculate, calculationNamed } from '../../src/calc/index.ts';

/**
 * What a turner would try, and what must or must not come of it. A case knows of Whelk only the door `job.plan`: plain documents in,
 * plain answers out. What must hold is written from the trade, not from the code.
 */
export interface Case {
  /** where the rule stands, and what is tried */
  readonly rule: string;
  readonly title: string;
  readonly job: Tried;
  readonly must: readonly Judge[];
}
/** A question to one calculation of the catalogue, and what of its answer must hold. */
export interface Question {
  readonly rule: string;
  readonly title: string;
  readonly ask: string;
  readonly input: object;
  /** says what is wrong with the answer, or with the refusal; nothing where it holds */
  readonly holds: (answer: Asked) => string | undefined;
}
/** A result by its names, or the codes of the reasons why there is none. */
export type Asked =
  | { readonly ok: true; readonly result: Readonly<Record<string, never>> }
  | { readonly ok: false; readonly codes: readonly string[] };
/** Says what is wrong with an answer; nothing where it holds. */
export type Judge = (answer: Answer) => string | undefined;

/** A part, a bar, a lathe, and how it is held; lengths in mm, or typed with their unit. */
export interface Tried {
  /** diameter, length, limits and whatever else of each length from the left */
  readonly part: readonly (readonly [
    diameter: string | number,
    length: string | number,
    limits?: string,
    more?: object,
  ])[];
  /** steps of a hole from the left or right end: diameter, depth (through where it is empty), limits */
  readonly hole?: {
    readonly from: 'left' | 'right';
    readonly steps: readonly (readonly [string | number, string | number, string?])[];
  };
  readonly bar: {
    readonly shape?: 'round' | 'hexagon' | 'square' | 'tube' | 'casting';
    readonly size: string | number;
    readonly length?: string | number;
    readonly bore?: string | number;
    readonly allowance?: string | number;
    readonly material?: string;
  };
  readonly lathe?: 'the Long one' | 'the Grey' | 'the Small one';
  /** changes of that lathe, and of its holding */
  readonly lathely?: object;
  readonly holding?: object;
  readonly unit?: 'mm' | 'in';
  readonly setups?: readonly SetupTried[];
  readonly drawing?: object;
  readonly stock?: object;
  readonly route?: object;
}
export interface SetupTried {
  readonly tail?: 'left' | 'right';
  readonly grip?: object;
  readonly support?: string;
  readonly extent?: 'all' | 'ends';
  readonly restMm?: number;
}

export interface AnswerOperation {
  readonly id: string;
  readonly kind: string;
  readonly featureId?: string;
  readonly zFromMm: number;
  readonly zToMm: number;
  readonly rpm?: number;
  readonly feedMmPerRev?: number;
  readonly passes: readonly { readonly depthMm: number; readonly diameterAfterMm: number }[];
  readonly bendMm?: number;
  readonly bendAllowedMm?: number;
  readonly gripShare?: number;
  readonly exceeds: readonly string[];
  readonly own: Readonly<Record<string, number | string>>;
  readonly carried?: string;
  readonly notes?: readonly { readonly code: string; readonly value?: number; readonly limit?: number }[];
  readonly decidedBy?: string;
  readonly toolId?: string;
}
interface Outline {
  readonly loops: readonly (readonly { readonly zMm: number; readonly rMm: number }[])[];
}
export interface AnswerSetup {
  readonly number: number;
  readonly held?: {
    readonly method: string;
    readonly onMm: number;
    readonly gripMm: number;
    readonly jawsMm: number;
    readonly overhangMm: number;
    readonly maxRpm: number;
    readonly ends?: { readonly kind: string; readonly outMm?: number };
  };
  readonly before: Outline;
  readonly after: Outline;
  readonly operations: readonly AnswerOperation[];
  readonly waiting: readonly { readonly id: string; readonly why: string }[];
}
export interface Answer {
  readonly kind: 'open' | 'planned';
  readonly problems: readonly {
    readonly code: string;
    readonly severity: 'error' | 'warning';
    readonly value?: string | number;
    readonly limit?: string | number;
  }[];
  readonly blank?: { readonly lengthMm: number; readonly diameterMm: number };
  readonly setups: readonly AnswerSetup[];
  readonly waiting: readonly { readonly id: string; readonly why: string }[];
}

const uuid = (n: number): string => `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`;
const BAR = uuid(700);

/** The documents of a case, as a file would have them. */
export function documentsOf(tried: Tried): { readonly job: object; readonly shop: object } {
  const unit = tried.unit ?? 'mm';
  const typed = (size: string | number | undefined) => ({ text: size === undefined ? '' : String(size), unit });
  const features = tried.part.map(([diameter, length, limits = '', more = {}], i) => ({
    ...{
      id: `f${i + 1}`,
      name: `L${i + 1}`,
      kind: 'cylinder',
      diameter: typed(diameter),
      limits,
      length: typed(length),
    },
    ...{ lengthLimits: '', finish: '', faceFinish: '', edges: { left: '', right: '' }, details: [] },
    ...more,
  }));
  const steps = (tried.hole?.steps ?? []).map(([diameter, length, limits = ''], i) => ({
    ...{ id: `h${i + 1}`, name: `H${i + 1}`, kind: 'bored', diameter: typed(diameter), limits, length: typed(length) },
    ...{ lengthLimits: '', finish: '', details: [] },
  }));
  const end = { centre: '', centreStays: false, made: 'faced', spigot: null };
  const drawing = {
    ...{ schema: 3, unit, generalClass: 'm', overall: typed(undefined), features, dimensions: [], issue: '' },
    bores: { left: tried.hole?.from === 'left' ? steps : [], right: tried.hole?.from === 'right' ? steps : [] },
    ...{ ends: { left: end, right: end }, endView: { holes: [], flats: [], notes: [] } },
    ...tried.drawing,
  };
  const given = shopFile.lathes.find((l) => l.name === (tried.lathe ?? 'the Long one'))!;
  const lathe = { ...given, ...tried.lathely, holding: { ...given.holding, ...tried.holding } };
  const { shape = 'round', size, length = 900, bore, allowance, material = 'low-carbon-steel' } = tried.bar;
  const bar = {
    ...{ id: BAR, materialId: material, note: '', shape, diameter: typed(size), length: typed(length) },
    ...(bore === undefined ? {} : { bore: typed(bore) }),
    ...(allowance === undefined ? {} : { allowance: typed(allowance) }),
  };
  const usual: readonly SetupTried[] = [{ grip: { kind: 'jaws', on: 'spare', mm: 0 } }];
  const setups = (tried.setups ?? usual).map((s, i) => ({
    ...{ id: uuid(i + 1), tail: s.tail ?? 'right', support: s.support ?? 'auto' },
    grip: s.grip ?? { kind: 'jaws', ...(i === 0 ? { on: 'spare' } : {}), mm: 0 },
    ...(s.extent ? { extent: s.extent } : {}),
    ...(s.restMm ? { restMm: s.restMm } : {}),
  }));
  const job = {
    ...{ schema: 2, title: 'case', quantity: 1, drawing },
    stock: { barId: BAR, allow: { clearanceMm: 5, faceTailMm: 1, faceHeadMm: 1, kerfMm: 3 }, ...tried.stock },
    hold: { latheId: given.id, setups },
    route: { school: 'conditions', tools: 'hss', ...tried.route },
  };
  const { tools, instruments, materials } = shopFile;
  return { job, shop: { lathes: [lathe], bars: [bar], tools, instruments, materials } };
}

/** What Whelk answers to a case; a case that it will not even read is a fault of the case. */
export function answerTo(tried: Tried): Answer {
  const told = calculate(calculationNamed('job.plan')!, documentsOf(tried));
  if (!told.ok) throw new Error(JSON.stringify(told.problems.slice(0, 3)));
  return told.result as unknown as Answer;
}

/** What a calculation answers. */
export function answerToQuestion({ ask, input }: Question): Asked {
  const entry = calculationNamed(ask);
  if (!entry) return { ok: false, codes: [`no calculation ${ask}`] };
  const told = calculate(entry, input);
  return told.ok
    ? { ok: true, result: told.result as Readonly<Record<string, never>> }
    : { ok: false, codes: told.problems.map((p) => p.code) };
}
