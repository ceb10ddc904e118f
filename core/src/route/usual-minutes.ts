import type { Recorder } from '../working/index.ts';

/** An act whose time is an ordinary one from the bench, not computed. */
export function usualMinutes(minutes: number, record?: Recorder): number {
  record?.({ code: 'route.usualMinutes', values: { minutes } });
  return minutes;
}
