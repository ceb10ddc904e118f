import { parseLength } from '../quantity/index.ts';
import { coarsePitches } from './standard/coarse-pitches.ts';
import { pipeThreads } from './standard/pipe.ts';
import { baThreads, numberedMm } from './standard/small.ts';

/** Profiles of threads, by their standards' families. */
export const THREAD_FORMS = ['metric', 'unified', 'whitworth', 'pipe', 'trapezoidal', 'acme', 'ba'] as const;
export type ThreadForm = (typeof THREAD_FORMS)[number];

/** A thread as its designation says it; mm. */
export interface NamedThread {
  readonly form: ThreadForm;
  readonly majorMm: number;
  readonly pitchMm: number;
  /** pitch times starts: how far a nut goes in a turn */
  readonly leadMm: number;
  readonly starts: number;
  /** diameter at the root outside, and of the hole that it is cut in */
  readonly minorMm: number;
  readonly holeMm: number;
}
export type ReadThread =
  | { readonly ok: true; readonly thread: NamedThread }
  /** `unknown`: of no family known here; `noPitch`: a metric size without a coarse pitch; `leadNotPitch`: starts that do not divide */
  | { readonly ok: false; readonly why: 'unknown' | 'noPitch' | 'leadNotPitch' };

/** Height of the outside profile as a share of the pitch, on the radius; and what a trapezoidal one has besides, mm. */
const DEPTH: Readonly<Record<Exclude<ThreadForm, 'trapezoidal' | 'acme'>, number>> = {
  ...{ metric: 0.6134, unified: 0.6134, whitworth: 0.6403, pipe: 0.6403, ba: 0.6 },
};
/** Clearance at the crest of a trapezoidal thread by its pitch, mm. ISO 2901; recalled */
const crestMm = (pitchMm: number): number => (pitchMm < 2 ? 0.15 : pitchMm < 6 ? 0.25 : pitchMm < 14 ? 0.5 : 1);

function threadOf(form: ThreadForm, majorMm: number, pitchMm: number, starts = 1): ReadThread {
  const deepMm =
    form === 'trapezoidal'
      ? pitchMm / 2 + crestMm(pitchMm)
      : form === 'acme'
        ? pitchMm / 2 + 0.254
        : DEPTH[form] * pitchMm;
  // the hole keeps the basic minor diameter
  const shallowMm =
    form === 'trapezoidal' || form === 'acme'
      ? pitchMm / 2
      : form === 'metric' || form === 'unified'
        ? 0.5413 * pitchMm
        : deepMm;
  return {
    ok: true,
    thread: {
      ...{ form, majorMm, pitchMm, leadMm: pitchMm * starts, starts },
      ...{ minorMm: majorMm - 2 * deepMm, holeMm: majorMm - 2 * shallowMm },
    },
  };
}

const decimal = (text: string): number => Number(text.replace(',', '.'));
/** An inch size as it is written: `1/2`, `1 1/8`, `.250`, `#10` or `No. 10`. */
function inchMm(text: string): number | undefined {
  const numbered = /^(?:#|no\.?\s*)(\d{1,2})$/i.exec(text.trim());
  if (numbered) return numberedMm(Number(numbered[1]));
  const read = parseLength(text.trim(), 'in');
  return read.ok ? read.mm.valueOf() : undefined;
}

/** `M20`, `M 6`, `M20x1.5`, `M16xPh3P1.5`. */
function metric(text: string): ReadThread | undefined {
  const read = /^M\s*(\d+(?:[.,]\d+)?)\s*(?:[x×]\s*(.+))?$/i.exec(text);
  if (!read) return undefined;
  const major = decimal(read[1]!);
  const rest = read[2]?.replace(/\s*[-–].*$/, '').trim();
  if (!rest) {
    const pitch = coarsePitches[major];
    return pitch === undefined ? { ok: false, why: 'noPitch' } : threadOf('metric', major, pitch);
  }
  const multi = /^Ph\s*(\d+(?:[.,]\d+)?)\s*P\s*(\d+(?:[.,]\d+)?)$/i.exec(rest);
  if (multi) return several('metric', major, decimal(multi[1]!), decimal(multi[2]!));
  return /^\d+(?:[.,]\d+)?$/.test(rest) ? threadOf('metric', major, decimal(rest)) : undefined;
}

function several(form: ThreadForm, majorMm: number, leadMm: number, pitchMm: number): ReadThread {
  const starts = leadMm / pitchMm;
  if (Math.abs(starts - Math.round(starts)) > 1e-6 || starts < 1) return { ok: false, why: 'leadNotPitch' };
  return threadOf(form, majorMm, pitchMm, Math.round(starts));
}

/** `Tr 24x5`, `Tr 20x8(P4)`, `Tr 20x8 P4`: what stands behind the size is the lead; its pitch is given where there are several starts. */
function trapezoidal(text: string): ReadThread | undefined {
  const read =
    /^Tr\s*(\d+(?:[.,]\d+)?)\s*[x×]\s*(\d+(?:[.,]\d+)?)\s*(?:\(?\s*P\s*(\d+(?:[.,]\d+)?)\s*\)?)?(?:\s*[-–].*)?$/i.exec(
      text,
    );
  if (!read) return undefined;
  const [major, lead, pitch] = [decimal(read[1]!), decimal(read[2]!), read[3] && decimal(read[3])];
  return pitch ? several('trapezoidal', major, lead, pitch) : threadOf('trapezoidal', major, lead);
}

/** `G 1/2`, `R 3/4`. */
function pipe(text: string): ReadThread | undefined {
  const read = /^(?:G|R[cp]?)\s*(\d+(?:[ -]\d+\/\d+|\/\d+)?)\s*[AB]?$/i.exec(text);
  if (!read) return undefined;
  const size = read[1]!.replace('-', ' ') as keyof typeof pipeThreads;
  if (!(size in pipeThreads)) return { ok: false, why: 'unknown' };
  const [majorMm, perInch] = pipeThreads[size];
  return threadOf('pipe', majorMm, 25.4 / perInch);
}

/** `2BA`, `BA 2`. */
function british(text: string): ReadThread | undefined {
  const read = /^(?:(\d{1,2})\s*BA|BA\s*(\d{1,2}))$/i.exec(text);
  if (!read) return undefined;
  const size = baThreads[Number(read[1] ?? read[2])];
  return size ? threadOf('ba', size[0], size[1]) : { ok: false, why: 'unknown' };
}

const FAMILY: Readonly<Record<string, ThreadForm>> = {
  ...{ bsw: 'whitworth', bsf: 'whitworth', whit: 'whitworth', w: 'whitworth', acme: 'acme' },
};
/** `1/2-13`, `1/4-20 UNC`, `#10-24`, `1-8 UN`, `1/2-12 BSW`, `1-5 ACME`. */
function perInch(text: string): ReadThread | undefined {
  const read = /^(?:W\s*)?(.+?)\s*[-–x×]\s*(\d{1,2}(?:\.\d+)?)\s*(?:tpi)?\s*([A-Za-z]*)(?:[-–\s].*)?$/i.exec(text);
  const majorMm = read ? inchMm(read[1]!) : undefined;
  const threads = Number(read?.[2]);
  if (!read || majorMm === undefined || !(threads > 0)) return undefined;
  const family = read[3]!.toLowerCase();
  if (family !== '' && !(family in FAMILY) && !/^un/.test(family)) return undefined;
  return threadOf(/^w/i.test(text) ? 'whitworth' : (FAMILY[family] ?? 'unified'), majorMm, 25.4 / threads);
}

/**
 * Reads a thread as a drawing names it; classes behind it (`-6g`, `-2A`) are passed over, hands and starts in words are not read.
 * @source ISO 965-1, ISO 2903, ISO 228-1, ASME B1.1 and B1.5, BS 84, BS 93
 * @example readThread('M23') // { ok: false, why: 'noPitch' }
 */
export function readThread(text: string): ReadThread {
  const clean = text.trim().replace(/\s+(?:LH|RH)$/i, '');
  const plain = clean.replace(/\s*[-–]\s*\d{1,2}[a-zA-Z]{1,2}(?:\d[a-z])?$/, (m, at: number) =>
    /^(?:M|Tr)/i.test(clean) && at > 0 ? '' : m,
  );
  return (
    metric(plain) ??
    trapezoidal(plain) ??
    pipe(plain) ??
    british(plain) ??
    perInch(plain) ?? { ok: false, why: 'unknown' }
  );
}
