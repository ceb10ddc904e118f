import { cutAway, ring } from '../contour/index.ts';
import { firstSetup, type Grip, type HoldMethod, heldBy, type Setup } from '../hold/index.ts';
import { outsides, type Part } from '../part/index.ts';
import type { Workpiece } from '../work/index.ts';

/** How a piece stands in a test: which lengths are turned to their size, what is still on its ends, which ends have centres. */
export interface Standing {
  readonly done?: readonly string[];
  readonly edges?: readonly string[];
  readonly tailMm?: number;
  readonly headMm?: number;
  readonly centres?: boolean;
}

/** A piece of bar that has come so far, as its part lies. */
export function pieceOf(
  part: Part,
  stockMm: number,
  { done = [], edges = [], tailMm = 1, headMm = 0, centres = false }: Standing = {},
): Workpiece {
  const turned = outsides(part)
    .filter((f) => done.includes(f.id))
    .map((f) => ring(f.zFromMm, f.zToMm, f.diameterMm / 2, stockMm));
  const bar = ring(-headMm, part.lengthMm + tailMm, 0, stockMm / 2);
  const names = [...done, ...edges, ...(centres ? ['part.left.centre', 'part.right.centre'] : [])];
  return {
    ...{ part, marks: [] },
    contour: turned.length > 0 ? cutAway(bar, ...turned) : bar,
    finished: Object.fromEntries(names.map((name) => [name, { setup: 1, operationId: 'before' }])),
  };
}

/** A setup held in some way, on a surface or as is chosen. */
export function setupBy(
  method: HoldMethod | 'auto',
  more: { readonly on?: string; readonly mm?: number; readonly tail?: Setup['tail'] } = {},
): Setup {
  const { on, mm, tail = 'right' } = more;
  const setup = heldBy({ ...firstSetup('00000000-0000-4000-8000-000000000001', { gripOn: 'part' }), tail }, method);
  const grip: Grip =
    setup.grip.kind === 'jaws'
      ? { ...setup.grip, ...(on === undefined ? {} : { on }), ...(mm === undefined ? {} : { mm }) }
      : setup.grip.kind === 'centres' && on !== undefined
        ? { ...setup.grip, dogOn: on }
        : setup.grip;
  return { ...setup, grip };
}
