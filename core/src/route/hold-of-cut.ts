import type { CutHold } from '../cutting/index.ts';
import type { Held } from '../hold/index.ts';
import type { Material } from '../material/index.ts';
import { type Workpiece, weightOutNmm } from '../work/index.ts';
import { cutHold, finishedShaft, isStepped, roughedShaft } from './bending.ts';
import { kindOf, type Operation } from './operation/kinds.ts';

/** What a planned cut was reckoned with: its work as a shaft, and what holds it; undefined for what is no cut along the work. */
export function holdOfCut(
  piece: Workpiece,
  held: Held,
  { modulusGPa, densityKgPerM3 }: Pick<Material, 'modulusGPa' | 'densityKgPerM3'>,
  operation: Operation,
): CutHold | undefined {
  const { loads, targetMm, kind, zFromMm, zToMm } = operation;
  const bendAllowedMm = loads?.bendAllowedMm;
  if (bendAllowedMm === undefined || targetMm === undefined) return undefined;
  const finished = finishedShaft(piece, held, modulusGPa);
  const rough = kindOf(kind).act === 'rough';
  const shaft = rough ? roughedShaft(finished, isStepped(piece), held, zFromMm, targetMm) : finished;
  return cutHold(shaft, held, {
    ...{
      zFromMm,
      zToMm,
      bendAllowedMm,
      weightNmm: weightOutNmm(piece, held.jawsMm, densityKgPerM3),
    },
  });
}
