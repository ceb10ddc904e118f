import { materialIn } from '@whelk/core/job';
import { grindingSheetPicture } from '@whelk/core/picture';
import { BIT_SHAPES } from '@whelk/core/tool';
import type { APIRoute } from 'astro';
import { z } from 'zod';
import { pictureToPdf } from '../../exchange/pdf.ts';
import { pictureToSvg } from '../../exchange/svg.ts';
import { grindingSheetOf } from '../../messages/grinding.ts';
import { attachment, guarded, notFound } from '../../server/answer.ts';
import { database } from '../../server/db/connection.ts';
import { printFonts } from '../../server/lathes/fonts.ts';
import { loadShop } from '../../server/shop/service.ts';

/** Sizes of a form, mm. */
const sizeMm = z.coerce.number().positive().max(50).optional();
const sizedSchema = z.object({ radius: sizeMm, width: sizeMm });

/** The grinding sheet of a bit for a material, as PDF or SVG. */
export const GET: APIRoute = ({ params, url }) =>
  guarded(async () => {
    const material = materialIn(await loadShop(database()), url.searchParams.get('material') ?? '');
    const shape = BIT_SHAPES.find((s) => s === url.searchParams.get('shape'));
    if (!material || !shape) throw notFound();
    const sized = sizedSchema.safeParse(Object.fromEntries(url.searchParams));
    if (!sized.success) throw notFound();
    const { radius, width } = sized.data;
    const sheet = grindingSheetOf(material, shape, { radiusMm: radius, widthMm: width });
    const picture = grindingSheetPicture(sheet);
    const name = `${sheet.title}, ${material.name}`;
    if (params.format === 'svg') return attachment(pictureToSvg(picture, name, 4), 'image/svg+xml', `${name}.svg`);
    if (params.format !== 'pdf') throw notFound();
    const pdf = await pictureToPdf(picture, name, 4, printFonts);
    return attachment(new Uint8Array(pdf), 'application/pdf', `${name}.pdf`);
  });
