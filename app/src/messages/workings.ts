import type { LengthUnit } from '@whelk/core/quantity';
import type { Limiter } from '@whelk/core/route';
import type { TaperWhyNot } from '@whelk/core/tapering';
import type { WorkingCode, WorkingStep } from '@whelk/core/working';
import { figure, type InUnit, inUnit, valuesIn } from './in-unit.ts';
import { plungeWorkings } from './plunge-workings.ts';
import { taperWayNames, whyNotText } from './taper.ts';
import { limiterText } from './words.ts';

/** A derivation's line: a title and the formula with the values in it. */
export interface WordedStep {
  readonly title: string;
  readonly formula: string;
  readonly source?: string;
}
type V = Record<string, number | string>;
const n = figure;

/** Formulas whose constants are of metric units: their figures stay as they are computed. */
const SI = new Set([
  'cutting.force',
  'cutting.plunge',
  'cutting.drill',
  'cutting.drillPower',
  'cutting.power',
  'mechanics.warming',
  'cutting.edgeLife',
]);

const steps: Record<WorkingCode, (v: V, u: InUnit) => Omit<WordedStep, 'source'>> = {
  ...plungeWorkings,
  'cutting.tableSpeed': (v, u) => ({
    title: 'Cutting speed from the table',
    formula:
      v.share && v.share !== 1
        ? `${n(v.speedMPerMin)} ${u.speed} × ${n(v.share)} for this operation`
        : `${n(v.speedMPerMin)} ${u.speed}, as it stands`,
  }),
  'cutting.correctedSpeed': (v, u) => ({
    title: 'Cutting speed for this cut',
    formula: `${n(v.referenceMPerMin)} × feed ${n(v.feedFactor, 2)} × depth ${n(v.depthFactor, 2)} × life ${n(v.lifeFactor, 2)} = ${n(v.speedMPerMin)} ${u.speed} (together ${n(v.product, 2)}, at most 1.75)`,
  }),
  'cutting.rpm': (v, u) => ({
    title: 'Ideal speed',
    formula: `${u.mm === 'mm' ? 1000 : 12} × ${n(v.speedMPerMin)} ÷ (π × ${u.n(v.diameterMm)}) = ${n(v.rpm)} rpm`,
  }),
  'cutting.chosenSpeed': (v) => ({
    title: 'The lathe’s own speed',
    formula: `${v.setting}: ${n(v.rpm)} rpm, ${Number(v.offPercent) < 0 ? '−' : '+'}${n(Math.abs(Number(v.offPercent)), 0)} % of ${n(v.idealRpm)}`,
  }),
  'cutting.force': (v) => ({
    title: 'Cutting force',
    formula: `${n(v.kc11NPerMm2)} × ${n(v.widthMm)} × ${n(v.thicknessMm)}^(1−${n(v.mc, 2)}) × wear ${n(v.wear, 2)} × tool ${n(v.tool, 2)} = ${n(v.cuttingN)} N; radial ${n(v.radialShare, 2)} of it, ${n(v.radialN)} N`,
  }),
  'cutting.facing': (v, u) => ({
    title: 'Time for the face',
    formula: `from Ø${u.n(v.outsideMm)} the speed follows down to Ø${u.n(v.ceilingFromMm)}, where ${n(v.mostRpm)} rpm is the most: ${n(v.followingMin, 2)} min; with one setting ${n(v.oneSettingMin, 2)} min`,
  }),
  'cutting.outOfBand': (v) => ({
    title: 'What stands will not do',
    formula: `${v.setting}, ${n(v.rpm)} rpm, is ${n(Math.abs(Number(v.offPercent)), 0)} % ${Number(v.offPercent) < 0 ? 'below' : 'above'} the ideal: beyond what is allowed`,
  }),
  'cutting.stay': (v) => ({
    title: v.stay ? 'Stay where it stands' : 'Worth changing',
    formula: `${v.setting}, ${n(v.rpm)} rpm, is ${Number(v.offPercent) < 0 ? '−' : '+'}${n(Math.abs(Number(v.offPercent)), 0)} % of the ideal: ${Number(v.slowerMin) < 0 ? `${n(-Number(v.slowerMin), 1)} min quicker` : `${n(v.slowerMin, 1)} min longer`}; changing costs ${n(v.changeMin, 1)} min`,
  }),
  'cutting.edgeLife': (v) => ({
    title: 'Life of the edge',
    formula: `${n(v.lifeRefMin)} min × (${n(v.forRefLifeMPerMin)} ÷ ${n(v.speedMPerMin)})^(1 ÷ ${n(v.exponent, 2)}) = ${n(v.lifeMin)} min`,
  }),
  'cutting.power': (v, u) => ({
    title: 'Power',
    formula: `${n(v.cuttingN)} N × ${n(v.speedMPerMin)} ${u.speed} ÷ 60000 = ${n(v.powerKw, 2)} kW of ${n(v.availableKw, 2)} kW at this speed`,
  }),
  'mechanics.cantilever': (v, u) => ({
    title: 'Bending, held in the chuck',
    formula: `${n(v.forceN)} N at ${u.n(v.aMm)} ${u.mm} from the jaws, E ${n(v.modulusGPa)} GPa: ${u.n(v.deflectionMm, 4)} ${u.mm}, twice that on the diameter: ${u.n(v.diameterErrorMm, 4)} ${u.mm}`,
  }),
  'mechanics.chuckCentre': (v, u) => ({
    title: 'Bending, chuck and tail centre',
    formula: `${n(v.forceN)} N at ${u.n(v.aMm)} of ${u.n(v.lengthMm)} ${u.mm}, E ${n(v.modulusGPa)} GPa: ${u.n(v.deflectionMm, 4)} ${u.mm}, twice that on the diameter: ${u.n(v.diameterErrorMm, 4)} ${u.mm}`,
  }),
  'mechanics.withRest': (v, u) => ({
    title: 'Bending, with a rest',
    formula: `${n(v.forceN)} N at ${u.n(v.aMm)} of ${u.n(v.lengthMm)} ${u.mm}, the rest at ${u.n(v.restMm)} ${u.mm}, E ${n(v.modulusGPa)} GPa: ${u.n(v.deflectionMm, 4)} ${u.mm}, twice that on the diameter: ${u.n(v.diameterErrorMm, 4)} ${u.mm}`,
  }),
  'mechanics.betweenCentres': (v, u) => ({
    title: 'Bending, between centres',
    formula: `${n(v.forceN)} N at ${u.n(v.aMm)} of ${u.n(v.lengthMm)} ${u.mm}, E ${n(v.modulusGPa)} GPa: ${u.n(v.deflectionMm, 4)} ${u.mm}, twice that on the diameter: ${u.n(v.diameterErrorMm, 4)} ${u.mm}`,
  }),
  'mechanics.grip': (v, u) => ({
    title: 'Grip',
    formula: `√((${n(v.cuttingForceN)} × ${u.n(v.cutDiameterMm)}/${u.n(v.gripDiameterMm)})² + ${n(v.feedForceN)}²) = ${n(v.atJawsN)} N; the jaws hold ${n(v.friction, 2)} × ${n(v.jawForceN)} × ${n(v.share, 1)} = ${n(v.holdsN)} N`,
  }),
  'mechanics.tipping': (v, u) => ({
    title: 'Tipping',
    formula: `${n(v.acrossN)} N × ${u.n(v.armMm)} ${u.mm} + weight ${n(v.weightNm, 1)} N·m = ${n(v.momentNm, 1)} N·m; the jaws bear ${n(v.share, 1)} × (${n(v.jawForceN)} × ${u.n(v.gripMm)}/6 + ${n(v.leftFriction, 2)} × ${n(v.jawForceN)} × ${u.n(v.gripDiameterMm)}/4) = ${n(v.bearsNm, 1)} N·m, an estimate`,
  }),
  'mechanics.ring': (v, u) => ({
    title: 'Thin ring in the jaws',
    formula: `${n(v.jaws)} jaws of ${n(v.forceN)} N: ${n(v.share, 4)} × ${n(v.forceN)} × ${u.n(v.radiusMm)}³/(${n(v.modulusGPa)} GPa × ${u.n(v.lengthMm)} × ${u.n(v.wallMm)}³/12) = ${u.n(v.givesMm, 4)} ${u.mm} on the radius under each`,
  }),
  'hold.blank': (v, u) => ({
    title: 'Blank length',
    formula: `${Object.entries(v)
      .filter(([k]) => k !== 'lengthMm')
      .map(([, x]) => u.size(x, 2))
      .join(' + ')} = ${u.size(v.lengthMm, 2)} ${u.mm}`,
  }),
  'truing.eccentricity': (v, u) => ({
    title: 'Eccentricity',
    formula: `(${u.size(v.r1)} − ${u.size(v.r3)})/2 = ${u.size(v.towards1Mm)} towards 1, (${u.size(v.r2)} − ${u.size(v.r4)})/2 = ${u.size(v.towards2Mm)} towards 2; √(a² + b²) = ${u.size(v.offMm)} ${u.mm}, runs out twice that; |sum of 1, 3 − sum of 2, 4|/2 = ${u.size(v.ovalMm)} oval`,
  }),
  'truing.move': (v, u) => ({
    title: 'Next move',
    formula: `each pair by its half difference, over what earlier rounds got of what was asked: ${n(v.gotPair1Share, 2)} of pair 1–3, ${n(v.gotPair2Share, 2)} of pair 2–4; ${n(v.mmPerTurn)} ${u.mm} a turn of the key`,
  }),
  'truing.tilt': (v, u) => ({
    title: 'Tilt',
    formula: `far − near: ${u.size(v.towards1Mm)} towards 1, ${u.size(v.towards2Mm)} towards 2 over ${u.n(v.apartMm)} ${u.mm} = ${u.mm === 'mm' ? `${n(v.perMetreMm, 2)} mm a metre` : `${n(Number(v.perMetreMm) * 0.3048, 4)} in a foot`}`,
  }),
  'truing.collars': (v, u) => ({
    title: 'Tailstock from two diameters',
    formula: `(${u.size(v.tailMm)} − ${u.size(v.headMm)})/2 × ${u.n(v.wholeMm)}/${u.n(v.apartMm)} = ${u.size(v.offsetMm)} ${u.mm} towards the tool`,
  }),
  'truing.testBar': (v, u) => ({
    title: 'Tailstock from a test bar',
    formula: `(${u.size(v.tailMm)} − ${u.size(v.headMm)}) × ${u.n(v.wholeMm)}/${u.n(v.apartMm)} = ${u.size(v.offsetMm)} ${u.mm} on the tool’s side`,
  }),
  'truing.bedTwist': (v, u) => ({
    title: 'Twisted bed',
    formula: `(${u.size(v.tailMm)} − ${u.size(v.headMm)})/2 = ${u.size(v.awayMm)} over ${u.n(v.apartMm)} ${u.mm}; at the feet ${u.size(v.atFeetMm)}; × ${u.n(v.feetApartMm)}/${u.n(v.axisHighMm)} = ${u.size(v.liftMm)} ${u.mm} to lift`,
  }),
  'tool.bar': (v, u) => ({
    title: 'Spring of the bar',
    formula: `100 N · ${u.n(v.overhangMm)}³/(3 · ${n(v.modulusGPa)} GPa · I) = ${u.size(v.per100NMm)} ${u.mm}; ${n(v.overhangDiameters, 1)} diameters stand out, it bears ${n(v.bearsDiameters, 1)}`,
  }),
  'hold.centreDepth': (v, u) => ({
    title: 'Depth of the centre hole',
    formula: `pilot ${u.size(v.pilotLengthMm)} + (${u.size(v.mouthMm)} − ${u.size(v.pilotMm)})/2 ÷ tan 30° = ${u.size(v.coneMm, 2)} → ${u.size(v.totalMm, 2)} ${u.mm}`,
  }),
  'hold.centreLoad': (v, u) => ({
    title: 'Centre hole',
    formula: `√((${n(v.massKg)} kg × 9.81/2)² + ${n(v.forceN)}²) = ${n(v.loadN)} N; Ø${u.size(v.stockMm)} alone asks ${u.size(v.byDiameterMm)}, raised two sizes at most; end Ø${u.size(v.endMm)} → ${u.size(v.pilotMm)} with a mouth of ${u.size(v.mouthMm)}, which bears ${n(v.bearsN)} N`,
  }),
  'mechanics.warming': (v, u) => ({
    title: 'Warming of the work',
    formula: `0.1 × ${n(v.powerKw, 2)} kW × 60/(${n(v.massKg)} kg × ${n(v.heat)} J/kgK) = ${n(v.risesKPerMin, 2)} K/min; α × ${u.n(v.lengthMm)} ${u.mm} × that = ${u.size(v.growsMmPerMin)} ${u.mm}/min; ${u.size(v.easeMm)} ${u.mm} after ${n(v.easeAfterMin, 1)} min`,
  }),
  'stock.cleanUp': (v, u) => ({
    title: 'Bar that cleans up',
    formula: `Ø${u.size(v.wantedMm)} + ${u.size(v.runoutMm)} runout + 2 × ${u.size(v.bowMm)} bow over ${u.n(v.outMm)} ${u.mm} + 2 × ${u.size(v.skinMm)} skin = Ø${u.size(v.needMm, 2)}; the bar has Ø${u.size(v.acrossMm, 2)}, ${u.size(v.spareMm, 2)} to spare`,
  }),
  'stock.mass': (v, u) => ({
    title: 'Mass',
    formula:
      u.mm === 'mm'
        ? `${n(v.areaMm2)} mm² × ${n(v.lengthMm)} mm × ${n(v.densityKgPerM3)} kg/m³ = ${n(v.massKg)} kg`
        : `${n(Number(v.areaMm2) / 645.16)} in² × ${n(v.lengthMm)} in × ${n(Number(v.densityKgPerM3) / 27_679.9)} lb/in³ = ${n(Number(v.massKg) / 0.453_592_37)} lb`,
  }),
  'hold.facingToCentre': (v, u) => ({
    title: 'Facing up to a centre',
    formula: `mouth Ø${u.n(v.mouthMm)} + 2 × ${u.n(v.airMm)} ${u.mm} of air = Ø${u.n(v.toMm)} of Ø${u.n(v.endMm)}; ring ${u.n(v.ringMm)} ${u.mm}`,
  }),
  'hold.inside': (v, u) => ({
    title: 'Jaws opened into the hole',
    formula: `Ø${u.n(v.diameterMm)} ${u.mm}, ${u.n(v.gripMm)} ${u.mm} deep, pressed with ${n(v.forceN)} N; turning throws the jaws outwards, which holds it the better`,
  }),
  'hold.arbor': (v, u) => ({
    title: 'Held without jaws',
    formula: `Ø${u.n(v.onMm)} × ${u.n(v.lengthMm)} ${u.mm}: holds as jaws of ${n(v.forceN)} N would`,
  }),
  'hold.overSlide': (v, u) => ({
    title: 'On the cross-slide',
    formula: `packing ${u.n(v.belowCentreMm)} − ${u.n(v.axisMm)} = ${u.n(v.packMm)} ${u.mm}; for ${u.n(v.lengthMm)} of work the bar wants ${u.n(v.wantsMm)}, it has ${u.n(v.barMm)} ${u.mm}`,
  }),
  'hold.overhang': (v, u) => ({
    title: 'Overhang',
    formula: `${u.n(v.overhangMm)} ÷ Ø${u.n(v.diameterMm)} = ${n(v.overhangDiameters, 1)} diameters; up to ${n(v.freeDiameters)} stand freely`,
  }),
  'limit.iso286': (v, u) => ({
    title: `${v.zone} at ${u.size(v.nominalMm)}`,
    formula: `deviations ${n(v.upperUm)} / ${n(v.lowerUm)} µm, ${n(v.toleranceUm)} µm apart`,
  }),
  'limit.decimals': (v, u) => ({
    title: 'Tolerance by decimals',
    formula: `written ${v.text}: the shop’s table gives ± ${v.given} ${v.unit} = ± ${u.n(v.halfMm)} ${u.mm}`,
  }),
  'worn.centres': (v, u) => ({
    title: 'Centre to centre',
    formula:
      v.of === 'centres'
        ? `as measured, ${u.size(v.distanceMm)} ${u.mm}`
        : `${u.size(v.spanMm)} ${v.of === 'outsides' ? '−' : '+'} ${u.size(v.meanMm)} = ${u.size(v.distanceMm)} ${u.mm}`,
  }),
  'worn.chordAngle': (v, u) => ({
    title: 'Angle round the outside',
    formula: `2 × arcsin(${u.size(v.chordMm)} ÷ ${u.size(v.circleMm)}) = ${n(v.angleDeg, 2)}°`,
  }),
  'worn.circle': (v, u) => ({
    title: 'Circle of the holes',
    formula:
      v.way === 'opposite'
        ? `opposite holes: the distance itself, ${u.size(v.circleMm)} ${u.mm}`
        : `${u.size(v.distanceMm)} ÷ sin(180° ÷ ${v.count}) = ${u.size(v.circleMm)} ${u.mm}`,
  }),
  'limit.mate': (v, u) => ({
    title: 'From the measured mate',
    formula:
      v.of === 'outside'
        ? `${u.size(v.measuredMm)} − clearance ${u.size(v.leastMm)} to ${u.size(v.mostMm)} = ${u.size(v.upperMm)} / ${u.size(v.lowerMm)} ${u.mm}`
        : `${u.size(v.measuredMm)} + clearance ${u.size(v.mostMm)} to ${u.size(v.leastMm)} = ${u.size(v.upperMm)} / ${u.size(v.lowerMm)} ${u.mm}`,
  }),
  'limit.general': (v, u) => ({
    title: 'General tolerance',
    formula: `class ${v.generalClass} at ${u.size(v.nominalMm)} ${u.mm}: ± ${u.n(v.halfMm)} ${u.mm}`,
  }),
  'lathe.dialMove': (v, u) => ({
    title: 'On the dial',
    formula: `${u.size(v.travelInMm)} ${u.mm} ÷ ${u.size(v.lineTravelMm)} ${u.mm} a line, from ${v.fromNumber}: ${v.fullTurns} full turns and ${v.rest}, to ${v.toNumber}`,
  }),
  'run.spring': (v) => ({
    title: 'Spring',
    formula: `${n(Number(v.bestShare) * 100, 1)} % of the depth, between ${n(Number(v.lowShare) * 100, 1)} and ${n(Number(v.highShare) * 100, 1)} %; ${Number(v.count) > 0 ? `shown by ${v.count} cuts` : 'no cut has shown it yet'}; held between nothing and 1.5 times the ${n(Number(v.reckonedShare) * 100, 1)} % that are reckoned from force, work and lathe`,
  }),
  'run.otherPlan': () => ({
    title: 'Planned by an earlier version',
    formula: 'this one would plan it otherwise; how the number came about then was not kept',
  }),
  'run.next': (v, u) => ({
    title: { measured: 'From the measured size', trial: 'From the trial cut' }[String(v.by)] ?? 'From the touch-off',
    formula: `from Ø${u.size(v.beforeMm)} to Ø${u.size(v.aimMm)}: ${u.size(v.depthMm)} ${u.mm} deep on the radius; the last number stood for Ø${u.size(v.nowMm)} after ${u.size(v.lastDepthMm)} ${u.mm}; difference of spring ${u.size(v.springMm)} ${u.mm}: ${u.size(v.travelMm)} ${u.mm} further in`,
  }),
  'run.guard': (v, u) => ({
    title: 'Never beyond',
    formula: `${u.size(v.guardMm)} ${u.mm} kept from ${u.size(v.goneMm)}; this mark comes to ${u.size(v.comesToMm)}, at its worst ${u.size(v.deepestMm)}; marks are ${u.size(v.stepMm)} ${u.mm} of diameter apart`,
  }),
  'gauge.felt': (v, u) => ({
    title: 'By gauges without a number',
    formula: `${v.count} tries: between ${u.size(v.smallestMm)} and ${u.size(v.largestMm)} ${u.mm}; ${u.size(v.guardMm)} ${u.mm} guards the limit`,
  }),
  'gauge.doubt': (v, u) => ({
    title: 'Against what the dial says',
    formula: `read ${u.size(v.readMm)}, expected ${u.size(v.expectedMm)} ± ${u.size(v.boundMm)} ${u.mm}: ${u.size(v.offMm)} ${u.mm} off`,
  }),
  'cutting.spring': (v, u) => ({
    title: 'Spring reckoned',
    formula: `${u.mm === 'mm' ? `${n(v.radialPerMmN)} N for a millimetre` : `${n(Number(v.radialPerMmN) * 25.4)} N for an inch`} of depth × (work ${u.n(Number(v.workMmPerN) * 1000, 3)} + lathe ${u.n(Number(v.latheMmPerN) * 1000, 3)} ${u.mm === 'mm' ? 'µm' : 'thou'}/N, ${v.latheBy === 'calibrated' ? 'as calibrated' : 'assumed until it is calibrated'}) = ${n(Number(v.springShare) * 100, 1)} % of the depth`,
  }),
  'route.fineness': (v, u) => ({
    title:
      {
        lines: 'Whole lines of the ring',
        halfLines: 'Half lines',
        halfLinesWithCare: 'Half lines, set with care',
        compound: 'By the swung compound',
      }[String(v.means)] ?? String(v.means),
    formula: `marks ${u.size(v.stepMm)} ${u.mm} of diameter apart, limits ${u.size(v.toleranceMm)} less the guard ${u.size(v.guardMm)} ${u.mm}: ${v.does === 'yes' ? 'one always falls inside' : 'too coarse'}`,
  }),
  'route.lastCuts': (v, u) => ({
    title: 'Last cuts',
    formula: `limits ${u.size(v.toleranceMm)} ${u.mm} against ${u.size(v.worstMm)} ${u.mm} that one cut may be out: ${v.cuts === 1 ? 'one cut' : 'two equal cuts'}, ${v.measurements} measurements`,
  }),
  'route.usualMinutes': (v) => ({
    title: 'Time',
    formula: `${n(v.minutes, 1)} min is usual for this by hand; no formula behind it`,
  }),
  'route.handFeed': (v, u) => ({
    title: 'Feed',
    formula: `${u.n(v.feedMmPerRev)} ${u.mm} a turn is usual by hand for this; × ${n(v.rpm)} ÷ 60 = ${u.n((Number(v.feedMmPerRev) * Number(v.rpm)) / 60, 2)} ${u.mm} a second`,
  }),
  'route.faceMinutes': (v, u) => ({
    title: 'Time',
    formula: `${n(v.handlingMin, 1)} to touch and wind in + ${u.n(v.radiusMm)} ${u.mm} ÷ (${u.n(v.feedMmPerRev)} × ${n(v.rpm)}) = ${n(v.minutes, 1)} min`,
  }),
  'route.grip': (v, u) => ({
    title: 'In the chuck',
    formula: `${u.size(v.gripMm, 2)} ${u.mm} gripped + ${u.size(v.overhangMm, 2)} ${u.mm} standing out = blank of ${u.size(v.lengthMm, 2)} ${u.mm}`,
  }),
  'route.shoulder': (v, u) => ({
    title: 'Shoulder',
    formula: `from the middle of the inner limits, Ø${u.size(v.fromDiameterMm, 3)}, out to Ø${u.size(v.toDiameterMm, 3)}, ${u.size(v.fromEndMm, 3)} ${u.mm} from the faced end by the drawing’s lengths`,
  }),
  'part.chamfer': (v, u) => ({
    title: 'Chamfer',
    formula: `${u.n(v.lengthMm)} × tan ${n(v.angleDeg)}° = ${u.n(v.depthMm)} ${u.mm} on the radius`,
  }),
  'calibration.feed': (v, u) => ({
    title: `Feed of ${v.setting}`,
    formula: `${u.size(v.distanceMm)} ${u.mm} ÷ (${n(v.rpm)} rpm × ${n(v.seconds)} s ÷ 60 = ${n(v.turns, 1)} turns) = ${u.n(v.feedMmPerRev, 4)} ${u.mm} a turn`,
  }),
  'calibration.dial': (v, u) => ({
    title: 'True travel over the ring’s',
    formula: `slope of ${v.count} readings, Σ(ring × indicator) ÷ Σ(ring²) = ${u.size(v.scale, 5)}`,
  }),
  'calibration.slack': (v, u) => ({
    title: 'Slack',
    formula: `${n(v.meanLines, 2)} lines apart on average of ${v.count} × ${u.n(v.lineMm, 4)} ${u.mm} = ${u.n(v.slackMm, 4)} ${u.mm}`,
  }),
  'calibration.speed': (v) => ({
    title: 'Spindle',
    formula: `mean of ${v.count}: ${n(v.rpm, 1)} rpm; written down as ${n(v.marked)}`,
  }),
  'calibration.twoDepths': (v, u) => ({
    title: 'Spring',
    formula: `(moved ${u.n(v.movedInMm, 4)} − came off ${u.n(v.depth2Mm, 4)}) ÷ (${u.n(v.depth2Mm, 4)} − ${u.n(v.depth1Mm, 4)}) = ${n(v.sharePercent, 1)} % of the depth`,
  }),
  'calibration.spring': (v, u) => ({
    title: 'Spring',
    formula: `${u.n(v.springMm, 4)} ${u.mm} too large after ${u.n(v.depthMm)} ${u.mm} on the radius: ${n(v.sharePercent, 1)} % of the depth`,
  }),
  'lathe.measuredFeed': (v, u) => ({
    title: 'Feed',
    formula: `as it was measured on this lathe: ${u.n(v.feedMmPerRev, 4)} ${u.mm} a turn`,
  }),
  'lathe.torqueCurve': (v) => ({
    title: 'Torque at the spindle',
    formula: `from the range’s own curve of ${v.points} points, at ${n(v.rpm)} rpm: ${n(v.torqueNm, 1)} N·m`,
  }),
  'lathe.markedFeed': (v, u) => ({
    title: 'Feed',
    formula: `as marked on the lathe: ${v.text} ${v.unit} a turn = ${u.n(v.feedMmPerRev, 4)} ${u.mm}`,
  }),
  'lathe.gearFeed': (v, u) => ({
    title: 'Feed through the gears',
    formula: `leadscrew ${u.n(v.leadMm, 4)} ${u.mm} × ${v.train} (= ${v.ratio}) = ${u.n(v.feedMmPerRev, 4)} ${u.mm} a turn`,
  }),
  'lathe.torque': (v) => ({
    title: 'Torque at the spindle',
    formula: `9549.3 × ${n(v.motorKw)} kW × ${n(v.efficiency, 2)} ÷ ${n(v.atRpm)} rpm${v.atRpm === v.rpm ? '' : ', the same at every speed below that'} = ${n(v.torqueNm, 1)} N·m`,
  }),
  'lathe.power': (v) => ({
    title: 'Power at the spindle',
    formula: `${n(v.torqueNm, 1)} N·m × ${n(v.rpm)} rpm ÷ 9549.3 = ${n(v.powerKw, 2)} kW`,
  }),
  'route.cone': (v, u) => ({
    title: 'What the cone asks',
    formula: `half angle ${n(v.halfDeg, 4)}° over ${u.n(v.lengthMm, 1)} ${u.mm}; ${u.size(v.allowanceMm, 2)} left on the diameter for its last cuts and ${u.size(v.proveMm, 2)} ${u.mm} for two corrections of the setting`,
  }),
  'route.taperWay': (v, u) => ({
    title: taperWayNames[v.way as keyof typeof taperWayNames] ?? String(v.way),
    formula:
      v.can === 'yes'
        ? 'can here'
        : `cannot here: ${whyNotText(v.why as TaperWhyNot, Number(v.limit) || undefined, u)}`,
  }),
  'route.total': (v) => ({
    title: 'Time for a piece',
    formula: `${n(v.count)} operations ${n(v.operationsMin, 1)} min + ${n(v.changes)} changes of setting ${n(v.changesMin, 1)} min = ${n(v.minutes, 1)} min`,
  }),
  'hold.centre': (v, u) => ({
    title: 'Centre hole',
    formula: `wanted for Ø${u.n(v.stockMm)} with an end of Ø${u.n(v.endDiameterMm)} (mouth at most 0.6 of it) and its load: ${u.n(v.wantedMm, 2)} ${u.mm}; owned: ${u.n(v.pilotMm, 2)} ${u.mm}, mouth Ø${u.n(v.mouthMm, 2)} ${u.mm}`,
  }),
  'route.passes': (v, u) => ({
    title: 'Passes',
    formula: `(${u.size(v.fromMm, 3)} − ${u.size(v.toMm, 3)}) ÷ 2 = ${u.n(v.radialMm, 2)} ${u.mm} to take; at most ${u.n(v.depthCapMm, 2)} ${u.mm} a pass: ${n(v.count)}, decided by ${limiterText[v.by as Limiter] ?? v.by}`,
  }),
  'route.feed': (v, u) => ({
    title: 'Feed',
    formula: `at most ${u.n(v.feedCapMm)} ${u.mm}/rev (${{ usual: 'a usual feed', nose: '0.6 of the nose radius', finish: 'the finish wanted', own: 'your own choice' }[v.why as 'usual'] ?? ''}); the lathe gives ${u.n(v.feedMmPerRev)}${v.setting ? `, ${v.setting}` : ' by hand'}`,
  }),
  'route.minutes': (v, u) => ({
    title: 'Time',
    formula: `${n(v.count)} × (${u.n(v.lengthMm)} ${u.mm} ÷ (${u.n(v.feedMmPerRev)} × ${n(v.rpm)}) + ${n(v.handlingMin, 1)} to wind back and set) = ${n(v.minutes, 1)} min`,
  }),
  'gauge.combine': (v, u) => ({
    title: 'Readings together',
    formula:
      v.agree === 'no'
        ? `${n(v.count)} that do not agree, spread ${u.size(v.spreadMm)} ${u.mm}: ${u.size(v.guardMm)} ${u.mm} guards the limit, ± ${u.size(v.uncertaintyMm)} ${u.mm}`
        : `mean of ${n(v.count)}, weighed by their gauges: ${u.size(v.meanMm)} ${u.mm}, spread ${u.size(v.spreadMm)} ${u.mm}, ± ${u.size(v.uncertaintyMm)} ${u.mm}`,
  }),
  'gauge.decide': (v, u) => ({
    title: 'Verdict',
    formula: `${u.size(v.sizeMm)} ± ${u.size(v.uncertaintyMm)} against ${u.size(v.lowerMm)} … ${u.size(v.upperMm)} ${u.mm}`,
  }),
};

/** Codes of workings that have words; a test holds core against it. */
export const wordedWorkings: readonly string[] = Object.keys(steps);

/** Words for a working's step, its lengths in the unit of the page. */
export function wordStep(step: WorkingStep, unit: LengthUnit = 'mm'): WordedStep {
  const si = unit === 'in' && SI.has(step.code);
  const of = si ? 'mm' : unit;
  const worded = steps[step.code]?.(valuesIn(step.values, of), inUnit(of)) ?? {
    title: step.code,
    formula: JSON.stringify(step.values),
  };
  // where the page is in inches, figures that are not are said to be so
  return {
    ...worded,
    source: si ? `in newtons and metric units${step.source ? `; ${step.source}` : ''}` : step.source,
  };
}
