/** Grades of ISO 1302 roughness, µm Ra. source: ISO 1302 N-grades; provenance: recalled */
const N_GRADES: Readonly<Record<string, number>> = {
  N1: 0.025,
  N2: 0.05,
  N3: 0.1,
  N4: 0.2,
  N5: 0.4,
  N6: 0.8,
  N7: 1.6,
  N8: 3.2,
  N9: 6.3,
  N10: 12.5,
  N11: 25,
  N12: 50,
};

/** Height of turned feed marks over their mean: f²/(8r) against f²/(18√3·r). */
const RZ_OF_RA = (18 * Math.sqrt(3)) / 8;
const within = (value: number): number | undefined => (value > 0 && value <= 50 ? value : undefined);

/** The N grade that a roughness keeps, told to two figures as grades are; undefined beyond N12. @example nGradeOf(1.4) // 'N7' */
export function nGradeOf(raUm: number): string | undefined {
  return Object.entries(N_GRADES).find(([, limit]) => Number(raUm.toPrecision(2)) <= limit)?.[0];
}

/** Finish of a surface that asks for none: an ordinary turned one, µm Ra. */
export const USUAL_RA_UM = 3.2;

/**
 * Reads a finish: `Ra 1.6`, `1.6`, `Rz 6.3`, `N7`, or nothing. Rz is taken as the turned profile has it, 3.9 times Ra.
 * @returns µm Ra; undefined when the text is none of these
 * @example readFinish('N7') // 1.6
 */
export function readFinish(text: string): number | undefined {
  const clean = text.trim();
  if (clean === '') return USUAL_RA_UM;
  if (clean.toUpperCase() in N_GRADES) return N_GRADES[clean.toUpperCase()];
  const rz = /^Rz\s*(\d{1,3}(?:[.,]\d{1,3})?)(?:\s*(?:µm|um))?$/i.exec(clean);
  if (rz) return within(Number(rz[1]!.replace(',', '.')) / RZ_OF_RA);
  const ra = /^(?:Ra\s*)?(\d{1,2}(?:[.,]\d{1,3})?)(?:\s*(?:µm|um))?$/i.exec(clean);
  const value = ra ? Number(ra[1]!.replace(',', '.')) : Number.NaN;
  return within(value);
}
