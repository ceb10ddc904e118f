import { parseLength } from '../../quantity/index.ts';
import { coarsePitches } from '../standard/coarse-pitches.ts';
import { nptThreads, pipeThreads } from '../standard/pipe.ts';
import { series } from '../standard/series.ts';
import { baThreads, numberedMm } from '../standard/small.ts';
import type { ExactPitch, ThreadForm } from '../thread.ts';

/** Size and pitch of a designation, or why it has none. */
export type Read =
  | {
      readonly form: ThreadForm;
      readonly majorMm: number;
      readonly pitch: ExactPitch;
      readonly starts?: number;
      readonly includedDeg?: number;
    }
  | { readonly why: 'unknown' | 'noPitch' | 'leadNotPitch' };

const NUMBER = String.raw`\d{1,4}(?:\.\d{1,4})?`;
const INCH = String.raw`(?:#|no\.? ?)\d{1,2}|\d{1,3}[ -]\d{1,2}\/\d{1,3}|\d{1,2}\/\d{1,3}|\d{0,2}\.\d{1,4}|\d{1,2}`;
const over = (lead: string, pitch: string): number | undefined => {
  const starts = Number(lead) / Number(pitch);
  return Math.abs(starts - Math.round(starts)) < 1e-6 && starts >= 1 ? Math.round(starts) : undefined;
};

/** An inch size as it is written: `1/2`, `1 1/8`, `.250`, `#10` or `No. 10`, mm. */
export function inchMm(text: string): number | undefined {
  const numbered = /^(?:#|no\.? ?)(\d{1,2})$/i.exec(text.trim());
  if (numbered) return numberedMm(Number(numbered[1]));
  const read = parseLength(text.trim(), 'in');
  return read.ok ? read.mm.valueOf() : undefined;
}

/** `M20`, `M 6`, `M20x1.5`, `M16xPh3P1.5`. */
function metric(text: string): Read | undefined {
  const read = new RegExp(`^M ?(${NUMBER})(?: ?x ?(.+))?$`, 'i').exec(text);
  if (!read) return undefined;
  const majorMm = Number(read[1]);
  if (!read[2]) {
    const coarse = coarsePitches[majorMm];
    return coarse === undefined ? { why: 'noPitch' } : { form: 'metric', majorMm, pitch: { mm: String(coarse) } };
  }
  const multi = new RegExp(`^Ph ?(${NUMBER}) ?P ?(${NUMBER})$`, 'i').exec(read[2]);
  if (multi) {
    const starts = over(multi[1]!, multi[2]!);
    return starts ? { form: 'metric', majorMm, pitch: { mm: multi[2]! }, starts } : { why: 'leadNotPitch' };
  }
  return new RegExp(`^${NUMBER}$`).test(read[2]) ? { form: 'metric', majorMm, pitch: { mm: read[2] } } : undefined;
}

const BY_LETTERS: Readonly<Record<string, ThreadForm>> = {
  tr: 'trapezoidal',
  rd: 'round',
  s: 'sawtooth',
  sq: 'square',
};
/** `Tr 24x5`, `Tr 20x8(P4)`, `Tr 20x8 P4`, `Rd 40x1/6`: what stands behind the size is the lead; its pitch is given where there are several starts. */
function screw(text: string): Read | undefined {
  const read = new RegExp(
    String.raw`^(Tr|Rd|Sq|S) ?(${NUMBER}) ?x ?(${NUMBER}|1\/\d{1,2}) ?(?:\(? ?P ?(${NUMBER}) ?\)?)?$`,
    'i',
  ).exec(text);
  if (!read) return undefined;
  const form = BY_LETTERS[read[1]!.toLowerCase()]!;
  const [majorMm, lead, pitch] = [Number(read[2]), read[3]!, read[4]];
  if (lead.startsWith('1/')) return pitch ? undefined : { form, majorMm, pitch: { perInch: lead.slice(2) } };
  if (!pitch) return { form, majorMm, pitch: { mm: lead } };
  const starts = over(lead, pitch);
  return starts ? { form, majorMm, pitch: { mm: pitch }, starts } : { why: 'leadNotPitch' };
}

/** A nominal pipe size with one blank: `1 1/4`. */
const pipeSize = (text: string): string => text.trim().replace('-', ' ');
/** `G 1/2`, `R 3/4`, `1/2 BSP`, `NPT 1/4`, `1/4-18 NPT`. */
function pipe(text: string): Read | undefined {
  const read =
    /^(G|R[cp]?) ?(\d+(?:[ -]\d+\/\d+|\/\d+)?)$/i.exec(text) ??
    (/^(\d+(?:[ -]\d+\/\d+|\/\d+)?) ?(?:- ?\d+(?:\.\d+)? )?(BSP[PT]?)$/i
      .exec(text)
      ?.map((m, i, all) => (i === 0 ? m : i === 1 ? (/t$/i.test(all[2]!) ? 'R' : 'G') : all[1]!)) as
      | string[]
      | undefined);
  if (read) {
    const row = pipeThreads[pipeSize(read[2]!) as keyof typeof pipeThreads];
    // Rp is parallel
    const form = /^R(?!p)/i.test(read[1]!) ? 'taperPipe' : 'pipe';
    return row ? { form, majorMm: row[0], pitch: { perInch: String(row[1]) } } : { why: 'unknown' };
  }
  const npt =
    /^NPT ?(\d+(?:[ -]\d+\/\d+|\/\d+)?)$/i.exec(text) ??
    /^(\d+(?:[ -]\d+\/\d+|\/\d+)?)(?: ?- ?[\d.]+)? ?NPT$/i.exec(text);
  const row = npt && nptThreads[pipeSize(npt[1]!) as keyof typeof nptThreads];
  if (!npt) return undefined;
  if (!row) return { why: 'unknown' };
  // pitch diameter at the gauge plane: E0 = D − (0.05·D + 1.1)·p, and a sixteenth of L1 more; ASME B1.20.1
  const [d, perInch, l1] = row;
  const e1 = d - (0.05 * d + 1.1) / perInch + l1 / 16;
  return { form: 'npt', majorMm: (e1 + 0.8 / perInch) * 25.4, pitch: { perInch: String(perInch) } };
}

/** `2BA`, `BA 2`. */
function british(text: string): Read | undefined {
  const read = /^(?:(\d{1,2}) ?BA|BA ?(\d{1,2}))$/i.exec(text);
  if (!read) return undefined;
  const size = baThreads[Number(read[1] ?? read[2])];
  return size ? { form: 'ba', majorMm: size[0], pitch: { mm: String(size[1]) } } : { why: 'unknown' };
}

/** Families that stand behind an inch size, and the list that has the pitch where none is given. */
const FAMILIES: readonly (readonly [RegExp, ThreadForm, list?: string])[] = [
  [/^unc$/, 'unified', 'UNC'],
  [/^unf$/, 'unified', 'UNF'],
  [/^unef$/, 'unified', 'UNEF'],
  [/^(?:8|12|16|20|28|32)? ?un[sjr]?$|^n[sfc]$/, 'unified'],
  [/^bsw$|^whit(?:worth)?$|^w$/, 'whitworth', 'BSW'],
  [/^bsf$/, 'whitworth', 'BSF'],
  [/^brass$/, 'whitworth', '26 per inch'],
  [/^stub[ -]?acme$/, 'stubAcme'],
  [/^acme$/, 'acme', 'Acme'],
  [/^butt(?:ress)?$/, 'buttress'],
  [/^sq(?:uare)?$/, 'square'],
];

/** `1/2-13`, `1/2 13`, `1/4-20 UNC`, `1/4 UNC`, `#10-24`, `1-8 UN`, `1/2-12 BSW`, `1-5 ACME`, `2.5-8 Butt`. */
function perInch(text: string): Read | undefined {
  const whitworth = /^W ?(?=\d|\.)/i.test(text);
  const read = new RegExp(
    String.raw`^(?:W ?)?(${INCH})(?: ?[-x] ?| )(\d{1,2}(?:\.\d{1,3})?|\d{1,2} 1\/2)? ?(?:tpi|t\.p\.i\.)?[ -]?([a-z][a-z .-]*)?$`,
    'i',
  ).exec(text.replace(/(\d)(?=(?:unc|unf|unef|bsw|bsf|un|acme|whit)\b)/i, '$1 '));
  const majorMm = read ? inchMm(read[1]!) : undefined;
  if (!read || majorMm === undefined) return undefined;
  const letters = read[3]?.trim().toLowerCase().replace(/\.$/, '') ?? '';
  const family = letters === '' ? undefined : FAMILIES.find(([r]) => r.test(letters));
  if (letters !== '' && !family) return undefined;
  const form = family?.[1] ?? (whitworth ? 'whitworth' : 'unified');
  const list = family?.[2] ?? (whitworth ? 'BSW' : undefined);
  if (read[2]) return { form, majorMm, pitch: { perInch: read[2].replace(' 1/2', '.5') } };
  if (!list) return undefined;
  const row = series.find((s) => s.name === list)!.rows.find(([size]) => Math.abs(inchMm(size)! - majorMm) < 1e-6);
  return row ? { form, majorMm, pitch: { perInch: String(row[1]) } } : { why: 'noPitch' };
}

/** A form of one's own by size, pitch and included angle: `20x2 50°`, `3/4-12 50deg`. */
function own(text: string): Read | undefined {
  const read = new RegExp(
    String.raw`^(?:(${NUMBER}) ?x ?(${NUMBER})|(${INCH}) ?[- ] ?(\d{1,2}(?:\.\d{1,3})?)) ?[/,]? ?(\d{2,3}(?:\.\d{1,2})?) ?(?:°|deg)$`,
    'i',
  ).exec(text);
  if (!read) return undefined;
  const includedDeg = Number(read[5]);
  if (includedDeg < 25 || includedDeg > 120) return { why: 'unknown' };
  if (read[1]) return { form: 'own', majorMm: Number(read[1]), pitch: { mm: read[2]! }, includedDeg };
  const majorMm = inchMm(read[3]!);
  return majorMm === undefined ? undefined : { form: 'own', majorMm, pitch: { perInch: read[4]! }, includedDeg };
}

/** Size and pitch in any family that is known. */
export function readFamily(text: string): Read {
  for (const reader of [metric, screw, pipe, british, own, perInch]) {
    const read = reader(text);
    if (read) return read;
  }
  return { why: 'unknown' };
}
