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
  'mechanics.grip': (v) => ({
    title: 'Grip',
    formula: `√((${n(v.cuttingForceN)} × ${n(v.cutDiameterMm)}/${n(v.gripDiameterMm)})² + ${n(v.feedForceN)}²) = ${n(v.atJawsN)} N; the jaws hold ${n(v.friction, 2)} × ${n(v.jawForceN)} × ${n(v.share, 1)} = ${n(v.holdsN)} N`,
  }),
  'hold.blank': (v) => ({
    title: 'Blank length',
    formula: `${Object.entries(v)
      .filter(([k]) => k !== 'lengthMm')
      .map(([, x]) => n(x))
      .join(' + ')} = ${n(v.lengthMm)} mm`,
  }),
  'hold.overhang': (v) => ({
    title: 'Overhang',
    formula: `${n(v.overhangMm)} ÷ Ø${n(v.diameterMm)} = ${n(v.overhangDiameters, 1)} diameters; up to ${n(v.freeDiameters)} stand freely`,
  }),
  'limit.iso286': (v) => ({
    title: `${v.zone} at ${n(v.nominalMm)}`,
    formula: `deviations ${n(v.upperUm)} / ${n(v.lowerUm)} µm, ${n(v.toleranceUm)} µm apart`,
  }),
  'limit.general': (v) => ({
    title: 'General tolerance',
    formula: `class ${v.generalClass} at ${n(v.nominalMm)} mm: ± ${n(v.halfMm)} mm`,
  }),
  'lathe.dialMove': (v) => ({
    title: 'On the dial',
    formula: `${n(v.travelInMm, 4)} mm ÷ ${n(v.lineTravelMm, 4)} mm a line, from ${v.fromNumber}: ${v.fullTurns} full turns and ${v.rest}, to ${v.toNumber}`,
  }),
  'run.depth': (v) => ({
    title: v.by === 'measured' ? 'From the measured size' : 'From the touch-off',
    formula: `(${n(v.nowMm, 4)} − ${n(v.targetMm, 4)}) ÷ 2 = ${n(v.depthMm, 4)} mm on the radius${Number(v.springMm) ? `; spring ${n(v.springMm, 4)} mm on the diameter allowed for: ${n(v.travelInMm, 4)} mm` : ''}`,
  }),
  'route.total': (v) => ({
    title: 'Time for a piece',
    formula: `${n(v.count)} operations ${n(v.operationsMin, 1)} min + ${n(v.changes)} changes of setting ${n(v.changesMin, 1)} min = ${n(v.minutes, 1)} min`,
  }),
  'hold.centre': (v) => ({
    title: 'Centre hole',
    formula: `usual for Ø${n(v.stockMm)} with an end of Ø${n(v.endDiameterMm)} (mouth at most 0.6 of it): ${n(v.wantedMm, 2)} mm; owned: ${n(v.pilotMm, 2)} mm, mouth Ø${n(v.mouthMm, 2)} mm`,
  }),
  'route.passes': (v) => ({
    title: 'Passes',
    formula: `(${n(v.fromMm, 2)} − ${n(v.toMm, 2)}) ÷ 2 = ${n(v.radialMm, 2)} mm to take; at most ${n(v.depthCapMm, 2)} mm a pass: ${n(v.count)}, decided by ${limiterText[v.by as Limiter] ?? v.by}`,
  }),
  'route.feed': (v) => ({
    title: 'Feed',
    formula: `at most ${n(v.feedCapMm)} mm/rev (${{ usual: 'a usual feed', nose: '0.6 of the nose radius', finish: 'the finish wanted' }[v.why as 'usual'] ?? ''}); the lathe gives ${n(v.feedMmPerRev)}${v.setting ? `, ${v.setting}` : ' by hand'}`,
  }),
  'route.minutes': (v) => ({
    title: 'Time',
    formula: `${n(v.count)} × (${n(v.lengthMm)} mm ÷ (${n(v.feedMmPerRev)} × ${n(v.rpm)}) + ${n(v.handlingMin, 1)} to wind back and set) = ${n(v.minutes, 1)} min`,
  }),
  'gauge.combine': (v) => ({
    title: 'Readings together',
    formula: `mean of ${n(v.count)}: ${n(v.meanMm, 4)} mm, spread ${n(v.spreadMm, 4)} mm, ± ${n(v.uncertaintyMm, 4)} mm`,
  }),
  'gauge.decide': (v) => ({
    title: 'Verdict',
    formula: `${n(v.sizeMm, 4)} ± ${n(v.uncertaintyMm, 4)} against ${n(v.lowerMm, 4)} … ${n(v.upperMm, 4)} mm`,
  }),
};

/** Codes of workings that have words; a test holds core against it. */
export const wordedWorkings: readonly string[] = Object.keys(steps);

/** Words for a working's step. */
export function wordStep(step: WorkingStep): WordedStep {
  const worded = steps[step.code]?.(step.values) ?? { title: step.code, formula: JSON.stringify(step.values) };
  return { ...worded, source: step.source };
}
