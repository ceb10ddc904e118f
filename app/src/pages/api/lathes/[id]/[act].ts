import { calibrationSchema, standSchema } from '@whelk/core/lathe';
import type { APIRoute } from 'astro';
import { z } from 'zod';
import { answer, attachment, guarded, notFound, Refused } from '../../../../server/answer.ts';
import { database } from '../../../../server/db/connection.ts';
import { exportLathe } from '../../../../server/lathes/exchange.ts';
import { addCalibration, putInForce, saveStand } from '../../../../server/lathes/service.ts';
import { idOf } from '../../../../server/params.ts';
import { readBody } from '../../../../server/security/body.ts';

export const GET: APIRoute = ({ params }) =>
  guarded(async () => {
    const id = idOf(params.id);
    if (params.act !== 'export') throw notFound();
    const file = await exportLathe(database(), id);
    return attachment(`${JSON.stringify(file, null, 2)}\n`, 'application/json', `${file.lathe.name}.json`);
  });

export const POST: APIRoute = ({ params, request }) =>
  guarded(async () => {
    const id = idOf(params.id);
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
