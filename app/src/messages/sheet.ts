import type { Job } from '@whelk/core/job';
import type { Drawing } from '@whelk/core/part';
import type { SheetWish } from '@whelk/core/sheet';
import { faceWords } from './faces.ts';

/** A size as it was typed, its unit where it is not the drawing's. */
const typedText = ({ text, unit }: { text: string; unit: string }, drawing: Drawing): string =>
  unit === drawing.unit || /[a-z"″”]/i.test(text) ? text.trim() : `${text.trim()} ${unit}`;

/** What a hole, a flat, a keyway or a ring groove is, in a line beside it. */
function endTexts(drawing: Drawing): Record<string, string> {
  const texts: Record<string, string> = {};
  for (const h of drawing.endView.holes) {
    const count = h.angles?.trim() ? h.angles.split(/[;\s]+|,\s+/).filter(Boolean).length : h.count;
    const size = h.thread?.trim() || `Ø${typedText(h.diameter, drawing)}`;
    const parts = [`${count > 1 ? `${count}× ` : ''}${size} ${h.limits.trim()}`.trim()];
    const first = h.angles?.trim() ? `at ${h.angles.trim()}°` : `first at ${h.angle.trim() || '0'}°`;
    if (h.way === 'radial') parts.push(`across, ${h.angle.trim() || '0'}°`);
    else if (h.place.text.trim()) parts.push(`on Ø${typedText(h.place, drawing)}, ${first}`);
    if (h.counterbore)
      parts.push(
        `counterbore Ø${typedText(h.counterbore.diameter, drawing)} × ${typedText(h.counterbore.depth, drawing)}`,
      );
    if (h.countersink)
      parts.push(`countersink Ø${typedText(h.countersink.diameter, drawing)} × ${h.countersink.angle.trim() || '90'}°`);
    if (h.depth.text.trim()) parts.push(`${typedText(h.depth, drawing)} deep`);
    else if (h.way !== 'radial') parts.push('through');
    // long ones in two lines, broken where it reads well
    const half = parts.length > 2 ? 2 : 1;
    texts[h.id] = [parts.slice(0, half).join(', '), parts.slice(half).join(', ')].filter(Boolean).join('\n');
  }
  for (const f of drawing.endView.flats)
    texts[f.id] = `${f.count > 1 ? `${f.count} flats, ` : 'flat, '}${typedText(f.across, drawing)} across`;
  for (const end of ['left', 'right'] as const)
    for (const g of drawing.ends[end].grooves ?? []) {
      const to = g.inner.text.trim() ? ` / Ø${typedText(g.inner, drawing)}` : '';
      const deep = `${typedText(g.depth, drawing)} ${g.depthLimits.trim()}`.trim();
      const size = `${to ? 'ring groove' : 'recess'} Ø${typedText(g.outer, drawing)}${to} × ${deep} deep`;
      const far = end === 'left' ? ', far face' : '';
      texts[g.id] = g.on ? `${size}\n${faceWords(drawing, g.on)}${far}` : `${size}${far}`;
    }
  for (const k of drawing.endView.keyways ?? []) {
    const deep = `${typedText(k.depth, drawing)} ${k.by === 'depth' ? 'deep' : 'over the far side'}`;
    const where = k.length.text.trim() ? `${typedText(k.length, drawing)} long` : 'to the end';
    texts[k.id] = [
      `keyway ${typedText(k.width, drawing)} ${k.widthLimits.trim()} × ${deep}`.replace('  ', ' '),
      where,
    ].join('\n');
  }
  return texts;
}

const classNames = { f: 'fine', m: 'medium', c: 'coarse', v: 'very coarse' } as const;

/** What the title block says of sizes without limits. */
export function generalText(drawing: Drawing): string {
  const { decimals } = drawing;
  if (!decimals) return `Sizes without limits: ISO 2768-${drawing.generalClass} (${classNames[drawing.generalClass]})`;
  const rows = decimals.places.flatMap((given, i) =>
    given.trim() ? [`${['0', '0.0', '0.00', '0.000', '0.0000'][i]} ±${given.trim()}`] : [],
  );
  if (decimals.fraction.trim()) rows.push(`fractions ±${decimals.fraction.trim()}`);
  return `Sizes without limits, ${decimals.unit}: ${rows.join(', ')}`;
}

/** The printed drawing of a job as it is wanted, with all its words. */
export function sheetWish(
  job: Job,
  material: string,
  date: string,
  wish: Pick<SheetWish, 'paper' | 'lying' | 'both'>,
): SheetWish {
  const { drawing } = job;
  const unit = drawing.unit === 'mm' ? 'millimetres' : 'inches';
  return {
    ...wish,
    words: {
      title: job.title,
      issue: drawing.issue?.trim() || '–',
      date,
      material: material || '–',
      quantity: String(job.quantity),
      heads: {
        title: 'Part',
        material: 'Material',
        quantity: 'Off',
        scale: 'Scale',
        unit: 'Sizes',
        general: 'General tolerance',
        issue: 'Version',
        date: 'Printed',
        sheet: 'Sheet',
      },
      unit: wish.both
        ? `in ${unit}, [${drawing.unit === 'mm' ? 'inches' : 'millimetres'}]; (…) follows`
        : `in ${unit}; (…) follows from others`,
      general: generalText(drawing),
      columns: ['No.', `Size, ${drawing.unit}`, 'Largest', 'Smallest', 'Ra, µm'],
      knurl: { straight: 'Straight knurl', crossed: 'Crossed knurl' },
      leftHand: 'LH',
      texts: endTexts(drawing),
    },
  };
}
