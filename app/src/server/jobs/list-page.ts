import { metalLeft, type Progress, planJob, progressOf } from '@whelk/core/job';
import { outsides } from '@whelk/core/part';
import { type Picture, silhouettePicture } from '@whelk/core/picture';
import type { Knex } from 'knex';
import { barText } from '../../messages/stock.ts';
import { summariesOf } from '../runs/load.ts';
import { loadShop } from '../shop/service.ts';
import { listJobs } from './service.ts';

/** Shapes that are no bar, or are named as what they are. */
const SAYS_ITSELF: ReadonlySet<string> = new Set(['casting', 'tube']);

export interface JobLine {
  readonly id: string;
  readonly title: string;
  readonly meta: string;
  readonly picture: Picture;
  readonly features: number;
  readonly quantity: number;
  readonly progress: Pick<Progress, 'done' | 'now' | 'next' | 'pieceNow' | 'setupNow'> & {
    readonly problemCode?: Progress['problem'];
  };
  readonly openRun?: { readonly id: string; readonly step: number; readonly steps: number };
  readonly archived: boolean;
}

/** The rows of the jobs page, most recently changed first. */
export async function loadJobLines(db: Knex, archived: boolean, find: string): Promise<JobLine[]> {
  const jobs = await listJobs(db, archived, find);
  const [shop, runs] = await Promise.all([
    loadShop(db),
    summariesOf(
      db,
      jobs.map((j) => j.id),
    ),
  ]);
  return jobs.map(({ id, job }) => {
    const planned = planJob(job, shop);
    const own = runs.filter((r) => r.jobId === id);
    const { done, now, next, pieceNow, setupNow, problem } = progressOf(job, planned, own);
    const open = own.find((r) => r.open);
    const allCut = next === 'allCut';
    const metal = metalLeft(planned, {
      setup: open?.setup ?? (allCut ? planned.setups.length + 1 : (setupNow ?? 1)),
      done: open?.stepIndex ?? 0,
    });
    const lathe = shop.lathes.find((l) => l.id === job.hold.latheId);
    const meta = [
      planned.material?.name,
      planned.bar && `${barText(planned.bar)}${SAYS_ITSELF.has(planned.bar.shape ?? 'round') ? '' : ' bar'}`,
      `${job.quantity} off`,
      lathe?.name,
    ]
      .filter(Boolean)
      .join(' · ');
    return {
      id,
      title: job.title,
      meta,
      archived,
      picture: silhouettePicture(planned.part, 380, 104, job.drawing.unit, metal),
      features: outsides(planned.part).length,
      quantity: job.quantity,
      progress: { done, now, next, pieceNow, setupNow, problemCode: problem },
      openRun: open && { id: open.id, step: Math.min(open.stepIndex + 1, open.stepCount), steps: open.stepCount },
    };
  });
}
