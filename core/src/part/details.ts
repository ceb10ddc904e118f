import type { Limits } from '../limit/index.ts';
import { parseLength, radians } from '../quantity/index.ts';
import type { Detail } from './detail-schema.ts';
import type { Path, Reader } from './read.ts';

/** A groove with every text read; zPart, mm. Floor is a diameter, beyond the surface by `depthMm` on the radius. */
export interface CutGroove {
  readonly kind: 'groove';
  readonly id: string;
  readonly shape: 'square' | 'round' | 'vee' | 'angled';
  readonly zFromMm: number;
  readonly zToMm: number;
  readonly floorMm: number;
  readonly depthMm: number;
  /** of each wall of an angled groove, from square */
  readonly wallDeg: number;
  readonly floorLimits?: Limits;
}
/** A thread as drawn: which length carries it, how deep its thin line lies. Its own computation is elsewhere. */
export interface CutThread {
  readonly kind: 'thread';
  readonly id: string;
  readonly designation: string;
  readonly hand: 'right' | 'left';
  readonly zFromMm: number;
  readonly zToMm: number;
  /** diameter of the thin line: about the root outside, about the major inside */
  readonly lineMm: number;
}
export interface CutKnurl {
  readonly kind: 'knurl';
  readonly id: string;
  readonly pattern: 'straight' | 'crossed';
  readonly zFromMm: number;
  readonly zToMm: number;
  readonly pitchMm: number;
}
export type CutDetail = CutGroove | CutThread | CutKnurl;

/** The length that details are cut into. */
export interface Surface {
  readonly zFromMm: number;
  readonly zToMm: number;
  readonly diameterMm: number;
  readonly inside: boolean;
}

const angleOf = (text: string, usual: number): number | undefined => {
  if (text.trim() === '') return usual;
  const read = /^(\d{1,3}(?:[.,]\d{1,4})?)\s*°?$/.exec(text.trim());
  return read ? Number(read[1]!.replace(',', '.')) : undefined;
};

/** Pitch in mm of a designation that names it (`M24x2`, `1/2-13`, `Tr 20x4`), for the thin line of the drawing only. */
export function pitchNamed(designation: string): number | undefined {
  const metric = /[x×]\s*(\d+(?:[.,]\d+)?)/i.exec(designation);
  if (metric) return Number(metric[1]!.replace(',', '.'));
  const perInch = /[-–\s](\d{1,2}(?:\.\d+)?)\s*(?:tpi|UN|BSW|$)/i.exec(designation.trim());
  return perInch && Number(perInch[1]) > 0 ? 25.4 / Number(perInch[1]) : undefined;
}

type At = (...rest: Path) => Path;

function groove(d: Extract<Detail, { kind: 'groove' }>, on: Surface, at: At, reader: Reader): CutGroove | undefined {
  const place = reader.distance(d.at, at('at'));
  const size = reader.size(d.floor, at('floor'));
  const width = reader.sizeOrNone(d.width, at('width'));
  if (!size || !place) return undefined;
  const sign = on.inside ? -1 : 1;
  const depthMm = d.by === 'depth' ? size.valueOf() : (sign * (on.diameterMm - size.valueOf())) / 2;
  const floorMm = d.by === 'floor' ? size.valueOf() : on.diameterMm - sign * 2 * size.valueOf();
  if (depthMm <= 1e-9 || floorMm <= 0) {
    reader.add({ code: 'groove.noDepth', path: at('floor'), value: d.floor.text, limit: on.diameterMm, unit: 'mm' });
    return undefined;
  }
  const angle = angleOf(d.angle, d.shape === 'vee' ? 60 : 15);
  if (angle === undefined || angle <= 0 || angle >= (d.shape === 'vee' ? 170 : 80)) {
    reader.add({ code: 'groove.angle', path: at('angle'), value: d.angle });
    return undefined;
  }
  const solved =
    d.shape === 'round' ? 2 * depthMm : d.shape === 'vee' ? 2 * depthMm * Math.tan(radians(angle / 2)) : undefined;
  const widthMm = width?.valueOf() ?? solved;
  if (widthMm === undefined) {
    reader.add({ code: 'length.empty', path: at('width'), value: '' });
    return undefined;
  }
  if (d.shape === 'angled' && widthMm <= 2 * depthMm * Math.tan(radians(angle))) {
    reader.add({ code: 'groove.wallsMeet', path: at('width'), value: widthMm, unit: 'mm' });
    return undefined;
  }
  const offMm = place.valueOf();
  const zFromMm = d.from === 'left' ? on.zFromMm + offMm : on.zToMm - offMm - widthMm;
  const zToMm = zFromMm + widthMm;
  if (zFromMm < on.zFromMm - 1e-9 || zToMm > on.zToMm + 1e-9) {
    reader.add({ code: 'detail.beyondEnds', path: at('at'), limit: on.zToMm - on.zFromMm, unit: 'mm' });
    return undefined;
  }
  const floorLimits =
    d.floorLimits.trim() === '' ? undefined : reader.limits(d.floorLimits, size, d.floor, at('floorLimits'));
  // told on the drawing as they are typed; here only whether they can be read
  if (d.widthLimits.trim() !== '' && width) reader.limits(d.widthLimits, width, d.width, at('widthLimits'));
  return {
    ...{ kind: 'groove', id: d.id, shape: d.shape, zFromMm, zToMm, floorMm, depthMm, wallDeg: angle, floorLimits },
  };
}

function span(
  d: { readonly from: 'left' | 'right' },
  on: Surface,
  offMm: number,
  lengthMm: number | undefined,
): readonly [number, number] {
  const most = on.zToMm - on.zFromMm - offMm;
  const long = lengthMm ?? most;
  return d.from === 'left'
    ? [on.zFromMm + offMm, on.zFromMm + offMm + long]
    : [on.zToMm - offMm - long, on.zToMm - offMm];
}

/** Reads what is cut into one length; what cannot be read is left out, its problems say so. */
export function readDetails(details: readonly Detail[], on: Surface, at: At, reader: Reader): readonly CutDetail[] {
  const made = details.flatMap((d, i): CutDetail[] => {
    const here: At = (...rest) => at('details', i, ...rest);
    if (d.kind === 'groove') return [groove(d, on, here, reader)].filter((g) => g !== undefined);
    const length = reader.sizeOrNone(d.length, here('length'));
    if (d.length.text.trim() !== '' && !length) return [];
    const off = d.kind === 'knurl' ? reader.distance(d.at, here('at')) : undefined;
    const [zFromMm, zToMm] = span(d, on, off?.valueOf() ?? 0, length?.valueOf());
    if (zFromMm < on.zFromMm - 1e-9 || zToMm > on.zToMm + 1e-9 || zToMm <= zFromMm) {
      reader.add({ code: 'detail.beyondEnds', path: here('length'), limit: on.zToMm - on.zFromMm, unit: 'mm' });
      return [];
    }
    if (d.kind === 'knurl') {
      const pitch = parseLength(d.pitch.text, d.pitch.unit);
      if (!pitch.ok) reader.add({ code: pitch.code, path: here('pitch'), value: pitch.value });
      return [
        { kind: 'knurl', id: d.id, pattern: d.pattern, zFromMm, zToMm, pitchMm: pitch.ok ? pitch.mm.valueOf() : 1 },
      ];
    }
    if (d.designation.trim() === '') reader.add({ code: 'thread.noDesignation', path: here('designation'), value: '' });
    const pitchMm = pitchNamed(d.designation) ?? on.diameterMm * 0.12;
    const lineMm = on.inside ? on.diameterMm + 1.0825 * pitchMm : on.diameterMm - 1.0825 * pitchMm;
    return [{ kind: 'thread', id: d.id, designation: d.designation, hand: d.hand, zFromMm, zToMm, lineMm }];
  });
  const grooves = made.filter((d) => d.kind === 'groove').sort((a, b) => a.zFromMm - b.zFromMm);
  for (let i = 1; i < grooves.length; i++)
    if (grooves[i]!.zFromMm < grooves[i - 1]!.zToMm - 1e-9)
      reader.add({ code: 'groove.overlap', path: at('details'), value: grooves[i]!.id });
  return made;
}
