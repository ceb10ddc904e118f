import type { Limiter } from '@whelk/core/route';
import type { WorkingStep } from '@whelk/core/working';
import { limiterText } from './words.ts';

/** A derivation's line: a title and the formula with the values in it. */
export interface WordedStep {
  readonly title: string;
  readonly formula: string;
  readonly source?: string;
}
type V = Record<string, number | string>;
const n = (value: number | string | undefined, digits = 3): string => {
  if (typeof value !== 'number') return String(value ?? '');
  const text =
    Math.abs(value) >= 100 ? value.toFixed(0) : Math.abs(value) >= 10 ? value.toFixed(1) : value.toFixed(digits);
  return text.includes('.') ? text.replace(/\.?0+$/, '') : text;
};

/** A size: the same digits however large it is. */
const size = (value: number | string | undefined, digits = 4): string =>
  typeof value === 'number' ? String(Number(value.toFixed(digits))) : String(value ?? '');

const steps: Record<string, (v: V) => Omit<WordedStep, 'source'>> = {
  'cutting.tableSpeed': (v) => ({
    title: 'Cutting speed from the table',
    formula:
      v.share && v.share !== 1
        ? `${n(v.speedMPerMin)} m/min × ${n(v.share)} for this operation`
        : `${n(v.speedMPerMin)} m/min, as it stands`,
  }),
  'cutting.correctedSpeed': (v) => ({
    title: 'Cutting speed for this cut',
    formula: `${n(v.referenceMPerMin)} × feed ${n(v.feedFactor, 2)} × depth ${n(v.depthFactor, 2)} × life ${n(v.lifeFactor, 2)} = ${n(v.speedMPerMin)} m/min (together ${n(v.product, 2)}, at most 1.75)`,
  }),
  'cutting.rpm': (v) => ({
    title: 'Ideal speed',
    formula: `1000 × ${n(v.speedMPerMin)} ÷ (π × ${n(v.diameterMm)}) = ${n(v.rpm)} rpm`,
  }),
  'cutting.chosenSpeed': (v) => ({
    title: 'The lathe’s own speed',
    formula: `${v.setting}: ${n(v.rpm)} rpm, ${Number(v.offPercent) < 0 ? '−' : '+'}${n(Math.abs(Number(v.offPercent)), 0)} % of ${n(v.idealRpm)}`,
  }),
  'cutting.force': (v) => ({
    title: 'Cutting force',
    formula: `${n(v.kc11NPerMm2)} × ${n(v.widthMm)} × ${n(v.thicknessMm)}^(1−${n(v.mc, 2)}) × wear ${n(v.wear, 2)} × tool ${n(v.tool, 2)} = ${n(v.cuttingN)} N; radial ${n(v.radialShare, 1)} of it, ${n(v.radialN)} N`,
  }),
  'cutting.stay': (v) => ({
    title: v.stay ? 'Stay where it stands' : 'Worth changing',
    formula: `${v.setting}, ${n(v.rpm)} rpm, is ${Number(v.offPercent) < 0 ? '−' : '+'}${n(Math.abs(Number(v.offPercent)), 0)} % of the ideal: ${Number(v.slowerMin) < 0 ? `${n(-Number(v.slowerMin), 1)} min quicker` : `${n(v.slowerMin, 1)} min longer`}; changing costs ${n(v.changeMin, 1)} min`,
  }),
  'cutting.drill': (v) => ({
    title: 'Drill',
    formula: `kc ${n(v.kcNPerMm2)} N/mm² × ${n(v.feedMmPerRev)} mm/rev × ${n(v.diameterMm)}²/8000 = ${n(v.torqueNm, 1)} N·m; thrust ${n(v.thrustN)} N`,
  }),
  'cutting.plunge': (v) => ({
    title: 'Cutting force, whole width',
    formula: `${n(v.kc11NPerMm2)} × ${n(v.widthMm)} × ${n(v.feedMmPerRev)}^(1−${n(v.mc, 2)}) × wear ${n(v.wear, 2)} = ${n(v.forceN)} N`,
  }),
  'cutting.edgeLife': (v) => ({
    title: 'Life of the edge',
    formula: `${n(v.lifeRefMin)} min × (${n(v.forRefLifeMPerMin)} ÷ ${n(v.speedMPerMin)})^(1 ÷ ${n(v.exponent, 2)}) = ${n(v.lifeMin)} min`,
  }),
  'cutting.power': (v) => ({
    title: 'Power',
    formula: `${n(v.cuttingN)} N × ${n(v.speedMPerMin)} m/min ÷ 60000 = ${n(v.powerKw, 2)} kW of ${n(v.availableKw, 2)} kW at this speed`,
  }),
  'mechanics.cantilever': (v) => ({
    title: 'Bending, held in the chuck',
    formula: `${n(v.forceN)} N at ${n(v.aMm)} mm from the jaws, E ${n(v.modulusGPa)} GPa: ${n(v.deflectionMm, 4)} mm, twice that on the diameter: ${n(v.diameterErrorMm, 4)} mm`,
  }),
  'mechanics.chuckCentre': (v) => ({
    title: 'Bending, chuck and tail centre',
    formula: `${n(v.forceN)} N at ${n(v.aMm)} of ${n(v.lengthMm)} mm, E ${n(v.modulusGPa)} GPa: ${n(v.deflectionMm, 4)} mm, twice that on the diameter: ${n(v.diameterErrorMm, 4)} mm`,
  }),
  'mechanics.betweenCentres': (v) => ({
    title: 'Bending, between centres',
    formula: `${n(v.forceN)} N at ${n(v.aMm)} of ${n(v.lengthMm)} mm, E ${n(v.modulusGPa)} GPa: ${n(v.deflectionMm, 4)} mm, twice that on the diameter: ${n(v.diameterErrorMm, 4)} mm`,
  }),
  'mechanics.grip': (v) => ({
    title: 'Grip',
    formula: `√((${n(v.cuttingForceN)} × ${n(v.cutDiameterMm)}/${n(v.gripDiameterMm)})² + ${n(v.feedForceN)}²) = ${n(v.atJawsN)} N; the jaws hold ${n(v.friction, 2)} × ${n(v.jawForceN)} × ${n(v.share, 1)} = ${n(v.holdsN)} N`,
  }),
  'hold.blank': (v) => ({
    title: 'Blank length',
    formula: `${Object.entries(v)
      .filter(([k]) => k !== 'lengthMm')
      .map(([, x]) => size(x, 2))
      .join(' + ')} = ${size(v.lengthMm, 2)} mm`,
  }),
  'truing.eccentricity': (v) => ({
    title: 'Eccentricity',
    formula: `(${size(v.r1)} − ${size(v.r3)})/2 = ${size(v.towards1Mm)} towards 1, (${size(v.r2)} − ${size(v.r4)})/2 = ${size(v.towards2Mm)} towards 2; √(a² + b²) = ${size(v.offMm)} mm, runs out twice that; |sum of 1, 3 − sum of 2, 4|/2 = ${size(v.ovalMm)} oval`,
  }),
  'truing.move': (v) => ({
    title: 'Next move',
    formula: `each pair by its half difference, over what earlier rounds got of what was asked: ${n(v.gotPair1Share, 2)} of pair 1–3, ${n(v.gotPair2Share, 2)} of pair 2–4; ${n(v.mmPerTurn)} mm a turn of the key`,
  }),
  'truing.tilt': (v) => ({
    title: 'Tilt',
    formula: `far − near: ${size(v.towards1Mm)} towards 1, ${size(v.towards2Mm)} towards 2 over ${n(v.apartMm)} mm = ${n(v.perMetreMm, 2)} mm a metre`,
  }),
  'truing.collars': (v) => ({
    title: 'Tailstock from two diameters',
    formula: `(${size(v.tailMm)} − ${size(v.headMm)})/2 × ${n(v.wholeMm)}/${n(v.apartMm)} = ${size(v.offsetMm)} mm towards the tool`,
  }),
  'truing.testBar': (v) => ({
    title: 'Tailstock from a test bar',
    formula: `(${size(v.tailMm)} − ${size(v.headMm)}) × ${n(v.wholeMm)}/${n(v.apartMm)} = ${size(v.offsetMm)} mm on the tool’s side`,
  }),
  'truing.bedTwist': (v) => ({
    title: 'Twisted bed',
    formula: `(${size(v.tailMm)} − ${size(v.headMm)})/2 = ${size(v.awayMm)} over ${n(v.apartMm)} mm; at the feet ${size(v.atFeetMm)}; × ${n(v.feetApartMm)}/${n(v.axisHighMm)} = ${size(v.liftMm)} mm to lift`,
  }),
  'tool.bar': (v) => ({
    title: 'Spring of the bar',
    formula: `100 N · ${n(v.overhangMm)}³/(3 · ${n(v.modulusGPa)} GPa · I) = ${size(v.per100NMm)} mm; ${n(v.overhangDiameters, 1)} diameters stand out, it bears ${n(v.bearsDiameters, 1)}`,
  }),
  'hold.centreDepth': (v) => ({
    title: 'Depth of the centre hole',
    formula: `pilot ${size(v.pilotLengthMm)} + (${size(v.mouthMm)} − ${size(v.pilotMm)})/2 ÷ tan 30° = ${size(v.coneMm, 2)} → ${size(v.totalMm, 2)} mm`,
  }),
  'hold.centreLoad': (v) => ({
    title: 'Centre hole',
    formula: `√((${n(v.massKg)} kg × 9.81/2)² + ${n(v.forceN)}²) = ${n(v.loadN)} N; Ø${size(v.stockMm)}, end Ø${size(v.endMm)} → ${size(v.pilotMm)} with a mouth of ${size(v.mouthMm)}, which bears ${n(v.bearsN)} N`,
  }),
  'mechanics.warming': (v) => ({
    title: 'Warming of the work',
    formula: `0.1 × ${n(v.powerKw, 2)} kW × 60/(${n(v.massKg)} kg × ${n(v.heat)} J/kgK) = ${n(v.risesKPerMin, 2)} K/min; α × ${n(v.lengthMm)} mm × that = ${size(v.growsMmPerMin)} mm/min; ${size(v.easeMm)} mm after ${n(v.easeAfterMin, 1)} min`,
  }),
  'stock.cleanUp': (v) => ({
    title: 'Bar that cleans up',
    formula: `Ø${size(v.wantedMm)} + ${size(v.runoutMm)} runout + 2 × ${size(v.bowMm)} bow over ${n(v.outMm)} mm + 2 × ${size(v.skinMm)} skin = Ø${size(v.needMm, 2)}; the bar has Ø${size(v.acrossMm, 2)}, ${size(v.spareMm, 2)} to spare`,
  }),
  'stock.mass': (v) => ({
    title: 'Mass',
    formula: `${n(v.areaMm2)} mm² × ${n(v.lengthMm)} mm × ${n(v.densityKgPerM3)} kg/m³ = ${n(v.massKg)} kg`,
  }),
  'hold.facingToCentre': (v) => ({
    title: 'Facing up to a centre',
    formula: `mouth Ø${n(v.mouthMm)} + 2 × ${n(v.airMm)} mm of air = Ø${n(v.toMm)} of Ø${n(v.endMm)}; ring ${n(v.ringMm)} mm`,
  }),
  'hold.arbor': (v) => ({
    title: 'Held without jaws',
    formula: `Ø${n(v.onMm)} × ${n(v.lengthMm)} mm: holds as jaws of ${n(v.forceN)} N would`,
  }),
  'hold.overhang': (v) => ({
    title: 'Overhang',
    formula: `${n(v.overhangMm)} ÷ Ø${n(v.diameterMm)} = ${n(v.overhangDiameters, 1)} diameters; up to ${n(v.freeDiameters)} stand freely`,
  }),
  'limit.iso286': (v) => ({
    title: `${v.zone} at ${size(v.nominalMm)}`,
    formula: `deviations ${n(v.upperUm)} / ${n(v.lowerUm)} µm, ${n(v.toleranceUm)} µm apart`,
  }),
  'limit.decimals': (v) => ({
    title: 'Tolerance by decimals',
    formula: `written ${v.text}: the shop’s table gives ± ${v.given} ${v.unit} = ± ${n(v.halfMm)} mm`,
  }),
  'worn.centres': (v) => ({
    title: 'Centre to centre',
    formula:
      v.of === 'centres'
        ? `as measured, ${size(v.distanceMm)} mm`
        : `${size(v.spanMm)} ${v.of === 'outsides' ? '−' : '+'} ${size(v.meanMm)} = ${size(v.distanceMm)} mm`,
  }),
  'worn.circle': (v) => ({
    title: 'Circle of the holes',
    formula:
      v.way === 'opposite'
        ? `opposite holes: the distance itself, ${size(v.circleMm)} mm`
        : `${size(v.distanceMm)} ÷ sin(180° ÷ ${v.count}) = ${size(v.circleMm)} mm`,
  }),
  'limit.mate': (v) => ({
    title: 'From the measured mate',
    formula:
      v.of === 'outside'
        ? `${size(v.measuredMm)} − clearance ${size(v.leastMm)} to ${size(v.mostMm)} = ${size(v.upperMm)} / ${size(v.lowerMm)} mm`
        : `${size(v.measuredMm)} + clearance ${size(v.mostMm)} to ${size(v.leastMm)} = ${size(v.upperMm)} / ${size(v.lowerMm)} mm`,
  }),
  'limit.general': (v) => ({
    title: 'General tolerance',
    formula: `class ${v.generalClass} at ${size(v.nominalMm)} mm: ± ${n(v.halfMm)} mm`,
  }),
  'lathe.dialMove': (v) => ({
    title: 'On the dial',
    formula: `${size(v.travelInMm)} mm ÷ ${size(v.lineTravelMm)} mm a line, from ${v.fromNumber}: ${v.fullTurns} full turns and ${v.rest}, to ${v.toNumber}`,
  }),
  'run.spring': (v) => ({
    title: 'Spring',
    formula: `${n(Number(v.bestShare) * 100, 1)} % of the depth, between ${n(Number(v.lowShare) * 100, 1)} and ${n(Number(v.highShare) * 100, 1)} %; ${Number(v.count) > 0 ? `shown by ${v.count} cuts` : 'no cut has shown it yet'}; held between nothing and 1.5 times the ${n(Number(v.reckonedShare) * 100, 1)} % that are reckoned from force, work and lathe`,
  }),
  'run.otherPlan': () => ({
    title: 'Planned by an earlier version',
    formula: 'this one would plan it otherwise; how the number came about then was not kept',
  }),
  'run.next': (v) => ({
    title: { measured: 'From the measured size', trial: 'From the trial cut' }[String(v.by)] ?? 'From the touch-off',
    formula: `from Ø${size(v.beforeMm)} to Ø${size(v.aimMm)}: ${size(v.depthMm)} mm deep on the radius; the last number stood for Ø${size(v.nowMm)} after ${size(v.lastDepthMm)} mm; difference of spring ${size(v.springMm)} mm: ${size(v.travelMm)} mm further in`,
  }),
  'run.guard': (v) => ({
    title: 'Never beyond',
    formula: `${size(v.guardMm)} mm kept from ${size(v.goneMm)}; this mark comes to ${size(v.comesToMm)}, at its worst ${size(v.deepestMm)}; marks are ${size(v.stepMm)} mm of diameter apart`,
  }),
  'gauge.felt': (v) => ({
    title: 'By gauges without a number',
    formula: `${v.count} tries: between ${size(v.smallestMm)} and ${size(v.largestMm)} mm; ${size(v.guardMm)} mm guards the limit`,
  }),
  'gauge.doubt': (v) => ({
    title: 'Against what the dial says',
    formula: `read ${size(v.readMm)}, expected ${size(v.expectedMm)} ± ${size(v.boundMm)} mm: ${size(v.offMm)} mm off`,
  }),
  'route.spring': (v) => ({
    title: 'Spring reckoned',
    formula: `${n(v.radialPerMmN)} N for a millimetre of depth × (work ${n(Number(v.workMmPerN) * 1000, 3)} + lathe ${n(Number(v.latheMmPerN) * 1000, 3)} µm/N, ${v.latheBy === 'calibrated' ? 'as calibrated' : 'assumed until it is calibrated'}) = ${n(Number(v.springShare) * 100, 1)} % of the depth`,
  }),
  'route.fineness': (v) => ({
    title:
      {
        lines: 'Whole lines of the ring',
        halfLines: 'Half lines',
        halfLinesWithCare: 'Half lines, set with care',
        compound: 'By the swung compound',
      }[String(v.means)] ?? String(v.means),
    formula: `marks ${size(v.stepMm)} mm of diameter apart, limits ${size(v.toleranceMm)} less the guard ${size(v.guardMm)} mm: ${v.does === 'yes' ? 'one always falls inside' : 'too coarse'}`,
  }),
  'route.lastCuts': (v) => ({
    title: 'Last cuts',
    formula: `limits ${size(v.toleranceMm)} mm against ${size(v.worstMm)} mm that one cut may be out: ${v.cuts === 1 ? 'one cut' : 'two equal cuts'}, ${v.measurements} measurements`,
  }),
  'route.usualMinutes': (v) => ({
    title: 'Time',
    formula: `${n(v.minutes, 1)} min is usual for this by hand; no formula behind it`,
  }),
  'route.handFeed': (v) => ({
    title: 'Feed',
    formula: `${n(v.feedMmPerRev)} mm a turn is usual by hand for this; × ${n(v.rpm)} ÷ 60 = ${n((Number(v.feedMmPerRev) * Number(v.rpm)) / 60, 2)} mm a second`,
  }),
  'route.faceMinutes': (v) => ({
    title: 'Time',
    formula: `${n(v.handlingMin, 1)} to touch and wind in + ${n(v.radiusMm)} mm ÷ (${n(v.feedMmPerRev)} × ${n(v.rpm)}) = ${n(v.minutes, 1)} min`,
  }),
  'route.grip': (v) => ({
    title: 'In the chuck',
    formula: `${size(v.gripMm, 2)} mm gripped + ${size(v.overhangMm, 2)} mm standing out = blank of ${size(v.lengthMm, 2)} mm`,
  }),
  'route.shoulder': (v) => ({
    title: 'Shoulder',
    formula: `from the middle of the inner limits, Ø${size(v.fromDiameterMm, 3)}, out to Ø${size(v.toDiameterMm, 3)}, ${size(v.fromEndMm, 3)} mm from the faced end by the drawing’s lengths`,
  }),
  'part.chamfer': (v) => ({
    title: 'Chamfer',
    formula: `${n(v.lengthMm)} × tan ${n(v.angleDeg)}° = ${n(v.depthMm)} mm on the radius`,
  }),
  'calibration.feed': (v) => ({
    title: `Feed of ${v.setting}`,
    formula: `${size(v.distanceMm)} mm ÷ (${n(v.rpm)} rpm × ${n(v.seconds)} s ÷ 60 = ${n(v.turns, 1)} turns) = ${n(v.feedMmPerRev, 4)} mm a turn`,
  }),
  'calibration.dial': (v) => ({
    title: 'True travel over the ring’s',
    formula: `slope of ${v.count} readings, Σ(ring × indicator) ÷ Σ(ring²) = ${size(v.scale, 5)}`,
  }),
  'calibration.slack': (v) => ({
    title: 'Slack',
    formula: `${n(v.meanLines, 2)} lines apart on average of ${v.count} × ${n(v.lineMm, 4)} mm = ${n(v.slackMm, 4)} mm`,
  }),
  'calibration.speed': (v) => ({
    title: 'Spindle',
    formula: `mean of ${v.count}: ${n(v.rpm, 1)} rpm; written down as ${n(v.marked)}`,
  }),
  'calibration.twoDepths': (v) => ({
    title: 'Spring',
    formula: `(moved ${n(v.movedInMm, 4)} − came off ${n(v.depth2Mm, 4)}) ÷ (${n(v.depth2Mm, 4)} − ${n(v.depth1Mm, 4)}) = ${n(v.sharePercent, 1)} % of the depth`,
  }),
  'calibration.spring': (v) => ({
    title: 'Spring',
    formula: `${n(v.springMm, 4)} mm too large after ${n(v.depthMm)} mm on the radius: ${n(v.sharePercent, 1)} % of the depth`,
  }),
  'lathe.measuredFeed': (v) => ({
    title: 'Feed',
    formula: `as it was measured on this lathe: ${n(v.feedMmPerRev, 4)} mm a turn`,
  }),
  'lathe.torqueCurve': (v) => ({
    title: 'Torque at the spindle',
    formula: `from the range’s own curve of ${v.points} points, at ${n(v.rpm)} rpm: ${n(v.torqueNm, 1)} N·m`,
  }),
  'lathe.markedFeed': (v) => ({
    title: 'Feed',
    formula: `as marked on the lathe: ${v.text} ${v.unit} a turn = ${n(v.feedMmPerRev, 4)} mm`,
  }),
  'lathe.gearFeed': (v) => ({
    title: 'Feed through the gears',
    formula: `leadscrew ${n(v.leadMm, 4)} mm × ${v.train} (= ${v.ratio}) = ${n(v.feedMmPerRev, 4)} mm a turn`,
  }),
  'lathe.torque': (v) => ({
    title: 'Torque at the spindle',
    formula: `9549.3 × ${n(v.motorKw)} kW × ${n(v.efficiency, 2)} ÷ ${n(v.atRpm)} rpm${v.atRpm === v.rpm ? '' : ', the same at every speed below that'} = ${n(v.torqueNm, 1)} N·m`,
  }),
  'lathe.power': (v) => ({
    title: 'Power at the spindle',
    formula: `${n(v.torqueNm, 1)} N·m × ${n(v.rpm)} rpm ÷ 9549.3 = ${n(v.powerKw, 2)} kW`,
  }),
  'route.total': (v) => ({
    title: 'Time for a piece',
    formula: `${n(v.count)} operations ${n(v.operationsMin, 1)} min + ${n(v.changes)} changes of setting ${n(v.changesMin, 1)} min = ${n(v.minutes, 1)} min`,
  }),
  'hold.centre': (v) => ({
    title: 'Centre hole',
    formula: `wanted for Ø${n(v.stockMm)} with an end of Ø${n(v.endDiameterMm)} (mouth at most 0.6 of it) and its load: ${n(v.wantedMm, 2)} mm; owned: ${n(v.pilotMm, 2)} mm, mouth Ø${n(v.mouthMm, 2)} mm`,
  }),
  'route.passes': (v) => ({
    title: 'Passes',
    formula: `(${size(v.fromMm, 3)} − ${size(v.toMm, 3)}) ÷ 2 = ${n(v.radialMm, 2)} mm to take; at most ${n(v.depthCapMm, 2)} mm a pass: ${n(v.count)}, decided by ${limiterText[v.by as Limiter] ?? v.by}`,
  }),
  'route.feed': (v) => ({
    title: 'Feed',
    formula: `at most ${n(v.feedCapMm)} mm/rev (${{ usual: 'a usual feed', nose: '0.6 of the nose radius', finish: 'the finish wanted', own: 'your own choice' }[v.why as 'usual'] ?? ''}); the lathe gives ${n(v.feedMmPerRev)}${v.setting ? `, ${v.setting}` : ' by hand'}`,
  }),
  'route.minutes': (v) => ({
    title: 'Time',
    formula: `${n(v.count)} × (${n(v.lengthMm)} mm ÷ (${n(v.feedMmPerRev)} × ${n(v.rpm)}) + ${n(v.handlingMin, 1)} to wind back and set) = ${n(v.minutes, 1)} min`,
  }),
  'gauge.combine': (v) => ({
    title: 'Readings together',
    formula:
      v.agree === 'no'
        ? `${n(v.count)} that do not agree, spread ${size(v.spreadMm)} mm: ${size(v.guardMm)} mm guards the limit, ± ${size(v.uncertaintyMm)} mm`
        : `mean of ${n(v.count)}, weighed by their gauges: ${size(v.meanMm)} mm, spread ${size(v.spreadMm)} mm, ± ${size(v.uncertaintyMm)} mm`,
  }),
  'gauge.decide': (v) => ({
    title: 'Verdict',
    formula: `${size(v.sizeMm)} ± ${size(v.uncertaintyMm)} against ${size(v.lowerMm)} … ${size(v.upperMm)} mm`,
  }),
};

/** Codes of workings that have words; a test holds core against it. */
export const wordedWorkings: readonly string[] = Object.keys(steps);

/** Words for a working's step. */
export function wordStep(step: WorkingStep): WordedStep {
  const worded = steps[step.code]?.(step.values) ?? { title: step.code, formula: JSON.stringify(step.values) };
  return { ...worded, source: step.source };
}
