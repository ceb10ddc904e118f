import { planJob, spareGripMm, stationOf } from '@whelk/core/job';
import { chuckOf } from '@whelk/core/lathe';
import { outsides } from '@whelk/core/part';
import { shortLength } from '@whelk/core/quantity';
import { type Bar, barMassKg, blankFor, cleanUpOf, cutOffMm, sectionMm2 } from '@whelk/core/stock';
import type { Recorder } from '@whelk/core/working';
import { useMemo } from 'react';
import { materialCautionText } from '../../messages/cautions.ts';
import { blankLineText } from '../../messages/stock.ts';
import { aimed } from '../../ui/format.ts';
import { fromJson } from '../../ui/from-json.tsx';
import { HoldHabitFields } from '../../ui/HoldHabits.tsx';
import { Working } from '../../ui/working/Working.tsx';
import { JobFrame, type StationProps } from '../frame/JobFrame.tsx';
import { Problems } from '../frame/Problems.tsx';
import { useJob } from '../frame/useJob.ts';
import { usePlanned } from '../frame/usePlanned.ts';
import { AddBar } from './AddBar.tsx';
import { BarChoice } from './BarChoice.tsx';
import { habitsOf, withHabits } from './habits.ts';
import { RealBlankCheck } from './RealBlankCheck.tsx';
import { mass, UsualBars } from './UsualBars.tsx';
import { useBars } from './useBars.ts';

/** A piece heavier than this is not lifted into a chuck by one pair of hands, kg. */
const HEAVY_KG = 20;

/** Stock: which bar, how long a blank to cut from it, and whether the piece on the bench does. */
function StockStation({ id, stored, shop: given, runs }: StationProps) {
  const editor = useJob(id, stored);
  const { job } = editor;
  const rack = useBars(given.bars);
  const shop = useMemo(() => ({ ...given, bars: rack.bars }), [given, rack.bars]);
  const { planned, progress } = usePlanned(job, shop, runs);
  const { part, barSizes: sizes, cleanUp } = planned;
  const plan = planned.setups[0]?.plan;
  const { unit } = job.drawing;
  const { allow } = job.stock;
  const [first] = job.hold.setups;
  const largest = Math.max(0, ...outsides(part).map((f) => f.limits.upperMm));
  const lathe = shop.lathes.find((l) => l.id === job.hold.latheId);
  const chuck = lathe && chuckOf(lathe, first?.grip.kind === 'jaws' ? first.grip.chuckId : undefined);
  const wantedBlank = (diameterMm: number, record?: Recorder) =>
    blankFor(part, diameterMm, allow, spareGripMm(job, lathe, diameterMm), record);
  const blank =
    planned.blank ?? (planned.stockMm && outsides(part).length > 0 ? wantedBlank(planned.stockMm) : undefined);
  const lostMm = blank ? cutOffMm(allow, blank.diameterMm) : allow.kerfMm;
  // a piece that was begun was sawn, booked or not
  const sawn = Math.max(job.stock.sawn ?? 0, runs.filter((r) => r.setup === 1).length);
  const blankMm = (diameterMm: number) =>
    lathe && outsides(part).length > 0 ? wantedBlank(diameterMm).lengthMm : undefined;
  const choose = (barId: string) => editor.change((j) => ({ ...j, stock: { ...j.stock, barId } }));
  const addBar = async (bar: Bar) => {
    const wrong = await rack.add(bar);
    if (!wrong) choose(bar.id);
    return wrong;
  };
  /** So many lie ready; the first one says how long they all are. */
  const setSawn = (count: number) =>
    editor.change((j) => {
      const { sawnMm: before, ...stock } = j.stock;
      const sawnMm = count === 0 ? undefined : (before ?? blank?.lengthMm);
      return { ...j, stock: { ...stock, sawn: count, ...(sawnMm === undefined ? {} : { sawnMm }) } };
    });
  const area = sizes && sectionMm2(sizes.shape, sizes.acrossMm, sizes.boreMm);
  const kg = blank && area && planned.material && barMassKg(area, blank.lengthMm, planned.material.densityKgPerM3);
  const fastestRpm = Math.max(0, ...(plan?.operations ?? []).map((o) => o.setting?.rpm ?? 0));
  return (
    <JobFrame id={id} editor={editor} planned={planned} progress={progress} station="stock" showHolding>
      <div className="page grid gap-8 lg:grid-cols-[3fr_2fr]">
        <section aria-labelledby="bars">
          <h2 id="bars">Bar from the rack</h2>
          <p className="muted mb-2 text-sm">
            The part’s largest diameter is {aimed(largest, unit)} {unit}; {job.quantity} off.
          </p>
          <BarChoice
            {...{ job, shop, planned }}
            blankMm={sawn >= job.quantity ? undefined : blank?.lengthMm}
            onChoose={choose}
          />
          <AddBar materials={shop.materials} onAdd={addBar} />
          <UsualBars
            {...{ planned, unit, shop }}
            title={job.title}
            runoutMm={chuck?.runoutMm ?? 0.1}
            blankMm={blankMm}
            wholeMm={(diameterMm) => {
              const mm = blankMm(diameterMm);
              const still = job.quantity - Math.min(sawn, job.quantity - 1);
              return mm === undefined ? undefined : still * (mm + cutOffMm(allow, diameterMm));
            }}
            onTake={addBar}
          />
        </section>
        <section aria-labelledby="blank">
          <h2 id="blank">Blank</h2>
          <Problems problems={planned.problems.filter((p) => stationOf(p) === 'stock')} />
          {!lathe && (
            <label className="notice mt-2 block rounded text-sm">
              Which lathe? Its jaws say how long the grip must be, and so how long the blank is.
              <select
                className="select mt-1 flex w-full"
                aria-label="Lathe"
                value=""
                onChange={(e) => {
                  const latheId = e.target.value;
                  editor.change((j) => ({ ...j, hold: { ...j.hold, latheId } }));
                }}
              >
                <option value="">choose</option>
                {shop.lathes.map((l) => (
                  <option key={l.id} value={l.id}>
                    {l.name}
                  </option>
                ))}
              </select>
            </label>
          )}
          {blank ? (
            <>
              <p className="figure mt-1">
                {sizes?.shape === 'hexagon' || sizes?.shape === 'square' ? '' : 'Ø'}
                {aimed(sizes?.acrossMm ?? blank.diameterMm, unit)} × {aimed(blank.lengthMm, unit)}
                <span className="unit">{unit}</span>
                <Working
                  of="blank length"
                  tell={(record) =>
                    plan
                      ? void planJob(job, shop, (op) =>
                          op === 'hold' ? (step) => step.code === 'hold.blank' && record(step) : undefined,
                        )
                      : planned.stockMm && wantedBlank(planned.stockMm, record)
                  }
                />
              </p>
              <table className="table table-sm mt-2">
                <caption className="visually-hidden">The blank’s length as a sum</caption>
                <tbody>
                  {blank.lines.map((line) => (
                    <Row key={line.part} name={blankLineText[line.part]} mm={line.mm} unit={unit} />
                  ))}
                  <Row name="Blank" mm={blank.lengthMm} unit={unit} strong />
                  {job.quantity > 1 && sizes?.shape !== 'casting' && (
                    <Row
                      name={`${job.quantity} blanks with their cuts`}
                      mm={job.quantity * (blank.lengthMm + lostMm)}
                      unit={unit}
                    />
                  )}
                </tbody>
              </table>
              <dl className="mt-3 grid grid-cols-[auto_1fr] gap-x-4 gap-y-1">
                {cleanUp && sizes && (
                  <>
                    <dt className="muted">Cleans up</dt>
                    <dd className={cleanUp.cleans ? '' : 'font-bold'}>
                      {cleanUp.cleans ? '✓' : '~'} wants {aimed(cleanUp.needMm, unit)} {unit}, has{' '}
                      {aimed(cleanUp.acrossMm, unit)}
                      <Working
                        of="cleaning up"
                        tell={(record) =>
                          void cleanUpOf(
                            cleanUp.wantedMm,
                            sizes,
                            chuck?.runoutMm ?? 0,
                            plan?.held?.overhangMm ?? part.lengthMm,
                            record,
                          )
                        }
                      />
                    </dd>
                  </>
                )}
                {kg && area && planned.material && (
                  <>
                    <dt className="muted">Mass</dt>
                    <dd>
                      {mass(kg, unit)}
                      <Working
                        of="mass"
                        tell={(record) =>
                          void barMassKg(area, blank.lengthMm, planned.material!.densityKgPerM3, record)
                        }
                      />
                      {kg > HEAVY_KG && (
                        <span className="field-warning block text-base">
                          Heavy: lift it with a hoist or two people, with a board over the bed.
                        </span>
                      )}
                    </dd>
                  </>
                )}
                {chuck && fastestRpm > 0 && (
                  <>
                    <dt className="muted">Turns</dt>
                    <dd>
                      {fastestRpm <= chuck.maxRpm ? '✓' : '✕'} up to {Math.round(fastestRpm)} rpm; {chuck.name} may{' '}
                      {Math.round(chuck.maxRpm)}
                    </dd>
                  </>
                )}
                <dt className="muted">Sawn</dt>
                <dd>
                  {sawn} of {job.quantity}
                  {sawn < job.quantity && (
                    <button
                      type="button"
                      className="quiet ml-3 text-sm"
                      disabled={!lathe}
                      onClick={() => setSawn(sawn + 1)}
                    >
                      One more lies ready
                    </button>
                  )}
                  {sawn > 0 && (
                    <button type="button" className="quiet ml-1 text-sm" onClick={() => setSawn(sawn - 1)}>
                      One less
                    </button>
                  )}
                  {sawn > 0 && job.stock.sawnMm !== undefined && (
                    <span className="muted block text-sm">
                      {aimed(job.stock.sawnMm, unit)} {unit} long: what is chosen from now on has to fit into that.
                    </span>
                  )}
                  {!lathe && <span className="muted block text-sm">Choose the lathe before anything is sawn.</span>}
                </dd>
              </dl>
              {planned.material && planned.material.cautions.length > 0 && (
                <p className="field-warning mt-2 text-[0.95rem]">
                  {planned.material.cautions.map(materialCautionText).join(' ')}
                </p>
              )}
            </>
          ) : (
            <p className="muted">
              {outsides(part).length === 0 ? 'Draw the part first.' : 'Choose a bar: the blank’s length follows.'}
            </p>
          )}
          <div className="mt-4">
            <HoldHabitFields
              habits={habitsOf(job)}
              onChange={(more, field) => editor.change((j) => withHabits(j, more), field)}
            />
          </div>
          {blank && (
            <RealBlankCheck
              {...{ job, planned, blank }}
              onReal={(real, field) =>
                editor.change((j) => {
                  const { real: _before, ...stock } = j.stock;
                  return { ...j, stock: real ? { ...stock, real } : stock };
                }, field)
              }
            />
          )}
        </section>
      </div>
    </JobFrame>
  );
}

function Row({ name, mm, unit, strong }: { name: string; mm: number; unit: 'mm' | 'in'; strong?: boolean }) {
  return (
    <tr className={strong ? 'font-bold' : ''}>
      <th scope="row" className={strong ? '' : 'font-normal'}>
        {name}
      </th>
      <td className="text-right">
        {shortLength(mm, unit, 3)} {unit}
      </td>
    </tr>
  );
}

export default fromJson(StockStation);
