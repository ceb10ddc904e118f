import { turnsOver } from '@whelk/core/hold';
import { crossHoles, insides, outsides } from '@whelk/core/part';
import { type FrozenRun, type Step, threadOf } from '@whelk/core/run';
import { rawEndMm } from '@whelk/core/work';
import { threadName } from '../../messages/thread.ts';
import { protectionText } from '../../messages/words.ts';
import { aimed, byRule, measure } from '../../ui/format.ts';

export const nameOf = (frozen: FrozenRun, featureId: string | undefined): string => {
  const feature = outsides(frozen.piece.part).find((f) => f.id === featureId);
  if (feature) return feature.name || `feature ${feature.index + 1}`;
  const bore = insides(frozen.piece.part).find((b) => b.id === featureId);
  if (bore) return bore.name || `${bore.index + 1} from the ${bore.from}`;
  const thread = threadOf(frozen, featureId);
  if (thread) return threadName(thread);
  return crossHoles(frozen.piece.part).find((h) => h.id === featureId)?.name ?? '';
};

/** Whether it is the blank as it came, in the jaws of a chuck. */
export const inJawsFirst = ({ number, setup }: Pick<FrozenRun, 'number' | 'setup'>): boolean =>
  number === 1 && setup.grip.kind === 'jaws';

/** What a measurement follows. */
export function measuredAfterText(step: Step): string {
  if (step.id.includes('-check-')) return 'before the rest is cut';
  if (step.after === 'ream') return 'after the reamer';
  if (step.last) return 'after the last cut';
  if (step.after === 'rough') return 'after roughing';
  return step.after === 'near' ? 'before the compound takes over' : 'between the two equal cuts';
}

/** A diameter as far as the lathe can aim for it. */
export const diameter = (mm: number, unit: 'mm' | 'in'): string => `Ø${measure(mm, unit, unit === 'mm' ? 2 : 3)}`;

/** Where a piece that was turned on spare stock is cut off, and what of that is faced off later. */
export function cutOffText({ means, piece, cutOff }: Pick<FrozenRun, 'means' | 'piece' | 'cutOff'>): string {
  const { unit } = means.lathe;
  const mark = piece.marks.find((m) => m.kind === 'cutOff');
  const { lengthMm } = piece.part;
  // before it is cut off the tail end is finished, after it either end may be raw
  const offMm = mark ? -mark.zToMm : rawEndMm(piece, 'left') + rawEndMm(piece, 'right');
  const long = `${byRule(lengthMm + offMm, unit)} ${unit}`;
  const rest = offMm > 0 ? `, ${aimed(offMm, unit)} ${unit} of it to be faced off` : '';
  return (mark?.by ?? cutOff) === 'slot'
    ? `Part it off ${long} from the finished end${rest}.`
    : `Saw it off ${long} from the finished end${rest}; spindle stopped, chuck locked, bed covered.`;
}

/** Where the steady stands; nothing where none does. */
export function restText({ plan, piece, means }: FrozenRun): string {
  const { rest } = plan.held;
  if (rest?.kind !== 'steady') return '';
  const { unit } = means.lathe;
  return `The steady stands ${byRule(piece.part.lengthMm - rest.zMm, unit)} ${unit} from the finished end, on Ø${measure(rest.onMm, unit, unit === 'mm' ? 1 : 3)} ${unit}.`;
}

/** How a long end is made before the work is held as it is turned; nothing where it stands short enough. */
export function endsText({ plan, piece, means, number, setup }: FrozenRun): string {
  const { ends } = plan.held;
  if (!ends) return '';
  const { unit } = means.lathe;
  const size = `Ø${measure(ends.onMm, unit, unit === 'mm' ? 1 : 3)} ${unit}`;
  return ends.kind === 'drawnBack'
    ? `First put it back through the spindle${inJawsFirst({ number, setup }) ? '' : `, gripped on ${size}`}, so that only ${byRule(ends.outMm, unit)} ${unit} stand out: a long end is never faced or centred standing free.`
    : `A steady carries it meanwhile, ${byRule(piece.part.lengthMm - ends.zMm, unit)} ${unit} from the finished end, on ${size}.`;
}

/** How work is clamped to the cross-slide. */
function overSlide({ plan, means }: FrozenRun): string {
  const { unit } = means.lathe;
  const { packMm = 0 } = plan.held;
  const packing =
    packMm > 0
      ? `on ${measure(packMm, unit, unit === 'mm' ? 2 : 3)} ${unit} of packing, the same under both sides`
      : 'straight on it';
  return `Compound off; slide and base wiped. Bolt it to the cross-slide ${packing}, its face square to the bed by the indicator along it. Snug first: tight once the axis is picked up. Loose parts that belong to it, a cap or the other half, are clamped in and bored with it.`;
}

/** How a piece is put in: what goes where, and what between. */
export function putInText(frozen: FrozenRun): string {
  const { setup, cutOff } = frozen;
  const { held } = frozen.plan;
  const { unit } = frozen.means.lathe;
  const { method } = held;
  const on = nameOf(frozen, held.onId);
  const first = cutOff ? `${cutOffText(frozen)} ` : '';
  const way = turnsOver(method)
    ? `The drawing’s ${setup.tail} end faces the headstock: the cutter enters there. `
    : `The drawing’s ${setup.tail} end goes to the tailstock. `;
  const between = setup.grip.kind === 'jaws' || setup.grip.kind === 'centres' ? setup.grip.protect : undefined;
  const protect = between && between !== 'none' ? ` Between: ${protectionText[between]}.` : '';
  const read = held.onId === undefined ? undefined : frozen.piece.measured?.[held.onId];
  const size = read
    ? `Ø${measure(read.sizeMm, unit, unit === 'mm' ? 3 : 4)} ${unit} as it was measured`
    : `Ø${measure(held.onMm, unit, unit === 'mm' ? 2 : 3)} ${unit}`;
  const ways: Record<typeof method, string> = {
    chuck: `Grip ${on}, ${size}, ${byRule(held.gripMm, unit)} ${unit} long. Bring it true.`,
    chuckAndCentre: `Grip ${on}, ${size}, ${byRule(held.gripMm, unit)} ${unit} long. Bring it true, then bring up the centre.`,
    chuckAndSteady: `Grip ${on}, ${size}, ${byRule(held.gripMm, unit)} ${unit} long. Bring it true. ${restText(frozen)}`,
    followingRest: `Grip ${on}, ${size}, ${byRule(held.gripMm, unit)} ${unit} long. Bring it true, bring up the centre; mount the following rest on the carriage.`,
    insideJaws: `Open the jaws into the hole, ${size}, ${byRule(held.gripMm, unit)} ${unit} deep, its face against the jaws.`,
    stepJaws: `Seat the face against the jaws’ step, tap it home, grip ${size}, ${byRule(held.gripMm, unit)} ${unit} high.`,
    betweenCentres: `Dog on ${on}, ${size}. Clean both centre holes, oil the tail one, play-free but not tight.`,
    mandrel: `The hole is at its size. On the mandrel by it, ${size}, pressed on; between the centres with a dog on the mandrel.`,
    expandingMandrel: `The hole is at its size. On the expanding mandrel by it, ${size}.`,
    stubArbor: `Turn a stub arbor to the hole, ${size}, a light push fit; nut and washer on its end.`,
    adhesiveArbor:
      'Face the arbor clean, glue the piece on against it, centred by the tail centre while the glue sets.',
    faceplate: 'Clamp it to the faceplate on its face and clock it in.',
    barOverSlide: overSlide(frozen),
    headOverSlide: overSlide(frozen),
  };
  const ends = endsText(frozen);
  // gripped as it is turned only when it has been drawn out
  const how = held.ends?.kind === 'drawnBack' ? '' : ways[method];
  return `${first}${way}${[how, ends].filter(Boolean).join(' ')}${protect}`;
}
