import type { APIRoute } from 'astro';
import { answer, guarded } from '../../server/answer.ts';
import { database } from '../../server/db/connection.ts';
import { demoFile } from '../../server/demo/demo-file.ts';
import { addDemo, removeDemo } from '../../server/demo/remove.ts';

/** Takes the demo out of the shop; what own jobs use of it stays. */
export const DELETE: APIRoute = () => guarded(async () => answer(await removeDemo(database(), await demoFile())));

/** Brings the demo into a shop that has nothing of it. */
export const POST: APIRoute = () =>
  guarded(async () => {
    await addDemo(database(), await demoFile());
    return answer({ loaded: true }, 201);
  });
