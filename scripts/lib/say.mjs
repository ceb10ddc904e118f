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
