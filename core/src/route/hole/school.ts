/** Which school of sizing holes: as the drawing says, reamed where a reamer fits, or bored where a bar enters. */
export const HOLE_SCHOOLS = ['asDrawn', 'ream', 'bore'] as const;
export type HoleSchool = (typeof HOLE_SCHOOLS)[number];
