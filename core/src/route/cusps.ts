/** Cusps that are left to the file: of a fine finish, of a plain one, and where that would take more steps than a hand winds, mm. */
const CUSPS_MM = { fine: 0.02, plain: 0.05, coarse: 0.1 } as const;
const FINE_RA_UM = 1.6;

/** How high the cusps of a length with that finish may stand, mm: what is wanted first, then what does where that cannot be had. */
export const cuspsFor = (raUm: number): readonly [number, ...number[]] =>
  raUm <= FINE_RA_UM ? [CUSPS_MM.fine, CUSPS_MM.plain, CUSPS_MM.coarse] : [CUSPS_MM.plain, CUSPS_MM.coarse];
