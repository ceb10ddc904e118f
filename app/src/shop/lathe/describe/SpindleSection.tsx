import { type Control, rpmOfPulleys } from '@whelk/core/lathe';
import { useWatch } from 'react-hook-form';
import { At, Controls, FillIn } from './controls.tsx';
import { Check, Choice, LengthInput, NumberInput, PowerInput, Rows, TextInput, useAppend } from './fields.tsx';
import { ListInput } from './ListInput.tsx';
import { Pairs } from './Pairs.tsx';

const POINT = /^(\d+(?:\.\d+)?)\s*:\s*(\d+(?:\.\d+)?)$/;

/** A torque curve as pairs: `100:20, 300:10`. */
function TorqueCurve({ name }: { name: string }) {
  return (
    <ListInput<{ rpm: number; torqueNm: number }>
      name={name}
      label="Torque, rpm:N·m"
      example="from motor and efficiency"
      show={(points) => points.map((p) => `${p.rpm}:${p.torqueNm}`).join(', ')}
      read={(text) => {
        if (text.trim() === '') return undefined;
        const parts = text.split(',').map((p) => p.trim());
        const points = parts.filter((p) => p !== '').map((p) => POINT.exec(p));
        return points.every((p) => p !== null)
          ? points.map((p) => ({ rpm: Number(p[1]), torqueNm: Number(p[2]) }))
          : text;
      }}
      right="Type pairs such as 100:20, 300:10."
    />
  );
}

/** Headstock: drive, what sets the speed, every speed, what must not stand together, the nose. */
export function SpindleSection() {
  const controls = (useWatch({ name: 'spindle.controls' }) ?? []) as Control[];
  const settings = (useWatch({ name: 'spindle.settings' }) ?? []) as {
    kind: string;
    motorRpm?: unknown;
    pairs?: unknown;
  }[];
  const nose = useWatch({ name: 'spindle.nose.kind' });
  const at = () => Object.fromEntries(controls.map((c) => [c.id, c.positions[0] ?? '']));
  return (
    <>
      <div className="flex flex-wrap gap-3">
        <PowerInput name="drive.motorKw" label="Motor" className="w-36" />
        <NumberInput
          name="drive.efficiency"
          label="Of the motor’s power at the spindle, 0 to 1 (belts: 0.85)"
          className="w-72"
        />
        <Choice
          name="spindle.nose.kind"
          label="Nose"
          choices={[
            ['screwed', 'screwed'],
            ['key', 'keyed or bolted'],
            ['cam', 'cam-lock'],
          ]}
        />
        <TextInput name="spindle.nose.size" label="Its thread or size" />
        {nose === 'screwed' && <Check name="spindle.nose.locked" label="A lock keeps the chuck from unscrewing" />}
        <LengthInput name="spindle.boreMm" label="Bore" className="w-32" />
        <TextInput name="spindle.taper" label="Taper inside" className="w-36" />
      </div>
      {nose === 'screwed' && (
        <p className="muted mt-2 text-sm">Without a lock nothing is ever planned with the spindle in reverse.</p>
      )}
      <Controls name="spindle.controls" what="the speed" />
      <Rows
        name="spindle.settings"
        title="Speeds"
        none="None yet. Count the levers above first, then add a line for each position."
        addLabel="Add a speed"
        fresh={() => ({ kind: 'fixed', at: at(), rpm: '' })}
      >
        {(path, i) => (
          <>
            <At path={`${path}.at`} controls={controls} />
            {settings[i]?.kind === 'stepless' ? (
              <>
                <NumberInput name={`${path}.minRpm`} label="From, rpm" className="w-24" />
                <NumberInput name={`${path}.maxRpm`} label="To, rpm" className="w-24" />
                <NumberInput name={`${path}.baseRpm`} label="Full power from, rpm" className="w-40" />
              </>
            ) : settings[i]?.kind === 'pulleys' ? (
              <>
                <NumberInput name={`${path}.motorRpm`} label="Motor, rpm" className="w-28" />
                <Pairs name={`${path}.pairs`} label="Pulleys Ø, driver / driven" example="60/120, 30/90" />
                <PulleySpeed of={settings[i]} />
              </>
            ) : (
              <NumberInput name={`${path}.rpm`} label="rpm" className="w-24" />
            )}
            <NumberInput name={`${path}.stopTurns`} label="Turns to stop" className="w-28" optional="undefined" />
            <TorqueCurve name={`${path}.torque`} />
          </>
        )}
      </Rows>
      <FillIn
        controlsName="spindle.controls"
        name="spindle.settings"
        what="positions"
        fresh={(positions) => ({ kind: 'fixed', at: positions, rpm: '' })}
      />
      <OtherSpeeds at={at} />
      <Rows
        name="spindle.forbidden"
        title="What must never stand together"
        none="Nothing: every combination is allowed."
        addLabel="Add a combination"
        fresh={() => ({ at: {}, why: '' })}
      >
        {(path) => (
          <>
            <At path={`${path}.at`} controls={controls} any />
            <TextInput name={`${path}.why`} label="Because" className="w-64" />
          </>
        )}
      </Rows>
    </>
  );
}

/** What a motor and its pulleys come to, while they make sense. */
function PulleySpeed({ of }: { of: { readonly motorRpm?: unknown; readonly pairs?: unknown } }) {
  const motorRpm = Number(of.motorRpm);
  const pairs = Array.isArray(of.pairs) ? (of.pairs as [number, number][]) : [];
  if (!(motorRpm > 0) || pairs.length === 0 || pairs.some((p) => !(p[0] > 0 && p[1] > 0))) return null;
  return <p className="mt-7 text-sm">= {rpmOfPulleys({ motorRpm, pairs })} rpm, less a belt’s creep</p>;
}

function OtherSpeeds({ at }: { at: () => Record<string, string> }) {
  const append = useAppend('spindle.settings');
  return (
    <>
      <button
        type="button"
        className="btn btn-sm ml-2 mt-2 h-10"
        onClick={() => append({ kind: 'pulleys', at: at(), motorRpm: '', pairs: [] })}
      >
        Add a speed by its pulleys
      </button>
      <button
        type="button"
        className="btn btn-sm ml-2 mt-2 h-10"
        onClick={() => append({ kind: 'stepless', at: at(), minRpm: '', maxRpm: '', baseRpm: '' })}
      >
        Add a stepless range
      </button>
    </>
  );
}
