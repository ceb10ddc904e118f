import type { APIRoute } from 'astro';
import { guarded, notFound } from '../../server/answer.ts';

/** Every address under /api that nothing else answers, whatever the method. */
export const ALL: APIRoute = () => guarded(() => Promise.reject(notFound()));
