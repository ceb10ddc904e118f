import type { TaperSetting, TaperWish } from '@whelk/core/route';
import { type ConeZone, inMinutes, type TaperSaid } from '@whelk/core/taper';
import type { Correction, TaperWay, TaperWhyNot } from '@whelk/core/tapering';
import type { InUnit } from './in-unit.ts';

export const taperWayNames: Readonly<Record<TaperWay['way'], string>> = {
  compound: 'Compound, by hand',
  setOver: 'Tailstock set over',
  attachment: 'Taper attachment',
  formTool: 'Wide edge, pushed in',
};

/** An angle as it is read off a scale: degrees to a tenth, and in minutes and seconds. */
export function angleText(angleDeg: number): string {
  const { deg, min, sec } = inMinutes(angleDeg);
  return `${deg}° ${min}' ${sec}"`;
}

/** Why a way is none here. @param limit as it is given with it */
export function whyNotText(why: TaperWhyNot, limit: number | undefined, u: InUnit): string {
  const upTo = limit === undefined ? '' : ` up to ${u.len(limit, 0)}`;
  const words: Readonly<Record<TaperWhyNot, string>> = {
    inside: 'a hole is not turned between centres',
    noCentres: 'only between centres: say how long the work is between them',
    noSetOver: 'this tailstock cannot be set over',
    tooFar: `farther than this tailstock goes: ${limit === undefined ? '' : u.len(limit, 1)} at the most`,
    lengthsVary: 'each length of work would ask for an offset of its own',
    noAttachment: 'this lathe has none',
    tooSteep: `steeper than it swings: ${limit ?? ''}° at the most`,
    tooLong: `longer than it reaches:${upTo}`,
    noTravel: 'its slide has no travel to speak of',
    tooWide: `only very short cones:${upTo}, wider it sings`,
  };
  return words[why];
}

/** Whether it sits fast by itself. */
export const holdsText: Readonly<Record<'holds' | 'between' | 'releases', string>> = {
  holds: 'It holds by itself: it has to be driven out.',
  between: 'It may hold or come loose, as finish and oil are.',
  releases: 'It comes loose by itself: it is drawn in or driven by keys.',
};

/** Every way of saying it, name and figure. */
export function saidRows(said: TaperSaid): readonly (readonly [string, string])[] {
  const n = (value: number, digits: number): string => String(Number(value.toFixed(digits)));
  return [
    ['On the diameter', `1 : ${n(Math.abs(said.ratio), 3)}`],
    ['Half angle, to the axis', `${n(said.halfDeg, 4)}°, ${angleText(said.halfDeg)}`],
    ['Included angle', `${n(said.includedDeg, 4)}°, ${angleText(said.includedDeg)}`],
    ['Inches on a foot', n(said.perFootIn, 5)],
    ['mm in 100 mm', n(100 * said.perLength, 3)],
    ['Per cent', n(said.percent, 3)],
  ];
}

/** The next setting in words. @param by what it is set by @param headIsLarge the large end is at the headstock */
export function correctionText(
  found: Correction,
  by: 'compound' | 'attachment' | 'setOver',
  travelMm: number,
  u: InUnit,
  headIsLarge: boolean,
): string {
  const fine = (mm: number): string => u.len(mm, 3);
  if (found.kind === 'enough')
    return {
      inside: 'Inside its tolerance: take it to size at this setting.',
      notSeen: 'What is left cannot be told from the gauge’s own doubt: read more places, or with a finer gauge.',
      notSet: 'What is left is finer than this can be set.',
    }[found.why];
  const steeper = found.moveMm > 0;
  const much = fine(Math.abs(found.moveMm));
  if (by === 'setOver')
    return `Tailstock by ${much} ${steeper === headIsLarge ? 'towards you' : 'away from you'}: read it by an indicator on the quill, clamp, read again.`;
  const slide = by === 'compound' ? 'compound' : 'attachment';
  return `${slide === 'compound' ? 'Compound' : 'Attachment'} ${steeper ? 'steeper' : 'less steep'} by ${angleText(found.moveDeg)}: over ${u.len(travelMm, 0)} of its travel an indicator has to show ${much} ${steeper ? 'more' : 'less'}. Clamp, read again, then take the slack out before each cut.`;
}

/** Which of a cone's ends its passes are told at: where its cut begins. */
export const tailEndText = (side: 'outside' | 'inside'): string =>
  side === 'outside' ? 'small end, where the cut begins' : 'mouth, where the cut begins';

/** What the lathe is set to, in a few words. */
export function setLabel(set: TaperSetting, halfDeg: number, perLength: number, u: InUnit): string {
  if (set.by === 'compound') return `${set.scaleDeg.toFixed(1)}° by its scale`;
  if (set.by === 'setOver') return `${u.len(set.offsetMm, 2)} ${set.way === 'tool' ? 'towards you' : 'away from you'}`;
  return set.graduated === 'degrees'
    ? `${halfDeg.toFixed(2)}°`
    : u.mm === 'mm'
      ? `${(100 * perLength).toFixed(2)} mm on 100 mm`
      : `${(12 * perLength).toFixed(3)} in on the foot`;
}

/** How cones are turned, in a line. */
export const taperWishText = ({ by, grade }: TaperWish): string =>
  `${by ? `${taperWayNames[by].toLowerCase()} where it can` : 'by what suits each'}; angle to ${grade ? `AT${grade}` : 'AT8 where it holds itself, else AT10'}`;

/** What limits all along a cone leave to its angle and to its gauge. */
export const zoneText = ({ microradians, grade, gaugeMm }: ConeZone, u: InUnit): string =>
  `its angle within ± ${Math.round(microradians)} µrad${grade === undefined ? '' : `, as AT${grade} or closer`}; a gauge stands within ± ${u.len(gaugeMm, 2)} of its line`;
