import { conePicture } from '@whelk/core/picture';
import type { LengthUnit } from '@whelk/core/quantity';
import { parseLength } from '@whelk/core/quantity';
import { angleGrade, fitCone, halfDegOf, identifyTaper, type Station } from '@whelk/core/taper';
import { correctTaper, stationsFor } from '@whelk/core/tapering';
import { useState } from 'react';
import { inUnit } from '../../messages/in-unit.ts';
import { angleText, correctionText } from '../../messages/taper.ts';
import { TextField } from '../../ui/number-field/TextField.tsx';
import { SelectField } from '../../ui/SelectField.tsx';
import { PictureView } from '../../ui/strip/PictureView.tsx';

interface Props {
  readonly unit: LengthUnit;
  readonly perLength: number;
  readonly lengthMm: number;
  readonly largeMm: number;
  readonly grade: number;
  readonly pivotsMm: number | undefined;
}
/** Half a gauge's face and what keeps clear of an end; stations so far apart; an indicator's travel. */
const ANVIL_MM = 4;
const APART = { mm: 25, in: 25.4 } as const;
const TRAVEL = { mm: 50, in: 50.8 } as const;
/** How surely an indicator is set and clamped. */
const SET_MM = 0.004;
const BY = ['compound', 'attachment', 'setOver'] as const;
const byNames = { compound: 'the compound', attachment: 'the attachment', setOver: 'the tailstock' } as const;

/** A cone proved at stations before it is taken to size: what was read, the line through it, the next setting. */
export function Proving({ unit, perLength, lengthMm, largeMm, grade, pivotsMm }: Props) {
  const [texts, setTexts] = useState<Readonly<Record<number, string>>>({});
  const [doubt, setDoubt] = useState(unit === 'mm' ? '0.004' : '.0002');
  const [by, setBy] = useState<(typeof BY)[number]>('compound');
  const u = inUnit(unit);
  const share = Math.abs(perLength);
  const places = stationsFor(lengthMm, Math.min(ANVIL_MM, lengthMm / 5), APART[unit]);
  const sure = parseLength(doubt, unit);
  const uncertaintyMm = sure.ok && sure.mm.valueOf() > 0 ? sure.mm.valueOf() : 0.004;
  const stations = places.flatMap((zMm, i): Station[] => {
    const read = parseLength(texts[i] ?? '', unit);
    return read.ok && read.mm.valueOf() > 0 ? [{ zMm, diameterMm: read.mm.valueOf(), uncertaintyMm }] : [];
  });
  const cone = fitCone(stations);
  const tolerance = angleGrade(grade, lengthMm);
  const toleranceDeg = ((tolerance?.microradians ?? 250) * 1e-6 * 180) / Math.PI / 4;
  const over = by === 'setOver' ? pivotsMm : TRAVEL[unit];
  const found =
    cone && over !== undefined
      ? correctTaper(
          share,
          { perLength: -cone.perLength, doubtPerLength: cone.doubtPerLength },
          by === 'setOver' ? { by, pivotsMm: over, setMm: SET_MM } : { by, travelMm: over, setMm: SET_MM },
          toleranceDeg,
        )
      : undefined;
  // the size is taken last: what is off here is the slope, told from the middle of what was read
  const middleMm = stations.reduce((sum, s) => sum + s.zMm, 0) / Math.max(1, stations.length);
  const sizeOff = cone ? cone.diameterAtMm(middleMm) - (largeMm - share * middleMm) : 0;
  const offAt = (zMm: number, mm: number): number => mm - (largeMm - share * zMm) - sizeOff;
  const picture = conePicture(
    {
      ...{ largeMm, smallMm: Math.max(0.01, largeMm - share * lengthMm), lengthMm },
      stations: stations.map((s, i) => ({
        ...{ zMm: s.zMm, offMm: offAt(s.zMm, s.diameterMm) },
        ...(cone?.doubtful === i ? { doubtful: true } : {}),
      })),
      ...(cone && tolerance
        ? { tolerance: { aboutMm: middleMm, perLength: tolerance.overLengthUm / 2000 / lengthMm } }
        : {}),
      ...(cone
        ? {
            fit: { atLargeMm: offAt(0, cone.diameterAtMm(0)), atSmallMm: offAt(lengthMm, cone.diameterAtMm(lengthMm)) },
          }
        : {}),
    },
    640,
    230,
  );
  const ends = cone ? [cone.diameterAtMm(places[0] ?? 0), cone.diameterAtMm(places.at(-1) ?? lengthMm)] : [];
  const likely = cone ? identifyTaper(cone, lengthMm, Math.min(...ends), Math.max(...ends), 4) : [];
  return (
    <section aria-label="Proving" className="mt-10">
      <h2>Proved before it is taken to size</h2>
      <p className="max-w-3xl">
        Mark the places from the large end, spindle stopped; the first clears the gauge’s anvil. Read square to the
        axis, not to the cone’s side.
      </p>
      <div className="mt-3 grid items-start gap-x-10 gap-y-4 xl:grid-cols-[minmax(0,1.1fr)_minmax(0,1fr)]">
        <figure>
          <PictureView picture={picture} label="The cone with what was read along it" />
          <figcaption className="text-sm">
            {stations.length === 0
              ? 'Large end left; readings are drawn here as they are typed.'
              : `What is off is drawn ${picture.times} times larger; blue the line through it, green what the grade allows.`}
          </figcaption>
        </figure>
        <div>
          <div className="flex flex-wrap gap-3">
            {places.map((zMm, i) => (
              <TextField
                key={zMm}
                className="w-28"
                label={`at ${u.len(zMm, 1)}`}
                value={texts[i] ?? ''}
                onChange={(text) => setTexts({ ...texts, [i]: text })}
                data={`station-${i}`}
                inputMode={unit === 'mm' ? 'decimal' : 'text'}
              />
            ))}
            {places.length === 0 && <p>Too short to read at two places: by ring or plug, and blue.</p>}
          </div>
          <div className="mt-3 flex flex-wrap items-end gap-3">
            <TextField
              className="w-32"
              label={`Gauge to ±, ${unit}`}
              value={doubt}
              onChange={setDoubt}
              data="station-doubt"
            />
            <SelectField
              label="Set by"
              className="w-44"
              value={by}
              choices={BY.map((b) => [b, byNames[b]] as const)}
              onPick={setBy}
            />
          </div>
          <div role="status" className="mt-4 text-base">
            {cone && found && (
              <>
                <p>
                  It is 1 : {(1 / Math.abs(cone.perLength)).toFixed(2)}, half angle{' '}
                  {angleText(halfDegOf(cone.perLength))};{' '}
                  {Math.abs(found.offDeg) * 3600 < 0.5
                    ? 'as wanted'
                    : `${angleText(found.offDeg)} too ${found.offDeg > 0 ? 'steep' : 'slow'}`}
                  {stations.length > 2 && `; out of straight by ${u.len(cone.straightMm, 3)}`}.
                </p>
                {cone.doubtful !== undefined && (
                  <p className="field-warning mt-1 font-semibold">
                    ▲ The reading at {u.len(stations[cone.doubtful]!.zMm, 1)} lies out of line with the others: read it
                    again.
                  </p>
                )}
                <p className="mt-2 border-l-4 border-[var(--now)] pl-4 text-lg font-semibold">
                  {correctionText(found, by, over ?? 0, u, perLength >= 0)}
                </p>
              </>
            )}
            {cone && over === undefined && <p>Say above how long the work is between its centres.</p>}
            {likely.length > 0 && (
              <p className="mt-2">As it is it could be {likely.map((l) => l.taper.name).join(', ')}.</p>
            )}
          </div>
        </div>
      </div>
    </section>
  );
}
