import type { Control, FeedSetting } from '@whelk/core/lathe';
import { useWatch } from 'react-hook-form';
import { useUnit } from '../../../ui/unit.ts';
import { At, Controls, FillIn } from './controls.tsx';
import { Check, Choice, IfThere, NumberInput, Rows, TextInput, useAppend } from './fields.tsx';
import { ListInput } from './ListInput.tsx';
import { Pairs } from './Pairs.tsx';

const units = [
  ['mm', 'mm'],
  ['in', 'inch'],
] as const;

/** Power feeds: marked ones, trains of gears, and those that must be measured first. */
export function FeedsSection() {
  const controls = (useWatch({ name: 'feeds.controls' }) ?? []) as Control[];
  const settings = (useWatch({ name: 'feeds.settings' }) ?? []) as FeedSetting[];
  const at = () => Object.fromEntries(controls.map((c) => [c.id, c.positions[0] ?? '']));
  const add = useAppend('feeds.settings');
  const unit = useUnit();
  return (
    <>
      <NumberInput
        name="feeds.crossShare"
        label="Cross feed as a share of the feed along the bed; empty: by hand"
        className="w-96"
        optional="null"
      />
      <Controls name="feeds.controls" what="the feed" />
      <Rows
        name="feeds.settings"
        title="Power feeds"
        none="None: everything is fed by hand."
        addLabel="Add a marked feed"
        fresh={() => ({ kind: 'marked', at: at(), perRev: { text: '', unit } })}
      >
        {(path, i) => (
          <>
            <At path={`${path}.at`} controls={controls} />
            {settings[i]?.kind === 'marked' && (
              <>
                <TextInput name={`${path}.perRev.text`} label="A turn" className="w-28" />
                <Choice name={`${path}.perRev.unit`} label="in" className="w-24" choices={units} />
              </>
            )}
            {settings[i]?.kind === 'gears' && (
              <>
                <TextInput name={`${path}.name`} label="Name" className="w-32" />
                <Pairs name={`${path}.pairs`} label="Drivers / driven" example="20/80, 20/75" />
              </>
            )}
            {settings[i]?.kind === 'unmarked' && (
              <p className="muted mt-7 text-sm">no figure: measure it under Calibrations</p>
            )}
            {settings[i]?.kind === 'measured' && (
              <NumberInput name={`${path}.mmPerRev`} label="Measured, mm" className="w-28" />
            )}
          </>
        )}
      </Rows>
      <div className="flex flex-wrap gap-2">
        <FillIn
          controlsName="feeds.controls"
          name="feeds.settings"
          what="positions"
          fresh={(positions) => ({ kind: 'marked', at: positions, perRev: { text: '', unit } })}
        />
        <button
          type="button"
          className="btn btn-sm mt-2 h-10"
          onClick={() => add({ kind: 'gears', at: at(), pairs: [[20, 80]] })}
        >
          Add a feed by gears
        </button>
        <button type="button" className="btn btn-sm mt-2 h-10" onClick={() => add({ kind: 'unmarked', at: at() })}>
          Add an unmarked feed
        </button>
      </div>
    </>
  );
}

/** Leadscrew, gears owned, engraved pitches, the wheel that tells where the nuts may close. */
export function ThreadsSection() {
  const controls = (useWatch({ name: 'threads.controls' }) ?? []) as Control[];
  const unit = useUnit();
  const at = () => Object.fromEntries(controls.map((c) => [c.id, c.positions[0] ?? '']));
  return (
    <>
      <div className="flex flex-wrap gap-3">
        <TextInput name="threads.leadscrewLead.text" label="Leadscrew: one turn moves" className="w-48" />
        <Choice name="threads.leadscrewLead.unit" label="in" className="w-24" choices={units} />
        <Check name="threads.tumbler" label="Left-hand threads by a tumbler" />
      </div>
      <p className="muted mt-1 text-sm">8 threads an inch is 1/8 inch a turn: type it exactly.</p>
      <div className="mt-4">
        <ListInput<number | string>
          name="threads.gears"
          label="Change gears owned, doubles as often as they are there"
          className="w-full max-w-2xl"
          example="20, 20, 25, 30, 35 …"
          show={(teeth) => teeth.join(', ')}
          read={(text) =>
            text
              .split(/[\s,]+/)
              .filter((t) => t !== '')
              .map((t) => (/^\d+$/.test(t) ? Number(t) : t))
          }
          right="Whole numbers of teeth from 10 to 200, with commas."
        />
      </div>
      <IfThere
        name="threads.dial"
        label="A wheel on the leadscrew tells where the half-nuts may close"
        fresh={() => ({ wheelTeeth: 16, marks: 8 })}
      >
        <NumberInput name="threads.dial.wheelTeeth" label="Teeth of its wheel" className="w-36" />
        <NumberInput name="threads.dial.marks" label="Marks on its face" className="w-36" />
      </IfThere>
      <Rows
        name="threads.moreDials"
        title="Further wheels that can run in it instead"
        none="None."
        addLabel="Add a wheel"
        fresh={() => ({ wheelTeeth: 15, marks: 3 })}
      >
        {(path) => (
          <>
            <NumberInput name={`${path}.wheelTeeth`} label="Teeth of its wheel" className="w-36" />
            <NumberInput name={`${path}.marks`} label="Marks on its face" className="w-36" />
          </>
        )}
      </Rows>
      <IfThere
        name="threads.stop"
        label="A stop on the bed opens the half-nuts by itself"
        fresh={() => ({ withinMm: 0.5 })}
      >
        <NumberInput name="threads.stop.withinMm" label="At the same place within, mm" className="w-56" />
      </IfThere>
      <IfThere
        name="threads.train"
        label="How its change gears go on is known"
        fresh={() => ({ fixed: [40, 40], studTeeth: 15, teethTogether: { least: 100, most: 260 } })}
      >
        <NumberInput name="threads.train.fixed.0" label="Gear that stays, driver" className="w-40" />
        <NumberInput name="threads.train.fixed.1" label="and what it drives" className="w-40" />
        <NumberInput name="threads.train.studTeeth" label="Room of a stud, teeth" className="w-40" />
        <NumberInput name="threads.train.teethTogether.least" label="Two pairs reach from" className="w-40" />
        <NumberInput name="threads.train.teethTogether.most" label="to, teeth together" className="w-40" />
      </IfThere>
      <Controls name="threads.controls" what="the pitch" />
      <Rows
        name="threads.settings"
        title="Pitches as engraved"
        none="None: threads are cut with gears only."
        addLabel="Add a pitch"
        fresh={() => ({ at: at(), pitch: '', unit: unit === 'mm' ? 'mm' : 'tpi' })}
      >
        {(path) => (
          <>
            <At path={`${path}.at`} controls={controls} />
            <TextInput name={`${path}.pitch`} label="Pitch" className="w-24" />
            <Choice
              name={`${path}.unit`}
              label="as"
              className="w-32"
              choices={[
                ['mm', 'mm'],
                ['tpi', 'threads an inch'],
              ]}
            />
          </>
        )}
      </Rows>
    </>
  );
}
