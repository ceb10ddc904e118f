import { largestTurnedMm, throughHoleMm } from '@whelk/core/hold';
import { materialsOf, type PlannedJob, type Shop } from '@whelk/core/job';
import { inchFraction, type LengthUnit, shortLength } from '@whelk/core/quantity';
import { type Bar, barMassKg, cleanUpOf, nearestBar, type StandardBar } from '@whelk/core/stock';
import { useState } from 'react';

/** Bright bars are this far out of straight, mm per metre. */
const BRIGHT_BOW = 1;

/** What to buy: the nearest usual bars that clean up to this part, in both systems, and what must come off each. */
export function UsualBars({
  planned,
  shop,
  title,
  runoutMm,
  blankMm,
  wholeMm,
  unit,
  onTake,
}: {
  planned: PlannedJob;
  shop: Shop;
  /** of the job, for which it is taken */
  title: string;
  runoutMm: number;
  /** length of a blank from a bar of such a diameter, and of all that are still to be sawn, their cuts counted; none before the lathe is known */
  blankMm: (diameterMm: number) => number | undefined;
  wholeMm: (diameterMm: number) => number | undefined;
  unit: LengthUnit;
  onTake: (bar: Bar) => Promise<string | undefined>;
}) {
  const { part } = planned;
  const materials = materialsOf(shop);
  const [chosen, setChosen] = useState<string>();
  const [told, setTold] = useState<string>();
  const material = materials.find((m) => m.id === (chosen ?? planned.material?.id));
  const [shape, setShape] = useState<StandardBar['shape']>('round');
  const holeMm = throughHoleMm(part);
  const outMm = planned.setups[0]?.plan.held?.overhangMm ?? part.lengthMm;
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
        <select
          className="select select-sm h-9"
          aria-label="Material of a usual bar"
          value={material?.id ?? ''}
          onChange={(e) => setChosen(e.target.value)}
        >
          {!material && <option value="">of which material?</option>}
          {materials.map((m) => (
            <option key={m.id} value={m.id}>
              {m.name}
            </option>
          ))}
        </select>
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
            <th scope="col">
              <span className="visually-hidden">Take it</span>
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
                {bar && material && blankMm(bar.cornersMm)
                  ? mass(barMassKg(bar.areaMm2, blankMm(bar.cornersMm)!, material.densityKgPerM3), unit)
                  : ''}
              </td>
              <td className="text-right">
                {bar && (
                  <button
                    type="button"
                    className="btn btn-sm"
                    aria-label={`Take it: ${bar.text}`}
                    disabled={!material || wholeMm(bar.cornersMm) === undefined}
                    title={
                      wholeMm(bar.cornersMm) === undefined
                        ? 'Choose the lathe first: the blank’s length follows from it.'
                        : material
                          ? undefined
                          : 'Say of which material.'
                    }
                    onClick={async () => {
                      const taken = barFrom(bar, material!.id, wholeMm(bar.cornersMm)!, title);
                      const wrong = await onTake(taken);
                      setTold(
                        wrong ??
                          `On the rack and chosen: ${bar.text}, ${taken.length.text} ${taken.length.unit} long. Put its real length right on the stock rack when it is there.`,
                      );
                    }}
                  >
                    Take it
                  </button>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {told && (
        <p role="status" className="mt-1 text-sm">
          {told}
        </p>
      )}
    </section>
  );
}

/** A usual bar as a record of the rack, long enough for what is to be sawn of it, rounded up to what one orders. */
function barFrom(bar: StandardBar, materialId: string, wholeMm: number, title: string): Bar {
  const unit = bar.system;
  const size = (mm: number) => ({ text: unit === 'mm' ? String(mm) : inchFraction(mm, 64), unit });
  const long = unit === 'mm' ? Math.ceil(wholeMm / 10) * 10 : Math.ceil(wholeMm / 25.4);
  return {
    id: crypto.randomUUID(),
    materialId,
    diameter: size(bar.acrossMm),
    length: { text: String(long), unit },
    note: `for ${title}`.slice(0, 120),
    ...(bar.shape === 'round' ? {} : { shape: bar.shape }),
    ...(bar.boreMm > 0 ? { bore: size(bar.boreMm) } : {}),
  };
}

/** A mass as scales show it: kg, or pounds where the drawing is in inches. */
export function mass(kg: number, unit: LengthUnit): string {
  const [value, name] = unit === 'in' ? [kg / 0.453_592_37, 'lb'] : [kg, 'kg'];
  return `${value < 10 ? value.toFixed(2) : value.toFixed(1)} ${name}`;
}
