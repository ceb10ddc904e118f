import type { Job } from '@whelk/core/job';
import { materialIn } from '@whelk/core/job';
import { blocks, type Resolved, resolveDrawing } from '@whelk/core/part';
import { under } from '@whelk/core/quantity';
import { drawingSheets, PAPERS, type PaperName } from '@whelk/core/sheet';
import { format } from 'date-fns';
import type { Knex } from 'knex';
import { outlineDxf, sheetDxf } from '../../exchange/dxf-out.ts';
import { pictureToPdf } from '../../exchange/pdf.ts';
import { pictureToSvg } from '../../exchange/svg.ts';
import { sheetWish } from '../../messages/sheet.ts';
import { Refused } from '../answer.ts';
import { loadJob } from '../jobs/service.ts';
import { printFonts } from '../lathes/fonts.ts';
import { loadShop } from '../shop/service.ts';

/** Files that a drawing goes out as. */
export const DRAWING_FILES = ['drawing.pdf', 'drawing.svg', 'drawing.dxf', 'outline.dxf'] as const;
export type DrawingFile = (typeof DRAWING_FILES)[number];
export const isDrawingFile = (name: string | undefined): name is DrawingFile =>
  (DRAWING_FILES as readonly (string | undefined)[]).includes(name);

/** A wish from an address: `?paper=A3&stands=1&both=1`. */
function wishOf(url: URL) {
  const paper = Object.keys(PAPERS).find((p) => p === url.searchParams.get('paper')) as PaperName | undefined;
  return {
    paper: paper ?? 'A4',
    lying: url.searchParams.get('stands') !== '1',
    both: url.searchParams.get('both') === '1',
  };
}

/** A drawing that may go out: with a fault in it a size would be missing, and nobody would see which. @throws Refused 400 */
function soundDrawing(job: Job): Resolved {
  const resolved = resolveDrawing(job.drawing);
  const faults = resolved.problems.filter(blocks);
  if (faults.length > 0)
    throw new Refused(
      400,
      faults.slice(0, 50).map((p) => under(['drawing'], p)),
    );
  return resolved;
}

/** The sheets of a job's drawing. @throws Refused 404 for no such job, 400 while nothing can be drawn */
export async function loadSheets(db: Knex, id: string, url: URL) {
  const [{ job }, shop] = await Promise.all([loadJob(db, id), loadShop(db)]);
  const bar = shop.bars.find((b) => b.id === job.stock.barId);
  const material = bar ? (materialIn(shop, bar.materialId)?.name ?? '') : '';
  const resolved = soundDrawing(job);
  const wish = sheetWish(job, material, format(new Date(), 'yyyy-MM-dd'), wishOf(url));
  const sheets = drawingSheets(job.drawing, resolved, wish);
  if (!sheets) throw new Refused(400, [{ code: 'sheet.tooCrowded', path: ['drawing'] }]);
  return { job, sheets };
}

/** A drawing as the file that is asked for. @throws Refused as loadSheets does */
export async function drawingFile(
  db: Knex,
  id: string,
  file: DrawingFile,
  url: URL,
): Promise<{ readonly body: string | Uint8Array<ArrayBuffer>; readonly type: string; readonly name: string }> {
  if (file === 'outline.dxf') {
    const { job } = await loadJob(db, id);
    const { part } = soundDrawing(job);
    return { body: outlineDxf(part, job.drawing.unit), type: 'image/vnd.dxf', name: `${job.title}, outline.dxf` };
  }
  const { job, sheets } = await loadSheets(db, id, url);
  const { pages } = sheets;
  if (file === 'drawing.dxf')
    return { body: sheetDxf(pages, job.drawing.unit), type: 'image/vnd.dxf', name: `${job.title}.dxf` };
  if (file === 'drawing.svg') {
    const page = pages[Math.min(pages.length, Math.max(1, Number(url.searchParams.get('sheet')) || 1)) - 1]!;
    return { body: pictureToSvg(page, job.title, 3), type: 'image/svg+xml', name: `${job.title}.svg` };
  }
  const pdf = await pictureToPdf(pages, job.title, 3, printFonts);
  return { body: new Uint8Array(pdf), type: 'application/pdf', name: `${job.title}.pdf` };
}
