import { centreAt, type Part, spigotAt } from '../part/index.ts';
import { radians } from '../quantity/index.ts';
import type { Shape } from './picture.ts';

/** Centre holes as thin lines, and spigots that come off again as hatched stock, at both ends of a part. */
export function faceShapes(part: Part, at: (zMm: number, rMm: number) => readonly [number, number]): Shape[] {
  return (['left', 'right'] as const).flatMap((side): Shape[] => {
    const [centre, spigot] = [centreAt(part, side), spigotAt(part, side)];
    const [z, inwards] = side === 'left' ? [0, 1] : [part.lengthMm, -1];
    const shapes: Shape[] = [];
    if (spigot) {
      const far = z - inwards * spigot.lengthMm;
      const r = spigot.diameterMm / 2;
      shapes.push({ kind: 'polygon', role: 'stock', points: [at(z, r), at(far, r), at(far, -r), at(z, -r)] });
    }
    if (centre) {
      const guard = (centre.mouthMm - centre.coneMm) / 2 / Math.tan(radians(60));
      const cone = guard + (centre.coneMm - centre.pilotMm) / 2 / Math.tan(radians(30));
      const pilot = cone + centre.pilotMm;
      const line = (k: 1 | -1): Shape => ({
        kind: 'polyline',
        role: 'thin',
        points: [
          at(z, (k * centre.mouthMm) / 2),
          at(z + inwards * guard, (k * centre.coneMm) / 2),
          at(z + inwards * cone, (k * centre.pilotMm) / 2),
          at(z + inwards * pilot, (k * centre.pilotMm) / 2),
          at(z + inwards * (pilot + centre.pilotMm * 0.3), 0),
        ],
      });
      shapes.push(line(1), line(-1));
    }
    return shapes;
  });
}
