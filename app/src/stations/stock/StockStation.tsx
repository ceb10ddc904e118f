import { blankFor } from '@whelk/core/hold';
import { materialIn, stationOf } from '@whelk/core/job';
import { usualChuck } from '@whelk/core/lathe';
import { readTyped, shortLength } from '@whelk/core/quantity';
import { materialCautionText } from '../../messages/cautions.ts';
import { blankLineText } from '../../messages/words.ts';
import { aimed } from '../../ui/format.ts';
import { fromJson } from '../../ui/from-json.tsx';
import { MmField } from '../../ui/number-field/MmField.tsx';
import { Working } from '../../ui/working/Working.tsx';
import { JobFrame, type StationProps } from '../frame/JobFrame.tsx';
import { Problems } from '../frame/Problems.tsx';
import { useJob } from '../frame/useJob.ts';
import { usePlanned } from '../frame/usePlanned.ts';

const choiceFields = [
  ['faceTailMm', 'To face at the tail end, mm'],
  ['faceHeadMm', 'To face at the other end, mm'],
  ['kerfMm', 'Saw cut, mm'],
  ['clearanceMm', 'Clear of the jaws, mm'],
] as const;

/** Stock: which bar, and how long a blank to cut from it. */
function StockStation({ id, stored, shop, runs }: StationProps) {
  const editor = useJob(id, stored);
  const { job } = editor;
  const { planned, progress } = usePlanned(job, shop, runs);
  const { part, plan } = planned;
  const { unit } = job.drawing;
  const largest = Math.max(0, ...part.features.map((f) => f.limits.upperMm));
  const lathe = shop.lathes.find((l) => l.id === job.hold.latheId);
  const blank =
    plan?.blank ??
    (planned.stockMm && part.features.length > 0
      ? blankFor(part, planned.stockMm, job.hold.choice, lathe ? usualChuck(lathe).jawLengthMm : 40)
      : undefined);
  const bars = shop.bars
    .map((bar) => {
      const d = readTyped(bar.diameter);
      const l = readTyped(bar.length);
      return {
        bar,
        mm: d.ok ? d.mm.valueOf() : 0,
        long: l.ok ? l.mm.valueOf() : 0,
        material: materialIn(shop, bar.materialId),
      };
    })
    .sort((a, b) => a.mm - b.mm);
  return (
    <JobFrame id={id} editor={editor} planned={planned} progress={progress} station="stock" showHolding>
      <div className="page grid gap-8 lg:grid-cols-[3fr_2fr]">
        <section aria-labelledby="bars">
          <h2 id="bars">Bar from the rack</h2>
          <p className="muted mb-2 text-sm">
            The part’s largest diameter is {aimed(largest, unit)} {unit}; {job.quantity} off.
          </p>
          {bars.length === 0 && (
            <p>
              The rack is empty.{' '}
              <a className="link" href="/stock">
                Add a bar
              </a>
              .
            </p>
          )}
          <div className="overflow-x-auto">
            <table className="table">
              <thead>
                <tr>
                  <th scope="col">Choose</th>
                  <th scope="col">Material</th>
                  <th scope="col" className="text-right">
                    Ø
                  </th>
                  <th scope="col" className="text-right">
                    Length
                  </th>
                  <th scope="col">For this part</th>
                </tr>
              </thead>
              <tbody>
                {bars.map(({ bar, mm, long, material }) => {
                  const fits = mm >= largest - 1e-6;
                  const enough = !blank || long >= blank.lengthMm + job.hold.choice.kerfMm;
                  const chosen = bar.id === job.stock.barId;
                  const name = `${material?.name ?? bar.materialId}, Ø${bar.diameter.text} ${bar.diameter.unit}`;
                  return (
                    <tr key={bar.id} className={chosen ? 'bg-[var(--brass-soft)]' : ''}>
                      <td>
                        <input
                          type="radio"
                          className="h-5 w-5"
                          name="bar"
                          aria-label={name}
                          checked={chosen}
                          onChange={() => editor.change((j) => ({ ...j, stock: { barId: bar.id } }))}
                        />
                      </td>
                      <td>
                        {material?.name ?? bar.materialId} <span className="muted text-sm">{bar.note}</span>
                      </td>
                      <td className="text-right">
                        {bar.diameter.text} {bar.diameter.unit}
                      </td>
                      <td className="text-right">
                        {bar.length.text} {bar.length.unit}
                      </td>
                      <td>
                        {!fits
                          ? '✕ too thin'
                          : !enough
                            ? '✕ too short'
                            : mm > largest * 1.4
                              ? '✓ much to take off'
                              : '✓'}
                      </td>
                    </tr>
                  );
                })}
              </tbody>
            </table>
          </div>
          <p className="mt-3 text-sm">
            <a className="link" href="/stock">
              Stock rack
            </a>
            : add bars, note what is left.
          </p>
        </section>
        <section aria-labelledby="blank">
          <h2 id="blank">Blank</h2>
          <Problems problems={planned.problems.filter((p) => stationOf(p) === 'stock')} />
          {blank ? (
            <>
              <p className="figure mt-1">
                Ø{aimed(blank.diameterMm, unit)} × {aimed(blank.lengthMm, unit)}
                <span className="unit">{unit}</span>
                <Working
                  of="blank length"
                  tell={(record) =>
                    planned.stockMm &&
                    blankFor(part, planned.stockMm, job.hold.choice, lathe ? usualChuck(lathe).jawLengthMm : 40, record)
                  }
                />
              </p>
              <table className="table table-sm mt-2">
                <caption className="visually-hidden">The blank’s length as a sum</caption>
                <tbody>
                  {blank.lines.map((line) => (
                    <tr key={line.part}>
                      <th scope="row" className="font-normal">
                        {blankLineText[line.part]}
                      </th>
                      <td className="text-right">{shortLength(line.mm, 'mm', 3)} mm</td>
                      {unit === 'in' && (
                        <td className="muted text-right">
                          {line.part === 'finished' ? `${aimed(line.mm, unit)} in` : ''}
                        </td>
                      )}
                    </tr>
                  ))}
                  <tr className="font-bold">
                    <th scope="row">Blank</th>
                    <td className="text-right">{shortLength(blank.lengthMm, 'mm', 3)} mm</td>
                    {unit === 'in' && <td className="text-right">{aimed(blank.lengthMm, unit)} in</td>}
                  </tr>
                  {job.quantity > 1 && (
                    <tr>
                      <th scope="row" className="font-normal">
                        {job.quantity} blanks with their saw cuts
                      </th>
                      <td className="text-right">
                        {shortLength(job.quantity * (blank.lengthMm + job.hold.choice.kerfMm), 'mm', 3)} mm
                      </td>
                      {unit === 'in' && (
                        <td className="text-right">
                          {aimed(job.quantity * (blank.lengthMm + job.hold.choice.kerfMm), unit)} in
                        </td>
                      )}
                    </tr>
                  )}
                </tbody>
              </table>
              {planned.material && planned.material.cautions.length > 0 && (
                <p className="field-warning mt-2 text-[0.95rem]">
                  {planned.material.cautions.map(materialCautionText).join(' ')}
                </p>
              )}
            </>
          ) : (
            <p className="muted">
              {part.features.length === 0 ? 'Draw the part first.' : 'Choose a bar: the blank’s length follows.'}
            </p>
          )}
          <div className="mt-4 grid grid-cols-2 gap-3">
            {choiceFields.map(([key, label]) => (
              <MmField
                key={key}
                label={label}
                value={job.hold.choice[key]}
                onChange={(mm) =>
                  editor.change((j) => ({ ...j, hold: { ...j.hold, choice: { ...j.hold.choice, [key]: mm } } }), key)
                }
              />
            ))}
          </div>
        </section>
      </div>
    </JobFrame>
  );
}

export default fromJson(StockStation);
