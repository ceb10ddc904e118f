import { type Job, type PlannedJob, planJob, type Shop, spareGripMm, stationOf } from '@whelk/core/job';
import { type Chuck, chuckOf } from '@whelk/core/lathe';
import { outsides } from '@whelk/core/part';
import { type Bar, type Blank, blankFor, cutOffMm } from '@whelk/core/stock';
import type { Recorder } from '@whelk/core/working';
import { useMemo } from 'react';
import { materialCautionText } from '../../messages/cautions.ts';
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
import { BlankFacts, LengthSum, Sawn } from './BlankFacts.tsx';
import { habitsOf, withHabits } from './habits.ts';
import { RealBlankCheck } from './RealBlankCheck.tsx';
import { UsualBars } from './UsualBars.tsx';
import { useBars } from './useBars.ts';

/** Stock: which bar, how long a blank to cut from it, and whether the piece on the bench does. */
function StockStation({ id, stored, shop: given, runs }: StationProps) {
  const editor = useJob(id, stored);
  const { job } = editor;
  const rack = useBars(given.bars);
  const shop = useMemo(() => ({ ...given, bars: rack.bars }), [given, rack.bars]);
  const { planned, progress } = usePlanned(job, shop, runs);
  const { part } = planned;
  const { unit } = job.drawing;
  const { allow } = job.stock;
  const [first] = job.hold.setups;
  const largest = Math.max(0, ...outsides(part).map((f) => f.limits.upperMm));
  const lathe = shop.lathes.find((l) => l.id === job.hold.latheId);
  const chuck = lathe && chuckOf(lathe, first?.grip.kind === 'jaws' ? first.grip.chuckId : undefined);
  const wantedBlank = (diameterMm: number, record?: Recorder) =>
    blankFor(part, diameterMm, allow, spareGripMm(job, lathe, part, diameterMm), record);
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
  const tellBlank = (record: Recorder) =>
    planned.setups[0]
      ? void planJob(job, shop, (op) =>
          op === 'hold' ? (step) => step.code === 'hold.blank' && record(step) : undefined,
        )
      : planned.stockMm && wantedBlank(planned.stockMm, record);
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
            <WhichLathe
              lathes={shop.lathes}
              onChoose={(latheId) => editor.change((j) => ({ ...j, hold: { ...j.hold, latheId } }))}
            />
          )}
          {blank ? (
            <BlankToSaw {...{ job, planned, blank, chuck, lostMm, sawn, setSawn }} tell={tellBlank} />
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

/** The blank to saw: its size with its sum, what is known of it, how many lie ready, and what its metal asks for. */
function BlankToSaw({
  job,
  planned,
  blank,
  chuck,
  lostMm,
  sawn,
  setSawn,
  tell,
}: {
  job: Job;
  planned: PlannedJob;
  blank: Blank;
  chuck: Chuck | undefined;
  lostMm: number;
  sawn: number;
  setSawn: (count: number) => void;
  tell: (record: Recorder) => void;
}) {
  const { unit } = job.drawing;
  const { barSizes: sizes, material } = planned;
  return (
    <>
      <p className="figure mt-1">
        {sizes?.shape === 'hexagon' || sizes?.shape === 'square' ? '' : 'Ø'}
        {aimed(sizes?.acrossMm ?? blank.diameterMm, unit)} × {aimed(blank.lengthMm, unit)}
        <span className="unit">{unit}</span>
        <Working of="blank length" tell={tell} />
      </p>
      <LengthSum blank={blank} quantity={sizes?.shape === 'casting' ? 1 : job.quantity} lostMm={lostMm} unit={unit} />
      <dl className="mt-3 grid grid-cols-[auto_1fr] gap-x-4 gap-y-1">
        <BlankFacts planned={planned} blank={blank} chuck={chuck} unit={unit} />
        <Sawn {...{ job, sawn, setSawn, unit }} ready={chuck !== undefined} />
      </dl>
      {material && material.cautions.length > 0 && (
        <p className="field-warning mt-2 text-[0.95rem]">{material.cautions.map(materialCautionText).join(' ')}</p>
      )}
    </>
  );
}

/** The lathe is asked for where none is chosen yet. */
function WhichLathe({ lathes, onChoose }: { lathes: Shop['lathes']; onChoose: (latheId: string) => void }) {
  return (
    <label className="notice mt-2 block rounded text-sm">
      Which lathe? Its jaws say how long the grip must be, and so how long the blank is.
      <select
        className="select mt-1 flex w-full"
        aria-label="Lathe"
        value=""
        onChange={(e) => onChoose(e.target.value)}
      >
        <option value="">choose</option>
        {lathes.map((l) => (
          <option key={l.id} value={l.id}>
            {l.name}
          </option>
        ))}
      </select>
    </label>
  );
}

export default fromJson(StockStation);
