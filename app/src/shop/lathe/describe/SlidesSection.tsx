import { type Dial, dialScale } from '@whelk/core/lathe';
import { useController, useWatch } from 'react-hook-form';
import { DialWindow } from '../../../ui/dial-window/DialWindow.tsx';
import { Check, Choice, IfThere, LengthInput, NumberInput, TextInput } from './fields.tsx';

const units = [
  ['mm', 'mm'],
  ['in', 'inch'],
] as const;

/** One ring: what it counts, which way, and what its slide does; drawn as it is described. */
function DialFields({ path, title, into, outOf }: { path: string; title: string; into: string; outOf: string }) {
  const dial = useWatch({ name: path }) as Dial;
  const line = lineOf(dial);
  return (
    <fieldset className="mt-4 border-t border-[var(--line)] pt-3">
      <legend className="pr-3 font-bold">{title}</legend>
      <div className="flex flex-wrap gap-3">
        <Choice name={`${path}.unit`} label="Numbers in" className="w-28" choices={units} />
        <TextInput name={`${path}.travelPerTurn`} label={`One turn moves, ${dial.unit}`} className="w-36" />
        <NumberInput name={`${path}.divisions`} label="Lines on the ring" className="w-32" />
        <Choice
          name={`${path}.kind`}
          label="Counts"
          className="w-48"
          choices={[
            ['radius', 'true travel'],
            ['diameter', 'change of diameter'],
          ]}
        />
        <Choice
          name={`${path}.clockwiseMoves`}
          label="Clockwise moves"
          className="w-44"
          choices={[
            ['in', into],
            ['out', outOf],
          ]}
        />
        <Choice
          name={`${path}.numbersRise`}
          label="Numbers rise turning"
          className="w-40"
          choices={[
            ['clockwise', 'clockwise'],
            ['anticlockwise', 'anticlockwise'],
          ]}
        />
        <LengthInput name={`${path}.slackMm`} label="Slack" className="w-28" sign="notNegative" />
        <LengthInput name={`${path}.travelMm`} label="Whole travel" className="w-32" />
        <Check name={`${path}.resettable`} label="The ring can be set to 0" />
      </div>
      {line && (
        <div className="mt-3 flex flex-wrap items-center gap-4">
          <div className="w-[420px] max-w-full">
            <DialWindow
              name={`${title}, as described`}
              dial={dial}
              fromLines={0}
              toLines={Math.min(15, dial.divisions - 1)}
              fullTurns={0}
              rest=""
              hand="clockwise"
            />
          </div>
          <p className="text-sm">
            One line is <b>{line.text}</b>.
          </p>
        </div>
      )}
    </fieldset>
  );
}

/** What a line of a ring is worth, once its fields make sense. */
function lineOf(dial: Dial): { text: string } | undefined {
  try {
    const scale = dialScale(dial);
    const mm = scale.lineTravelMm.valueOf();
    if (!(mm > 0) || !Number.isInteger(dial.divisions) || dial.divisions < 2 || dial.divisions > 1000) return undefined;
    const counted = dial.kind === 'diameter' ? ' of diameter' : '';
    return {
      text: `${scale.lineNumber.valueOf()} ${dial.unit}${counted}: the slide moves ${Number(mm.toFixed(4))} mm`,
    };
  } catch {
    // half-typed figures: there is nothing to draw yet
    return undefined;
  }
}

export function SlidesSection() {
  const { field: carriage } = useController({ name: 'slides.carriage' });
  const cross = useWatch({ name: 'slides.crossSlide' }) as Dial;
  return (
    <>
      <DialFields path="slides.crossSlide" title="Cross-slide" into="in, to the axis" outOf="out" />
      <div className="mt-5">
        <label className="text-sm">
          Carriage is placed by{' '}
          <select
            className="select w-60"
            value={carriage.value.means}
            onChange={(event) =>
              carriage.onChange(
                event.target.value === 'dial'
                  ? {
                      ...cross,
                      travelPerTurn: cross.unit === 'mm' ? '20' : '0.5',
                      divisions: cross.unit === 'mm' ? 200 : 100,
                      travelMm: 500,
                    }
                  : { means: 'line', unit: cross.unit, resolutionMm: 0.5, travelMm: 500 },
              )
            }
          >
            <option value="dial">a graduated ring</option>
            <option value="line">a scribed line and a rule</option>
          </select>
        </label>
      </div>
      {carriage.value.means === 'dial' ? (
        <DialFields path="slides.carriage" title="Carriage" into="towards the chuck" outOf="towards the tailstock" />
      ) : (
        <div className="mt-3 flex flex-wrap gap-3">
          <LengthInput name="slides.carriage.resolutionMm" label="Set by rule to" className="w-36" />
          <LengthInput name="slides.carriage.travelMm" label="Whole travel" className="w-36" />
        </div>
      )}
      <DialFields path="slides.compound" title="Compound" into="towards the chuck" outOf="towards the tailstock" />
      <div className="mt-4 flex flex-wrap gap-3">
        <Choice
          name="slides.compoundZero"
          label="Its scale shows 0 when it stands"
          className="w-64"
          choices={[
            ['crossSlide', 'along the cross-slide'],
            ['bed', 'along the bed'],
          ]}
        />
        <Check name="slides.stops.carriage" label="A stop for the carriage" />
        <Check name="slides.stops.crossSlide" label="A stop for the cross-slide" />
      </div>
      <IfThere
        name="slides.readout"
        label="A digital readout"
        fresh={() => ({ axes: ['crossSlide', 'carriage'], resolutionMm: 0.005, crossShows: 'diameter' })}
      >
        <Axes />
        <LengthInput name="slides.readout.resolutionMm" label="Last place" className="w-28" />
        <Choice
          name="slides.readout.crossShows"
          label="Cross axis shows"
          className="w-40"
          choices={[
            ['diameter', 'diameter'],
            ['radius', 'radius'],
          ]}
        />
      </IfThere>
    </>
  );
}

/** Axes that the readout shows. */
function Axes() {
  const { field } = useController({ name: 'slides.readout.axes' });
  const axes = field.value as string[];
  return (['crossSlide', 'carriage', 'compound'] as const).map((axis) => (
    <label key={axis} className="flex min-h-10 cursor-pointer items-center gap-2 text-sm">
      <input
        type="checkbox"
        className="h-4 w-4"
        checked={axes.includes(axis)}
        onChange={(event) => field.onChange(event.target.checked ? [...axes, axis] : axes.filter((a) => a !== axis))}
      />
      {{ crossSlide: 'cross-slide', carriage: 'carriage', compound: 'compound' }[axis]}
    </label>
  ));
}

/** Tailstock, and the taper attachment where there is one. */
export function TailstockSection() {
  const cross = useWatch({ name: 'slides.crossSlide' }) as Dial;
  return (
    <>
      <div className="flex flex-wrap gap-3">
        <LengthInput name="tailstock.quillTravelMm" label="Travel of the quill" />
        <TextInput name="tailstock.taper" label="Taper inside" />
        <LengthInput name="tailstock.setOverMm" label="Sets over to one side by" sign="notNegative" className="w-52" />
      </div>
      <IfThere
        name="tailstock.dial"
        label="The quill has a graduated ring"
        fresh={() => ({ ...cross, kind: 'radius', clockwiseMoves: 'out', travelMm: 100 })}
      >
        <DialFields path="tailstock.dial" title="Quill" into="back into the tailstock" outOf="out, to the chuck" />
      </IfThere>
      <IfThere
        name="taperAttachment"
        label="A taper attachment"
        fresh={() => ({ lengthMm: 250, mostDeg: 10, graduated: 'degrees' })}
      >
        <LengthInput name="taperAttachment.lengthMm" label="It guides for" />
        <NumberInput name="taperAttachment.mostDeg" label="Up to, ° from the axis" />
        <Choice
          name="taperAttachment.graduated"
          label="Graduated in"
          className="w-56"
          choices={[
            ['degrees', 'degrees'],
            ['taperOnDiameter', 'taper on the diameter'],
          ]}
        />
      </IfThere>
    </>
  );
}
