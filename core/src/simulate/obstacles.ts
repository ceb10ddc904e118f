import { type Contour, ring } from '../contour/index.ts';
import { type Held, heldInside, inChuck, onTailCentre, REST_WIDTH_MM } from '../hold/index.ts';
import { radians } from '../quantity/index.ts';
import { kindOf, type Operation } from '../route/index.ts';
import { reachOf, type Workpiece } from '../work/index.ts';
import { type Box, boxRound } from './box.ts';
import type { FindingCode } from './finding.ts';

/** What stands in the tools' way. */
export interface Obstacle {
  readonly code: FindingCode;
  readonly contour: Contour;
  readonly box: Box;
}

/** How tall jaws and a dog stand beyond what they hold, and how thick a centre is behind its 60° point, mm. Usual sizes */
const JAW_TALL_MM = 25;
const DOG_TALL_MM = 12;
const CENTRE_MM = { radius: 9, long: 120, halfDeg: 30 } as const;
const REST_TALL_MM = 60;

const obstacle = (code: FindingCode, contour: Contour): Obstacle => ({ code, contour, box: boxRound(contour) });

/** A 60° centre in the tail end, from the rim of its hole outwards. */
function centreAt(zMm: number, mouthMm: number): Contour {
  const rMm = mouthMm / 2;
  const fullMm = Math.max(0, (CENTRE_MM.radius - rMm) / Math.tan(radians(CENTRE_MM.halfDeg)));
  const thick = Math.max(rMm, CENTRE_MM.radius);
  return {
    loops: [
      [
        { zMm, rMm: 0 },
        { zMm: zMm + CENTRE_MM.long, rMm: 0 },
        { zMm: zMm + CENTRE_MM.long, rMm: thick },
        { zMm: zMm + fullMm, rMm: thick },
        { zMm, rMm },
      ],
    ],
  };
}

/** What holds the work while an operation is done: jaws or dog, a steady, the tail centre where it is up. @param mouthMm of the hole in the tail end */
export function obstaclesOf(
  piece: Workpiece,
  held: Held,
  { kind, carried, caution, notes }: Operation,
  mouthMm: number,
): readonly Obstacle[] {
  const { method, jawsMm, gripMm, onMm } = held;
  const found: Obstacle[] = [];
  const from = jawsMm - gripMm;
  if (inChuck(method) && method !== 'insideJaws') {
    const { zFromMm } = reachOf(piece);
    // drawn back while its end is made, and out again before anything is turned
    const atEnd = kindOf(kind).tailstock === 'away' || kindOf(kind).tailstock === 'drills';
    const out = atEnd && held.ends?.kind === 'drawnBack' ? held.ends : undefined;
    const [jaws, grip] = out ? [held.rawEndMm - out.outMm, out.gripMm] : [jawsMm, gripMm];
    found.push(obstacle('inJaws', ring(Math.min(jaws - grip, zFromMm), jaws, onMm / 2, onMm / 2 + JAW_TALL_MM)));
  }
  if (method === 'betweenCentres') found.push(obstacle('inDog', ring(from, jawsMm, onMm / 2, onMm / 2 + DOG_TALL_MM)));
  if (heldInside(method)) found.push(obstacle('inJaws', ring(from - JAW_TALL_MM, held.rawEndMm, 0, onMm / 2 - 0.1)));
  const steady =
    held.rest?.kind === 'steady'
      ? held.rest
      : held.ends?.kind === 'steady' && carried === 'steady'
        ? held.ends
        : undefined;
  if (steady) {
    const half = REST_WIDTH_MM / 2;
    const r = steady.onMm / 2;
    found.push(obstacle('inRest', ring(steady.zMm - half, steady.zMm + half, r, r + REST_TALL_MM)));
  }
  // a half-centre is cut away where the tool comes
  const halved = caution === 'halfCentre' || notes?.some((n) => n.code === 'halfCentre');
  const up = carried === 'centre' || carried === 'centreAndRest' || carried === 'centres';
  if (up && onTailCentre(method) && method !== 'mandrel' && !halved)
    found.push(obstacle('inCentre', centreAt(piece.part.lengthMm, mouthMm)));
  return found;
}
