import { chuckOf } from '../../lathe/index.ts';
import { insides, mouthOf, outsides } from '../../part/index.ts';
import { PLACE_MM, type Problem } from '../../quantity/index.ts';
import { hollowMm, reachOf, type Workpiece } from '../../work/index.ts';
import { type Held, SEATED_GRIP_MM } from '../held.ts';
import type { InJaws } from '../schema.ts';
import { checkSwing, type GripAsked, type HoldAnswer } from './kind.ts';

/** Jaws keep so far from the bottom of what they are opened into, mm. */
const CLEAR_MM = 1;
/** How far in a hole of the blank is followed, in steps of so much, mm. */
const STEP_MM = 0.5;

/** The hole that is open towards the headstock: that of the blank, else, on a piece that has been worked on, the one drawn there. */
function holeAtHead(piece: Workpiece): { readonly diameterMm: number; readonly deepMm: number } | undefined {
  const { zFromMm, zToMm } = reachOf(piece);
  const diameterMm = hollowMm(piece, zFromMm + PLACE_MM);
  if (diameterMm > 0) {
    let deepMm = 0;
    while (zFromMm + deepMm < zToMm && hollowMm(piece, zFromMm + deepMm + PLACE_MM) >= diameterMm - PLACE_MM)
      deepMm += STEP_MM;
    return { diameterMm, deepMm };
  }
  if (Object.keys(piece.finished).length === 0) return undefined;
  const drawn = insides(piece.part).find((b) => mouthOf(b).zMm <= PLACE_MM && b.leftMm === b.rightMm);
  return drawn && { diameterMm: drawn.leftMm, deepMm: drawn.zToMm - drawn.zFromMm };
}

/** Jaws opened into the hole at the headstock: the whole outside stands free. They press the harder the faster it turns. */
export function insideJaws({ piece, setup, lathe, record }: GripAsked, grip: InJaws): HoldAnswer {
  const chuck = chuckOf(lathe, grip.chuckId);
  const hole = holeAtHead(piece);
  if (!hole) return { held: undefined, problems: [{ code: 'hold.noHoleForJaws', path: ['grip', 'by'] }] };
  const { diameterMm, deepMm } = hole;
  const ranges = chuck.jaws.flatMap((jaws) => jaws.inside ?? []);
  const path = ['grip', 'by'];
  const problems: Problem[] = [...checkSwing(piece, lathe, 0)];
  if (ranges.length === 0) problems.push({ code: 'hold.jawsInsideUnknown', path, value: chuck.name });
  else if (!ranges.some((r) => r.fromMm <= diameterMm && diameterMm <= r.toMm))
    problems.push({
      ...{ code: 'hold.jawsInside', path, value: diameterMm, unit: 'mm' },
      limit: Math.max(...ranges.map((r) => r.toMm)),
    });
  const roomMm = Math.min(chuck.jawLengthMm, Math.max(0, deepMm - CLEAR_MM));
  const gripMm = grip.mm > 0 ? Math.min(grip.mm, roomMm) : roomMm;
  if (gripMm < SEATED_GRIP_MM)
    problems.push({ code: 'hold.shortGrip', path: ['grip', 'mm'], value: gripMm, limit: SEATED_GRIP_MM, unit: 'mm' });
  const { zFromMm, zToMm } = reachOf(piece);
  const overhangMm = zToMm - zFromMm;
  const thickMm = Math.max(diameterMm, ...outsides(piece.part).map((f) => f.diameterMm));
  const overhangDiameters = overhangMm / thickMm;
  record?.({ code: 'hold.inside', values: { diameterMm, gripMm, forceN: chuck.forceN } });
  const held: Held = {
    ...{ method: 'insideJaws', why: setup.support === 'auto' ? 'shortOverhang' : 'chosen', rawEndMm: zToMm },
    // the jaws themselves stand behind the face
    ...{ jawsMm: zFromMm - CLEAR_MM, overhangMm, overhangDiameters, wantsRest: false, gripMm, headEndMm: zFromMm },
    ...{ onMm: diameterMm, forceN: chuck.forceN, maxRpm: chuck.maxRpm, chuckId: chuck.id },
  };
  return { held, problems };
}
