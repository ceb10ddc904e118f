/**
 * The world that judges simulated routes: the work in columns of 20 µm along its axis, each with the radius it has outside and inside.
 * Slow and plain, and it knows nothing of Whelk: it takes what the turner is told, what is drawn, and the tools' own sizes.
 */
export interface Told {
  readonly kind: string;
  readonly inside: boolean;
  readonly zFromMm: number;
  readonly zToMm: number;
  readonly diametersMm: readonly number[];
  /** by the names that the step itself has */
  readonly sizes: Readonly<Record<string, number>>;
  readonly plungesMm: readonly number[];
  readonly slices: readonly { readonly zMm: number; readonly fromDiameterMm: number }[];
  readonly tool:
    | {
        readonly noseMm: number;
        readonly deepestMm: number;
        readonly widthMm: number;
        readonly backMm: number;
        readonly topMm: number;
        /** how far in it reaches, of a drill how deep its flutes go */
        readonly reachMm: number;
      }
    | undefined;
}
/** A length of the outside or a step of a hole as it is drawn, with its limits as radii, and what is broken off its ends. */
export interface Drawn {
  readonly inside: boolean;
  readonly zFromMm: number;
  readonly zToMm: number;
  readonly lowerMm: number;
  readonly upperMm: number;
  readonly leftEdgeMm: number;
  readonly rightEdgeMm: number;
  readonly finished: boolean;
  readonly grooves: readonly {
    readonly zFromMm: number;
    readonly zToMm: number;
    readonly deepMm: number;
    readonly finished: boolean;
  }[];
}
export interface Asked {
  readonly zFromMm: number;
  readonly zToMm: number;
  readonly stockMm: number;
  readonly lengthMm: number;
  /** right side of the jaws and the radius they press on; none where jaws do not hold it */
  readonly jaws: { readonly zMm: number; readonly radiusMm: number } | undefined;
  /** whether the end at the tailstock is finished, and the largest nose that cuts */
  readonly faced: boolean;
  readonly noseMm: number;
  readonly drawn: readonly Drawn[];
  readonly told: readonly Told[];
}

const COLUMN_MM = 0.02;
/** Beyond limits by more than this is harm; within them by any amount is none; between is neither. */
const HARM_MM = 0.05;
/** Columns so near to a wall are not asked. */
const NEAR_MM = 0.06;
const JAWS_TALL_MM = 25;
/** A shank that goes less deep into metal only scrapes. */
const BODY_MM = 0.2;

export interface Verdict {
  readonly harm: string | undefined;
  /** whether nothing at all is outside its limits */
  readonly clean: boolean;
}

/** What a nose leaves over its lowest point, so far behind its foremost one. */
const overPoint = (nose: number, behind: number): number =>
  behind < 0 ? Number.POSITIVE_INFINITY : behind >= nose ? 0 : nose - Math.sqrt(nose * nose - (nose - behind) ** 2);
/** How far a bit lies over its lowest point behind its nose: ground away at 5° for 2 mm, at 45° from there. */
const behindNoseMm = (nose: number, behind: number): number => {
  const past = behind - nose;
  if (past <= 0) return overPoint(nose, behind);
  const slope = Math.tan((5 * Math.PI) / 180);
  return Math.min(past, 2) * slope + Math.max(0, past - 2);
};

export function judged(asked: Asked): Verdict {
  const count = Math.ceil((asked.zToMm - asked.zFromMm) / COLUMN_MM);
  const at = (i: number): number => asked.zFromMm + (i + 0.5) * COLUMN_MM;
  const outer = new Float64Array(count).fill(asked.stockMm / 2);
  const inner = new Float64Array(count);
  let harm: string | undefined;
  // what no column tells for sure
  let doubted = false;
  const harms = (what: string): void => {
    harm ??= what;
  };
  /** One cut: how deep each column is cut from outside or from inside. */
  const cut = (told: Told, fromMm: number, toMm: number, left: (z: number) => number): void => {
    let deepest = 0;
    for (let i = 0; i < count; i++) {
      const z = at(i);
      if (z < fromMm || z > toMm) continue;
      const r = left(z);
      if (told.inside) {
        if (r > inner[i]!) {
          const bar = told.tool?.backMm ? Math.max(told.tool.deepestMm, told.tool.topMm) : Number.POSITIVE_INFINITY;
          if (z > fromMm + 0.4 && outer[i]! > 0 && r - inner[i]! > bar) doubted = true;
          if (z > fromMm + 1 && outer[i]! > 0) deepest = Math.max(deepest, r - inner[i]!);
          inner[i] = r;
        }
      } else if (r < outer[i]!) {
        if (z > fromMm + 1) deepest = Math.max(deepest, outer[i]! - Math.max(r, inner[i]!));
        if (asked.jaws && z < asked.jaws.zMm && r < asked.jaws.radiusMm + JAWS_TALL_MM) harms('jaws');
        outer[i] = Math.max(0, r);
      }
    }
    if (told.tool && told.diametersMm.length > 0 && deepest > told.tool.deepestMm + HARM_MM) harms('edge');
  };
  /** The shank of a bar whose edge is at a place: across the axis against the opposite wall, and against the wall that it cuts. */
  const barAt = (told: Told, zMm: number, rMm: number): void => {
    if (!told.inside || !told.tool?.backMm) return;
    const reach = Math.max(told.tool.backMm - rMm, rMm - told.tool.topMm);
    for (let i = 0; i < count; i++)
      if (at(i) > zMm + 0.38 && outer[i]! > 0 && inner[i]! < reach) {
        if (inner[i]! < reach - BODY_MM) harms('body');
        else doubted = true;
      }
  };
  /** A tool from outside, its edge so high: above that nothing may stand where it is as wide as itself. */
  const postAt = (told: Told, zMm: number, rMm: number): void => {
    if (told.inside) return;
    const edge = rMm + Math.max(10, told.tool?.deepestMm ?? 0) + HARM_MM;
    for (let i = 0; i < count; i++) {
      const over = at(i) > zMm + 11 ? rMm + 26 : edge - 0.25 * (at(i) - zMm);
      if (at(i) > zMm + 1 && at(i) < zMm + 24 && outer[i]! > over) harms('body');
    }
  };
  for (const told of asked.told) {
    const { zFromMm, zToMm, sizes } = told;
    const nose = told.tool?.noseMm ?? 0;
    const behindNose = (sign: 1 | -1, r: number) => (z: number) => r + sign * overPoint(nose, z - zFromMm);
    const sign = told.inside ? -1 : 1;
    if (told.tool && (told.inside || told.kind === 'drill') && asked.lengthMm - zFromMm > told.tool.reachMm)
      harms('reach');
    if (told.kind === 'face') cut(told, zFromMm, asked.zToMm, () => 0);
    else if (['rough', 'semiFinish', 'finish'].includes(told.kind))
      for (const d of told.diametersMm) {
        // behind its nose the bit is as wide as it is
        const begins = zToMm + 1;
        cut(told, zFromMm, begins, behindNose(sign, d / 2));
        cut(told, begins, begins + 9, (z) => d / 2 + sign * behindNoseMm(nose, z - begins + nose));
        barAt(told, zFromMm, d / 2);
      }
    else if (told.kind === 'shoulder') {
      postAt(told, zFromMm, sizes.fromDiameterMm! / 2);
      for (const from of [zFromMm + 1, zFromMm])
        cut(told, from, from + 9, (z) => sizes.fromDiameterMm! / 2 + sign * behindNoseMm(nose, z - from));
      barAt(told, zFromMm, sizes.fromDiameterMm! / 2);
      barAt(told, zFromMm, Math.max(0, sizes.toDiameterMm! / 2 - 1));
    } else if (told.kind === 'chamfer') {
      const slope = Math.tan((sizes.angleDeg! * Math.PI) / 180);
      cut(told, zToMm - sizes.lengthMm!, zToMm, (z) => sizes.cornerMm! + (zToMm - z) * slope);
    } else if (told.kind === 'groove') {
      const w = told.tool?.widthMm ?? 0;
      const [first, last] = [Math.min(...told.plungesMm), Math.max(...told.plungesMm)];
      for (const p of told.plungesMm) cut(told, p, p + w, () => sizes.floorMm! / 2);
      if (sizes.sweep) cut(told, first, last + w, () => sizes.floorMm! / 2);
    } else if (told.kind === 'drill') {
      const r = sizes.diameterMm! / 2;
      cut({ ...told, inside: true }, zFromMm, asked.zToMm, () => r);
      const point = sizes.pointMm!;
      cut({ ...told, inside: true }, zFromMm - point, zFromMm, (z) => (r * (z - zFromMm + point)) / point);
    } else if (told.kind === 'openFloor')
      for (const { zMm, fromDiameterMm } of told.slices) {
        cut({ ...told, inside: true }, zMm, zMm + 9, (z) => sizes.toDiameterMm! / 2 - behindNoseMm(nose, z - zMm));
        barAt({ ...told, inside: true }, zMm, sizes.toDiameterMm! / 2);
        barAt({ ...told, inside: true }, zMm, fromDiameterMm / 2);
      }
  }
  const walls = asked.drawn.flatMap((d) => [
    ...[d.zFromMm, d.zToMm, d.zFromMm + d.leftEdgeMm, d.zToMm - d.rightEdgeMm],
    ...d.grooves.flatMap((g) => [g.zFromMm, g.zToMm]),
  ]);
  const gap = { gone: 0, left: 0 };
  for (let i = 0; i < count; i++) {
    const z = at(i);
    if (z < 0 || z > asked.lengthMm || walls.some((w) => Math.abs(w - z) < NEAR_MM)) continue;
    for (const d of asked.drawn) {
      if (z < d.zFromMm || z > d.zToMm) continue;
      const edge = Math.max(0, d.leftEdgeMm - (z - d.zFromMm), d.rightEdgeMm - (d.zToMm - z));
      const groove = d.grooves.find((g) => z > g.zFromMm && z < g.zToMm);
      const down = groove ? groove.deepMm : edge;
      const [lower, upper] = d.inside ? [d.lowerMm, d.upperMm + down] : [d.lowerMm - down, d.upperMm - down];
      const is = d.inside ? inner[i]! : outer[i]!;
      // more metal gone than the limits let
      gap.gone = Math.max(gap.gone, d.inside ? is - upper : lower - is);
      // at its foot a nose stays
      const foot = groove ? 0 : Math.min(asked.noseMm, overPoint(asked.noseMm, z - d.zFromMm));
      const finished = groove ? groove.finished : d.finished && edge === 0;
      if (finished) gap.left = Math.max(gap.left, (d.inside ? lower - is : is - upper) - foot);
    }
  }
  for (let i = 0; i < count && asked.faced; i++)
    if (at(i) > asked.lengthMm + HARM_MM && outer[i]! > inner[i]!)
      gap.left = Math.max(gap.left, at(i) - asked.lengthMm);
  if (gap.gone > HARM_MM) harms('gone');
  if (gap.left > HARM_MM) harms('left');
  return { harm, clean: harm === undefined && !doubted && gap.gone <= 0.005 && gap.left <= 0.005 };
}
