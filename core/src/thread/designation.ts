import { formOf } from './forms.ts';
import { inchMm, readFamily } from './read/family.ts';
import { partsOf } from './read/text.ts';
import { type Series, series } from './standard/series.ts';
import { exactPitchMm, type NamedThread } from './thread.ts';

export type ReadThread =
  | { readonly ok: true; readonly thread: NamedThread }
  /**
   * `unknown`: of no family known here; `noPitch`: a size without a pitch of its own; `leadNotPitch`: starts that do not divide;
   * `tooCoarse`: its groove would go through the middle
   */
  | { readonly ok: false; readonly why: 'unknown' | 'noPitch' | 'leadNotPitch' | 'tooCoarse' };

/** What a designation that cannot be read is told by. */
export const UNREAD_THREAD = {
  noPitch: 'thread.noPitch',
  leadNotPitch: 'thread.leadNotPitch',
  tooCoarse: 'thread.tooCoarse',
  unknown: 'thread.unknown',
} as const;

/** A size of a list, mm. */
const sizeMm = ({ form, unit }: Series, size: string): number | undefined =>
  form === 'ba' || form === 'pipe' || form === 'npt' ? undefined : unit === 'mm' ? Number(size) : inchMm(size);
const SAME_MM = 1e-6;

/** The list that a thread is in, by its form, size and pitch. */
function seriesOf(form: string, majorMm: number, pitchMm: number): string | undefined {
  const found = series.find(
    (s) =>
      s.form === form &&
      s.rows.some(
        ([size, ...pitches]) =>
          Math.abs((sizeMm(s, size) ?? majorMm) - majorMm) < SAME_MM &&
          pitches.some((p) => Math.abs((s.unit === 'mm' ? p : 25.4 / p) - pitchMm) < SAME_MM),
      ),
  );
  return found?.name;
}

/**
 * Reads a thread as a drawing names it or as people write it: hand, starts and class are taken out of it.
 * @param text any; never throws
 * @source ISO 965-1, ISO 2903, ISO 228-1, ISO 7-1, ASME B1.1, B1.5, B1.8, B1.20.1, BS 84, BS 93, DIN 405, DIN 513
 * @example readThread('M23') // { ok: false, why: 'noPitch' }
 */
export function readThread(text: string): ReadThread {
  const parts = partsOf(text);
  const read = readFamily(parts.text);
  if ('why' in read) return { ok: false, why: read.why };
  const { form, majorMm, pitch, includedDeg } = read;
  const perUnit = Number('mm' in pitch ? pitch.mm : pitch.perInch);
  if (!(perUnit > 0) || !(majorMm > 0)) return { ok: false, why: 'unknown' };
  const pitchMm = exactPitchMm(pitch).valueOf();
  const starts = read.starts ?? parts.starts ?? 1;
  const own = includedDeg === undefined ? {} : { includedDeg };
  const { minorMm, holeMm, pitchDiameterMm } = formOf({ form, ...own }).basic(majorMm, pitchMm);
  if (!(minorMm > 0) || !(holeMm > 0)) return { ok: false, why: 'tooCoarse' };
  const list = seriesOf(form, majorMm, pitchMm);
  return {
    ok: true,
    thread: {
      ...{ form, majorMm, pitchMm, pitch, leadMm: pitchMm * starts, starts, minorMm, holeMm, pitchDiameterMm },
      ...own,
      ...(list ? { series: list } : {}),
      ...(parts.hand ? { hand: parts.hand } : {}),
      ...(parts.class ? { class: parts.class } : {}),
    },
  };
}
