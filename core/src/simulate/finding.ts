import type { SurfaceId } from '../part/index.ts';

/** What can be wrong with a route when its tools really go their ways; each has words of its own outside core. */
export const FINDING_CODES = [
  'cutsInto',
  'leaves',
  'blankSmall',
  'bodyInMetal',
  'inJaws',
  'inCentre',
  'inRest',
  'inDog',
  'beyondFlutes',
  'edgeShort',
  'falls',
  'gripLost',
  'noTool',
] as const;
export type FindingCode = (typeof FINDING_CODES)[number];

/** Something that was found, and at which pass. zPart and radius, mm. */
export interface Finding {
  readonly code: FindingCode;
  /** missing where it is of the whole setup */
  readonly operationId?: string;
  readonly passNumber?: number;
  readonly surfaceId?: SurfaceId;
  readonly zMm: number;
  readonly rMm: number;
  /** how far it goes, mm; of an edge or flutes what they lack */
  readonly byMm: number;
}
