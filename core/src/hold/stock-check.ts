import { toleranceMm } from '../limit/index.ts';
import type { Part } from '../part/index.ts';
import { barSection, insides, isStraight, type Outside, outsides, spigotAt } from '../part/index.ts';
import { PLACE_MM, type Problem, ROUNDING } from '../quantity/index.ts';
import { AS_DELIVERED, type BarSizes, type CleanUp, cleanUpOf, delivered } from '../stock/index.ts';
import type { Recorder } from '../working/index.ts';

/** Largest diameter that is turned, mm: features that the bar already has between their limits may stay as it is. */
export function largestTurnedMm(part: Part, acrossMm: number): number {
  return Math.max(
    0,
    ...outsides(part)
      .filter(
        (f) => !barSection(f) && (f.limits.lowerMm > acrossMm + ROUNDING || f.limits.upperMm < acrossMm - ROUNDING),
      )
      .map((f) => Math.max(f.diameterMm, f.rightMm)),
  );
}

/** Largest hole of a tube that still cleans up to the part's own: 0 where the part is not hollow all the way, mm. */
export function throughHoleMm(part: Part): number {
  const steps = insides(part);
  const longMm = steps.reduce((far, b) => far + b.zToMm - b.zFromMm, 0);
  if (steps.length === 0 || longMm < part.lengthMm - PLACE_MM) return 0;
  return Math.min(...steps.map((b) => Math.min(b.leftMm, b.rightMm)));
}

/** Features that the bar is too thin for, at their smallest permitted size. Paths point into the job. */
export function checkDiameters(part: Part, acrossMm: number): Problem[] {
  return outsides(part)
    .filter((f) => !barSection(f) && f.limits.lowerMm > acrossMm)
    .map((f) => ({
      ...{ code: 'stock.diameterAboveBar', path: ['drawing', 'features', f.index, 'diameter'] },
      ...{ value: f.diameterMm, limit: acrossMm, unit: 'mm' },
    }));
}

const SHAPE_OF = { 6: 'hexagon', 4: 'square' } as const;
/** Whether a length keeps the section that a bar has. */
function fitsSection(f: Outside, bar: BarSizes): boolean {
  const section = barSection(f);
  return (
    section !== undefined &&
    SHAPE_OF[section.flats] === bar.shape &&
    Math.abs(section.acrossMm - bar.acrossMm) <= PLACE_MM
  );
}

/** Lengths that keep a section which the bar has not: too large for it, or left round for the mill. Paths point into the job. */
function checkSections(part: Part, bar: BarSizes): Problem[] {
  return outsides(part).flatMap((f): Problem[] => {
    const section = barSection(f);
    if (!section || fitsSection(f, bar)) return [];
    const path = ['drawing', 'features', f.index, 'diameter'];
    if (f.diameterMm > bar.acrossMm + ROUNDING)
      return [
        {
          code: 'stock.diameterAboveBar',
          path,
          value: Number(f.diameterMm.toFixed(2)),
          limit: bar.acrossMm,
          unit: 'mm',
        },
      ];
    return [{ code: 'stock.otherSection', path, value: section.acrossMm, unit: 'mm', severity: 'warning' }];
  });
}

/** Lengths that stay as the bar is: its own limits and finish against what is drawn. Paths point into the job. @source FIELD 2 */
function checkAsBar(part: Part, bar: BarSizes): Problem[] {
  if (bar.shape === 'casting') return [];
  const surface = bar.surface ?? 'bright';
  const own = delivered(surface, bar.acrossMm);
  return outsides(part).flatMap((f): Problem[] => {
    const stays =
      (isStraight(f) || fitsSection(f, bar)) &&
      f.limits.lowerMm <= bar.acrossMm + ROUNDING &&
      bar.acrossMm <= f.limits.upperMm + ROUNDING;
    if (!stays || f.diameterMm < bar.acrossMm - ROUNDING) return [];
    const path = ['drawing', 'features', f.index];
    const wide = own && (own.lowerMm < f.limits.lowerMm - ROUNDING || own.upperMm > f.limits.upperMm + ROUNDING);
    const rough = AS_DELIVERED[surface].raUm > f.raUm + ROUNDING;
    return [
      ...(wide
        ? [
            {
              ...{
                code: 'stock.asBarLimits' as const,
                path: [...path, 'limits'],
                severity: 'warning' as const,
                unit: 'mm' as const,
              },
              ...{
                value: Number((own.upperMm - own.lowerMm).toFixed(3)),
                limit: Number(toleranceMm(f.limits).toFixed(3)),
              },
            },
          ]
        : []),
      ...(rough
        ? [
            {
              ...{ code: 'stock.asBarFinish' as const, path: [...path, 'finish'], severity: 'warning' as const },
              ...{ value: AS_DELIVERED[surface].raUm, limit: f.raUm },
            },
          ]
        : []),
    ];
  });
}

/** What a bar must do for a part: whether it cleans up outside and, for a tube, inside. Paths point into the job. */
export function checkBarFor(
  part: Part,
  bar: BarSizes,
  runoutMm: number,
  outMm: number,
  record?: Recorder,
): { readonly problems: readonly Problem[]; readonly cleanUp: CleanUp | undefined } {
  const problems: Problem[] = [];
  const turnedMm = largestTurnedMm(part, bar.acrossMm);
  const cleanUp = turnedMm > 0 ? cleanUpOf(turnedMm, bar, runoutMm, outMm, record) : undefined;
  problems.push(...checkDiameters(part, bar.acrossMm));
  if (cleanUp && !cleanUp.cleans && problems.length === 0)
    problems.push({
      ...{ code: 'stock.mayNotCleanUp', path: ['stock', 'barId'], value: bar.acrossMm },
      ...{ limit: Number(cleanUp.needMm.toFixed(2)), unit: 'mm', severity: 'warning' },
    });
  for (const end of ['left', 'right'] as const) {
    const spigot = spigotAt(part, end);
    if (spigot && bar.shape !== 'casting' && spigot.diameterMm > bar.acrossMm + ROUNDING)
      problems.push({
        ...{ code: 'stock.spigotAboveBar', path: ['drawing', 'ends', end, 'spigot', 'diameter'], unit: 'mm' },
        ...{ value: spigot.diameterMm, limit: bar.acrossMm },
      });
  }
  problems.push(...checkSections(part, bar), ...checkAsBar(part, bar));
  // a hole in the bar must lie in what is bored away, eccentric as it is
  const holeMm = bar.boreMm > 0 ? bar.boreMm + runoutMm + 2 * bar.skinMm : 0;
  const mostMm = throughHoleMm(part);
  if (holeMm > mostMm && outsides(part).length > 0)
    problems.push({
      ...{ code: mostMm === 0 ? 'stock.tubeForSolid' : 'stock.boreAbovePart', path: ['stock', 'barId'] },
      ...{ value: Number(holeMm.toFixed(2)), limit: mostMm, unit: 'mm' },
    });
  return { problems, cleanUp };
}
