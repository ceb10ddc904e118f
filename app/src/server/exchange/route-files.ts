import { type Job, type PlannedJob, planJob, type Shop } from '@whelk/core/job';
import { type Traveller, travellerPages } from '@whelk/core/sheet';
import type { Knex } from 'knex';
import Papa from 'papaparse';
import { guardCell } from '../../exchange/csv.ts';
import { pictureToPdf } from '../../exchange/pdf.ts';
import { Refused } from '../answer.ts';
import { loadJob } from '../jobs/service.ts';
import { printFonts } from '../lathes/fonts.ts';
import { loadShop } from '../shop/service.ts';

/** A job with its plan, for the files that a route goes out as. @throws Refused 404 for no such job, 400 while it is not planned */
export async function plannedRoute(
  db: Knex,
  id: string,
): Promise<{ readonly job: Job; readonly planned: PlannedJob; readonly shop: Shop }> {
  const [{ job }, shop] = await Promise.all([loadJob(db, id), loadShop(db)]);
  const planned = planJob(job, shop);
  if (!planned.setups.some((s) => s.plan.operations.length > 0)) {
    const errors = planned.problems.filter((p) => p.severity !== 'warning').slice(0, 50);
    throw new Refused(400, errors.length > 0 ? errors : [{ code: 'route.nothing', path: ['route'] }]);
  }
  return { job, planned, shop };
}

/** A traveller as a PDF. */
export async function travellerPdf(traveller: Traveller): Promise<Uint8Array<ArrayBuffer>> {
  return new Uint8Array(await pictureToPdf(travellerPages(traveller), traveller.title, 3, printFonts));
}

/** Rows as CSV, formulas disarmed. */
export const rowsToCsv = (rows: readonly (readonly (string | number)[])[]): string =>
  Papa.unparse(
    rows.map((row) => row.map(guardCell)),
    { newline: '\r\n' },
  );
