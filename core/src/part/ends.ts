import { readCentre } from './centre.ts';
import type { Drawing } from './drawing.ts';
import type { Part } from './part.ts';
import type { Reader } from './read.ts';
import type { SeenFace, SeenFaces } from './seen-end.ts';

function face(drawing: Drawing, part: Part, side: 'left' | 'right', reader: Reader): SeenFace {
  const end = drawing.ends[side];
  const at = (...rest: string[]) => ['ends', side, ...rest];
  const read = readCentre(end.centre);
  if (!read.ok) reader.add({ code: read.code, path: at('centre'), value: end.centre });
  const centre = read.ok ? read.centre : undefined;
  const last = side === 'left' ? part.features[0] : part.features.at(-1);
  const faceMm = (side === 'left' ? last?.leftMm : last?.rightMm) ?? 0;
  if (centre && last && centre.mouthMm >= faceMm)
    reader.add({ code: 'centre.tooLarge', path: at('centre'), value: centre.mouthMm, limit: faceMm, unit: 'mm' });
  if (centre && part.bores.some((b) => b.side === side || b.through))
    reader.add({ code: 'centre.inHole', path: at('centre'), value: end.centre, severity: 'warning' });
  const diameter = end.spigot && reader.size(end.spigot.diameter, at('spigot', 'diameter'));
  const length = end.spigot && reader.size(end.spigot.length, at('spigot', 'length'));
  return {
    centre: centre && { ...centre, stays: end.centreStays },
    made: end.made,
    spigot: diameter && length ? { diameterMm: diameter.valueOf(), lengthMm: length.valueOf() } : undefined,
  };
}

/** Reads what is said of the part's two ends. */
export function readEnds(drawing: Drawing, part: Part, reader: Reader): SeenFaces {
  return { left: face(drawing, part, 'left', reader), right: face(drawing, part, 'right', reader) };
}
