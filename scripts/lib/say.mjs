import { spawnSync } from 'node:child_process';

/** A failure that is told in one plain line and ends the command; no stack. */
export class Plain extends Error {}

/** Progress: what is being done, so that slow parts are seen to move. */
export function say(text) {
  console.log(`· ${text}`);
}

/** Runs a command's main function; a Plain error is told plainly, anything else with its stack. */
export async function run(main) {
  try {
    process.exitCode = (await main()) ?? 0;
  } catch (error) {
    const full = error?.code === 'ENOSPC' || /No space left on device/i.test(String(error?.message));
    if (full)
      console.error(
        `The disk is full${error.path ? ` (${error.path})` : ''}. Free some space and start again; nothing was lost.`,
      );
    else if (error instanceof Plain) console.error(error.message);
    else console.error(error);
    process.exitCode = 1;
  }
}

/**
 * Runs a command whose own words are nobody's to read while it does well; all of them when it does not.
 * @returns whether it did
 */
export function quietly(command, args, options = {}) {
  const result = spawnSync(command, args, { ...options, stdio: ['ignore', 'pipe', 'pipe'], maxBuffer: 1e8 });
  if (result.status === 0) return true;
  process.stderr.write(`${result.stdout ?? ''}${result.stderr ?? ''}`);
  return false;
}
