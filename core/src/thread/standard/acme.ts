/** Tolerance of the pitch diameter: of the pitch's root and of the diameter's root, inches; and what stays free of the basic size. */
export interface AcmeClass {
  readonly ofPitch: number;
  readonly ofDiameter: number;
  readonly allowance: number;
  /** of centralizing ones: tolerance of the major diameter outside and inside, as shares of the diameter's root */
  readonly majorOutside?: number;
  readonly majorInside?: number;
}
// source: ASME B1.5 formulas, inches; stub threads of B1.8 as 2G; provenance: recalled
export const acmeClasses: Readonly<Record<string, AcmeClass>> = {
  '2G': { ofPitch: 0.03, ofDiameter: 0.006, allowance: 0.008 },
  '3G': { ofPitch: 0.014, ofDiameter: 0.0028, allowance: 0.006 },
  '4G': { ofPitch: 0.01, ofDiameter: 0.002, allowance: 0.004 },
  '2C': { ofPitch: 0.03, ofDiameter: 0.006, allowance: 0.008, majorOutside: 0.0035, majorInside: 0.0035 },
  '3C': { ofPitch: 0.014, ofDiameter: 0.0028, allowance: 0.006, majorOutside: 0.0015, majorInside: 0.0035 },
  '4C': { ofPitch: 0.01, ofDiameter: 0.002, allowance: 0.004, majorOutside: 0.001, majorInside: 0.002 },
};
/** Ten to the inch and coarser have this clearance at crest and root, finer ones half of it, mm. ASME B1.5 */
const COARSE_FROM_MM = 2.54 - 1e-9;
const CLEAR_MM = 0.254;
/** Clearance on the radius at the crest, mm. */
export const acmeClearMm = (pitchMm: number): number => (pitchMm >= COARSE_FROM_MM ? CLEAR_MM : CLEAR_MM / 2);
