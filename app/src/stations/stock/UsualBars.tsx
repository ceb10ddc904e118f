import { largestTurnedMm, throughHoleMm } from '@whelk/core/hold';
import type { PlannedJob } from '@whelk/core/job';
import { type LengthUnit, shortLength } from '@whelk/core/quantity';
import { barMassKg, cleanUpOf, nearestBar, type StandardBar } from '@whelk/core/stock';
import { useState } from 'react';

/** Bright bars are this far out of straight, mm per metre. */
const BRIGHT_BOW = 1;

/** What to buy: the nearest usual bars that clean up to this part, in both systems, and what must come off each. */
export function UsualBars({
  planned,
  runoutMm,
  lengthMm,
  unit,
}: {
  planned: PlannedJob;
  runoutMm: number;
  lengthMm: number | undefined;
  unit: LengthUnit;
}) {
  const { part, material } = planned;
  const [shape, setShape] = useState<StandardBar['shape']>('round');
  const holeMm = throughHoleMm(part);
  const outMm = planned.plan?.holding.overhangMm ?? part.lengthMm;
  const wantedMm = Math.max(largestTurnedMm(part, 0), 0);
  if (wantedMm === 0) return null;
  const { needMm } = cleanUpOf(wantedMm, { acrossMm: 0, bowMmPerM: BRIGHT_BOW, skinMm: 0 }, runoutMm, outMm);
  const shapes = (['round', 'hexagon', 'square', ...(holeMm > 0 ? (['tube'] as const) : [])] as const).slice();
  const found = (['mm', 'in'] as const).map((system) => ({
    system,
    bar: nearestBar(shape, system, needMm, Math.max(0, holeMm - runoutMm)),
  }));
  return (
    <section aria-labelledby="usual" className="mt-6">
      <div className="flex flex-wrap items-center gap-3">
        <h2 id="usual">Nearest usual bar</h2>
        <label className="flex items-center gap-2 text-sm">
          <span className="visually-hidden">Section</span>
          <select
            className="select select-sm h-9"
            aria-label="Section of a usual bar"
            value={shape}
            onChange={(e) => setShape(e.target.value as StandardBar['shape'])}
          >
            {shapes.map((s) => (
              <option key={s} value={s}>
                {s === 'hexagon' ? 'hexagon, round from its flats' : s}
              </option>
            ))}
          </select>
        </label>
      </div>
      <p className="muted text-sm">
        Ø{shortLength(wantedMm, unit, 2)} wants Ø{shortLength(needMm, unit, 2)} {unit} of bright bar with this chuck; as
        merchants usually keep it, yours may differ.
      </p>
      <table className="table table-sm mt-1">
        <thead>
          <tr>
            <th scope="col">Bar</th>
            <th scope="col" className="text-right">
              Off the radius
            </th>
            <th scope="col" className="text-right">
              Mass of the blank
            </th>
          </tr>
        </thead>
        <tbody>
          {found.map(({ system, bar }) => (
            <tr key={system}>
              <th scope="row">{bar ? bar.text : `none of the ${system === 'mm' ? 'metric' : 'inch'} sizes`}</th>
              <td className="text-right">
                {bar ? `${shortLength((bar.cornersMm - wantedMm) / 2, unit, 2)} ${unit}` : ''}
              </td>
              <td className="text-right">
                {bar && material && lengthMm
                  ? mass(barMassKg(bar.areaMm2, lengthMm, material.densityKgPerM3), unit)
                  : ''}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

/** A mass as scales show it: kg, or pounds where the drawing is in inches. */
export function mass(kg: number, unit: LengthUnit): string {
  const [value, name] = unit === 'in' ? [kg / 0.453_592_37, 'lb'] : [kg, 'kg'];
  return `${value < 10 ? value.toFixed(2) : value.toFixed(1)} ${name}`;
}
