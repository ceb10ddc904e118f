import {
  type Calibration,
  checkLathe,
  chuckReachMm,
  type Dial,
  dialScale,
  type Lathe,
  reverseIsSafe,
  type Stand,
  withCalibrations,
} from '@whelk/core/lathe';
import type { Tool } from '@whelk/core/tool';
import { useState } from 'react';
import { inUnit } from '../../messages/in-unit.ts';
import { wordProblem } from '../../messages/problems.ts';
import { length, power } from '../../ui/format.ts';
import { fromJson } from '../../ui/from-json.tsx';
import { UnitOfPage } from '../../ui/unit.ts';
import { Calibrations } from './Calibrations.tsx';
import { SpeedsAndFeeds } from './SpeedsAndFeeds.tsx';
import { SpringLearned, type SpringRow } from './SpringLearned.tsx';
import { StandPanel } from './StandPanel.tsx';

interface Props {
  readonly lathe: Lathe;
  readonly calibrations: readonly Calibration[];
  readonly stand: Stand;
  readonly revisions: readonly { readonly revision: number; readonly savedOn: string }[];
  readonly tools: readonly Tool[];
  readonly spring: readonly SpringRow[];
}
const noseText = { screwed: 'screwed', key: 'keyed', cam: 'cam-lock' } as const;

/** A lathe: how it stands, every speed and feed it has, its rings, what it holds work with, how it was measured. */
function LathePage({ lathe: given, calibrations: measured, stand, revisions, tools, spring }: Props) {
  const [lathe, setLathe] = useState(given);
  const [calibrations, setCalibrations] = useState(measured);
  const works = withCalibrations(lathe, calibrations);
  const problems = checkLathe(lathe);
  return (
    <UnitOfPage.Provider value={lathe.unit}>
      <div className="page">
        <p className="text-sm">
          <a className="link" href="/lathes">
            Lathes
          </a>
        </p>
        <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
          <h1>{lathe.name}</h1>
          <span className="muted">
            revision {lathe.revision}
            {Object.keys(lathe.inForce).length > 0 && ` · ${Object.keys(lathe.inForce).length} calibrations in force`}
          </span>
          <span className="ml-auto flex flex-wrap gap-2">
            <a className="btn btn-primary" href={`/lathes/${lathe.id}/describe`}>
              Change the description
            </a>
            <a className="btn" href={`/lathes/${lathe.id}/card`}>
              Speed card
            </a>
            <a className="btn" href={`/api/lathes/${lathe.id}/export`} download>
              Export .json
            </a>
          </span>
        </div>
        <p className="muted">{lathe.note}</p>
        {problems.map((p) => (
          <p
            key={`${p.code}${p.path.join()}`}
            className={
              p.severity === 'warning'
                ? 'mt-1 font-semibold text-[var(--color-accent)]'
                : 'mt-1 font-semibold text-[var(--stop)]'
            }
          >
            {p.severity === 'warning' ? '▲' : '✕'} {wordProblem(p, lathe.unit).what} {wordProblem(p, lathe.unit).right}
          </p>
        ))}
        <div className="mt-4">
          <StandPanel lathe={lathe} tools={tools} given={stand} />
        </div>
        <div className="mt-8">
          <SpeedsAndFeeds lathe={works} />
        </div>
        <Dials lathe={works} />
        <Calibrations
          lathe={lathe}
          all={calibrations}
          onAdded={(c) => setCalibrations([c, ...calibrations])}
          onLathe={setLathe}
        />
        <SpringLearned latheId={lathe.id} given={spring} />
        <Owned lathe={lathe} />
        {revisions.length > 1 && (
          <section aria-labelledby="revisions" className="mt-10">
            <h2 id="revisions">Revisions</h2>
            <ul className="flex flex-wrap gap-x-5 text-sm">
              {revisions.map((r) => (
                <li key={r.revision}>
                  <a className="link" href={`/api/lathes/${lathe.id}/export?revision=${r.revision}`} download>
                    {r.revision}, {r.savedOn}, .json
                  </a>
                </li>
              ))}
            </ul>
            <p className="muted text-sm">Pieces being cut keep the revision they were begun with.</p>
          </section>
        )}
      </div>
    </UnitOfPage.Provider>
  );
}

function Dials({ lathe }: { lathe: Lathe }) {
  const { crossSlide, carriage, compound } = lathe.slides;
  const rows: [string, Dial, 'radial' | 'along'][] = [
    ['Cross-slide', crossSlide, 'radial'],
    ...(carriage.means === 'dial' ? [['Carriage', carriage, 'along'] as [string, Dial, 'along']] : []),
    ['Compound', compound, 'along'],
    ...(lathe.tailstock.dial ? [['Quill', lathe.tailstock.dial, 'along'] as [string, Dial, 'along']] : []),
  ];
  const clockwise = (name: string, dial: Dial, way: 'radial' | 'along') =>
    way === 'radial'
      ? dial.clockwiseMoves === 'in'
        ? 'in, to the axis'
        : 'out'
      : name === 'Quill'
        ? dial.clockwiseMoves === 'in'
          ? 'back'
          : 'out'
        : dial.clockwiseMoves === 'in'
          ? 'towards the chuck'
          : 'towards the tailstock';
  return (
    <section aria-labelledby="dials" className="mt-10">
      <h2 id="dials">Dials</h2>
      <div className="overflow-x-auto">
        <table className="table table-sm">
          <thead>
            <tr>
              {[
                'Slide',
                'One turn moves',
                'One line',
                'Counts',
                'Clockwise moves',
                'Numbers rise',
                'Ring',
                'Slack',
              ].map((head) => (
                <th key={head} scope="col">
                  {head}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map(([name, dial, way]) => (
              <tr key={name}>
                <th scope="row">{name}</th>
                <td>
                  {dial.travelPerTurn} {dial.unit}
                  {dial.scale !== undefined && dial.scale !== 1 && ` × ${dial.scale.toFixed(4)}, measured`}
                </td>
                <td>
                  {dialScale(dial).lineNumber.valueOf()} {dial.unit}, {dial.divisions} lines
                </td>
                <td>{dial.kind === 'diameter' ? 'change of diameter' : 'true travel'}</td>
                <td>{clockwise(name, dial, way)}</td>
                <td>{dial.numbersRise}</td>
                <td>{dial.resettable ? 'can be set to 0' : 'fixed: note the number'}</td>
                <td>{inUnit(lathe.unit).len(dial.slackMm)}</td>
              </tr>
            ))}
            {carriage.means === 'line' && (
              <tr>
                <th scope="row">Carriage</th>
                <td colSpan={7}>no ring: a scribed line, set by rule to {carriage.resolutionMm} mm</td>
              </tr>
            )}
          </tbody>
        </table>
      </div>
    </section>
  );
}

/** Sizes, nose, threads, and everything owned to hold work. */
function Owned({ lathe }: { lathe: Lathe }) {
  const { unit, sizes, holding, threads, spindle, tailstock } = lathe;
  const l = (mm: number) => `${length(mm, unit)} ${unit}`;
  const rows: [string, string][] = [
    [
      'Drive',
      `${power(lathe.drive.motorKw, lathe.unit)}, ${Math.round(lathe.drive.efficiency * 100)} % of it at the spindle`,
    ],
    [
      'Nose',
      `${noseText[spindle.nose.kind]} ${spindle.nose.size}${reverseIsSafe(lathe) ? '' : ': no cutting in reverse, it could unscrew'}`,
    ],
    ['Bore and taper', `Ø${l(spindle.boreMm)}${spindle.taper ? `, ${spindle.taper}` : ''}`],
    ['Between centres', l(sizes.betweenCentresMm)],
    [
      'Swing',
      `Ø${l(sizes.swingOverBedMm)} over the bed, Ø${l(sizes.swingOverCrossSlideMm)} over the cross-slide${sizes.swingInGapMm ? `, Ø${l(sizes.swingInGapMm)} in the gap` : ''}`,
    ],
    [
      'Tailstock',
      `quill ${l(tailstock.quillTravelMm)}${tailstock.taper ? `, ${tailstock.taper}` : ''}${tailstock.setOverMm > 0 ? `, sets over ${l(tailstock.setOverMm)}` : ', cannot be set over'}`,
    ],
    [
      'Tapers',
      lathe.taperAttachment
        ? `attachment over ${l(lathe.taperAttachment.lengthMm)}, up to ${lathe.taperAttachment.mostDeg}°`
        : 'no attachment',
    ],
    [
      'Leadscrew',
      `${threads.leadscrewLead.text} ${threads.leadscrewLead.unit} a turn${threads.dial ? `; wheel of ${threads.dial.wheelTeeth} teeth, ${threads.dial.marks} marks` : ''}`,
    ],
    ['Change gears', threads.gears.join(', ') || 'none'],
    [
      'Pitches engraved',
      threads.settings.map((s) => `${s.pitch} ${s.unit === 'mm' ? 'mm' : 'to the inch'}`).join(', ') || 'none',
    ],
    [
      'Chucks',
      holding.chucks
        .map(
          (c) =>
            `${c.name}: up to Ø${l(chuckReachMm(c))}, at most ${c.maxRpm} rpm, runs out ${inUnit(lathe.unit).len(c.runoutMm)}`,
        )
        .join('; '),
    ],
    ['Collets', holding.collets.map((c) => c.name).join(', ') || 'none'],
    [
      'Faceplate',
      holding.faceplate ? `Ø${l(holding.faceplate.diameterMm)}, at most ${holding.faceplate.maxRpm} rpm` : 'none',
    ],
    [
      'Cross-slide with slots',
      holding.slotted
        ? `${l(holding.slotted.alongMm)} by ${l(holding.slotted.acrossMm)}, the axis ${l(holding.slotted.belowCentreMm)} above it`
        : 'none',
    ],
    [
      'Centres, dogs, mandrels, rests',
      [...holding.centres, ...holding.drivers, ...(holding.arbors ?? []), ...holding.rests]
        .map((x) => x.name)
        .join(', ') || 'none',
    ],
    ['Tool holders', lathe.toolPost.holders.map((h) => h.name).join(', ') || 'not described'],
    ['Usual and deepest cut', `${l(lathe.rigidity.usualDepthMm)} and ${l(lathe.rigidity.deepestCutMm)} on the radius`],
  ];
  return (
    <section aria-labelledby="sizes" className="mt-10">
      <h2 id="sizes">Sizes and holding</h2>
      <dl className="mt-2 grid gap-x-6 gap-y-1 sm:grid-cols-[12rem_1fr]">
        {rows.map(([name, value]) => (
          <div key={name} className="contents">
            <dt className="muted">{name}</dt>
            <dd>{value}</dd>
          </div>
        ))}
      </dl>
    </section>
  );
}

export default fromJson(LathePage);
