import type { Limits } from '../limit/index.ts';
import { ROUNDING, readTyped } from '../quantity/index.ts';
import { majorLimits, readThread } from '../thread/index.ts';
import type { Feature } from './drawing.ts';
import type { SolvedLength } from './shape/drawn.ts';

/** Limits of a length that is all thread and has none of its own: those of its major diameter, not a general tolerance. */
export function threadLimits(feature: Feature, { diameter, length }: SolvedLength): Limits | undefined {
  if (feature.limits.trim() !== '') return undefined;
  const drawn = feature.details.find((d) => d.kind === 'thread');
  const named = drawn && readThread(drawn.designation);
  if (!drawn || !named?.ok || Math.abs(named.thread.majorMm - diameter.valueOf()) > ROUNDING) return undefined;
  const long = readTyped(drawn.length);
  if (drawn.length.text.trim() !== '' && !(long.ok && long.mm.compare(length) >= 0)) return undefined;
  const own = majorLimits(named.thread, drawn.class);
  return own && { ...own, how: 'thread' };
}
