import { materialIn } from '@whelk/core/job';
import { grindingSheetPicture, type Picture } from '@whelk/core/picture';
import { readThread } from '@whelk/core/thread';
import { BIT_SHAPES } from '@whelk/core/tool';
import type { APIRoute } from 'astro';
import { z } from 'zod';
import { pictureToPdf } from '../../exchange/pdf.ts';
import { pictureToSvg } from '../../exchange/svg.ts';
import { grindingSheetOf } from '../../messages/grinding.ts';
import { threadBitSheet } from '../../messages/thread-bit.ts';
import { attachment, guarded, notFound } from '../../server/answer.ts';
import { database } from '../../server/db/connection.ts';
import { printFonts } from '../../server/lathes/fonts.ts';
import { loadShop } from '../../server/shop/service.ts';

/** The sheet of a bit for a thread. */
async function sheetOfThread(named: string, url: URL, format: string | undefined): Promise<Response> {
  const read = readThread(named.slice(0, 60));
  if (!read.ok) throw notFound();
  const side = url.searchParams.get('side') === 'inside' ? 'inside' : 'outside';
  const left = url.searchParams.get('hand') === 'left' || read.thread.hand === 'left';
  const sheet = threadBitSheet(named.slice(0, 60).trim(), read.thread, side, left);
  return sent(grindingSheetPicture(sheet), sheet.title, format);
}

/** A sheet as the file that was asked for. */
async function sent(picture: Picture, name: string, format: string | undefined): Promise<Response> {
  if (format === 'svg') return attachment(pictureToSvg(picture, name, 4), 'image/svg+xml', `${name}.svg`);
  if (format !== 'pdf') throw notFound();
  const pdf = await pictureToPdf(picture, name, 4, printFonts);
  return attachment(new Uint8Array(pdf), 'application/pdf', `${name}.pdf`);
}

/** Sizes of a form, mm. */
const sizeMm = z.coerce.number().positive().max(50).optional();
const sizedSchema = z.object({ radius: sizeMm, width: sizeMm });

/** The grinding sheet of a bit for a material, as PDF or SVG. */
export const GET: APIRoute = ({ params, url }) =>
  guarded(async () => {
    const named = url.searchParams.get('thread');
    if (named !== null) return sheetOfThread(named, url, params.format);
    const material = materialIn(await loadShop(database()), url.searchParams.get('material') ?? '');
    const shape = BIT_SHAPES.find((s) => s === url.searchParams.get('shape'));
    if (!material || !shape) throw notFound();
    const sized = sizedSchema.safeParse(Object.fromEntries(url.searchParams));
    if (!sized.success) throw notFound();
    const { radius, width } = sized.data;
    const sheet = grindingSheetOf(material, shape, { radiusMm: radius, widthMm: width });
    return sent(grindingSheetPicture(sheet), `${sheet.title}, ${material.name}`, params.format);
  });
