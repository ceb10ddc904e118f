import { ROUNDING } from '../quantity/index.ts';
import { type NamedThread, nearThreads, readThread, UNREAD_THREAD } from '../thread/index.ts';
import { cutInto, insides, mouthOf, outsides } from './ask.ts';
import type { Part } from './part.ts';
import type { Path, Reader } from './read.ts';
import type { CutIn } from './shape/details.ts';
import { isStraight } from './shape/outside.ts';
import type { Inside, Outside } from './surface.ts';

/** An outside blank may be so much under its major diameter, as a share of the pitch, and hardly above it, mm. */
const UNDER_SHARE = 0.3;
const ABOVE_MM = 0.1;
/** A hole may be so far from its minor diameter either way, as a share of the pitch: shallow threads are usual. */
const HOLE_SHARE = 0.35;
/** Metal under the root of a thread that is less is told, mm. */
const THIN_MM = 1;

interface Drawn {
  readonly cut: CutIn & { readonly kind: 'thread' };
  readonly thread: NamedThread;
  readonly path: Path;
}

/** Threads of one length that can be read, each with its field; what cannot be of what it names is told. */
function drawnOn(part: Part, on: Outside | Inside, path: Path, reader: Reader): readonly Drawn[] {
  return cutInto(part, on.id).flatMap((cut, i): Drawn[] => {
    if (cut.kind !== 'thread') return [];
    const at = [...path, 'details', i, 'designation'];
    const read = readThread(cut.designation);
    if (read.ok) return [{ cut, thread: read.thread, path: at }];
    if (cut.designation.trim() === '') return [];
    const near = nearThreads(cut.designation).join(', ');
    reader.add({
      ...{ code: UNREAD_THREAD[read.why], path: at, value: cut.designation, severity: 'warning' },
      ...(near === '' ? {} : { limit: near }),
    });
    return [];
  });
}

/** Pitches that meet on one length. */
function checkTogether(drawn: readonly Drawn[], reader: Reader): void {
  for (const [i, a] of drawn.entries())
    for (const b of drawn.slice(0, i)) {
      const meet = a.cut.zFromMm < b.cut.zToMm - ROUNDING && b.cut.zFromMm < a.cut.zToMm - ROUNDING;
      if (meet && Math.abs(a.thread.pitchMm - b.thread.pitchMm) > ROUNDING)
        reader.add({ code: 'thread.twoPitches', path: a.path, value: b.cut.designation });
    }
}

/** Largest hole beside a place, and smallest outside, of what is drawn there. */
const holeAt = (part: Part, zMm: number): number =>
  Math.max(0, ...insides(part).flatMap((b) => (b.zFromMm <= zMm && zMm <= b.zToMm ? [b.diameterMm] : [])));
const outsideAt = (part: Part, zMm: number): number =>
  Math.max(0, ...outsides(part).flatMap((f) => (f.zFromMm <= zMm && zMm <= f.zToMm ? [f.diameterMm] : [])));

function checkWall(wallMm: number, path: Path, reader: Reader): void {
  if (wallMm <= 0) reader.add({ code: 'thread.noWall', path, value: Number(wallMm.toFixed(2)), unit: 'mm' });
  else if (wallMm < THIN_MM - ROUNDING)
    reader.add({
      ...{ code: 'thread.thinWall', path, value: Number(wallMm.toFixed(2)), limit: THIN_MM, unit: 'mm' },
      severity: 'warning',
    });
}

/**
 * Threads against the diameters that they are drawn on, and the metal that is left under their roots.
 * @source the blank of an outside thread is its major diameter or a little less, a hole its minor one; FIELD 7
 */
export function checkThreads(part: Part, reader: Reader): void {
  for (const f of outsides(part)) {
    const drawn = drawnOn(part, f, ['features', f.index], reader);
    checkTogether(drawn, reader);
    for (const { cut, thread, path } of drawn) {
      const { majorMm, pitchMm, minorMm } = thread;
      if (!isStraight(f)) continue;
      if (f.diameterMm > majorMm + ABOVE_MM || f.diameterMm < majorMm - UNDER_SHARE * pitchMm - ROUNDING)
        reader.add({ code: 'thread.otherDiameter', path, value: f.diameterMm, limit: majorMm, unit: 'mm' });
      else checkWall((minorMm - holeAt(part, (cut.zFromMm + cut.zToMm) / 2)) / 2, path, reader);
    }
  }
  for (const b of insides(part)) {
    const drawn = drawnOn(part, b, ['bores', b.from, b.index], reader);
    checkTogether(drawn, reader);
    for (const { cut, thread, path } of drawn) {
      const { majorMm, pitchMm, holeMm } = thread;
      const mm = mouthOf(b).diameterMm;
      if (Math.abs(mm - holeMm) > HOLE_SHARE * pitchMm + ABOVE_MM)
        reader.add({ code: 'thread.otherHole', path, value: mm, limit: Number(holeMm.toFixed(3)), unit: 'mm' });
      else checkWall((outsideAt(part, (cut.zFromMm + cut.zToMm) / 2) - majorMm) / 2, path, reader);
    }
  }
}
