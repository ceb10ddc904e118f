import { fitness, measures } from '../gauge/index.ts';
import type { Held, Setup } from '../hold/index.ts';
import { toleranceMm } from '../limit/index.ts';
import type { Means } from '../means/index.ts';
import { outsides } from '../part/index.ts';
import type { Problem } from '../quantity/index.ts';
import { edgeFor, toolsOf } from '../tool/index.ts';
import type { Workpiece } from '../work/index.ts';
import { chamferOf } from './edges.ts';
import { wantsCentreHole } from './operation/centre.ts';

/** Tools and gauges that the part needs and the shop lacks; limits finer than gauge or dial. */
export function checkMeans(piece: Workpiece, setup: Setup, means: Means, held: Held): Problem[] {
  const { part } = piece;
  const problems: Problem[] = [];
  // what turns while the work stands has been looked for by then
  const stands = setup.grip.kind === 'slide';
  if (!stands && !edgeFor(means.tools, 'rougher'))
    problems.push({ code: 'route.noTool', path: ['tools'], value: 'rougher' });
  if (!stands && !edgeFor(means.tools, 'finisher'))
    problems.push({ code: 'route.noTool', path: ['tools'], value: 'finisher' });
  const wanted = [
    ['chamfer', !stands && outsides(part).some((f) => chamferOf(part, f))],
    ['centre drill', wantsCentreHole({ piece, setup, held })],
  ] as const;
  for (const [kind, needed] of wanted)
    if (needed && toolsOf(means.tools, kind).length === 0)
      problems.push({ code: 'route.noTool', path: ['tools'], value: kind, severity: 'warning' });
  if (held.wantsRest)
    problems.push({
      code: 'hold.wantsRest',
      path: ['setup', 'support'],
      value: Number(held.overhangDiameters.toFixed(1)),
      limit: 12,
      severity: 'warning',
    });
  for (const feature of outsides(part)) {
    const tolerance = toleranceMm(feature.limits);
    const path = ['drawing', 'features', feature.index, 'limits'];
    const fit = means.instruments.filter(
      (i) =>
        measures(i, 'outside') &&
        i.fromMm <= feature.diameterMm &&
        feature.diameterMm <= i.toMm &&
        fitness(tolerance, i.uncertaintyMm) !== 'tooCoarse',
    );
    if (fit.length === 0)
      problems.push({
        code: 'gauge.noneFineEnough',
        path,
        value: Number(tolerance.toFixed(4)),
        unit: 'mm',
        severity: 'warning',
      });
  }
  return problems;
}
