import { SCHOOLS, type School } from '../cutting/index.ts';
import type { Setup } from '../hold/index.ts';
import type { Means } from '../means/index.ts';
import type { Workpiece } from '../work/index.ts';
import { planSetup } from './plan-setup.ts';
import type { Wishes } from './wishes.ts';

/** What a school makes of one operation. */
export interface SchoolAnswer {
  readonly school: School;
  readonly cuttingSpeedMPerMin: number;
  readonly idealRpm: number;
  readonly rpm: number;
  readonly speedLabel: string;
  readonly feedMmPerRev: number;
  readonly passes: number;
  readonly depthMm: number;
  readonly minutes: number;
}

/**
 * One operation as each school would have it, the setup planned with each.
 * @param asked the setup as it was planned, and its number
 * @returns a line a school that cuts it so; none for what has no passes
 */
export function bySchool(
  asked: {
    readonly piece: Workpiece;
    readonly setup: Setup;
    readonly means: Means;
    readonly wishes: Wishes;
    readonly number: number;
  },
  operationId: string,
): readonly SchoolAnswer[] {
  const { piece, setup, means, wishes, number } = asked;
  return SCHOOLS.flatMap((school): SchoolAnswer[] => {
    const { operations } = planSetup(piece, setup, means, { ...wishes, school }, number);
    const operation = operations.find((o) => o.id === operationId);
    if (!operation?.setting || operation.passes.length === 0) return [];
    const { cuttingSpeedMPerMin, idealRpm, rpm, speedLabel, feedMmPerRev } = operation.setting;
    return [
      {
        ...{ school, cuttingSpeedMPerMin, idealRpm, rpm, speedLabel, feedMmPerRev },
        passes: operation.passes.length,
        depthMm: Math.max(...operation.passes.map((p) => p.depthMm)),
        minutes: operation.minutes,
      },
    ];
  });
}
