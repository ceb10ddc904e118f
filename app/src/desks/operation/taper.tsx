import type { TaperOperation } from '@whelk/core/route';
import type { TaperStep } from '@whelk/core/run';
import { inUnit } from '../../messages/in-unit.ts';
import { angleText, tailEndText, taperWayNames } from '../../messages/taper.ts';
import type { DetailProps, ShownOperation } from './shown.ts';

/** How the cone is turned, and what its sizes stand for. */
function Detail({ operation: o, unit }: DetailProps<TaperOperation>) {
  const u = inUnit(unit);
  return (
    <p className="mt-1">
      {taperWayNames[o.by]}: half angle <b>{angleText(o.halfDeg)}</b>, over {u.len(o.lengthMm, 1)}. Diameters of its
      passes are those at the {tailEndText(o.side)}.
    </p>
  );
}
const at = (side: 'outside' | 'inside'): string => (side === 'outside' ? 'small end' : 'mouth');
const passOf = ({ passNumber, passCount }: TaperStep): string =>
  passCount && passCount > 1 ? `, pass ${passNumber} of ${passCount}` : '';

export const taper: ShownOperation<'taper'> = {
  name: 'Turn the cone',
  title: (o, { name, unit }) =>
    `${name}: along the cone, ${o.passes.length === 1 ? 'one pass' : `${o.passes.length} passes`} to Ø${inUnit(unit).bare(o.targetMm ?? 0, 2)} at the ${at(o.side)}`,
  Detail,
  stepTitle: (step, { name }) =>
    step.id.includes('-again-')
      ? `${name}: ${step.id.endsWith('-over') ? 'once more over, the same number' : 'clean the cone at its new setting'}`
      : step.fromMm === step.targetMm
        ? `${name}: once more over, the same number: what sprang unevenly comes off`
        : `${name}: along the cone${passOf(step)}`,
};
export const taperNear: ShownOperation<'taperNear'> = {
  name: 'Cone, near its size',
  title: (o, { name, unit }) =>
    `${name}: the proved cone to Ø${inUnit(unit).bare(o.targetMm ?? 0, 2)} at the ${at(o.side)}`,
  Detail,
  stepTitle: (_, { name }) => `${name}: the proved cone, near its size`,
};
export const taperLast: ShownOperation<'taperLast'> = {
  name: 'Last cut of the cone',
  title: (o, { name, unit }) => `${name}: last cut to Ø${inUnit(unit).bare(o.targetMm ?? 0, 2)} at the ${at(o.side)}`,
  Detail,
  stepTitle: (step, { name, move }) => {
    if (move?.told.cut === 'springPass') return `${name}: spring pass, the same number again`;
    if (move?.told.cut === 'half') return `${name}: half of what is left`;
    return step.id.includes('-again-')
      ? `${name}: one more cut along the cone`
      : `${name}: the last cut along the cone`;
  },
};
