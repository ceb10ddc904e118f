import type { Limits } from '../limit/index.ts';
import {
  type BoreStep,
  barSection,
  type CutIn,
  centreAt,
  crossHoles,
  cutInto,
  type Drawing,
  detailShape,
  diameterSign,
  edgeOf,
  type Feature,
  faceId,
  type GeometryKind,
  hasOwnEnd,
  insides,
  isCurved,
  isSloped,
  mouthOf,
  outsideShape,
  outsides,
  type PaperWays,
  placeOf,
  type Resolved,
  type SurfaceId,
  surfaceName,
  withLimits,
} from '../part/index.ts';
import { outerAt } from '../picture/index.ts';
import {
  drawingDecimals,
  formatLength,
  type LengthUnit,
  PLACE_MM,
  parseLength,
  ROUNDING,
  shortLength,
  type TypedLength,
} from '../quantity/index.ts';
import type { SheetWords } from './words.ts';

/** A cell of a tolerance frame: words, or the sign of a geometrical tolerance. */
export type Cell = { readonly text: string } | { readonly sign: GeometryKind };
export type LabelLine = { readonly text: string } | { readonly cells: readonly Cell[] };
/** Words with a leader to a place of the part. */
export interface SizeLabel {
  readonly id: string;
  readonly lines: readonly LabelLine[];
  readonly zMm: number;
  readonly rMm: number;
  /** of a hole: stands below the centreline */
  readonly inside: boolean;
}
/** A size along Z. */
export interface SizeAlong {
  readonly id: string;
  readonly fromMm: number;
  readonly toMm: number;
  readonly text: string;
  readonly inside: boolean;
}

interface Ways {
  readonly unit: LengthUnit;
  readonly both: boolean;
  readonly words: Pick<SheetWords, 'knurl' | 'leftHand'>;
}
const otherUnit = (unit: LengthUnit): LengthUnit => (unit === 'mm' ? 'in' : 'mm');
const shown = (mm: number, unit: LengthUnit): string => shortLength(mm, unit, drawingDecimals(unit) + 1);

/** A size as it was typed, its unit where it is not the drawing's, and in the other unit behind it where both are wanted. */
function typedText({ text, unit }: TypedLength, ways: Ways): string {
  // a whole and a fraction close beside one another would read as one number
  const clean = text.trim().replace(/(\d) +(?=\d+\/\d)/g, '$1-');
  const named = unit === ways.unit || /[a-z"″”µ]/i.test(clean) ? clean : `${clean} ${unit}`;
  const read = ways.both ? parseLength(clean, unit) : undefined;
  return read?.ok ? `${named} [${shown(read.mm.valueOf(), otherUnit(ways.unit))}]` : named;
}
/** A size that follows from others: in brackets, as drawings have it. */
function followsText(mm: number, ways: Ways): string {
  return `(${shown(mm, ways.unit)}${ways.both ? ` [${shown(mm, otherUnit(ways.unit))}]` : ''})`;
}
/** How the kinds of what is cut in put their sizes on paper. */
const paper = (ways: Ways): PaperWays => ({
  typed: (size) => typedText(size, ways),
  shown: (mm) => shown(mm, ways.unit),
  words: ways.words,
});
/** Limits as typed, or, where a measured mate gave them, as deviations: what the drawing said before no longer holds. */
function limitsText(typed: string, limits: Limits, nominalMm: number, unit: LengthUnit): string {
  if (limits.how !== 'mate') return typed;
  const deviation = (mm: number): string => {
    const text = formatLength(mm - nominalMm, unit, unit === 'mm' ? 3 : 4);
    return text.startsWith('-') ? text : `+${text}`;
  };
  return `${deviation(limits.upperMm)}/${deviation(limits.lowerMm)}`;
}
const edgeText = (text: string): string => {
  const clean = text.trim().replace(/\s*[x×]\s*/i, '×');
  if (/^r/i.test(clean)) return clean;
  return clean.replace(/^([^\s×]+)(?:×([\d.,]+)°?)?/, (_, long: string, angle = '45') => `${long}×${angle}°`);
};

type Step = Feature | BoreStep;

/** Whether what covers the whole of a length stands for its diameter, as a thread does. */
const namedWhole = (step: Step, on: { readonly zFromMm: number; readonly zToMm: number }, made: readonly CutIn[]) =>
  made.some((d) => {
    const typed = step.details.find((t) => t.id === d.id);
    const whole = d.zToMm - d.zFromMm > on.zToMm - on.zFromMm - PLACE_MM;
    return whole && typed !== undefined && detailShape(d.kind).nameOf !== undefined;
  });

/** Words for what is cut into a length, each at its place. */
function detailLabels(step: Step, made: readonly CutIn[], inside: boolean, rMm: number, ways: Ways) {
  return made.flatMap((d): SizeLabel[] => {
    const typed = step.details.find((t) => t.id === d.id);
    if (!typed) return [];
    const zMm = (d.zFromMm + d.zToMm) / 2;
    const { text, rMm: ownMm } = detailShape(d.kind).onPaper(typed, d, paper(ways));
    return [{ id: step.id, lines: [{ text }], zMm, rMm: ownMm ?? rMm, inside }];
  });
}

/** A size along Z for a detail that does not begin at an end of its feature, and for a thread that ends before it. */
function detailLengths(
  step: Step,
  on: { readonly zFromMm: number; readonly zToMm: number },
  made: readonly CutIn[],
  inside: boolean,
  ways: Ways,
) {
  return made.flatMap((d): SizeAlong[] => {
    const typed = step.details.find((t) => t.id === d.id);
    if (!typed) return [];
    const end = typed.from === 'left' ? on.zFromMm : on.zToMm;
    const edge = typed.from === 'left' ? d.zFromMm : d.zToMm;
    const near = 'to' in typed && typed.to === 'centre' ? (d.zFromMm + d.zToMm) / 2 : edge;
    const along = (a: number, b: number, text: TypedLength): SizeAlong => ({
      ...{ id: step.id, fromMm: Math.min(a, b), toMm: Math.max(a, b), inside },
      text: typedText(text, ways),
    });
    const out: SizeAlong[] = [];
    if ('at' in typed && Math.abs(near - end) > ROUNDING) out.push(along(end, near, typed.at));
    if ('length' in typed && typed.length.text.trim() !== '') out.push(along(d.zFromMm, d.zToMm, typed.length));
    return out;
  });
}

/** Frames of geometrical tolerances and datum letters that belong to a feature. */
function geometryLines(on: SurfaceId, drawing: Drawing, { part }: Resolved, ways: Ways): LabelLine[] {
  return [
    ...part.relations
      .filter((g) => g.on === on)
      .map(
        (g): LabelLine => ({
          cells: [{ sign: g.kind }, { text: shown(g.toleranceMm, ways.unit) }, { text: g.datum }],
        }),
      ),
    ...(drawing.datums ?? []).filter((d) => d.on === on).map((d): LabelLine => ({ cells: [{ text: d.letter }] })),
  ];
}

/** Words for every diameter, shape, edge and detail of the outside. */
function outsideLabels(drawing: Drawing, resolved: Resolved, ways: Ways): SizeLabel[] {
  const { part } = resolved;
  return outsides(part).flatMap((f): SizeLabel[] => {
    const typed = drawing.features[f.index]!;
    const middle = (f.zFromMm + f.zToMm) / 2;
    const at = (zMm: number, rMm: number, lines: readonly LabelLine[]): SizeLabel => ({
      id: f.id,
      lines,
      zMm,
      rMm,
      inside: false,
    });
    const frames = geometryLines(f.id, drawing, resolved, ways);
    const limits = limitsText(typed.limits, f.limits, barSection(f)?.acrossMm ?? f.diameterMm, ways.unit);
    const size = withLimits(`${diameterSign(f.kind)}${typedText(typed.diameter, ways)}`, limits);
    const labels: SizeLabel[] = [];
    if (hasOwnEnd(f.kind)) {
      const end = typed.end?.text.trim() ? `Ø${typedText(typed.end, ways)}` : `Ø${followsText(f.rightMm, ways)}`;
      labels.push(at(f.zFromMm, f.leftMm / 2, [{ text: size }, ...frames]));
      const { radiusAtMm } = outsideShape(f.kind);
      if (radiusAtMm && typed.radius)
        labels.push(at(middle, radiusAtMm(f), [{ text: `R${typedText(typed.radius, ways)}` }]));
      else if (typed.taper?.trim()) labels.push(at(middle, (f.leftMm + f.rightMm) / 4, [{ text: typed.taper.trim() }]));
      labels.push(at(f.zToMm, f.rightMm / 2, [{ text: end }]));
    } else {
      const whole = namedWhole(typed, f, cutInto(part, f.id));
      if (!whole || frames.length > 0)
        labels.push(at(middle, f.diameterMm / 2, whole ? frames : [{ text: size }, ...frames]));
    }
    labels.push(...detailLabels(typed, cutInto(part, f.id), false, f.diameterMm / 2, ways));
    for (const side of ['left', 'right'] as const) {
      const face = geometryLines(faceId(f.id, side), drawing, resolved, ways);
      const edge = edgeOf(part, f.id, side);
      const deep = edge?.kind === 'chamfer' ? edge.depthMm : 0;
      if (face.length > 0)
        labels.push(
          side === 'left' ? at(f.zFromMm, f.leftMm / 2 - deep, face) : at(f.zToMm, f.rightMm / 2 - deep, face),
        );
      const text = typed.edges[side].trim();
      if (text === '' || !edge) continue;
      const z = (edge.zFromMm + edge.zToMm) / 2;
      const r = (side === 'left' ? f.leftMm : f.rightMm) / 2 - deep / 2;
      labels.push(at(z, r, [{ text: edgeText(text) }]));
    }
    return labels;
  });
}

/** The radius of an arc in a hole, and the diameter that it comes down to where that is not the axis. */
function arcText({ end }: BoreStep, radius: TypedLength, ways: Ways): string {
  const inner = end?.text.trim() ? ` to Ø${typedText(end, ways)}` : '';
  return `R${typedText(radius, ways)}${inner}`;
}

function insideLabels(drawing: Drawing, resolved: Resolved, ways: Ways): SizeLabel[] {
  const { part } = resolved;
  const holes = insides(part).flatMap((b): SizeLabel[] => {
    const typed = drawing.bores[b.from][b.index]!;
    const sloped = isSloped(b.made);
    const angle = sloped ? typed.taper?.trim() || (b.made === 'countersunk' ? '90°' : '') : '';
    const mouth = mouthOf(b);
    const made = cutInto(part, b.id);
    const limits = limitsText(typed.limits, b.limits, mouth.diameterMm, ways.unit);
    const size = withLimits(`Ø${typedText(typed.diameter, ways)}`, limits);
    const whole = namedWhole(typed, b, made);
    const lines: LabelLine[] = [
      ...(whole ? [] : [{ text: angle ? `${size} × ${angle}` : size }]),
      ...(isCurved(b.made) && typed.radius ? [{ text: arcText(typed, typed.radius, ways) }] : []),
      ...(typed.corner?.trim() ? [{ text: edgeText(typed.corner.trim()) }] : []),
      ...geometryLines(b.id, drawing, resolved, ways),
    ];
    const zMm = sloped ? mouth.zMm : (b.zFromMm + b.zToMm) / 2;
    return [
      ...(lines.length > 0 ? [{ id: b.id, lines, zMm, rMm: mouth.diameterMm / 2, inside: true }] : []),
      ...detailLabels(typed, made, true, mouth.diameterMm / 2, ways),
    ];
  });
  const centres = (['left', 'right'] as const).flatMap((side): SizeLabel[] => {
    const centre = centreAt(part, side);
    if (!centre) return [];
    const zMm = side === 'left' ? 0 : part.lengthMm;
    return [
      {
        id: side,
        lines: [{ text: `ISO 6411 ${drawing.ends[side].centre.trim()}` }],
        zMm,
        rMm: centre.mouthMm / 2,
        inside: true,
      },
    ];
  });
  return [...holes, ...centres];
}

/** Holes across the axis: their size where they go in. */
function crossLabels(drawing: Drawing, resolved: Resolved, ways: Ways): SizeLabel[] {
  return crossHoles(resolved.part).flatMap((h): SizeLabel[] => {
    const typed = drawing.endView.holes.find((t) => t.id === h.id);
    if (h.way !== 'radial' || h.zMm === undefined || !typed) return [];
    const count = h.anglesDeg.length > 1 ? `${h.anglesDeg.length}× ` : '';
    return [
      {
        id: h.id,
        lines: [{ text: withLimits(`${count}Ø${typedText(typed.diameter, ways)}`, typed.limits) }],
        zMm: h.zMm,
        rMm: outerAt(resolved.part, h.zMm),
        inside: false,
      },
    ];
  });
}

/** Every label of a drawing. @param ways unit, whether both units are wanted, words */
export function sizeLabels(drawing: Drawing, resolved: Resolved, ways: Ways): readonly SizeLabel[] {
  return [
    ...outsideLabels(drawing, resolved, ways),
    ...crossLabels(drawing, resolved, ways),
    ...insideLabels(drawing, resolved, ways),
  ];
}

/** Every size along Z: lengths as typed, what follows in brackets, sizes from datums, the whole last. */
export function sizesAlong(drawing: Drawing, resolved: Resolved, ways: Ways): readonly SizeAlong[] {
  const { part } = resolved;
  const sizes: SizeAlong[] = [];
  for (const f of outsides(part)) {
    const typed = drawing.features[f.index]!;
    const text = typed.length.text.trim()
      ? withLimits(typedText(typed.length, ways), typed.lengthLimits)
      : followsText(f.zToMm - f.zFromMm, ways);
    // one length alone is the whole
    if (outsides(part).length > 1) sizes.push({ id: f.id, fromMm: f.zFromMm, toMm: f.zToMm, text, inside: false });
    sizes.push(...detailLengths(typed, f, cutInto(part, f.id), false, ways));
  }
  for (const b of insides(part)) {
    const typed = drawing.bores[b.from][b.index]!;
    if (typed.length.text.trim())
      sizes.push({
        id: b.id,
        fromMm: b.zFromMm,
        toMm: b.zToMm,
        text: withLimits(typedText(typed.length, ways), typed.lengthLimits),
        inside: true,
      });
    sizes.push(...detailLengths(typed, b, cutInto(part, b.id), true, ways));
  }
  for (const h of crossHoles(part)) {
    const typed = drawing.endView.holes.find((t) => t.id === h.id);
    if (h.way === 'radial' && h.zMm !== undefined && typed)
      sizes.push({ id: h.id, fromMm: 0, toMm: h.zMm, text: typedText(typed.place, ways), inside: false });
  }
  for (const d of drawing.dimensions) {
    const [a, b] = [placeOf(part, d.from), placeOf(part, d.to)];
    if (a === undefined || b === undefined || Math.abs(a - b) < ROUNDING) continue;
    const inside = [d.from, d.to].some((id) => surfaceName(id).what === 'floor');
    sizes.push({
      id: d.id,
      fromMm: Math.min(a, b),
      toMm: Math.max(a, b),
      text: withLimits(typedText(d.size, ways), d.limits),
      inside,
    });
  }
  if (outsides(part).length > 0) {
    const only = outsides(part).length === 1 ? drawing.features[outsides(part)[0]!.index] : undefined;
    const text = drawing.overall.text.trim()
      ? typedText(drawing.overall, ways)
      : only?.length.text.trim()
        ? withLimits(typedText(only.length, ways), only.lengthLimits)
        : followsText(part.lengthMm, ways);
    sizes.push({ id: 'part', fromMm: 0, toMm: part.lengthMm, text, inside: false });
  }
  return sizes;
}
