import type { Recorder } from '../working/index.ts';
import { GRIP_SHARE, JAW_FRICTION } from './grip.ts';

/** What would tip work out of its jaws: how far from them the tool presses, and what its own weight turns with. */
export interface Tipping {
  readonly gripMm: number;
  /** from the jaws to the tool, mm */
  readonly armMm: number;
  /** weight of what stands out times the distance of its middle from the jaws, N·mm */
  readonly weightNmm: number;
}

/**
 * Share of what the jaws bear against tipping that a cut uses, 1 being all that is allowed. What friction bears of torque and feed is
 * not there a second time.
 * @param acrossN force of the cut across the axis @param atJawsN torque and feed as one force at the jaws
 * @param jawForceN sum over the jaws
 * @source estimate between the first lift of a jaw at F·l/12 and the last at 0.29·F·l: M ≤ share·(F·l/6 + µ'·F·D/4), µ' = √(µ² − (used/F)²)
 * @example Number(tipUse(500, 0, { gripMm: 30, armMm: 60, weightNmm: 0 }, 40, 18_000).toFixed(3)) // 0.49
 */
export function tipUse(
  acrossN: number,
  atJawsN: number,
  { gripMm, armMm, weightNmm }: Tipping,
  gripDiameterMm: number,
  jawForceN: number,
  record?: Recorder,
): number {
  const momentNmm = acrossN * armMm + weightNmm;
  const leftFriction = Math.sqrt(Math.max(0, JAW_FRICTION ** 2 - (atJawsN / jawForceN) ** 2));
  const bearsNmm = GRIP_SHARE * ((jawForceN * gripMm) / 6 + (leftFriction * jawForceN * gripDiameterMm) / 4);
  record?.({
    code: 'mechanics.tipping',
    values: {
      ...{ acrossN, armMm, weightNm: weightNmm / 1000, momentNm: momentNmm / 1000, jawForceN, gripMm, gripDiameterMm },
      ...{ leftFriction, share: GRIP_SHARE, bearsNm: bearsNmm / 1000 },
    },
  });
  return momentNmm / bearsNmm;
}
