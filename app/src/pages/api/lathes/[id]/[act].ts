import { calibrationSchema, standSchema } from '@whelk/core/lathe';
import type { Picture } from '@whelk/core/picture';
import type { APIRoute } from 'astro';
import { z } from 'zod';
import { pictureToPdf } from '../../../../exchange/pdf.ts';
import { pictureToSvg } from '../../../../exchange/svg.ts';
import { answer, attachment, guarded, notFound, Refused } from '../../../../server/answer.ts';
import { database } from '../../../../server/db/connection.ts';
import { cardWish, loadCard, loadTaperCard, loadThreadCard } from '../../../../server/lathes/card.ts';
import { exportLathe } from '../../../../server/lathes/exchange.ts';
import { printFonts } from '../../../../server/lathes/fonts.ts';
import { addCalibration, forgetSpringOf, putInForce, saveStand } from '../../../../server/lathes/service.ts';
import { idOf } from '../../../../server/params.ts';
import { readBody } from '../../../../server/security/body.ts';

interface Card {
  readonly lathe: { readonly name: string };
  readonly picture: Picture;
}
/** Height of letters that say nothing of their own, in units of the picture. */
const LETTERS = 5;
const cardAsSvg = ({ lathe, picture }: Card, what: string): Response =>
  attachment(pictureToSvg(picture, lathe.name, LETTERS), 'image/svg+xml', `${lathe.name}, ${what}.svg`);
async function cardAsPdf({ lathe, picture }: Card, what: string): Promise<Response> {
  const pdf = await pictureToPdf(picture, `${lathe.name}, ${what}`, LETTERS, printFonts);
  return attachment(new Uint8Array(pdf), 'application/pdf', `${lathe.name}, ${what}.pdf`);
}

export const GET: APIRoute = ({ params, url }) =>
  guarded(async () => {
    const id = idOf(params.id);
    switch (params.act) {
      case 'export': {
        const revision = z.coerce
          .number()
          .int()
          .min(1)
          .safeParse(url.searchParams.get('revision') ?? undefined);
        const file = await exportLathe(database(), id, revision.success ? revision.data : undefined);
        return attachment(`${JSON.stringify(file, null, 2)}\n`, 'application/json', `${file.lathe.name}.json`);
      }
      case 'card.svg':
        return cardAsSvg(await loadCard(database(), id, cardWish(url)), 'speeds');
      case 'card.pdf':
        return cardAsPdf(await loadCard(database(), id, cardWish(url)), 'speeds');
      case 'threads.pdf':
        return cardAsPdf(await loadThreadCard(database(), id), 'threads');
      case 'threads.svg':
        return cardAsSvg(await loadThreadCard(database(), id), 'threads');
      case 'tapers.pdf':
        return cardAsPdf(await loadTaperCard(database(), id), 'tapers');
      case 'tapers.svg':
        return cardAsSvg(await loadTaperCard(database(), id), 'tapers');
      default:
        throw notFound();
    }
  });

export const POST: APIRoute = ({ params, request }) =>
  guarded(async () => {
    const id = idOf(params.id);
    if (params.act === 'forget-spring') {
      await forgetSpringOf(database(), id);
      return answer({ forgotten: id });
    }
    if (params.act !== 'calibrations') throw notFound();
    const { calibration } = await readBody(request, z.strictObject({ calibration: calibrationSchema }));
    if (calibration.latheId !== id)
      throw new Refused(400, [{ code: 'input.invalid', path: ['calibration', 'latheId'] }]);
    await addCalibration(database(), calibration);
    return answer({ saved: calibration.id }, 201);
  });

export const PUT: APIRoute = ({ params, request }) =>
  guarded(async () => {
    const id = idOf(params.id);
    switch (params.act) {
      case 'stand': {
        const { stand } = await readBody(request, z.strictObject({ stand: standSchema }));
        return answer({ stand: await saveStand(database(), id, stand) });
      }
      case 'in-force': {
        const schema = z.strictObject({ slot: z.string().min(1).max(80), id: z.uuid().nullable() });
        const { slot, id: calibrationId } = await readBody(request, schema);
        return answer({ lathe: await putInForce(database(), id, slot, calibrationId) });
      }
      default:
        throw notFound();
    }
  });
