import { ensureBuilt } from './lib/build.mjs';
import { run } from './lib/say.mjs';

/** Builds the application when its sources changed since the last build. */
await run(() => ensureBuilt());
