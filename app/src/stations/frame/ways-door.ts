import type { WaysApi } from '../../workers/ways.ts';
import { doorTo } from './worker-door.ts';

/** The worker that ways of holding are looked for in. */
export const waysDoor = doorTo<WaysApi>(
  () => new Worker(new URL('../../workers/ways.ts', import.meta.url), { type: 'module' }),
);
