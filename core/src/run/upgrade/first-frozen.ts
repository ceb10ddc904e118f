/**
 * Runs of the first version: what it had learned, what lived on from the piece before, its spigots and the spring of a pass were
 * left out where there was nothing to say. Frozen: these are the values that version took in their place.
 */
const FIRST_SPRING_SHARE = 0.08;
const LAST_CUTS = ['semiFinish', 'finish'];
const PASSES = ['rough', ...LAST_CUTS];

const isObject = (value: unknown): value is Record<string, unknown> => typeof value === 'object' && value !== null;

function stepWithSpring(step: unknown): unknown {
  if (!isObject(step) || !PASSES.includes(String(step.kind))) return step;
  return {
    ...step,
    springShare: step.springShare ?? FIRST_SPRING_SHARE,
    ...(LAST_CUTS.includes(String(step.kind)) ? { fineness: step.fineness ?? 'lines' } : {}),
  };
}

/** Version 1 to 2: everything that a run follows is written into it. Anything else is left as it is. */
export function saysAllItFollows(stored: unknown): unknown {
  if (!isObject(stored) || stored.schema !== 1) return stored;
  return {
    ...stored,
    schema: 2,
    spigots: stored.spigots ?? { leftMm: 0, rightMm: 0 },
    known: stored.known ?? [],
    living: stored.living ?? [],
    steps: Array.isArray(stored.steps) ? stored.steps.map(stepWithSpring) : stored.steps,
  };
}
