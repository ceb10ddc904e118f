import { writeFileSync } from 'node:fs';
import path from 'node:path';
import { freezeJob, type Job, nextSetup, planJob, shopFileSchema, usualSettings } from '../core/src/job/index.ts';
import { actsOf, adviseStep, type EventBody, type RunEvent, replay } from '../core/src/run/index.ts';
import { jobs } from './jobs.ts';
import { grey, long, small } from './lathes.ts';
import { bars, holders, inserts, instruments, tools } from './rack.ts';
import { demoId, length } from './words.ts';

// Makes demo/shop.json: the demo shop in the format that the application exports. Run by `npm run demo` after a change of
// what documents hold; the plan that the half-cut piece follows is made anew.

const shop = { lathes: [long, grey, small], bars, tools, instruments, materials: [] } as never as Parameters<
  typeof planJob
>[1];
const out = {
  format: 'whelk.shop' as const,
  schema: 1 as const,
  exportedAt: '2026-01-12T08:00:00.000Z',
  settings: usualSettings,
  ...(shop as object),
  holders,
  inserts,
  jobs: [] as unknown[],
};
/** Jobs with a piece half cut, and the measurement at which it stands. */
const halfCut: Readonly<Record<string, string>> = { spindle: 'f3-between', gate: 'h1-between' };
/** A job with the setups that bring it to its end, as they are proposed. */
function toItsEnd(key: string, job: Job): Job {
  let all = job;
  for (let n = 2; n <= 4; n++) {
    const next = nextSetup(planJob(all, shop).setups, demoId(`setup-${key}-${n}`));
    if (!next) break;
    all = { ...all, hold: { ...all.hold, setups: [...all.hold.setups, next] } };
  }
  return all;
}
for (const [key, begun] of jobs) {
  const doc = toItsEnd(key, begun);
  const planned = planJob(doc, shop);
  const runs: unknown[] = [];
  const until = halfCut[key];
  if (until) {
    const frozen = freezeJob(doc, planned)!;
    const of = key === 'spindle' ? '' : `-${key}`;
    const runId = demoId(`run-${key}`),
      device = demoId('device');
    const events: RunEvent[] = [];
    const add = (body: EventBody) => {
      const seq = events.length + 1;
      events.push({
        ...{ schema: 2, id: demoId(`ev${of}${seq}`), runId, piece: 1, device, seq },
        ...{
          parents: events.slice(-1).map((e) => e.id),
          at: new Date(Date.UTC(2026, 0, 12, 9, seq * 4)).toISOString(),
        },
        ...body,
      } as RunEvent);
    };
    const read = (stepId: string, mm: number | string, instrumentId: string, place: string) =>
      add({
        ...{ kind: 'reading', stepId, instrumentId, place },
        raw: length(typeof mm === 'string' ? mm : mm.toFixed(3)),
      });
    for (let guard = 0; guard < 80; guard++) {
      const advice = adviseStep(frozen, replay(frozen, events))!;
      const { step, expected, measured } = advice;
      if (step.kind === 'touchOff')
        add({
          ...{ kind: 'touchedOff', stepId: step.id, crossNumber: '0.00', endNumber: '0.0', approach: 'in' },
          diameter: length(step.targetMm ? expected!.mm.toFixed(3) : '44.62'),
          ...(step.compoundDeg === undefined ? {} : { compoundNumber: '0.40' }),
        });
      else if (step.kind === 'measure' && !measured) {
        // a few hundredths of spring
        const mm = expected!.mm + 0.012;
        const gauge = step.instrumentId!;
        if (step.id === until) {
          read(step.id, mm + 0.002, gauge, 'shoulder end');
          read(step.id, mm - 0.001, gauge, 'free end');
          break;
        }
        read(step.id, mm, gauge, 'middle');
      } else add(actsOf(advice)[0]!.body);
      if (guard === 3 && key === 'spindle')
        add({ kind: 'note', stepId: step.id, text: 'Bar slightly bowed; ran it true to 0.1 before the centre.' });
    }
    runs.push({ id: runId, piece: 1, startedAt: '2026-01-12T09:00:00.000Z', frozen, events });
  }
  out.jobs.push({ id: demoId(`job-${key}`), job: doc, runs });
}
const file = shopFileSchema.parse(JSON.parse(JSON.stringify(out)));
writeFileSync(path.join(import.meta.dirname, 'shop.json'), `${JSON.stringify(file, null, 1)}\n`);
