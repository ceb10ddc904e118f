import { dialMove } from '@whelk/core/lathe';
import { cutInto } from '@whelk/core/part';
import { bladeTravelPicture } from '@whelk/core/picture';
import { ROUNDING } from '@whelk/core/quantity';
import { carriageMove } from '@whelk/core/run';
import { inUnit } from '../../messages/in-unit.ts';
import { wordsOf } from '../../messages/surface.ts';
import { wayWith } from '../../ui/dial-window/HandsList.tsx';
import { aimed, measure } from '../../ui/format.ts';
import { PictureView } from '../../ui/strip/PictureView.tsx';
import { Working } from '../../ui/working/Working.tsx';
import type { ShownOperation } from './shown.ts';

const byAngle = (deg: number): string => String(Number(deg.toFixed(2)));
const floor = (floorMm: number, unit: 'mm' | 'in'): string => `Ø${inUnit(unit).bare(floorMm, 2)}`;

export const groove: ShownOperation<'groove'> = {
  name: 'Groove',
  title: ({ widthMm, floorMm, radiusMm, angleDeg }, { name, unit }) =>
    angleDeg !== undefined
      ? `V groove on ${name}: ${byAngle(angleDeg)}°, floor ${floor(floorMm, unit)}`
      : radiusMm === undefined
        ? `Groove on ${name}: ${inUnit(unit).bare(widthMm, 2)} wide, floor ${floor(floorMm, unit)}`
        : `Round groove on ${name}: R${inUnit(unit).bare(radiusMm, 2)}, floor ${floor(floorMm, unit)}`,
  Detail: ({ operation: o, unit, tell }) => (
    <>
      <p>
        {o.radiusMm === undefined && o.angleDeg === undefined
          ? `${o.plungesMm.length === 1 ? 'One plunge' : `${o.plungesMm.length} plunges`} with a blade of ${inUnit(unit).len(o.toolMm, 2)}${o.sweep ? ', then the floor swept from wall to wall' : ''}${o.wallDeg === undefined ? '' : `, then each wall with the compound at ${byAngle(o.wallDeg)}°`}.`
          : 'Its whole form at once: long contact, slow, a thin chip.'}{' '}
        <Working of="time" tell={tell('route.grooveMinutes', 'cutting.plunge')} />
      </p>
      {o.floorLimits && (
        <p>
          Floor between Ø{aimed(o.floorLimits.lowerMm, unit)} and Ø{aimed(o.floorLimits.upperMm, unit)} {unit}.
        </p>
      )}
    </>
  ),
  stepTitle: ({ grooveId, featureId = '', widthMm, floorMm }, { frozen, name }) => {
    const { unit } = frozen.means.lathe;
    const drawn = cutInto(frozen.piece.part, featureId).find((d) => d.id === grooveId);
    return `${drawn ? wordsOf(drawn, name) : `Groove on ${name}`}: ${inUnit(unit).bare(widthMm, 2)} wide, floor ${floor(floorMm, unit)} ${unit}`;
  },
  Panel: ({ step, frozen, tell }) => {
    const { lathe } = frozen.means;
    const { unit, slides } = lathe;
    const end = frozen.piece.part.lengthMm;
    const inside = step.floorMm > step.fromDiameterMm;
    const f = (mm: number) => measure(mm, unit, unit === 'mm' ? 2 : 3);
    const into = dialMove(slides.crossSlide, 0, step.depthMm - (step.tipMm ?? 0));
    const form = step.radiusMm !== undefined || step.angleDeg !== undefined;
    const pointed = step.angleDeg !== undefined;
    const tip = step.tipMm ?? 0;
    // with the edge towards the chuck touched on the finished face
    const travels = form ? [end - (step.zStopMm ?? 0) - step.widthMm / 2] : step.plungesMm.map((zMm) => end - zMm);
    return (
      <div className="grid gap-x-8 gap-y-3 text-lg md:col-span-2 lg:grid-cols-[minmax(0,1.25fr)_minmax(0,1fr)]">
        <div className="flex flex-col gap-2">
          <p>
            {form
              ? 'The tool on centre, its middle square to the work.'
              : 'The blade square to the work, on centre, no more of it out than the groove is deep.'}{' '}
            Spindle stopped: bring its {pointed ? <b>point</b> : form ? <b>left side</b> : <b>left edge</b>}{' '}
            {pointed ? 'in line with the finished face' : 'to the finished face'} and note the carriage there
            {form && !pointed ? `; its middle lies half its width farther on` : ''}.
          </p>
          <p>
            {travels.length === 1 ? 'Carriage towards the chuck ' : 'Plunge at, carriage towards the chuck: '}
            <b className="figure">{travels.map(f).join(', ')}</b> {unit}
            {form ? ' to the middle of the groove' : ''}
            {travels.length > 1 ? ', each less than the blade’s width from the one before' : ''}.{' '}
            <Turns lathe={lathe} travelMm={travels[0]!} />
          </p>
          <p>
            Touch Ø{f(step.fromDiameterMm)} and note the cross-slide: {inside ? 'out' : 'in'}{' '}
            <b>{f(step.depthMm - tip)}</b> {unit} of its travel,{' '}
            {wayWith(into.fullTurns, into.rest, slides.crossSlide.unit)} on its ring
            {slides.crossSlide.kind === 'diameter' ? ', which counts the diameter' : ''}, to a floor of Ø
            {f(step.floorMm + (inside ? -2 : 2) * tip)}
            {tip > 0 ? ': its flat stays that far from the point that is drawn' : ''}.{' '}
            <Working of="force" tell={tell('cutting.plunge')} />
          </p>
          {step.sweep && (
            <p>
              Stop a tenth short in every plunge; then to the depth, and sweep the floor from wall to wall by the
              carriage.
            </p>
          )}
          {step.wallDeg !== undefined && (
            <p>
              Then the walls: compound {byAngle(step.wallDeg)}° from the cross-slide, carriage locked. With the blade’s
              left corner from the edge of the groove down its wall to the floor; swung to the other side the same with
              the right corner.
            </p>
          )}
          {step.floorLimits && (
            <p>
              Measure the floor: Ø{f(step.floorLimits.lowerMm)} … <b>Ø{f(step.floorLimits.upperMm)}</b> {unit}.
            </p>
          )}
          {form && (
            <p className="muted">
              It squeals: slower, more feed, shorter overhang. It stalls or digs in: less feed, keener, on centre. Look
              at the surface, not at the noise.
            </p>
          )}
        </div>
        {!inside && (
          <PictureView
            picture={bladeTravelPicture(
              frozen.piece.part,
              {
                ...{ widthMm: form ? step.widthMm : step.toolMm, placesMm: step.plungesMm, floorMm: step.floorMm },
                ...{ fromDiameterMm: step.fromDiameterMm, text: `${f(travels[0]!)} ${unit}` },
              },
              430,
              250,
            )}
            label="The blade touched on the finished face, and where it plunges"
            textSize={15}
          />
        )}
      </div>
    );
  },
};

/** A travel of the carriage as turns of its wheel, where it has a dial. */
function Turns({ lathe, travelMm }: { lathe: Parameters<typeof carriageMove>[0]; travelMm: number }) {
  const move = carriageMove(lathe, 0, travelMm);
  const { carriage } = lathe.slides;
  if (!move || carriage.means !== 'dial' || travelMm < ROUNDING)
    return <span className="muted">By a scribed line.</span>;
  return (
    <span className="muted">
      The first is {wayWith(move.fullTurns, move.rest, carriage.unit)} on its wheel, {move.hand}.
    </span>
  );
}
