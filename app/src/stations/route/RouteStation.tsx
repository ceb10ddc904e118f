import { usualPolicy } from '@whelk/core/cutting';
import { helpedByHolding, type Setup } from '@whelk/core/hold';
import {
  type Job,
  missingTools,
  type PlannedJob,
  planJob,
  stationOf,
  stillWaiting,
  tellsOfMissing,
} from '@whelk/core/job';
import { insides } from '@whelk/core/part';
import { HOLE_SCHOOLS, type HoleSchool, isCoarseForm, type Operation } from '@whelk/core/route';
import { type NamedThread, readThread } from '@whelk/core/thread';
import { lazy, Suspense, useState } from 'react';
import { operationTitle } from '../../desks/operation/kinds.ts';
import { inUnit } from '../../messages/in-unit.ts';
import { taperWishText } from '../../messages/taper.ts';
import { threadWishText } from '../../messages/thread.ts';
import { surfaceText } from '../../messages/waiting.ts';
import { holeSchoolNames, lastCutsNames, schoolNames, schoolNotes } from '../../messages/words.ts';
import { minutes } from '../../ui/format.ts';
import { fromJson } from '../../ui/from-json.tsx';
import { LastCutsFields } from '../../ui/LastCutsFields.tsx';
import { PolicyFields } from '../../ui/PolicyFields.tsx';
import { Working } from '../../ui/working/Working.tsx';
import { JobFrame, type StationProps } from '../frame/JobFrame.tsx';
import { NotCut } from '../frame/NotCut.tsx';
import { Problems } from '../frame/Problems.tsx';
import { SetupBar } from '../frame/SetupBar.tsx';
import { useJob } from '../frame/useJob.ts';
import { useNames } from '../frame/useNames.ts';
import { usePlanned } from '../frame/usePlanned.ts';
import { Courses } from './Courses.tsx';
import { Missing } from './Missing.tsx';
import { OrderRules } from './OrderRules.tsx';
import { LeftHere } from './Placed.tsx';
import { ProofBar } from './ProofBar.tsx';
import { Score } from './Score.tsx';
import type { GoTo } from './SimulatedStrip.tsx';
import { hasCones, TaperFields } from './TaperFields.tsx';
import { ThreadFields } from './ThreadFields.tsx';
import { useProof } from './useProof.ts';

const SimulatedStrip = lazy(() => import('./SimulatedStrip.tsx').then((m) => ({ default: m.SimulatedStrip })));

/** The threads of the drawing that can be read. */
const threadsOf = ({ part }: PlannedJob): readonly NamedThread[] =>
  part.surfaces.flatMap((s) => {
    const read = s.kind === 'thread' ? readThread(s.designation) : undefined;
    return read?.ok ? [read.thread] : [];
  });
const coarseForms = (planned: PlannedJob): boolean => threadsOf(planned).some(isCoarseForm);
const severalStarts = (planned: PlannedJob): boolean => threadsOf(planned).some((t) => t.starts > 1);

/** What is left for the last cuts, where the turner said it, as the shop says it. */
function leftText({ route: { lastCuts }, drawing: { unit } }: Job): string {
  if (lastCuts?.leaveMm === undefined) return '';
  const { bare } = inUnit(unit);
  return lastCuts.told === 'side'
    ? `, ${bare(lastCuts.leaveMm / 2)} ${unit} left on each side`
    : `, ${bare(lastCuts.leaveMm)} ${unit} left on the diameter`;
}

/** Route: the operations as the score under the strip, settings and minutes beside. */
function RouteStation({ id, stored, shop, runs }: StationProps) {
  const editor = useJob(id, stored);
  const { job } = editor;
  const { planned, progress } = usePlanned(job, shop, runs);
  const [asked, setShown] = useState(1);
  const number = Math.min(asked, Math.max(1, planned.setups.length));
  const shown = planned.setups[number - 1];
  const plan = shown?.plan;
  const several = planned.setups.length > 1;
  const waiting = several ? stillWaiting(planned.setups) : (plan?.waiting ?? []);
  const at = (operationId: string) => (number > 1 ? `${number}/${operationId}` : operationId);
  const [openId, setOpenId] = useState<string>();
  const open = plan?.operations.find((o) => o.id === openId);
  const nameOf = useNames(job, planned);
  const school = job.route.school;
  const proof = useProof(job, shop);
  const missing = missingTools(planned.setups);
  const [watching, setWatching] = useState(false);
  const [goTo, setGoTo] = useState<GoTo>();
  const proved = proof?.setups[number - 1];
  const onSetup = (change: (setup: Setup) => Setup) =>
    editor.change((j) => ({
      ...j,
      hold: { ...j.hold, setups: j.hold.setups.map((s, i) => (i === number - 1 ? change(s) : s)) },
    }));
  const titleOf = (o: Operation): string =>
    operationTitle(o, { unit: job.drawing.unit, name: nameOf(o.featureId), setupNumber: number });
  return (
    <JobFrame
      id={id}
      editor={editor}
      planned={planned}
      progress={progress}
      station="route"
      showHolding
      setup={shown}
      selected={open?.featureId}
      onSelect={(featureId) => setOpenId(plan?.operations.find((o) => o.featureId === featureId)?.id)}
      cut={cutOf(open)}
      instead={
        watching && shown && proved
          ? (width) => (
              <Suspense fallback={<p className="muted p-5">Loading…</p>}>
                <SimulatedStrip
                  key={number}
                  setup={shown}
                  proof={proved}
                  unit={job.drawing.unit}
                  {...{ width, nameOf, goTo }}
                />
              </Suspense>
            )
          : undefined
      }
      aside={
        plan && plan.operations.length > 0 ? (
          <>
            {`${several ? `holding ${number} of ${planned.setups.length}: ` : ''}${plan.operations.length} operations · ${plan.changes} changes of setting · about ${minutes(plan.minutes)} a piece`}
            <Working
              of="the time"
              tell={(record) => void planJob(job, shop, (op) => (op === at('total') ? record : undefined))}
            />
          </>
        ) : undefined
      }
    >
      {several && (
        <SetupBar
          planned={planned}
          shown={number}
          onShow={(to) => {
            setShown(to);
            setOpenId(undefined);
          }}
        />
      )}
      <div className="flex flex-wrap items-end gap-x-6 gap-y-2 px-5 pt-3">
        <fieldset className="flex flex-wrap items-center gap-x-4">
          <legend className="visually-hidden">How speeds are chosen</legend>
          {(['shopRule', 'conditions', 'machineFirst'] as const).map((name) => (
            <label key={name} className="flex min-h-10 cursor-pointer items-center gap-2">
              <input
                type="radio"
                className="h-4 w-4"
                name="school"
                checked={school === name}
                onChange={() => editor.change((j) => ({ ...j, route: { ...j.route, school: name } }))}
              />
              {schoolNames[name]}
            </label>
          ))}
        </fieldset>
        <PolicyFields
          policy={job.route.policy ?? usualPolicy}
          onChange={(policy) => editor.change((j) => ({ ...j, route: { ...j.route, policy } }))}
        />
        <label className="flex items-center gap-2 text-sm">
          Tools
          <select
            className="select select-sm w-36"
            value={job.route.tools}
            onChange={(e) => editor.change((j) => ({ ...j, route: { ...j.route, tools: e.target.value as 'hss' } }))}
          >
            <option value="hss">HSS first</option>
            <option value="carbide">Carbide first</option>
          </select>
        </label>
        {insides(planned.part).length > 0 && (
          <label className="flex items-center gap-2 text-sm">
            Holes
            <select
              className="select select-sm w-44"
              value={job.route.holes ?? 'asDrawn'}
              onChange={(e) =>
                editor.change((j) => ({ ...j, route: { ...j.route, holes: e.target.value as HoleSchool } }))
              }
            >
              {HOLE_SCHOOLS.map((name) => (
                <option key={name} value={name}>
                  {holeSchoolNames[name]}
                </option>
              ))}
            </select>
          </label>
        )}
        <p className="muted text-sm">{schoolNotes[school]}</p>
      </div>
      <details className="mx-5 mt-2">
        <summary className="cursor-pointer">
          <b>Last cuts:</b> {lastCutsNames[job.route.lastCuts?.school ?? 'byLimits']}
          {leftText(job)}
        </summary>
        <div className="mt-2">
          <LastCutsFields
            wanted={job.route.lastCuts}
            onChange={(lastCuts) => editor.change((j) => ({ ...j, route: { ...j.route, lastCuts } }), 'lastCuts')}
          />
        </div>
      </details>
      {planned.part.surfaces.some((s) => s.kind === 'thread') && (
        <details className="mx-5 mt-2">
          <summary className="cursor-pointer">
            <b>Threads:</b> {threadWishText(job.route.threads ?? {}, severalStarts(planned), coarseForms(planned))}
          </summary>
          <div className="mt-2">
            <ThreadFields
              wish={job.route.threads}
              several={severalStarts(planned)}
              coarse={coarseForms(planned)}
              onChange={(threads) => editor.change((j) => ({ ...j, route: { ...j.route, threads } }), 'threads')}
            />
          </div>
        </details>
      )}
      {hasCones(planned.part) && (
        <details className="mx-5 mt-2">
          <summary className="cursor-pointer">
            <b>Cones:</b> {taperWishText(job.route.tapers ?? {})}
          </summary>
          <div className="mt-2">
            <TaperFields
              wish={job.route.tapers}
              onChange={(tapers) => editor.change((j) => ({ ...j, route: { ...j.route, tapers } }), 'tapers')}
            />
          </div>
        </details>
      )}
      <div className="px-5">
        <Problems
          problems={planned.problems.filter(
            (p) => !tellsOfMissing(p) && (p.severity === 'warning' || stationOf(p) === 'route'),
          )}
          several={several}
        />
        <Missing {...{ missing, material: planned.material }} />
      </div>
      {shown && plan && plan.operations.length > 0 ? (
        <>
          <ProofBar
            {...{ proof, number, several }}
            nameOf={(of) => (of ? surfaceText(of, shown.piece.part, nameOf) : '')}
            operations={plan.operations}
            unit={job.drawing.unit}
            shown={watching}
            onShow={() => {
              setWatching(!watching);
              setGoTo(undefined);
            }}
            onFind={(finding, setupNumber) => {
              setShown(setupNumber);
              setWatching(true);
              setGoTo({ finding });
              scrollTo({ top: 0 });
            }}
          />
          <OrderRules
            setup={shown}
            titleOf={titleOf}
            problems={planned.problems}
            onMoves={(moves) => onSetup((s) => ({ ...s, moves: moves.length > 0 ? [...moves] : undefined }))}
          />
          <Courses
            job={job}
            shop={shop}
            onTake={(setups) =>
              editor.change((j) => ({
                ...j,
                hold: {
                  ...j.hold,
                  setups: setups.map((s, i) => ({ ...s, id: j.hold.setups[i]?.id ?? crypto.randomUUID() })),
                },
              }))
            }
          />
          <Score
            onSetup={onSetup}
            jobId={id}
            setup={shown}
            job={job}
            openId={openId}
            onOpen={(o) => setOpenId(o === openId ? undefined : o)}
            nameOf={nameOf}
            tell={(operationId) => (record) =>
              void planJob(job, shop, (op) => (op === at(operationId) ? record : undefined))
            }
          />
          <nav
            className="flex flex-wrap gap-3 border-t border-[var(--line)] px-5 pt-4"
            aria-label="The route as a file"
          >
            <a className="btn btn-sm" href={`/api/jobs/${id}/traveller.pdf`} download>
              Traveller, .pdf
            </a>
            <a className="btn btn-sm" href={`/api/jobs/${id}/route.csv`} download>
              Route, .csv
            </a>
            <a className="btn btn-sm" href={`/api/jobs/${id}/route.json`} download>
              Route, .json
            </a>
          </nav>
          <section className="px-5 py-4" aria-labelledby="waits">
            <h2 id="waits">{several ? 'Not planned in any holding' : 'Not cut in this holding'}</h2>
            <NotCut part={shown.piece.part} waiting={waiting} nameOf={nameOf} />
            <LeftHere {...{ setup: shown, onSetup, nameOf }} />
            {!several && waiting.some(helpedByHolding) && (
              <p className="mt-2">
                <a className="link" href={`/jobs/${id}/hold`}>
                  Add a holding for it
                </a>
              </p>
            )}
          </section>
        </>
      ) : (
        <p className="page muted">
          {planned.problems.some((p) => p.severity !== 'warning')
            ? 'The route follows when drawing, stock and hold are right.'
            : 'Nothing to turn from the tailstock end in this holding.'}{' '}
          Next:{' '}
          <a className="link" href={`/jobs/${id}/${progress.now}`}>
            {progress.now}
          </a>
          .
        </p>
      )}
    </JobFrame>
  );
}

function cutOf(operation: Operation | undefined) {
  const first = operation?.passes[0];
  const last = operation?.passes.at(-1);
  return operation && first && last
    ? {
        zFromMm: operation.zFromMm,
        zToMm: operation.zToMm,
        beforeMm: first.diameterBeforeMm,
        afterMm: last.diameterAfterMm,
      }
    : undefined;
}

export default fromJson(RouteStation);
