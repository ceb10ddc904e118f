import type { Setup } from '@whelk/core/hold';
import type { Job, PlannedSetup } from '@whelk/core/job';
import { depthRing, type Lathe } from '@whelk/core/lathe';
import { bySchool, kindOf, type Operation, type SchoolAnswer } from '@whelk/core/route';
import { hasEdge, type Tool } from '@whelk/core/tool';
import type { Recorder } from '@whelk/core/working';
import { useMemo } from 'react';
import { shownOf } from '../../desks/operation/kinds.ts';
import type { TellOnly } from '../../desks/operation/shown.ts';
import { cautionText, noteText } from '../../messages/cautions.ts';
import { carriedText, exceedText, limiterText, reasonText, schoolNames } from '../../messages/words.ts';
import { CutLoads } from '../../ui/CutLoads.tsx';
import { aimed, cuttingSpeed, feed, feedUnit, measure, minutes, ringText } from '../../ui/format.ts';
import { Working } from '../../ui/working/Working.tsx';
import { Placed } from './Placed.tsx';
import { Surface } from './Surface.tsx';

interface Props {
  readonly jobId: string;
  readonly operation: Operation;
  readonly job: Job;
  readonly setup: PlannedSetup;
  readonly tell: (operationId: string) => (record: Recorder) => void;
  readonly onSetup: (change: (setup: Setup) => Setup) => void;
  readonly nameOf: (featureId: string | undefined) => string;
}

/** An operation opened in place: settings, passes with their dial moves, loads, and the schools side by side. */
export function OperationDetail({ jobId, operation: o, job, setup, tell, onSetup, nameOf }: Props) {
  const { lathe, tools, instruments } = setup.means;
  const { unit } = job.drawing;
  const instrument = instruments.find((i) => i.id === o.instrumentId);
  const only =
    (...codes: string[]) =>
    (record: Recorder) =>
      tell(o.id)((step) => codes.includes(step.code) && record(step));
  const shown = shownOf(o.kind);
  const { act } = kindOf(o.kind);
  return (
    <div className="grid gap-x-8 gap-y-4 px-6 pb-4 pt-2 md:grid-cols-3">
      <SpeedAndFeed {...{ operation: o, lathe, only }} tool={tools.find((t) => t.id === o.toolId)} />
      <div>
        {o.passes.length > 0 && <Passes {...{ operation: o, lathe, unit, only }} />}
        {o.limits && (
          <p className="mt-2">
            {shown.limitsOf ?? 'Limits'}{' '}
            <b>
              {measure(o.limits.lowerMm, unit)} … {measure(o.limits.upperMm, unit)}
            </b>{' '}
            {unit}
            {o.targetMm !== undefined && act !== 'half' && (
              <span className="muted block text-sm">
                aimed at {measure(o.targetMm, unit)}
                {act === 'last' || act === 'measure' ? ', the middle' : ''}
              </span>
            )}
          </p>
        )}
        {shown.Detail && <shown.Detail operation={o as never} unit={unit} gauge={instrument} tell={only} />}
        {o.passes.length === 0 && (
          <p className="mt-1">
            About {minutes(o.minutes)}. <Working of="time" tell={only('route.usualMinutes', 'route.faceMinutes')} />
          </p>
        )}
        {o.carried && <p className="muted mt-1 text-sm">The work {carriedText[o.carried]}.</p>}
        {cautionText(o.caution) && <p className="field-warning mt-2 text-[0.95rem]">▲ {cautionText(o.caution)}</p>}
        {o.notes?.map((note) => (
          <p key={note.code} className="mt-1 text-[0.95rem]">
            {noteText(note, unit)}
          </p>
        ))}
      </div>
      <div className="flex flex-col gap-3">
        <Loads {...{ jobId, operation: o, job, only }} />
        <Placed {...{ setup, onSetup, nameOf }} operation={o} />
      </div>
      {o.passes.length > 0 && <Schools {...{ setup }} operationId={o.id} used={job.route.school} unit={lathe.unit} />}
    </div>
  );
}

interface OfOperation {
  readonly operation: Operation;
  readonly only: TellOnly;
}

/** What the lathe is set to for it, and the tool. */
function SpeedAndFeed({ operation: o, lathe, tool, only }: OfOperation & { lathe: Lathe; tool: Tool | undefined }) {
  if (!o.setting) return null;
  return (
    <div>
      <p className="text-sm">Speed</p>
      <p className="figure">
        {o.setting.rpm}
        <span className="unit">rpm</span>
        <Working
          of="speed"
          tell={only(
            'cutting.tableSpeed',
            'cutting.correctedSpeed',
            'cutting.rpm',
            'cutting.chosenSpeed',
            'cutting.stay',
            'cutting.outOfBand',
          )}
        />
      </p>
      <p className="setting">{o.setting.speedLabel}</p>
      <p className="muted text-sm">
        ideal {o.setting.idealRpm.toFixed(0)} rpm; {reasonText[o.setting.reason]};{' '}
        {cuttingSpeed(o.setting.cuttingSpeedMPerMin, lathe.unit)}
      </p>
      <p className="mt-2 text-sm">Feed</p>
      <p className="figure">
        {feed(o.setting.feedMmPerRev, lathe.unit)}
        <span className="unit">{feedUnit(lathe.unit)}</span>
        <Working of="feed" tell={only('route.feed', 'route.handFeed')} />
      </p>
      <p className="setting">{o.setting.feedLabel ?? 'By hand'}</p>
      {o.setting.feedLabel === undefined && (
        <p className="muted text-sm">
          about {aimed((o.setting.feedMmPerRev * o.setting.rpm) / 60, lathe.unit)} {lathe.unit} a second
        </p>
      )}
      {tool && (
        <p className="mt-2">
          <span className="text-sm">Tool</span>
          <br />
          <b>{tool.name}</b>
        </p>
      )}
      {tool && hasEdge(tool) && o.passes.length > 0 && (
        <Surface feedMmPerRev={o.setting.feedMmPerRev} tool={tool} unit={lathe.unit} />
      )}
    </div>
  );
}

/** Its passes with the diameters they come to and the way of the cross-slide. */
function Passes({ operation: o, lathe, unit, only }: OfOperation & { lathe: Lathe; unit: 'mm' | 'in' }) {
  const depth = Math.max(0, ...o.passes.map((p) => p.depthMm));
  return (
    <>
      <p className="text-sm">
        {o.passes.length === 1 ? 'One pass' : `${o.passes.length} passes`},{' '}
        {measure(depth, lathe.unit, lathe.unit === 'mm' ? 2 : 3)} {lathe.unit} deep; decided by{' '}
        {limiterText[o.decidedBy ?? 'usual']}
        <Working of="depth and passes" tell={only('route.passes', 'route.minutes')} />
      </p>
      <table className="table table-sm">
        <thead>
          <tr>
            <th scope="col">Pass</th>
            <th scope="col" className="text-right">
              Ø after
            </th>
            <th scope="col">{lathe.slides.cutter ? 'Cutter out' : 'Cross-slide in'}</th>
          </tr>
        </thead>
        <tbody>
          {o.passes.map((pass, i) => {
            return (
              // biome-ignore lint/suspicious/noArrayIndexKey: passes are counted
              <tr key={i}>
                <td>{i + 1}</td>
                <td className="text-right">
                  {aimed(pass.diameterAfterMm, unit)} {unit}
                </td>
                <td>
                  {ringText(depthRing(lathe), pass.depthMm)} {depthRing(lathe).unit}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      {depthRing(lathe).kind === 'diameter' && (
        <p className="muted text-sm">This dial counts the change of diameter.</p>
      )}
    </>
  );
}

/** What it asks of motor, work and jaws. */
function Loads({ jobId, operation: o, job, only }: OfOperation & Pick<Props, 'jobId' | 'job'>) {
  if (!o.loads) return null;
  return (
    <div className="flex flex-col gap-2">
      {o.passes.length > 0 && (
        <a className="link" href={`/bench-book/speeds?job=${jobId}&operation=${o.id}`}>
          {job.route.own?.[o.id] ? 'Your own depth and feed: work on them' : 'Choose depth and feed in the bench book'}
        </a>
      )}
      <CutLoads {...o.loads} />
      <p>
        <Working
          of="loads"
          tell={only(
            'cutting.force',
            'cutting.power',
            'mechanics.cantilever',
            'mechanics.chuckCentre',
            'mechanics.grip',
            'mechanics.tipping',
          )}
        />
      </p>
      {o.exceeds.map((e) => (
        <p key={e} className="field-problem">
          Even this cut {exceedText[e]}.
        </p>
      ))}
    </div>
  );
}

/** Three ways to choose its speed, side by side. */
function Schools({
  setup,
  operationId,
  used,
  unit,
}: {
  setup: PlannedSetup;
  operationId: string;
  used: SchoolAnswer['school'];
  unit: 'mm' | 'in';
}) {
  const schools = useMemo(() => bySchool(setup, operationId), [setup, operationId]);
  return (
    <div className="overflow-x-auto md:col-span-3">
      <table className="table table-sm">
        <caption className="visually-hidden">Three ways to choose the speed of this operation</caption>
        <thead>
          <tr>
            <th scope="col">Speed chosen</th>
            <th scope="col">Ideal</th>
            <th scope="col">Setting</th>
            <th scope="col">Feed</th>
            <th scope="col">Passes</th>
            <th scope="col">Depth</th>
            <th scope="col">Time</th>
          </tr>
        </thead>
        <tbody>
          {schools.map((s) => (
            <tr key={s.school} className={s.school === used ? 'bg-[var(--bench)] font-semibold' : ''}>
              <th scope="row">
                {schoolNames[s.school]}
                {s.school === used ? ' (used)' : ''}
              </th>
              <td>{s.idealRpm.toFixed(0)} rpm</td>
              <td>
                {s.speedLabel}, {s.rpm} rpm
              </td>
              <td>
                {feed(s.feedMmPerRev, unit)} {feedUnit(unit)}
              </td>
              <td>{s.passes}</td>
              <td>
                {measure(s.depthMm, unit, unit === 'mm' ? 2 : 3)} {unit}
              </td>
              <td>{minutes(s.minutes)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
