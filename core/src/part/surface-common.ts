import type { SurfaceId } from './surface-id.ts';

/** What is common to every surface of a part. zPart, mm, as the piece lies; `zFromMm` never beyond `zToMm`. */
export interface Common {
  readonly id: SurfaceId;
  readonly side: 'outside' | 'inside' | 'end';
  readonly zFromMm: number;
  readonly zToMm: number;
}
/** What is cut into a round surface, or ends it. */
export interface Belongs extends Common {
  /** id of the round surface that it belongs to; `part` at an end of the part */
  readonly of: string;
}
