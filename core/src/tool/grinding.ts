import type { Group, Material } from '../material/index.ts';

/** Shapes that a bit is ground to. */
export const BIT_SHAPES = [
  'rougher',
  'finisher',
  'facing',
  'chamfer',
  'parting',
  'boring',
  'roundNose',
  'thread60',
] as const;
export type BitShape = (typeof BIT_SHAPES)[number];

/** Angles of a ground bit, degrees, and its nose. Clearances are below the edges, rakes on top. */
export interface GrindingAngles {
  readonly sideRakeDeg: number;
  readonly backRakeDeg: number;
  readonly sideClearanceDeg: number;
  readonly endClearanceDeg: number;
  /** setting angle κ of the side edge, from the work's axis */
  readonly sideEdgeDeg: number;
  /** end edge away from the finished surface */
  readonly endEdgeDeg: number;
  readonly noseMm: number;
}

/**
 * Rakes for high-speed steel by what is cut.
 * provenance: recalled, ordinary grinding tables; brass and hard bronzes get none, or the tool digs in
 */
const RAKES: Readonly<Record<Group, readonly [side: number, back: number]>> = {
  P: [14, 8],
  M: [12, 8],
  K: [6, 4],
  N: [10, 5],
  S: [8, 4],
  H: [0, 0],
  O: [5, 0],
};
const ALUMINIUM: readonly [number, number] = [16, 20];
const HARD_STEEL_HB = 250;
/** Softer metals and plastics want more room under the edge. */
const clearanceOf = (group: Group): number => (group === 'O' ? 12 : group === 'N' ? 10 : group === 'K' ? 7 : 8);

function rakesOf(material: Pick<Material, 'group' | 'cautions' | 'id' | 'hardnessHb'>): readonly [number, number] {
  if (material.cautions.includes('zeroRake')) return [0, 0];
  if (material.id.startsWith('aluminium')) return ALUMINIUM;
  const [side, back] = RAKES[material.group];
  // a hard steel crumbles a keen edge
  return (material.hardnessHb ?? 0) > HARD_STEEL_HB ? [Math.round(side * 0.6), Math.round(back * 0.6)] : [side, back];
}

const EDGES: Readonly<Record<BitShape, readonly [sideEdge: number, endEdge: number, nose: number]>> = {
  rougher: [75, 15, 0.8],
  finisher: [90, 8, 1],
  facing: [95, 8, 0.4],
  chamfer: [45, 45, 0.2],
  parting: [90, 2, 0],
  boring: [95, 12, 0.4],
  roundNose: [90, 90, 3],
  thread60: [60, 60, 0],
};

/** Rake would change what these leave. */
const TRUE_TO_FORM: ReadonlySet<BitShape> = new Set(['thread60', 'chamfer', 'roundNose']);

/**
 * Angles to grind a high-speed steel bit to, for a shape and the material it will cut.
 * @returns degrees and the nose radius in mm; blades, forms and threading tools get no rake, so that their form stays true
 * @source FIELD 1 and 7: zero rake for brass; threads zero top rake; clearances of 5° and more
 */
export function grindingAngles(
  material: Pick<Material, 'group' | 'cautions' | 'id' | 'hardnessHb'>,
  shape: BitShape,
): GrindingAngles {
  const [side, back] = TRUE_TO_FORM.has(shape) ? [0, 0] : rakesOf(material);
  const [sideEdgeDeg, endEdgeDeg, noseMm] = EDGES[shape];
  const clearance = clearanceOf(material.group);
  return {
    sideRakeDeg: shape === 'parting' ? 0 : side,
    backRakeDeg: shape === 'parting' ? Math.min(5, back) : back,
    sideClearanceDeg: shape === 'parting' ? 2 : clearance,
    endClearanceDeg: shape === 'boring' ? clearance + 4 : clearance,
    sideEdgeDeg,
    endEdgeDeg,
    noseMm,
  };
}
