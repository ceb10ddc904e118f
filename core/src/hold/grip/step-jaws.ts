import { chuckOf } from '../../lathe/index.ts';
import { outsides } from '../../part/index.ts';
import { PLACE_MM, type Problem } from '../../quantity/index.ts';
import { reachOf, standingMm } from '../../work/index.ts';
import { FREE_DIAMETERS, type Held, SEATED_GRIP_MM } from '../held.ts';
import type { InJaws } from '../schema.ts';
import { checkSwing, type GripAsked, type HoldAnswer } from './kind.ts';

/**
 * Seated with its face against the step of the jaws, gripped as high as the step is: how rings and discs are held. The face bears
 * what pushes along the axis and keeps it square, so a short grip does.
 * @source FIELD 14: below about 3 mm of grip only against a seat, with light cuts
 */
export function onStep({ piece, setup, lathe, record }: GripAsked, grip: InJaws): HoldAnswer {
  const chuck = chuckOf(lathe, grip.chuckId);
  const { zFromMm, zToMm, largestMm } = reachOf(piece);
  const path = ['grip', 'by'];
  const diameterMm = standingMm(piece, zFromMm, zFromMm + PLACE_MM);
  const jaws = chuck.jaws.find((j) => (j.stepMm ?? 0) > 0 && j.fromMm <= diameterMm && diameterMm <= j.toMm);
  const problems: Problem[] = [...checkSwing(piece, lathe, 0)];
  if (!jaws?.stepMm)
    return { held: undefined, problems: [{ code: 'hold.noStep', path, value: diameterMm, unit: 'mm' }] };
  // as much of it as is of one diameter there
  const firstMm = outsides(piece.part)[0]?.zToMm ?? zToMm;
  const straightMm = standingMm(piece, zFromMm, zFromMm + jaws.stepMm) > diameterMm + PLACE_MM ? firstMm : jaws.stepMm;
  const gripMm = Math.min(jaws.stepMm, straightMm, grip.mm > 0 ? grip.mm : jaws.stepMm);
  if (gripMm < SEATED_GRIP_MM)
    problems.push({ code: 'hold.shortGrip', path: ['grip', 'mm'], value: gripMm, limit: SEATED_GRIP_MM, unit: 'mm' });
  const jawsMm = zFromMm + gripMm;
  const overhangMm = zToMm - jawsMm;
  const overhangDiameters = overhangMm / diameterMm;
  record?.({
    code: 'hold.overhang',
    values: { overhangMm, diameterMm, overhangDiameters, freeDiameters: FREE_DIAMETERS, method: 'stepJaws' },
  });
  if (overhangDiameters > FREE_DIAMETERS)
    problems.push({
      ...{ code: 'hold.longOnStep', path, value: Number(overhangDiameters.toFixed(1)), limit: FREE_DIAMETERS },
    });
  const held: Held = {
    ...{ method: 'stepJaws', why: setup.support === 'auto' ? 'shortOverhang' : 'chosen', rawEndMm: zToMm },
    ...{ jawsMm, overhangMm, overhangDiameters, wantsRest: false, gripMm, headEndMm: zFromMm },
    onId: outsides(piece.part)[0]?.id,
    ...{ onMm: Math.min(diameterMm, largestMm), forceN: chuck.forceN, maxRpm: chuck.maxRpm, chuckId: chuck.id },
  };
  return { held, problems };
}
