import { z } from 'zod';
import type { Corner } from '../../contour/index.ts';
import { type Problem, type Rational, rational, typedLengthSchema } from '../../quantity/index.ts';
import type { Path, Reader } from '../read.ts';
import { partId, shortText } from '../schema-parts.ts';
import type { Outside } from '../surface.ts';

/** What a length is drawn with, outside or in a hole. */
export const sizedFields = {
  id: partId,
  name: z.string().max(40),
  diameter: typedLengthSchema,
  limits: shortText,
  length: typedLengthSchema,
  lengthLimits: shortText,
  finish: shortText,
};
/** What every length of the outside is drawn with, whatever its shape. */
export const lengthFields = {
  ...sizedFields,
  faceFinish: shortText,
  edges: z.strictObject({ left: shortText, right: shortText }),
};
const drawnLength = z.strictObject(lengthFields);
export type DrawnLength = z.infer<typeof drawnLength>;

/** A length of the outside while its drawing is solved: its texts read, what follows from others filled in. */
export interface ReadLength {
  readonly drawn: DrawnLength;
  readonly at: (...rest: Path) => Path;
  readonly diameter: Rational | undefined;
  /** diameter at its right end, where that is one of its own */
  end?: Rational;
  length: Rational | undefined;
  readonly radius?: Rational;
  readonly hollow?: boolean;
  /** change of diameter per length, positive where it falls to the right */
  readonly perLength?: number;
}
/** A length whose diameter and length are known. */
export type SolvedLength = ReadLength & { readonly diameter: Rational; readonly length: Rational };

/** A ball on the axis, mm. */
export interface Sphere {
  readonly middleMm: number;
  readonly radiusMm: number;
}

/** All that is known of one shape of the outside. `Own` are the fields that only it asks for. */
export interface OutsideShape<Own = unknown> {
  /** whether it is curved along the axis, and so cut by pairs of numbers */
  readonly curved?: true;
  /** whether it is a cone, cut along its slope by a setting of its own */
  readonly cone?: true;
  /** reads its own fields */
  readOwn?(drawn: DrawnLength & Own, at: ReadLength['at'], reader: Reader): Partial<ReadLength>;
  /** a length or end that follows from its own sizes and its neighbours, before the chain is solved */
  solve?(read: ReadLength, before: ReadLength | undefined, after: ReadLength | undefined, reader: Reader): void;
  /** what follows once the chain has given its length */
  finish?(read: ReadLength, reader: Reader): void;
  /** what is wrong when no length could be found */
  lengthMissing?(read: ReadLength): Problem | undefined;
  /** the surface; checks that its sizes can be */
  surface(
    read: SolvedLength,
    common: Omit<Outside, 'kind' | 'leftMm' | 'rightMm' | 'diameterMm'>,
    reader: Reader,
  ): Outside;
  /** a surface that ends where its neighbours meet it */
  meets?(surface: Outside, leftMm: number, rightMm: number): Outside;
  /** whether its right end has a diameter of its own */
  readonly ends?: true;
  /** what stands before the sign of its diameter */
  readonly sign?: 'S';
  /** of a length that keeps its bar's section: how many flats it has */
  readonly flats?: 4 | 6;
  /** of a ball: its middle along the axis and its radius, mm */
  readonly sphere?: (surface: Outside) => Sphere;
  /** how high a drawing points at its curve, as a radius; where it is given by one */
  readonly radiusAtMm?: (surface: Outside) => number;
  /** halved it is two of its kind; a middle diameter is the end of one and the beginning of the other */
  readonly halves?: true;
  /** whether grooves, threads and knurls can be cut into it, and its edges rounded */
  readonly takesDetails?: true;
  /** of one diameter all along */
  readonly straight?: true;
  readonly takesRounds?: true;
  /** its line from its left end to its right one, without edges and what is cut into it; the last corner has no bulge */
  outline(surface: Outside): readonly [Corner, ...Corner[]];
}

/** A number that a formula gave, as exactly as sizes are told. */
export const exact = (mm: number): Rational => rational(Number(mm.toFixed(9)));
