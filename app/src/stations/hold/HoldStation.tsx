import { heldBy, type Setup, type TruingRecord, turnsOver } from '@whelk/core/hold';
import { type Job, type PlannedJob, type PlannedSetup, planJob, type Shop, stationOf, type Way } from '@whelk/core/job';
import { chuckOf } from '@whelk/core/lathe';
import { bentLineOf, kindOf } from '@whelk/core/route';
import type { Recorder } from '@whelk/core/working';
import { lazy, Suspense, useMemo, useState } from 'react';
import { heldText, whyMethodText } from '../../messages/words.ts';
import { length, power } from '../../ui/format.ts';
import { fromJson } from '../../ui/from-json.tsx';
import { useSeen } from '../../ui/useSeen.ts';
import { Working } from '../../ui/working/Working.tsx';
import { JobFrame, type StationProps } from '../frame/JobFrame.tsx';
import { Problems } from '../frame/Problems.tsx';
import { SetupBar } from '../frame/SetupBar.tsx';
import { useJob } from '../frame/useJob.ts';
import { useNames } from '../frame/useNames.ts';
import { usePlanned } from '../frame/usePlanned.ts';
import { Bears, worstCut } from './Bears.tsx';
import { SetupForm } from './SetupForm.tsx';
import { useNextSetup } from './useWays.ts';

const AboutSetup = lazy(() => import('./AboutSetup.tsx'));
const Together = lazy(() => import('./Together.tsx'));
const Proposals = lazy(() => import('./Proposals.tsx'));
const TailCentre = lazy(() => import('./TailCentre.tsx'));
const TruingRecords = lazy(() => import('./TruingRecords.tsx'));

/** A setup held as a way proposes it. */
function heldThatWay(setup: Setup, { method, chuckId }: Way): Setup {
  const held = method ? heldBy(setup, method) : setup;
  return held.grip.kind === 'jaws' && chuckId ? { ...held, grip: { ...held.grip, chuckId } } : held;
}

/** Hold: which lathe, in which holdings, and whether work, motor and jaws bear the cuts of each. */
function HoldStation({ id, stored, shop, runs }: StationProps) {
  const editor = useJob(id, stored);
  const { job } = editor;
  const { planned, progress } = usePlanned(job, shop, runs);
  const next = useNextSetup(job, shop);
  const { unit } = job.drawing;
  const nameOf = useNames(job, planned);
  const [asked, setShown] = useState(1);
  const number = Math.min(asked, Math.max(1, planned.setups.length));
  const shown = planned.setups[number - 1];
  const setup = job.hold.setups[number - 1]!;
  const setSetups = (change: (list: readonly Setup[]) => readonly Setup[], field = '') =>
    editor.change((j) => ({ ...j, hold: { ...j.hold, setups: [...change(j.hold.setups)] } }), field);
  const setSetup = (next: Setup, field = '') =>
    setSetups((list) => list.map((s, i) => (i === number - 1 ? next : s)), field);
  const lathe = shop.lathes.find((l) => l.id === job.hold.latheId);
  const bent = useMemo(() => bentUnder(shown), [shown]);
  return (
    <JobFrame
      id={id}
      editor={editor}
      planned={planned}
      progress={progress}
      station="hold"
      showHolding
      setup={shown}
      bent={bent}
    >
      <SetupBar
        planned={planned}
        shown={number}
        onShow={setShown}
        next={next}
        onAdd={(setup) => {
          setSetups((list) => [...list, setup]);
          setShown(planned.setups.length + 1);
        }}
      />
      <div className="page grid gap-8 lg:grid-cols-2">
        <section aria-labelledby="lathe">
          {number > 1 ? (
            <h2 id="lathe">Holding {number}: put in again</h2>
          ) : (
            <>
              <h2 id="lathe">Lathe</h2>
              {shop.lathes.length === 0 && <p className="muted">The shop has no lathe yet.</p>}
              <WhichLathe
                {...{ shop, unit }}
                chosen={job.hold.latheId}
                onChoose={(latheId) => editor.change((j) => ({ ...j, hold: { ...j.hold, latheId } }))}
              />
              <h2 className="mt-6">How held</h2>
            </>
          )}
          <SetupForm
            {...{ setup, number, lathe, nameOf }}
            planned={shown}
            cast={planned.barSizes?.shape === 'casting'}
            clearanceMm={job.stock.allow.clearanceMm}
            onChange={setSetup}
            onClearance={(clearanceMm) =>
              editor.change(
                (j) => ({ ...j, stock: { ...j.stock, allow: { ...j.stock.allow, clearanceMm } } }),
                'clearance',
              )
            }
          />
          {number > 1 && (
            <button
              type="button"
              className="quiet mt-3 text-sm"
              onClick={() => {
                setSetups((list) => list.filter((_, i) => i !== number - 1));
                setShown(number - 1);
              }}
            >
              Take this holding out
            </button>
          )}
        </section>
        <WhatItBears {...{ job, shop, planned, number, nameOf, unit }} setup={shown} drawn={bent} />
        <Further
          {...{ job, shop, planned, number, nameOf, unit, lathe }}
          onHold={(way) => setSetup(heldThatWay(setup, way), `way-${number}`)}
          onTail={(tail) => setSetup({ ...setup, tail }, `tail-${number}`)}
          onRecords={(truings) =>
            editor.change((j) => ({ ...j, hold: { ...j.hold, truings: [...truings] } }), 'truings')
          }
        />
      </div>
    </JobFrame>
  );
}

/** How it is held, what is wrong with that, and what the cuts ask of motor, work and jaws. */
function WhatItBears({
  job,
  shop,
  planned,
  number,
  setup,
  nameOf,
  unit,
  drawn,
}: {
  job: Job;
  shop: Shop;
  planned: PlannedJob;
  number: number;
  setup: PlannedSetup | undefined;
  nameOf: (featureId: string | undefined) => string;
  unit: 'mm' | 'in';
  drawn: ReturnType<typeof bentUnder>;
}) {
  const plan = setup?.plan;
  const at = (operationId: string) => (number > 1 ? `${number}/${operationId}` : operationId);
  const tellFor = (operationId: string, codes: readonly string[]) => (record: Recorder) =>
    void planJob(job, shop, (op) =>
      op === at(operationId) ? (step) => codes.includes(step.code) && record(step) : undefined,
    );
  const ofThis = planned.problems.filter(
    (p) =>
      stationOf(p) === 'hold' &&
      (p.path[1] === 'setups' ? p.path[2] === number - 1 : number === 1 || p.severity !== 'warning'),
  );
  return (
    <section aria-labelledby="bears">
      <h2 id="bears">What it bears</h2>
      <Problems problems={ofThis} />
      {setup && plan?.held && (
        <p className="mt-2 text-lg">
          <b className="setting">{heldText(setup)}</b>
          <Working
            of="overhang"
            tell={(record) => void planJob(job, shop, (op) => (op === at('hold') ? record : undefined))}
          />
          <span className="muted block text-base">
            {turnsOver(plan.held.method)
              ? 'the work stands, the cutter turns: nothing bends but the bar'
              : `${plan.held.overhangDiameters.toFixed(1)} diameters: ${whyMethodText[plan.held.why]}`}
          </span>
        </p>
      )}
      {setup && plan?.held && (
        <Suspense>
          <AboutSetup {...{ job, planned, nameOf }} setup={setup} />
        </Suspense>
      )}
      <Loads {...{ job, planned, nameOf, unit }} plan={plan} tell={tellFor} drawn={drawn} />
    </section>
  );
}

/** What comes after how it is held: what stays true to what, other ways, the tail centre, truing; loaded when it is seen. */
function Further({
  job,
  shop,
  planned,
  number,
  nameOf,
  unit,
  lathe,
  onHold,
  onTail,
  onRecords,
}: {
  job: Job;
  shop: Shop;
  planned: PlannedJob;
  number: number;
  nameOf: (featureId: string | undefined) => string;
  unit: 'mm' | 'in';
  lathe: Shop['lathes'][number] | undefined;
  onHold: (way: Way) => void;
  onTail: (tail: Setup['tail']) => void;
  onRecords: (truings: readonly TruingRecord[]) => void;
}) {
  const [waysRef, waysSeen] = useSeen<HTMLElement>(1200);
  const [truingRef, truingSeen] = useSeen<HTMLElement>();
  const shown = planned.setups[number - 1];
  const plan = shown?.plan;
  return (
    <>
      {planned.setups.length > 1 && (
        <section aria-labelledby="together" className="lg:col-span-2">
          <h2 id="together">What stays true to what</h2>
          <Suspense>
            <Together setups={planned.setups} nameOf={nameOf} unit={unit} />
          </Suspense>
        </section>
      )}
      <section ref={waysRef} aria-labelledby="ways" className="min-h-40 lg:col-span-2">
        <h2 id="ways">Ways to hold it</h2>
        <div className="mt-2">
          <Suspense fallback={<p className="muted">Loading…</p>}>
            {waysSeen && <Proposals key={number} {...{ job, shop, number, onHold, onTail }} />}
          </Suspense>
        </div>
      </section>
      {plan?.held?.method === 'chuckAndCentre' && plan.operations.some((o) => o.kind === 'centre') && shown && (
        <section aria-labelledby="centre" className="lg:col-span-2">
          <h2 id="centre">Tail centre</h2>
          <div className="mt-3">
            <Suspense fallback={<p className="muted">Loading…</p>}>
              {waysSeen && <TailCentre job={job} setup={shown} />}
            </Suspense>
          </div>
        </section>
      )}
      <section ref={truingRef} aria-labelledby="true" className="min-h-96 lg:col-span-2">
        <h2 id="true">Bring it true</h2>
        <div className="mt-3">
          <Suspense fallback={<p className="muted">Loading…</p>}>
            {truingSeen && (
              <TruingRecords
                job={job}
                lathe={lathe}
                betweenMm={planned.blank?.lengthMm}
                runoutMm={0.03}
                onRecords={onRecords}
              />
            )}
          </Suspense>
        </div>
      </section>
    </>
  );
}

/** How the work bends under the cut that bends it most; undefined where it is nothing to look at. */
function bentUnder(setup: PlannedSetup | undefined) {
  const plan = setup?.plan;
  const worst = worstCut(plan, (o) => o.loads!.bendMm ?? 0);
  if (!setup || !plan?.held || !worst?.loads) return undefined;
  const { piece, means } = setup;
  const cut = { ...worst, bendMm: worst.loads.bendMm ?? 0 };
  const line = bentLineOf(piece, plan.held, means.material.modulusGPa, cut);
  const awayMm = Math.max(...line.points.map((p) => Math.abs(p.awayMm)));
  // less than the last figure shows is nothing to look at
  return awayMm < 0.0005 ? undefined : { ...line, awayMm, inRoughing: kindOf(worst.kind).act === 'rough' };
}

/** The shop's lathes, to choose one. */
function WhichLathe({
  shop,
  unit,
  chosen,
  onChoose,
}: {
  shop: Shop;
  unit: 'mm' | 'in';
  chosen: string | null;
  onChoose: (latheId: string) => void;
}) {
  return (
    <ul className="rows">
      {shop.lathes.map((l) => (
        <li
          key={l.id}
          className={`flex items-start gap-3 px-2 py-2 ${l.id === chosen ? 'bg-[var(--brass-soft)]' : ''}`}
        >
          <input
            id={`l-${l.id}`}
            type="radio"
            name="lathe"
            className="mt-1 h-5 w-5"
            checked={l.id === chosen}
            onChange={() => onChoose(l.id)}
          />
          <label htmlFor={`l-${l.id}`} className="flex-1 cursor-pointer">
            <b>{l.name}</b>
            <span className="muted block text-sm">
              {length(l.sizes.betweenCentresMm, unit)} {unit} between centres · Ø
              {length(l.sizes.swingOverCrossSlideMm, unit)} over the cross-slide · {power(l.drive.motorKw, unit)} ·{' '}
              {chuckOf(l).name}
            </span>
          </label>
        </li>
      ))}
    </ul>
  );
}

/** What the cuts ask of motor, work and jaws, or why that is not known yet. */
function Loads({
  job,
  planned,
  plan,
  nameOf,
  unit,
  tell,
  drawn,
}: { job: Job; planned: PlannedJob; plan: PlannedSetup['plan'] | undefined } & Omit<
  React.ComponentProps<typeof Bears>,
  'plan'
>) {
  if (plan?.operations.some((o) => o.loads)) return <Bears {...{ plan, tell, nameOf, drawn, unit }} />;
  return (
    <p className="muted mt-3">
      {!planned.bar
        ? 'Choose a bar at Stock first.'
        : !job.hold.latheId
          ? 'Choose a lathe: the loads follow.'
          : plan && plan.operations.length > 0
            ? 'No diameters are turned in this holding.'
            : 'Put right what is marked; the loads follow.'}
    </p>
  );
}

export default fromJson(HoldStation);
