import type { CutPlace } from '@whelk/core/picture';
import { type Step, sideOf } from '@whelk/core/run';
import { aimed } from '../../ui/format.ts';
import { RoughLeaves } from './RoughLeaves.tsx';
import type { PlaceAbout, ShownOperation } from './shown.ts';

/** At the end of its travel, with what it takes off as far as that is known. */
function place(step: Step, { move, beyondMm, frozen }: PlaceAbout): CutPlace | undefined {
  if (sideOf(frozen, step.featureId) === 'inside') return undefined;
  const beforeMm = move?.beforeMm ?? step.fromMm;
  const afterMm = move?.told.comesToMm ?? step.targetMm;
  if (beforeMm === undefined || afterMm === undefined || step.zStopMm === undefined) return undefined;
  return { way: 'along', zMm: step.zStopMm, beforeMm, afterMm, beyondMm: Math.max(beyondMm, afterMm) };
}

export const rough: ShownOperation<'rough'> = {
  name: 'Rough',
  title: ({ passes }, { name, unit }) =>
    `Rough ${name} Ø${aimed(passes[0]?.diameterBeforeMm ?? 0, unit)} → Ø${aimed(passes.at(-1)?.diameterAfterMm ?? 0, unit)}, ${passes.length} ×`,
  Detail: RoughLeaves,
  stepTitle: ({ passNumber, passCount }, { name }) =>
    `Rough ${name}${passCount && passCount > 1 ? `, pass ${passNumber} of ${passCount}` : ''}`,
  place,
};

export const semiFinish: ShownOperation<'semiFinish'> = {
  name: 'First last cut',
  title: ({ passes, leavesMm, larger }, { name, unit }) => {
    const after = `→ Ø${aimed(passes.at(-1)?.diameterAfterMm ?? 0, unit)}`;
    if (larger) return `${name}: the larger of two cuts ${after}`;
    return leavesMm === undefined
      ? `${name}: first of two equal cuts ${after}`
      : `${name}: down to ${aimed(leavesMm, unit)} above size ${after}`;
  },
  stepTitle: ({ leavesMm, larger }, { name, frozen }) => {
    const { unit } = frozen.means.lathe;
    if (larger) return `${name}: the larger of two cuts`;
    return leavesMm === undefined
      ? `${name}: first of two equal cuts`
      : `${name}: down to ${aimed(leavesMm, unit)} ${unit} above size`;
  },
  place,
};

export const finish: ShownOperation<'finish'> = {
  name: 'Finish',
  title: ({ passes }, { name, unit }) => `Finish ${name} → Ø${aimed(passes.at(-1)?.diameterAfterMm ?? 0, unit)}`,
  stepTitle: ({ id }, { name, move }) => {
    if (move?.told.cut === 'springPass') return `${name}: spring pass, the same number again`;
    if (move?.told.cut === 'half') return `${name}: half of what is left`;
    return id.includes('-again-') ? `${name}: one more cut` : `${name}: the last cut`;
  },
  place,
};
