import { taperSettingPicture } from '@whelk/core/picture';
import type { LengthUnit } from '@whelk/core/quantity';
import type { OperationOf } from '@whelk/core/route';
import { inUnit } from '../../messages/in-unit.ts';
import { angleText, setLabel, taperWayNames } from '../../messages/taper.ts';
import { PictureView } from '../../ui/strip/PictureView.tsx';
import { Working } from '../../ui/working/Working.tsx';
import type { ShownOperation, TellOnly } from './shown.ts';

type Set = Pick<
  OperationOf<'taperSet'>,
  'set' | 'side' | 'halfDeg' | 'perLength' | 'lengthMm' | 'overMm' | 'risesMm' | 'toleranceDeg'
>;

/** The lathe from above, set for the cone. */
function SettingPicture({ step, unit, zero }: { step: Set; unit: LengthUnit; zero: 'crossSlide' | 'bed' }) {
  const { set, side, halfDeg } = step;
  const picture = taperSettingPicture(
    {
      by: set.by,
      side,
      halfDeg,
      headIsLarge: side === 'outside',
      zero,
      label:
        set.by === 'compound' ? `${set.scaleDeg.toFixed(1)}°` : setLabel(set, halfDeg, step.perLength, inUnit(unit)),
      names: ['headstock', 'you stand here'],
    },
    440,
    330,
  );
  return (
    <figure>
      <PictureView picture={picture} label="The lathe from above, set for the cone" textSize={14} />
      <figcaption className="muted text-sm">From above, not to scale; the arrow is the tool’s way.</figcaption>
    </figure>
  );
}

/** What is set, step by step. */
function Steps({ step, unit, tell }: { step: Set; unit: LengthUnit; tell: TellOnly }) {
  const u = inUnit(unit);
  const { set, overMm, risesMm, halfDeg } = step;
  const fine = (mm: number): string => u.len(mm, 3);
  const over = u.len(overMm, 0);
  return (
    <ol className="flex max-w-3xl list-decimal flex-col gap-2 pl-6">
      <li>Point of the tool exactly on centre: off it, a cone comes out hollow and not at its angle.</li>
      {set.by === 'compound' && (
        <>
          <li>
            Compound to <b>{set.scaleDeg.toFixed(1)}°</b> by its scale, half angle {angleText(halfDeg)}. An eye is a
            sixth of a degree off there: {fine(set.eyeMm)} on the diameter over this cone.
          </li>
          <li>
            So prove it: a true cylinder between spindle and tailstock or in the chuck, indicator in the post on its
            side. Along <b>{over}</b> of the compound’s travel it has to rise <b className="figure">{fine(risesMm)}</b>.
            Tap the compound round, clamp, read again.
          </li>
          <li>
            Compound wound back until {u.len(set.beginsMm, 0)} of its travel lie before it: the cone takes{' '}
            {u.len(set.travelMm, 1)} of it.
          </li>
          <li>Carriage locked with the point level with where the cone begins. The compound alone feeds, by hand.</li>
        </>
      )}
      {set.by === 'setOver' && (
        <>
          <li>
            Tailstock set over by <b className="figure">{fine(set.offsetMm)}</b>{' '}
            <b>{set.way === 'tool' ? 'towards you' : 'away from you'}</b>, read by an indicator on the quill. By the
            rule of small angles it would be {fine(set.byRuleMm)}.
          </li>
          <li>
            {set.balls
              ? 'Ball-ended centres: so far over, plain ones bear on an edge and wear the holes.'
              : 'Both centre holes oiled; they bear on one side and wear: ease the tail centre as the work warms.'}{' '}
            The dog’s tail needs play in its slot.
          </li>
          <li>
            Indicator in the post along a length that is true to the centres: over <b>{over}</b> of the carriage’s
            travel <b className="figure">{fine(risesMm)}</b>.
          </li>
          <li>Every other length of work asks for an offset of its own.</li>
        </>
      )}
      {set.by === 'attachment' && (
        <>
          <li>
            Guide bar to <b>{setLabel(set, halfDeg, step.perLength, u)}</b>, clamped to the bed beside the cone; the
            cross-slide’s nut loosened where this attachment asks for it.
          </li>
          <li>
            Indicator in the post along a true cylinder: over <b>{over}</b> of the carriage’s travel{' '}
            <b className="figure">{fine(risesMm)}</b>.
          </li>
          <li>Begin each cut well before the work: its slack is taken up on the way in.</li>
        </>
      )}
      <li>
        Half the angle may be off by {angleText(step.toleranceDeg)}; it is proved on the cone itself after its first
        cuts. <Working of="way and allowance" tell={tell('route.cone', 'route.taperWay')} />
      </li>
    </ol>
  );
}

export const taperSet: ShownOperation<'taperSet'> = {
  name: 'Set for a cone',
  title: (o, { name, unit }) =>
    `${taperWayNames[o.set.by]} for ${name}: ${setLabel(o.set, o.halfDeg, o.perLength, inUnit(unit))}`,
  Detail: ({ operation, unit, tell }) => <Steps step={operation} {...{ unit, tell }} />,
  stepTitle: (step, { name }) => `Set the lathe for ${name}: ${taperWayNames[step.set.by].toLowerCase()}`,
  Panel: ({ step, frozen, tell }) => {
    const { unit, slides } = frozen.means.lathe;
    return (
      <div className="grid gap-x-8 gap-y-3 text-lg md:col-span-2 lg:grid-cols-[minmax(0,1.2fr)_minmax(0,1fr)]">
        <Steps {...{ step, unit, tell }} />
        <SettingPicture {...{ step, unit }} zero={slides.compoundZero} />
      </div>
    );
  },
};

export const taperBack: ShownOperation<'taperBack'> = {
  name: 'Put back after the cone',
  title: (o) =>
    ({
      compound: 'Compound back to where it stood',
      setOver: 'Tailstock back on the axis, proved',
      attachment: 'Taper attachment off',
    })[o.by],
  stepTitle: ({ by }) =>
    ({
      compound: 'Put the compound back',
      setOver: 'Bring the tailstock back onto the axis',
      attachment: 'Take the attachment out',
    })[by],
  Panel: ({ step, frozen }) => {
    const u = inUnit(frozen.means.lathe.unit);
    return (
      <ol className="flex max-w-3xl list-decimal flex-col gap-2 pl-6 text-lg md:col-span-2">
        {step.by === 'compound' && (
          <>
            <li>Compound back to where it stood before, clamped. The carriage unlocked.</li>
            <li>Its numbers from before hold no more: touch off anew before anything parallel is cut.</li>
          </>
        )}
        {step.by === 'setOver' && (
          <>
            <li>Tailstock back by {u.len(step.offsetMm ?? 0, 3)}, by an indicator on the quill; its base clamped.</li>
            <li>
              Prove it: a test bar between the centres, or two collars left a little large at the ends of a bar, cut at
              one number of the dial and measured. Half of what they differ by is how far it still stands off;{' '}
              <a className="link" href="/bench-book/truing">
                the tailstock brought true
              </a>{' '}
              leads through it.
            </li>
          </>
        )}
        {step.by === 'attachment' && (
          <>
            <li>Its clamp off the bed, the cross-slide’s nut tight again, the slide on its own screw.</li>
            <li>Touch off anew before anything parallel is cut.</li>
          </>
        )}
      </ol>
    );
  },
};
