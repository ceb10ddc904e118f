import type { CuttingOperation, EvaluatedCut } from '../cutting/index.ts';
import type { Group } from '../material/index.ts';

/** What goes wrong at a lathe, as the turner sees or hears it. */
export const SYMPTOMS = [
  'chatter',
  'squeal',
  'stringyChip',
  'tornFinish',
  'feedMarks',
  'tapers',
  'bellMouth',
  'reamedLarge',
  'workPushed',
  'burntEdge',
  'stalls',
  'bladeGrabs',
] as const;
export type Symptom = (typeof SYMPTOMS)[number];

/** The conditions that it happened under; what is not known says nothing for or against a cause. */
export interface Conditions {
  readonly operation: CuttingOperation;
  readonly speedMPerMin?: number;
  /** what tables give for this edge and material under these conditions */
  readonly rightMPerMin?: number;
  readonly feedMmPerRev?: number;
  readonly depthMm?: number;
  readonly chipThicknessMm?: number;
  readonly thinnestChipMm?: number;
  readonly noseRadiusMm?: number;
  readonly overhangDiameters?: number;
  readonly tailCentre?: boolean;
  /** tool or bar out of its holder, in shank heights or bar diameters */
  readonly toolOverhangRatio?: number;
  readonly powerShare?: number;
  readonly gripShare?: number;
  readonly bendShare?: number;
  readonly edgeUsedMin?: number;
  readonly edgeLifeMin?: number;
  readonly wet?: boolean;
  readonly wantsWet?: boolean;
  readonly builtUpBelowMPerMin?: number;
}

/**
 * Cutting speed below which metal builds up on the edge and tears the surface, m/min: about half of what is right for steels.
 * @returns undefined for what does not build up
 */
export function builtUpBelowMPerMin(group: Group, rightMPerMin: number): number | undefined {
  return group === 'P' || group === 'M' ? rightMPerMin * 0.5 : undefined;
}

/** The part of the conditions that a decided cut tells by itself. */
export function conditionsOfCut(cut: EvaluatedCut, bendAllowedMm: number): Partial<Conditions> {
  return {
    speedMPerMin: cut.speedMPerMin,
    rightMPerMin: cut.corrected.speedMPerMin,
    feedMmPerRev: cut.feedMmPerRev,
    depthMm: cut.depthMm,
    chipThicknessMm: cut.chipThicknessMm,
    powerShare: cut.powerKw / cut.availableKw,
    gripShare: cut.gripShare,
    bendShare: cut.bendMm / bendAllowedMm,
  };
}
