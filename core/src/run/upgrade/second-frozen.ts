import { upgradeLathe } from '../../lathe/index.ts';

/**
 * Runs of the second version kept the part as two chains: lengths of the outside, each with its edges and what is cut into it, and
 * steps of holes told from their face inwards. Now a part is one list of named surfaces. Frozen: written for that version's shape
 * and this one's alone.
 */
type Old = Readonly<Record<string, unknown>>;
const isObject = (value: unknown): value is Old => typeof value === 'object' && value !== null && !Array.isArray(value);
const listOf = (value: unknown): readonly Old[] => (Array.isArray(value) ? value.filter(isObject) : []);
const opposite = { left: 'right', right: 'left' } as const;
type End = keyof typeof opposite;
const ENDS = ['left', 'right'] as const;
const number = (value: unknown): number => (typeof value === 'number' ? value : 0);

const cutIn =
  (of: unknown, side: 'outside' | 'inside') =>
  (d: Old): Old => ({ ...d, of, side });

/** Lengths on either side of one. */
type Beside = Readonly<Record<End, Old | undefined>>;

/** Edges of a length: chamfers and rounds towards either end, named by the end of the drawing. */
function edgesOf(f: Old, beside: Beside, drawn: (end: End) => End): readonly Old[] {
  const [from, to] = [number(f.zFromMm), number(f.zToMm)];
  return ENDS.flatMap((towards): Old[] => {
    const common = { id: `${f.id}.${drawn(towards)}.edge`, of: f.id, side: 'outside', towards };
    const span = (mm: number) =>
      towards === 'left' ? { zFromMm: from, zToMm: from + mm } : { zFromMm: to - mm, zToMm: to };
    const chamfer = f[towards];
    if (isObject(chamfer)) return [{ ...common, ...chamfer, kind: 'chamfer', ...span(number(chamfer.lengthMm)) }];
    const radiusMm = f[`${towards}RoundMm`];
    if (typeof radiusMm !== 'number') return [];
    const inner = number(beside[towards]?.diameterMm) > number(f.diameterMm);
    return [{ ...common, kind: 'round', radiusMm, inner, ...span(radiusMm) }];
  });
}

function outsideOf(f: Old, beside: Beside, drawn: (end: End) => End): readonly Old[] {
  const { id, index, name, zFromMm, zToMm, limits, raUm, diameterMm } = f;
  // the very first runs knew cylinders only
  const [leftMm, rightMm] = [f.leftMm ?? diameterMm, f.rightMm ?? diameterMm];
  const arc = isObject(f.arc) ? f.arc : undefined;
  const kind = f.kind === 'arc' && !arc ? 'taper' : (f.kind ?? 'cylinder');
  const round = { id, side: 'outside', index, name, zFromMm, zToMm, diameterMm, leftMm, rightMm, limits, raUm };
  return [
    { ...round, kind, ...(kind === 'arc' ? arc : {}) },
    ...edgesOf(f, beside, drawn),
    ...listOf(f.details).map(cutIn(id, 'outside')),
  ];
}

function insideOf(b: Old): readonly Old[] {
  const { id, index, name, limits, raUm, through } = b;
  const from: End = b.side === 'right' ? 'right' : 'left';
  const [outer, inner] = [number(b.outerMm), number(b.innerMm)];
  const [mouth, bottom] = [number(b.zFromMm), number(b.zToMm)];
  return [
    {
      ...{ id, side: 'inside', kind: outer === inner ? 'cylinder' : 'taper', index, name, limits, raUm, through, from },
      ...{ made: b.kind, zFromMm: Math.min(mouth, bottom), zToMm: Math.max(mouth, bottom) },
      ...{ diameterMm: Math.max(outer, inner) },
      ...(from === 'left' ? { leftMm: outer, rightMm: inner } : { leftMm: inner, rightMm: outer }),
    },
    ...listOf(b.details).map(cutIn(id, 'inside')),
  ];
}

/** The part of the second version as one list of surfaces. */
function partOf(old: Old, tail: End): Old {
  // lying the other way round, what is towards the right is the drawing's left
  const drawn = (end: End): End => (tail === 'right' ? end : opposite[end]);
  const outside = listOf(old.features);
  return {
    ...{ lengthMm: old.lengthMm, largestMm: old.largestMm, tail, relations: [], notes: [] },
    surfaces: [
      ...outside.flatMap((f, i) => outsideOf(f, { left: outside[i - 1], right: outside[i + 1] }, drawn)),
      ...listOf(old.bores).flatMap(insideOf),
    ],
    lengths: outside.map((f) => ({
      ...{ id: f.id, from: `${f.id}.left`, to: `${f.id}.right`, limits: f.lengthLimits },
      mm: number(f.zToMm) - number(f.zFromMm),
    })),
  };
}

/** Metal as steps of a bar, one after the other along Z, as one outline. */
function stepped(steps: readonly (readonly [fromMm: number, toMm: number, diameterMm: number])[]): Old {
  const [first, last] = [steps[0], steps.at(-1)];
  if (!first || !last) return { loops: [] };
  // gone round with the metal on the left: along the axis to the right, and back over the steps
  const over = steps.toReversed().flatMap(([from, to, diameter]) => [
    { zMm: to, rMm: diameter / 2 },
    { zMm: from, rMm: diameter / 2 },
  ]);
  return { loops: [[{ zMm: first[0], rMm: 0 }, { zMm: last[1], rMm: 0 }, ...over]] };
}

const cutOffBy = (hold: Old): 'saw' | 'slot' => (hold.cutOff === 'slot' ? 'slot' : 'saw');

/** The piece as it was put in: what was finished stood at its size, the rest as thick as bar or casting. */
function pieceOf(run: Old, worked: Old | undefined, holding: Old, tail: End): Old {
  const old = isObject(run.part) ? run.part : {};
  const hold = isObject(run.hold) ? run.hold : {};
  const spigots = isObject(run.spigots) ? run.spigots : {};
  const rough = isObject(run.rough) ? run.rough : isObject(worked?.rough) ? worked.rough : {};
  const done = new Set(Array.isArray(worked?.doneIds) ? worked.doneIds : []);
  const stock = number(run.stockMm);
  const headMm = worked ? number(worked.headMm) : number(hold.faceHeadMm) + number(spigots.leftMm);
  const onSpare = !worked && hold.gripOn === 'spare' && run.rough === undefined;
  const from = onSpare ? number(holding.jawsMm) - number(holding.gripMm) : -headMm;
  const to =
    number(old.lengthMm) + (worked ? number(worked.tailMm) : number(hold.faceTailMm) + number(spigots.rightMm));
  const features = listOf(old.features);
  const steps = features.map((f, i) => {
    const diameter = done.has(f.id) ? number(f.diameterMm) : number(rough[String(f.id)] ?? stock);
    const [a, b] = [i === 0 ? from : number(f.zFromMm), i === features.length - 1 ? to : number(f.zToMm)];
    return [a, b, diameter] as const;
  });
  const edges = Array.isArray(worked?.edgeIds) ? worked.edgeIds : [];
  const by = { setup: 1, operationId: 'earlier' };
  const names = [
    ...done,
    ...edges.map((id) => `${id}.${tail}.edge`),
    ...(worked?.tailCentre ? [`part.${tail}.centre`] : []),
    ...(worked?.headCentre ? [`part.${opposite[tail]}.centre`] : []),
  ];
  return {
    part: partOf(old, tail),
    contour: stepped(steps),
    finished: Object.fromEntries(names.map((name) => [name, by])),
    marks: onSpare
      ? [
          {
            kind: 'cutOff',
            by: cutOffBy(hold),
            zFromMm: number(holding.jawsMm) + number(hold.clearanceMm),
            zToMm: -headMm,
          },
        ]
      : [],
  };
}

const given = (key: string, value: unknown): Old => (value === undefined ? {} : { [key]: value });
const FIRST_SETUP = { id: '00000000-0000-4000-8000-000000000001', tail: 'right' };

/** How it was chosen to be held, as a setup. */
function setupOf(run: Old, again: Old | undefined): Old {
  const hold = isObject(run.hold) ? run.hold : {};
  const { id, tail, method, onId, gripMm, protect, extent } = again ?? { ...FIRST_SETUP, ...hold };
  const on = again ? given('on', onId) : hold.gripOn === 'spare' ? { on: 'spare' } : {};
  const between = given('protect', protect);
  const jaws = { kind: 'jaws', ...given('chuckId', again?.chuckId), ...on, mm: number(gripMm), ...between };
  const support = method === 'auto' ? 'auto' : method === 'chuck' ? 'none' : 'centre';
  const way =
    method === 'betweenCentres'
      ? { grip: { kind: 'centres', ...given('dogOn', onId), ...between }, support }
      : method === 'auto' || method === 'chuck' || method === 'chuckAndCentre'
        ? { grip: jaws, support }
        : { grip: { kind: method }, support: method === 'mandrel' ? 'centre' : 'none' };
  return { id, tail, ...way, ...given('extent', extent) };
}

/** What an operation of each kind had in its bag of sizes, that it has as fields of its own now. */
const OWN: Readonly<Record<string, readonly string[]>> = {
  mount: ['gripMm', 'overhangMm'],
  face: ['offMm'],
  centre: ['pilotMm', 'mouthMm', 'massKg', 'forceN'],
  shoulder: ['fromDiameterMm', 'toDiameterMm'],
  chamfer: ['lengthMm', 'angleDeg', 'depthMm'],
};
function withOwnSizes({ sizes, ...rest }: Old): Old {
  const had = isObject(sizes) ? sizes : {};
  const own = (OWN[String(rest.kind)] ?? []).map((key) => [key, number(had[key])] as const);
  const swung = rest.kind === 'touchOff' ? given('compoundDeg', had.compoundDeg) : {};
  return { ...rest, ...Object.fromEntries(own), ...swung };
}

/** What waited, by the name of the surface. */
function waitingOf(list: unknown, tail: End, lengths: readonly Old[]): readonly Old[] {
  return listOf(list).flatMap(({ what, featureId, why }): Old[] => {
    const head = opposite[tail];
    if (what === 'headFace') return [{ id: `part.${head}`, why }];
    if (what === 'cutOff') return [{ id: `part.${head}`, why: 'cutOff' }];
    if (what === 'leftEdge') return [{ id: `${featureId}.${head}.edge`, why }];
    if (what !== 'detail') return [{ id: featureId, why }];
    const cut = listOf(lengths.find((f) => f.id === featureId)?.details);
    return cut.map((d) => ({ id: d.id, why }));
  });
}

/**
 * Version 2 to 3: the part as one list of surfaces, and the piece, how it is held and what there is to cut it with each in one place.
 * Anything else is left as it is.
 */
export function namesItsSurfaces(stored: unknown): unknown {
  if (!isObject(stored) || stored.schema !== 2 || !isObject(stored.part)) return stored;
  const again = isObject(stored.again) ? stored.again : undefined;
  const setup = isObject(again?.setup) ? again.setup : undefined;
  const worked = isObject(again?.worked) ? again.worked : undefined;
  const tail: End = setup?.tail === 'left' ? 'left' : 'right';
  const lathe = upgradeLathe(stored.lathe);
  // the chuck that was on stood first, and what held the work told only what differed from it
  const chuck = isObject(lathe) && isObject(lathe.holding) ? listOf(lathe.holding.chucks)[0] : undefined;
  const { holding: was, blank: _blank, ...plan } = isObject(stored.plan) ? stored.plan : ({} as Old);
  const holding = isObject(was) ? was : {};
  const hold = isObject(stored.hold) ? stored.hold : {};
  const { title, drawing, material, tools, instruments, school, policy, own, steps, known, living, stand } = stored;
  return {
    ...{ schema: 3, title, drawing, number: again ? 2 : 1, piece: pieceOf(stored, worked, holding, tail) },
    ...(worked?.onSpare === true ? { cutOff: cutOffBy(hold) } : {}),
    ...{ setup: setupOf(stored, setup), chuck, means: { lathe, tools, instruments, material } },
    wishes: {
      school,
      ...{ ...given('policy', policy), ...given('own', own), clearanceMm: number(hold.clearanceMm) },
      ...given('centreSpeed', hold.centreSpeed),
    },
    plan: {
      ...plan,
      operations: listOf(plan.operations).map(withOwnSizes),
      waiting: waitingOf(plan.waiting, tail, listOf(stored.part.features)),
      held: { onMm: stored.stockMm, forceN: chuck?.forceN, maxRpm: chuck?.maxRpm, chuckId: chuck?.id, ...holding },
    },
    ...{ steps: listOf(steps).map(withOwnSizes), known, living, ...given('stand', stand) },
  };
}
