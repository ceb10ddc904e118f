import { type InUnit, figure as n } from './in-unit.ts';

type Told = (v: Record<string, number | string>, u: InUnit) => { readonly title: string; readonly formula: string };

/** Workings of what goes into the work along or across the axis: drills, reamers, blades. */
export const plungeWorkings = {
  'cutting.drillPower': (v) => ({
    title: 'Power',
    formula: `2π × ${n(v.rpm)} rpm × ${n(v.torqueNm, 1)} N·m ÷ 60000 = ${n(v.powerKw, 2)} kW of ${n(v.availableKw, 2)} kW at this speed`,
  }),
  'cutting.drill': (v) => ({
    title: 'Drill',
    formula: `kc ${n(v.kcNPerMm2)} N/mm² × ${n(v.feedMmPerRev)} mm/rev × ${n(v.diameterMm)}²/8000 = ${n(v.torqueNm, 1)} N·m; thrust ${n(v.thrustN)} N`,
  }),
  'route.drillDepth': (v, u) => ({
    title: 'Depth',
    formula: `${u.size(v.depthMm, 2)} ${u.mm} at full diameter + point ${u.size(v.diameterMm, 2)} ÷ 2 ÷ tan(${n(v.pointDeg)}° ÷ 2) = ${u.size(v.pointMm, 2)}: ${u.size(v.wholeMm, 2)} ${u.mm} to the tip`,
  }),
  'route.drillMinutes': (v) => ({
    title: 'Time',
    formula: `${n(v.handlingMin, 1)} to bring it up + ${n(v.cutMin, 2)} in the cut + ${n(v.pecks)} × ${n(v.peckMin, 1)} to clear the chips = ${n(v.minutes, 1)} min`,
  }),
  'route.reamMinutes': (v) => ({
    title: 'Time',
    formula: `${n(v.handlingMin, 1)} to bring it up, oil and wipe + ${n(v.cutMin, 2)} in the cut = ${n(v.minutes, 1)} min`,
  }),
  'route.partTravel': (v, u) => ({
    title: 'Carriage',
    formula: `left edge on the finished face: part ${u.size(v.partMm, 3)} + to be faced ${u.size(v.facingMm, 3)} + blade ${u.size(v.widthMm, 3)} = ${u.size(v.travelMm, 3)} ${u.mm} towards the chuck`,
  }),
  'route.partMinutes': (v) => ({
    title: 'Time',
    formula: `${n(v.handlingMin, 1)} to set it square and zero it + ${n(v.cutMin, 2)} in the cut + ${n(v.pecks)} × ${n(v.peckMin, 2)} drawn back = ${n(v.minutes, 1)} min`,
  }),
  'cutting.plunge': (v) => ({
    title: 'Cutting force, whole width',
    formula: `${n(v.kc11NPerMm2)} × ${n(v.widthMm)} × ${n(v.feedMmPerRev)}^(1−${n(v.mc, 2)}) × wear ${n(v.wear, 2)} = ${n(v.forceN)} N`,
  }),
  'route.grooveMinutes': (v) => ({
    title: 'Time',
    formula: `${n(v.handlingMin, 1)} to set it + ${n(v.plunges)} × ${n(v.plungeMin, 1)} back and to the next + ${n(v.cutMin, 2)} in the cut = ${n(v.minutes, 1)} min`,
  }),
  'threading.depth': (v, u) => ({
    title: 'Depth',
    formula: `from Ø${u.size(v.blankMm, 3)} to a pitch diameter of ${u.size(v.aimMm, 3)} with this point: ${u.size(v.depthMm, 3)} ${u.mm} on the radius; ${n(v.passes)} passes of equal area to ${u.size(v.allowanceMm, 3)} ${u.mm} over it on the diameter, the rest measured`,
  }),
  'route.knurlStart': (v, u) => ({
    title: 'Begun on',
    formula: `(Ø${u.size(v.drawnMm, 2)} − ${u.size(v.growsMm, 2)} that it grows) × π / ${u.size(v.pitchMm, 2)} ≈ ${n(v.count)} teeth; ${n(v.count)} × ${u.size(v.pitchMm, 2)} / π = Ø${u.size(v.diameterMm, 2)} ${u.mm}`,
  }),
  'route.contourSteps': (v, u) => ({
    title: 'Steps',
    formula: `a nose of R${u.size(v.noseMm, 2)} along the outline in ${n(v.count)} places, in nothing that stays, leaves cusps of ${u.size(v.cuspMm, 4)} ${u.mm}; ${n(v.cutMin, 1)} min in the cut, ${n(v.minutes, 1)} with setting and filing`,
  }),
  'route.roundSteps': (v, u) => ({
    title: 'Steps',
    formula: `a nose of ${u.size(v.noseMm, 2)} along R${u.size(v.radiusMm, 2)} in ${n(v.count)} places leaves cusps of ${u.size(v.cuspMm, 4)} ${u.mm}: where neighbouring noses cross, against the radius`,
  }),
} as const satisfies Readonly<Record<string, Told>>;
