import { conePicture } from '@whelk/core/picture';
import { coneAt, type FrozenRun, overTailMm, type RunState, type StepAdvice, sideOf } from '@whelk/core/run';
import { halfDegOf } from '@whelk/core/taper';
import { inUnit } from '../../../messages/in-unit.ts';
import { angleText, correctionText } from '../../../messages/taper.ts';
import { measure } from '../../../ui/format.ts';
import { PictureView } from '../../../ui/strip/PictureView.tsx';

/** The cone with what was read along it drawn larger, its slope, the next setting, and its size where the drawing has it. */
export function ConeShown({
  frozen,
  state,
  advice,
  unit,
}: {
  frozen: FrozenRun;
  state: RunState;
  advice: StepAdvice;
  unit: 'mm' | 'in';
}) {
  const { step, measured } = advice;
  const cone = coneAt(step)!;
  const u = inUnit(unit);
  const outside = sideOf(frozen, step.featureId) === 'outside';
  const { perLength, lengthMm, gaugeFromTailMm, toleranceDeg, set } = cone;
  const tailMm = step.targetMm ?? 0;
  const found = measured?.cone;
  const fine = (mm: number): string => u.len(mm, 3);
  // drawn with its large end left: outside that is at the headstock, of a hole at its mouth
  const fromLarge = (fromTailMm: number): number => (outside ? lengthMm - fromTailMm : fromTailMm);
  const sign = outside ? 1 : -1;
  const wantedAt = (fromTailMm: number): number => tailMm + sign * perLength * fromTailMm;
  const readings = measured?.readings.filter((r) => r.stationMm !== undefined) ?? [];
  const aboutMm = readings.reduce((sum, r) => sum + r.stationMm!, 0) / Math.max(1, readings.length);
  const shift = found?.fit ? found.fit.diameterAtMm(aboutMm) - wantedAt(aboutMm) : 0;
  const off = (fromTailMm: number, mm: number): number => mm - wantedAt(fromTailMm) - shift;
  const atEnds = (fromTailMm: number): number => off(fromTailMm, found!.fit!.diameterAtMm(fromTailMm));
  const [large, small] = outside ? [lengthMm, 0] : [0, lengthMm];
  const picture = conePicture(
    {
      ...{ largeMm: wantedAt(large), smallMm: Math.max(0.01, wantedAt(small)), lengthMm },
      stations: found?.fit
        ? readings.map((r, i) => ({
            ...{ zMm: fromLarge(r.stationMm!), offMm: off(r.stationMm!, r.mm) },
            ...(found.fit?.doubtful === i ? { doubtful: true } : {}),
          }))
        : cone.stationsMm.map((mm) => ({ zMm: fromLarge(mm), offMm: 0 })),
      ...(found?.fit ? { fit: { atLargeMm: atEnds(large), atSmallMm: atEnds(small) } } : {}),
      ...(found?.fit
        ? { tolerance: { aboutMm: fromLarge(aboutMm), perLength: 2 * Math.tan((toleranceDeg * Math.PI) / 180) } }
        : {}),
    },
    600,
    200,
  );
  const { correction } = found ?? {};
  const moved = state.proofs.filter((p) => p.featureId === step.featureId && p.movedMm !== undefined).length;
  const limits = step.limits;
  const over = overTailMm(frozen, step.featureId);
  return (
    <>
      <figure className="max-w-[640px]">
        <PictureView picture={picture} label="The cone with what was read along it" />
        <figcaption className="muted text-sm">
          {found?.fit
            ? `Large end left; ${picture.times > 1 ? `what its slope is off is drawn ${picture.times} times larger` : 'its slope is as wanted'}, green what its grade allows.`
            : 'Large end left; the places to read are marked.'}
          {moved > 0 ? ` Its setting was moved ${moved === 1 ? 'once' : `${moved} times`}.` : ''}
        </figcaption>
      </figure>
      {!measured && (
        <p className="muted mt-2 max-w-3xl text-lg">
          {cone.stationsMm.length > 1
            ? 'Two places tell the slope, more tell a wrong reading.'
            : 'Too short to read its slope: that is as the indicator set it. Only its size is read, where the drawing has it; try its mate with blue.'}
        </p>
      )}
      {found?.fit && correction && (
        <div className="mt-2 text-lg">
          <p>
            It is 1 : {(1 / Math.abs(found.perLength)).toFixed(2)}, half angle {angleText(halfDegOf(found.perLength))}:{' '}
            {Math.abs(correction.offDeg) * 3600 < 1
              ? 'as wanted'
              : `${angleText(correction.offDeg)} too ${correction.offDeg > 0 ? 'steep' : 'slow'}`}
            {readings.length > 2 ? `; out of straight by ${fine(found.fit.straightMm)}` : ''}.
          </p>
          {found.fit.doubtful !== undefined && (
            <p className="field-warning font-semibold">
              ▲ The reading {readings[found.fit.doubtful]!.place} lies out of line with the others: read it again.
            </p>
          )}
          <p className="mt-1 border-l-4 border-[var(--now)] pl-4 text-xl font-semibold">
            {correction.kind === 'move' && (step.last || !found.cleaning?.room)
              ? 'Nothing is left to set it anew and clean it: the angle stays as it is.'
              : step.last && correction.kind === 'enough' && correction.why === 'inside'
                ? 'Its angle is inside its tolerance.'
                : correctionText(correction, set.by, set.by === 'setOver' ? set.pivotsMm : set.travelMm, u, outside)}
          </p>
        </div>
      )}
      {found && measured && limits && (
        <p className="mt-2 text-lg">
          Where the drawing has its size it is{' '}
          <b className="figure">Ø{measure(found.atGaugeMm, unit, unit === 'mm' ? 3 : 4)}</b> ±{' '}
          {measure(measured.combined.uncertaintyMm, unit, unit === 'mm' ? 3 : 4)} {unit}; limits{' '}
          {measure(limits.lowerMm + over, unit, unit === 'mm' ? 3 : 4)} …{' '}
          {measure(limits.upperMm + over, unit, unit === 'mm' ? 3 : 4)}
          {gaugeFromTailMm > 0 ? `, ${u.len(gaugeFromTailMm, 1)} from the ${outside ? 'small end' : 'mouth'}` : ''}.
          {found.atGaugeMm !== 0 && (
            <OffLine
              offMm={(measured.combined.guardMm - (limits.lowerMm + limits.upperMm) / 2) * sign}
              {...{ perLength, lengthMm, outside, unit }}
            />
          )}
        </p>
      )}
    </>
  );
}

/** The same as a gauge would show it. */
function OffLine({
  offMm,
  perLength,
  lengthMm,
  outside,
  unit,
}: {
  offMm: number;
  perLength: number;
  lengthMm: number;
  outside: boolean;
  unit: 'mm' | 'in';
}) {
  const u = inUnit(unit);
  // off by more than the cone is long, no gauge goes on at all
  if (offMm <= 0 || offMm / perLength > lengthMm) return null;
  return (
    <span className="muted">
      {' '}
      A {outside ? 'ring' : 'plug'} stands {u.len(offMm / perLength, 1)} off its line.
    </span>
  );
}
