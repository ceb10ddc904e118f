import { writeFileSync } from 'node:fs';
import path from 'node:path';
import { freezeJob, planJob, shopFileSchema, usualSettings } from '../core/src/job/index.ts';
import { adviseStep, type RunEvent, replay } from '../core/src/run/index.ts';
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
for (const [key, doc] of jobs) {
  const planned = planJob(doc, shop);
  const runs: unknown[] = [];
  if (key === 'spindle') {
    const frozen = freezeJob(doc, planned)!;
    const runId = demoId('run-spindle'),
      device = demoId('device');
    const events: RunEvent[] = [];
    let seq = 0;
    const add = (e: object) => {
      seq++;
      events.push({
        schema: 1,
        id: demoId(`ev${seq}`),
        runId,
        piece: 1,
        device,
        seq,
        parents: events.slice(-1).map((e) => e.id),
        at: new Date(Date.UTC(2026, 0, 12, 9, seq * 4)).toISOString(),
        ...e,
      } as RunEvent);
    };
    for (let guard = 0; guard < 40; guard++) {
      const state = replay(frozen, events);
      const advice = adviseStep(frozen, state)!;
      const s = advice.step;
      if (s.kind === 'touchOff')
        add({
          kind: 'touchedOff',
          stepId: s.id,
          diameter: length(s.targetMm ? (s.targetMm + 0.02).toFixed(2) : '44.62'),
          crossNumber: '0.00',
          endNumber: '0.0',
          approach: 'in',
        });
      else if (s.kind === 'measure') {
        if (s.id === 'f3-between') {
          add({
            kind: 'reading',
            stepId: s.id,
            raw: length('28.412'),
            instrumentId: instruments[1]!.id,
            place: 'shoulder end',
          });
          add({
            kind: 'reading',
            stepId: s.id,
            raw: length('28.409'),
            instrumentId: instruments[1]!.id,
            place: 'free end',
          });
          break;
        }
        add({
          kind: 'reading',
          stepId: s.id,
          raw: length((s.targetMm! + 0.02).toFixed(2)),
          instrumentId: s.instrumentId!,
          place: 'middle',
        });
        add({ kind: 'done', stepId: s.id });
      } else add({ kind: 'done', stepId: s.id });
      if (guard === 3)
        add({ kind: 'note', stepId: s.id, text: 'Bar slightly bowed; ran it true to 0.1 before the centre.' });
    }
    runs.push({ id: runId, piece: 1, startedAt: '2026-01-12T09:00:00.000Z', frozen, events });
  }
  out.jobs.push({ id: demoId(`job-${key}`), job: doc, runs });
}
const file = shopFileSchema.parse(JSON.parse(JSON.stringify(out)));
writeFileSync(path.join(import.meta.dirname, 'shop.json'), `${JSON.stringify(file, null, 1)}\n`);
