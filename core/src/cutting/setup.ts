import type { Feed, Lathe } from '../lathe/index.ts';
import type { Material, ToolMaterial } from '../material/index.ts';
import { deflectionMm, jawForceShare, type Shaft, type Support, shaftOf, type Tipping } from '../mechanics/index.ts';
import type { SpeedPolicy, SpeedTable } from './choose-speed.ts';
import type { CuttingOperation } from './operations.ts';

/** Three ways of choosing speed: the table's figure as it stands; corrected for depth and feed; the machine's limit first. */
export type School = 'shopRule' | 'conditions' | 'machineFirst';
export const SCHOOLS: readonly School[] = ['shopRule', 'conditions', 'machineFirst'];

/** The edge that cuts. */
export interface CutTool {
  readonly material: ToolMaterial;
  readonly noseRadiusMm: number;
  readonly kappaDeg: number;
  readonly edgeRadiusMm: number;
  readonly deepestMm: number;
  /** length of a flat ground along the work instead of a round nose; 0: none */
  readonly flatMm: number;
}

/** Where the work is carried and cut: as the shaft that it is, from where it is held on. */
export interface Bending {
  readonly shaft: Shaft;
  readonly support: Support;
  /** where the tool stands, mm from where the shaft begins */
  readonly atMm: number;
  /** where a rest carries it besides, mm from there */
  readonly restMm?: number;
}
/** How the work is held while it is cut, and what it may bend. */
export interface CutHold {
  readonly bending: Bending;
  readonly gripDiameterMm: number;
  /** force of all jaws together, or of what presses in their place, N */
  readonly jawForceN: number;
  /** jaws opened into a hole are not thrown off it as they turn faster */
  readonly opened?: boolean;
  /** driven positively, its feed borne by the centre at the headstock: only the torque has to be held */
  readonly driven?: boolean;
  /** what would tip it out of its jaws, where nothing carries its end or seats its face */
  readonly tipping?: Tipping;
  /**
   * how far a boring bar gives at its edge, mm per N; none where a tool in the post cuts. It gives the same all along a hole: it springs
   * as the lathe does, and makes no cone as bent work does
   */
  readonly barMmPerN?: number;
  /** error of diameter that the cut may make, mm */
  readonly bendAllowedMm: number;
}

/**
 * Work of one diameter in the chuck, cut where it bends most: at its free end, or a little outside the middle on a tail centre.
 * @param wanted lengths in mm, force of all jaws together in N
 */
export function holdWhereItBends(
  wanted: Pick<CutHold, 'jawForceN' | 'bendAllowedMm'> & {
    readonly tailCentre: boolean;
    readonly overhangMm: number;
    readonly diameterMm: number;
    readonly modulusGPa: number;
  },
): CutHold {
  const { diameterMm, overhangMm, tailCentre, modulusGPa, ...hold } = wanted;
  const bending: Bending = {
    shaft: shaftOf([{ lengthMm: overhangMm, diameterMm }], modulusGPa),
    support: tailCentre ? 'chuckAndCentre' : 'chuck',
    atMm: tailCentre ? overhangMm * 0.6 : overhangMm,
  };
  return { ...hold, bending, gripDiameterMm: diameterMm };
}

/** Everything that a cut along the work is decided from, all plain data. */
export interface CutSetup {
  readonly material: Material;
  readonly tool: CutTool;
  readonly lathe: Lathe;
  readonly table: SpeedTable;
  /** power feeds, finest first; empty: fed by hand */
  readonly feeds: readonly Feed[];
  readonly operation: CuttingOperation;
  readonly diameterMm: number;
  readonly hold: CutHold;
  /** finish wanted; undefined: none in particular */
  readonly raUm?: number;
  readonly policy: SpeedPolicy;
}

const perNewton = new WeakMap<Bending, number>();
/** Diameter error that a newton of radial force makes, mm per N. */
export function bendPerN({ hold: { bending } }: Pick<CutSetup, 'hold'>): number {
  const known = perNewton.get(bending);
  if (known !== undefined) return known;
  const { shaft, atMm, support, restMm } = bending;
  const perN = 2 * deflectionMm(shaft, Math.min(atMm, shaft.lengthMm), 1, support, undefined, restMm);
  perNewton.set(bending, perN);
  return perN;
}

/** Share of what jaws press with at rest that is left at a speed. @param mostRpm fastest that the chuck may turn */
export const forceLeft = ({ opened }: Pick<CutHold, 'opened'>, rpm: number, mostRpm: number): number =>
  opened ? 1 : jawForceShare(rpm, mostRpm);
