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

/** Version 2 to 3: the part as one list of surfaces. Anything else is left as it is. */
export function namesItsSurfaces(stored: unknown): unknown {
  if (!isObject(stored) || stored.schema !== 2 || !isObject(stored.part)) return stored;
  const { lengthMm, largestMm, features, bores } = stored.part;
  const setup = isObject(stored.again) && isObject(stored.again.setup) ? stored.again.setup : {};
  const tail: End = setup.tail === 'left' ? 'left' : 'right';
  // lying the other way round, what is towards the right is the drawing's left
  const drawn = (end: End): End => (tail === 'right' ? end : opposite[end]);
  const outside = listOf(features);
  const lathe = upgradeLathe(stored.lathe);
  // the chuck that was on stood first, and what held the work told only what differed from it
  const chuck = isObject(lathe) && isObject(lathe.holding) ? listOf(lathe.holding.chucks)[0] : undefined;
  const plan = isObject(stored.plan) ? stored.plan : {};
  const holding = isObject(plan.holding) ? plan.holding : {};
  return {
    ...stored,
    ...{ schema: 3, lathe, chuck },
    plan: {
      ...plan,
      holding: { onMm: stored.stockMm, forceN: chuck?.forceN, maxRpm: chuck?.maxRpm, ...holding },
    },
    part: {
      ...{ lengthMm, largestMm, tail, relations: [], notes: [] },
      surfaces: [
        ...outside.flatMap((f, i) => outsideOf(f, { left: outside[i - 1], right: outside[i + 1] }, drawn)),
        ...listOf(bores).flatMap(insideOf),
      ],
      lengths: outside.map((f) => ({
        ...{ id: f.id, from: `${f.id}.left`, to: `${f.id}.right`, limits: f.lengthLimits },
        mm: number(f.zToMm) - number(f.zFromMm),
      })),
    },
  };
}
