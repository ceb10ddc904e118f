import { planJob, stationOf } from '@whelk/core/job';
import { usualChuck, withChuckOn } from '@whelk/core/lathe';
import type { Recorder } from '@whelk/core/working';
import { lazy, Suspense } from 'react';
import { methodText, whyMethodText } from '../../messages/words.ts';
import { byRule, length } from '../../ui/format.ts';
import { fromJson } from '../../ui/from-json.tsx';
import { LoadBar } from '../../ui/LoadBar.tsx';
import { MmField } from '../../ui/number-field/MmField.tsx';
import { useSeen } from '../../ui/useSeen.ts';
import { Working } from '../../ui/working/Working.tsx';
import { JobFrame, type StationProps } from '../frame/JobFrame.tsx';
import { Problems } from '../frame/Problems.tsx';
import { useJob } from '../frame/useJob.ts';
import { usePlanned } from '../frame/usePlanned.ts';

const Proposals = lazy(() => import('./Proposals.tsx'));
const TailCentre = lazy(() => import('./TailCentre.tsx'));
const TruingRecords = lazy(() => import('./TruingRecords.tsx'));

/** Hold: which lathe, how held, and whether work, motor and jaws bear the cuts. */
function HoldStation({ id, stored, shop, runs }: StationProps) {
  const editor = useJob(id, stored);
  const { job } = editor;
  const { planned, progress } = usePlanned(job, shop, runs);
  const { plan } = planned;
  const { unit } = job.drawing;
  const { choice } = job.hold;
  const set = (more: Partial<typeof choice>, field = '') =>
    editor.change((j) => ({ ...j, hold: { ...j.hold, choice: { ...j.hold.choice, ...more } } }), field);
  const lathe = shop.lathes.find((l) => l.id === job.hold.latheId);
  const [truingRef, truingSeen] = useSeen<HTMLElement>();
  const held = lathe && usualChuck(withChuckOn(lathe, choice.chuckId));
  const cutting = plan?.operations.filter((o) => o.loads) ?? [];
  const worst = (pick: (o: (typeof cutting)[number]) => number) =>
    cutting.reduce<(typeof cutting)[number] | undefined>(
      (w, o) => (w === undefined || pick(o) > pick(w) ? o : w),
      undefined,
    );
  const byPower = worst((o) => o.loads!.powerKw / o.loads!.availableKw);
  const byBend = worst((o) => o.loads!.bendMm / o.loads!.bendAllowedMm);
  const byGrip = worst((o) => o.loads!.gripShare);
  const tellFor = (operationId: string, codes: readonly string[]) => (record: Recorder) =>
    void planJob(job, shop, (op) =>
      op === operationId ? (step) => codes.includes(step.code) && record(step) : undefined,
    );
  const nameOf = (featureId: string | undefined) =>
    job.drawing.features.find((f) => f.id === featureId)?.name || featureId || '';
  return (
    <JobFrame id={id} editor={editor} planned={planned} progress={progress} station="hold" showHolding>
      <div className="page grid gap-8 lg:grid-cols-2">
        <section aria-labelledby="lathe">
          <h2 id="lathe">Lathe</h2>
          {shop.lathes.length === 0 && <p className="muted">The shop has no lathe yet.</p>}
          <ul className="rows">
            {shop.lathes.map((l) => (
              <li
                key={l.id}
                className={`flex items-start gap-3 px-2 py-2 ${l.id === job.hold.latheId ? 'bg-[var(--brass-soft)]' : ''}`}
              >
                <input
                  id={`l-${l.id}`}
                  type="radio"
                  name="lathe"
                  className="mt-1 h-5 w-5"
                  checked={l.id === job.hold.latheId}
                  onChange={() => editor.change((j) => ({ ...j, hold: { ...j.hold, latheId: l.id } }))}
                />
                <label htmlFor={`l-${l.id}`} className="flex-1 cursor-pointer">
                  <b>{l.name}</b>
                  <span className="muted block text-sm">
                    {length(l.sizes.betweenCentresMm, l.unit)} {l.unit} between centres · Ø
                    {length(l.sizes.swingOverCrossSlideMm, l.unit)} over the cross-slide · {l.drive.motorKw} kW ·{' '}
                    {usualChuck(l).name}
                  </span>
                </label>
              </li>
            ))}
          </ul>
          <h2 className="mt-6">How held</h2>
          <div className="mt-2 grid grid-cols-2 gap-3">
            <label className="text-sm">
              Means
              <select
                className="select mt-0.5 flex w-full"
                value={choice.method}
                onChange={(e) => set({ method: e.target.value as 'auto' })}
              >
                <option value="auto">By overhang</option>
                <option value="chuck">In the chuck alone</option>
                <option value="chuckAndCentre">Chuck and tail centre</option>
              </select>
            </label>
            <label className="text-sm">
              Chuck
              <select
                className="select mt-0.5 flex w-full"
                value={held?.id ?? ''}
                disabled={!lathe}
                onChange={(e) => set({ chuckId: e.target.value })}
              >
                {lathe?.holding.chucks.map((c) => (
                  <option key={c.id} value={c.id}>
                    {c.name}
                  </option>
                ))}
              </select>
            </label>
            <label className="text-sm">
              Grip on
              <select
                className="select mt-0.5 flex w-full"
                value={choice.gripOn}
                onChange={(e) => set({ gripOn: e.target.value as 'spare' })}
              >
                <option value="spare">Spare stock left of the part</option>
                <option value="part">The part’s own left end</option>
              </select>
            </label>
            <MmField
              label="Grip, mm (0: usual)"
              value={choice.gripMm}
              most={500}
              onChange={(gripMm) => set({ gripMm }, 'grip')}
            />
            <MmField
              label="Clear of the jaws, mm"
              value={choice.clearanceMm}
              onChange={(clearanceMm) => set({ clearanceMm }, 'clearance')}
            />
          </div>
        </section>
        <section aria-labelledby="bears">
          <h2 id="bears">What it bears</h2>
          <Problems problems={planned.problems.filter((p) => stationOf(p) === 'hold')} />
          {plan && (
            <p className="mt-2 text-lg">
              <b className="setting">{methodText(held?.name ?? 'chuck', plan.holding.method)}</b>, grip{' '}
              {byRule(plan.holding.gripMm, unit)} {unit}, {byRule(plan.holding.overhangMm, unit)} {unit} standing out
              <Working
                of="overhang"
                tell={(record) => void planJob(job, shop, (op) => (op === 'hold' ? record : undefined))}
              />
              <span className="muted block text-base">
                {plan.holding.overhangDiameters.toFixed(1)} diameters: {whyMethodText[plan.holding.why]}
              </span>
            </p>
          )}
          {byPower?.loads && byBend?.loads && byGrip?.loads ? (
            <div className="mt-5 flex flex-col gap-5">
              <div>
                <LoadBar
                  name="Motor"
                  share={byPower.loads.powerKw / byPower.loads.availableKw}
                  text={`${byPower.loads.powerKw.toFixed(2)} of ${byPower.loads.availableKw.toFixed(2)} kW, ${byPower.setting?.speedLabel}, at ${nameOf(byPower.featureId)}`}
                  after={<Working of="motor load" tell={tellFor(byPower.id, ['cutting.force', 'cutting.power'])} />}
                />
              </div>
              <div>
                <LoadBar
                  name="Bends"
                  share={byBend.loads.bendMm / byBend.loads.bendAllowedMm}
                  text={`${byBend.loads.bendMm.toFixed(3)} of ${byBend.loads.bendAllowedMm.toFixed(3)} mm on the diameter, at ${nameOf(byBend.featureId)}`}
                  after={
                    <Working
                      of="bending"
                      tell={tellFor(byBend.id, ['cutting.force', 'mechanics.chuckCentre', 'mechanics.cantilever'])}
                    />
                  }
                />
              </div>
              <div>
                <LoadBar
                  name="Grip"
                  share={byGrip.loads.gripShare}
                  text={`${Math.round(byGrip.loads.gripShare * 100)} % of what the jaws safely hold, at ${nameOf(byGrip.featureId)}`}
                  after={<Working of="grip" tell={tellFor(byGrip.id, ['cutting.force', 'mechanics.grip'])} />}
                />
              </div>
              <p className="muted text-sm">
                Roughing may bend the work by half its allowance, finishing by a quarter of the limits. Radial force 0.4
                of the cutting force.
              </p>
            </div>
          ) : (
            <p className="muted mt-3">
              {planned.bar
                ? job.hold.latheId
                  ? 'Put right what is marked; the loads follow.'
                  : 'Choose a lathe: the loads follow.'
                : 'Choose a bar at Stock first.'}
            </p>
          )}
        </section>
        <section aria-labelledby="ways" className="lg:col-span-2">
          <h2 id="ways">Ways to hold it</h2>
          <div className="mt-2">
            <Suspense fallback={<p className="muted">Loading…</p>}>
              <Proposals
                job={job}
                shop={shop}
                onHold={(way) =>
                  set({ method: way.tailCentre ? 'chuckAndCentre' : 'chuck', chuckId: way.chuckId }, 'way')
                }
              />
            </Suspense>
          </div>
        </section>
        {plan?.holding.method === 'chuckAndCentre' && (
          <section aria-labelledby="centre" className="lg:col-span-2">
            <h2 id="centre">Tail centre</h2>
            <div className="mt-3">
              <Suspense fallback={<p className="muted">Loading…</p>}>
                <TailCentre job={job} planned={planned} />
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
                  betweenMm={plan ? plan.blank.lengthMm : undefined}
                  runoutMm={0.03}
                  onRecords={(truings) =>
                    editor.change((j) => ({ ...j, hold: { ...j.hold, truings: [...truings] } }), 'truings')
                  }
                />
              )}
            </Suspense>
          </div>
        </section>
      </div>
    </JobFrame>
  );
}

export default fromJson(HoldStation);
