import { type ProblemCode, ROUNDING } from '../../quantity/index.ts';
import {
  circleTolerances,
  countersinks40Deg,
  countersinks70Deg,
  inscribedCirclesMm,
  insertClearancesDeg,
  type insertEdges,
  insertFixings,
  insertRadiiMm,
  insertShapes,
  insertThicknessesMm,
  insertTolerances,
} from '../standard/insert-letters.ts';

import { metricDesignation } from './inch-insert.ts';
import { edgeLengthMm, type InsertShape, insertSizes, sizeCodeOf } from './insert-sizes.ts';
import { has } from './letters.ts';

export type InsertFixing = keyof typeof insertFixings;
export type InsertTolerance = keyof typeof insertTolerances;

/** An insert as its designation describes it; lengths in mm. */
export interface Insert {
  /** written the usual way: `DCMT 07 02 04` */
  readonly code: string;
  readonly shape: InsertShape;
  readonly form: (typeof insertShapes)[InsertShape]['form'];
  readonly cornerDeg: number;
  /** letter and angle; O has none that is known */
  readonly clearance: keyof typeof insertClearancesDeg | 'O';
  readonly clearanceDeg: number | undefined;
  readonly tolerance: InsertTolerance;
  readonly circleToleranceMm: number;
  /** ± of the corner's height and of the thickness */
  readonly heightToleranceMm: number;
  readonly thicknessToleranceMm: number;
  readonly fixing: InsertFixing;
  readonly hole: (typeof insertFixings)[InsertFixing]['hole'];
  readonly breakers: 0 | 1 | 2;
  /** faces that the hole is countersunk on, and between which angles */
  readonly countersinks: 0 | 1 | 2;
  readonly countersinkDeg?: readonly [leastDeg: number, mostDeg: number];
  readonly sizeCode: string;
  readonly circleMm: number;
  /** of one edge; of a round insert its circumference is no edge and this is 0 */
  readonly edgeMm: number;
  readonly thicknessMm: number;
  readonly radiusMm: number;
  readonly edge?: keyof typeof insertEdges;
  readonly hand?: 'R' | 'L' | 'N';
  /** what follows and is its maker's own */
  readonly rest: string;
  /** corners that can cut, both faces together */
  readonly edges: number;
}

/** What is wrong with a designation: where in it, what stands there, what may stand there. */
export interface CodeFault {
  readonly kind: 'fault';
  readonly code: ProblemCode;
  /** which letter or figure, from 1 as the standard counts its positions */
  readonly position: number;
  readonly value: string;
  /** what may stand there */
  readonly allowed: string;
}
export const isCodeFault = (read: object): read is CodeFault => 'kind' in read && read.kind === 'fault';

const fault = (
  position: number,
  value: string,
  allowed: readonly string[],
  code: ProblemCode = 'insert.letter',
): CodeFault => ({
  kind: 'fault',
  ...{ code, position, value, allowed: allowed.join(' ') },
});

/**
 * Reads a designation such as `DCMT 070204`, in inches `CNMG 432`, `CNMG 12 04 08-E` or `TPGX 09 02 02 FR`: letters in either case, with spaces or without.
 * @returns the insert, or the first position at which it cannot be read
 * @source ISO 1832, positions 1 to 9; what follows is the maker's own and kept as it is
 */
export function readInsert(text: string): Insert | CodeFault {
  // an inch size is read in the metric one's figures
  const plain = metricDesignation(text) ?? text.toUpperCase().replace(/[\s._]/g, '');
  const [shape = '', clearance = '', tolerance = '', fixing = ''] = plain;
  if (!has(insertShapes, shape)) return fault(1, shape, Object.keys(insertShapes));
  if (!has(insertClearancesDeg, clearance) && clearance !== 'O')
    return fault(2, clearance, [...Object.keys(insertClearancesDeg), 'O']);
  if (!has(insertTolerances, tolerance)) return fault(3, tolerance, Object.keys(insertTolerances));
  if (!has(insertFixings, fixing)) return fault(4, fixing, Object.keys(insertFixings));
  const [sizeCode, thickness, radius] = [plain.slice(4, 6), plain.slice(6, 8), plain.slice(8, 10)];
  const sizes = insertSizes(shape);
  const size = sizes.find((s) => s.sizeCode === sizeCode);
  if (!size)
    return fault(
      5,
      sizeCode,
      sizes.map((s) => s.sizeCode),
    );
  if (!has(insertThicknessesMm, thickness)) return fault(6, thickness, Object.keys(insertThicknessesMm));
  const round = shape === 'R';
  if (!has(insertRadiiMm, radius) && !(round && (radius === 'M0' || radius === '')))
    return fault(7, radius, round ? ['M0', '00'] : Object.keys(insertRadiiMm));
  // a rounded edge and the hand stand alone or together; anything else is the maker's
  // a round insert of an inch size has 00 for its radius, a metric one M0
  const inchRound =
    round && radius === '00' ? inscribedCirclesMm.find((d) => sizeCodeOf('R', d) === sizeCode) : undefined;
  const tail = /^([FETSKP]?)([RLN]?)(?=$|[^A-Z])-?(.*)$/.exec(plain.slice(10));
  const rest = tail ? tail[3]! : plain.slice(10);
  return composeInsert({
    ...{ shape, clearance, tolerance, fixing, circleMm: inchRound ?? size.circleMm, thicknessCode: thickness },
    radiusCode: radius === 'M0' || radius === '' ? '00' : (radius as keyof typeof insertRadiiMm),
    edge: tail?.[1] ? (tail[1] as keyof typeof insertEdges) : undefined,
    hand: tail?.[2] ? (tail[2] as 'R') : undefined,
    rest: rest.replace(/^-/, ''),
  });
}

/** What a designation is put together from. */
export interface InsertChoice {
  readonly shape: InsertShape;
  readonly clearance: keyof typeof insertClearancesDeg | 'O';
  readonly tolerance: InsertTolerance;
  readonly fixing: InsertFixing;
  readonly circleMm: number;
  readonly thicknessCode: keyof typeof insertThicknessesMm;
  readonly radiusCode: keyof typeof insertRadiiMm;
  readonly edge?: keyof typeof insertEdges;
  readonly hand?: 'R' | 'L' | 'N';
  readonly rest?: string;
}

/** The insert of given letters and sizes, with its designation. @source ISO 1832 */
export function composeInsert(choice: InsertChoice): Insert {
  const { shape, clearance, tolerance, fixing, circleMm, thicknessCode, radiusCode, edge, hand, rest = '' } = choice;
  const { form, cornerDeg, corners } = insertShapes[shape];
  const { hole, breakers, countersinks } = insertFixings[fixing];
  const sizeCode = sizeCodeOf(shape, circleMm);
  const metricRound = shape === 'R' && Number.isInteger(circleMm);
  const head = `${shape}${clearance}${tolerance}${fixing} ${sizeCode} ${thicknessCode} ${metricRound ? 'M0' : radiusCode}`;
  // both faces cut where nothing of either tells them apart
  const bothFaces = clearance === 'N' && breakers !== 1 && countersinks !== 1;
  return {
    code: `${head}${edge || hand ? ` ${edge ?? ''}${hand ?? ''}` : ''}${rest ? `-${rest}` : ''}`,
    ...{ shape, form, cornerDeg, clearance, tolerance, fixing, hole, breakers, sizeCode, circleMm, rest },
    clearanceDeg: clearance === 'O' ? undefined : insertClearancesDeg[clearance],
    ...tolerancesOf(tolerance, circleMm),
    thicknessToleranceMm: insertTolerances[tolerance].sMm,
    countersinks,
    ...(countersinks > 0 ? { countersinkDeg: hole === 'countersunk40' ? countersinks40Deg : countersinks70Deg } : {}),
    edgeMm: edgeLengthMm(shape, circleMm),
    thicknessMm: insertThicknessesMm[thicknessCode],
    radiusMm: shape === 'R' ? circleMm / 2 : insertRadiiMm[radiusCode],
    ...(edge ? { edge } : {}),
    ...(hand ? { hand } : {}),
    edges: corners * (bothFaces ? 2 : 1),
  };
}

function tolerancesOf(
  letter: InsertTolerance,
  circleMm: number,
): Pick<Insert, 'circleToleranceMm' | 'heightToleranceMm'> {
  const row = insertTolerances[letter];
  if (!('bySize' in row)) return { circleToleranceMm: row.dMm, heightToleranceMm: row.mMm };
  const by = circleTolerances.find((t) => circleMm <= t.upToMm + ROUNDING) ?? circleTolerances.at(-1)!;
  const [circle, height] = row.bySize === 'fine' ? [by.fineMm, by.fineHeightMm] : [by.coarseMm, by.coarseHeightMm];
  return { circleToleranceMm: circle, heightToleranceMm: 'mMm' in row ? row.mMm : height };
}
