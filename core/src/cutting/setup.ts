import type { Feed, Lathe } from '../lathe/index.ts';
import type { Material, ToolMaterial } from '../material/index.ts';
import { deflectionMm, shaftOf } from '../mechanics/index.ts';
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

/** How the work is held while it is cut, and what it may bend. */
export interface CutHold {
  readonly tailCentre: boolean;
  /** from the jaws to the end of the work */
  readonly overhangMm: number;
  /** from the jaws to where the tool stands */
  readonly atMm: number;
  readonly gripDiameterMm: number;
  readonly jawForceN: number;
  readonly bendAllowedMm: number;
}

/**
 * Work of one diameter in the chuck, cut where it bends most: at its free end, or a little outside the middle on a tail centre.
 * @param wanted lengths in mm, force of all jaws together in N
 */
export function holdWhereItBends(
  wanted: Omit<CutHold, 'atMm' | 'gripDiameterMm'> & { readonly diameterMm: number },
): CutHold {
  const { diameterMm, ...hold } = wanted;
  return { ...hold, atMm: hold.tailCentre ? hold.overhangMm * 0.6 : hold.overhangMm, gripDiameterMm: diameterMm };
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

/** Diameter error that a newton of radial force makes, mm per N. */
export function bendPerN({ material, diameterMm, hold }: CutSetup): number {
  const shaft = shaftOf([{ lengthMm: hold.overhangMm, diameterMm }], material.modulusGPa);
  return 2 * deflectionMm(shaft, Math.min(hold.atMm, hold.overhangMm), 1, hold.tailCentre ? 'chuckAndCentre' : 'chuck');
}
