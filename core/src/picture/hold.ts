import { type Held, heldInside, inChuck, onTailCentre, REST_WIDTH_MM, turnsOver } from '../hold/index.ts';
import type { Shape } from './picture.ts';

type Point = [number, number];

/** How far the centres reach out of the picture's work, and a plate or block at the headstock stands left of it, picture units. */
const CENTRE_LONG = 58;
const PLATE = 14;
/** A steady's finger on the work, picture units. */
const FINGER = 18;

/** A 60° centre with its point at a place: `way` 1 when it comes from the tailstock, −1 from the headstock. */
function centreShape(tip: number, cy: number, way: 1 | -1): Shape {
  const at = (x: number, y: number): Point => [tip + way * x, cy + y];
  return {
    kind: 'polygon',
    role: 'centre',
    points: [at(-4, 0), at(22, -14), at(CENTRE_LONG, -14), at(CENTRE_LONG, 14), at(22, 14)],
  };
}

const block = (role: Shape['role'], x1: number, x2: number, y1: number, y2: number): Shape => ({
  kind: 'polygon',
  role,
  points: [
    [x1, y1],
    [x2, y1],
    [x2, y2],
    [x1, y2],
  ],
});

/** Work that is held, and where it lies in the picture. */
interface Drawn {
  readonly holding: Held;
  readonly onMm: number;
  readonly headEnd: number;
  readonly x: (z: number) => number;
  readonly y: (r: number) => number;
}

/**
 * What holds the work, in a picture whose x grows from headstock to tailstock: jaws, dog and centres, an arbor in its hole, a plate.
 * @param stockMm largest diameter of the work
 * @param tailMm zPart where the tail centre's point goes in
 * @param idle whether the bar that turns in the work is left out: not in yet, or drawn as the tool
 */
export function holdShapes(
  holding: Held,
  stockMm: number,
  tailMm: number,
  x: (z: number) => number,
  y: (r: number) => number,
  idle = false,
): Shape[] {
  const { method } = holding;
  const onMm = holding.onMm;
  const shapes: Shape[] = [];
  const headEnd = x(holding.headEndMm ?? holding.jawsMm - holding.gripMm);
  const held: Drawn = { holding, onMm, headEnd, x, y };
  if (method === 'insideJaws') shapes.push(...openedShapes(held));
  else if (inChuck(method)) shapes.push(...jawShapes(held, stockMm));
  else if (method === 'betweenCentres') shapes.push(...dogShapes(held));
  else if (heldInside(method)) shapes.push(...arborShapes(held));
  else if (turnsOver(method)) shapes.push(...overSlideShapes(held, stockMm, idle));
  else shapes.push(block('jaws', headEnd - PLATE, headEnd - 1, y(onMm * 0.62), y(-onMm * 0.62)));
  if (holding.rest?.kind === 'steady') shapes.push(...steadyShapes(holding.rest, x, y));
  if (onTailCentre(method) && method !== 'mandrel') shapes.push(centreShape(x(tailMm), y(0), 1));
  return shapes;
}

function jawShapes({ holding, onMm, x, y }: Drawn, stockMm: number): Shape[] {
  const left = x(holding.jawsMm - holding.gripMm);
  const right = x(holding.jawsMm);
  // the body stands behind all that is held; a bar that is drawn back goes through it
  const through = holding.ends?.kind === 'drawnBack' && holding.ends.outMm === holding.overhangMm;
  const body = Math.min(left, through || holding.headEndMm === undefined ? left : x(holding.headEndMm));
  const tall = Math.max(onMm, stockMm) * 0.62;
  const jaws = [1, -1].map((side): Shape => {
    const near = y((side * onMm) / 2);
    const deep = near - side * Math.max(10, Math.abs(y(0) - near) * 0.24);
    return block('jaws', body - 16, right, deep, near);
  });
  const wide = Math.max(onMm, stockMm) / 2;
  const plate = (from: number, to: number) => block('jawGrip', body - 26, body - 14, y(from), y(to));
  return [...jaws, ...(through ? [plate(tall, wide), plate(-wide, -tall)] : [plate(tall, -tall)])];
}

/** Jaws that reach into the hole and press outwards, the chuck's body behind the face. */
function openedShapes({ holding, onMm, headEnd, x, y }: Drawn): Shape[] {
  const right = x((holding.headEndMm ?? 0) + holding.gripMm);
  const tall = onMm * 0.62;
  const jaws = [1, -1].map((side): Shape => {
    const far = y((side * onMm) / 2);
    const deep = far + side * Math.max(8, Math.abs(y(0) - far) * 0.3);
    return block('jaws', headEnd - 16, right, Math.min(deep, far), Math.max(deep, far));
  });
  return [...jaws, block('jawGrip', headEnd - 26, headEnd - 10, y(tall), y(-tall))];
}

/** A steady's fingers on the work, in its frame. */
function steadyShapes(rest: { readonly zMm: number; readonly onMm: number }, x: Drawn['x'], y: Drawn['y']): Shape[] {
  const [left, right] = [x(rest.zMm - REST_WIDTH_MM / 2), x(rest.zMm + REST_WIDTH_MM / 2)];
  const [top, bottom] = [y(rest.onMm / 2), y(-rest.onMm / 2)];
  // below it is kept short: sizes are written there
  return [
    block('jaws', left + 2, right - 2, top - FINGER, top),
    block('jawGrip', left - 4, right + 4, top - FINGER - 8, top - FINGER),
    block('jaws', left + 2, right - 2, bottom, bottom + FINGER / 2),
    block('jawGrip', left - 4, right + 4, bottom + FINGER / 2, bottom + FINGER / 2 + 4),
  ];
}

/** A dog on the work with its tail in the driving plate, and the centre in the spindle. */
function dogShapes({ holding, onMm, headEnd, x, y }: Drawn): Shape[] {
  const [left, right] = [x(holding.jawsMm - holding.gripMm), x(holding.jawsMm)];
  const plate = headEnd - CENTRE_LONG + 8;
  const ring = Math.max(8, Math.abs(y(onMm / 2) - y(0)) * 0.3);
  const [top, bottom] = [y(onMm / 2), y(-onMm / 2)];
  return [
    centreShape(headEnd, y(0), -1),
    block('jawGrip', plate - PLATE, plate, top - ring - 12, bottom + ring + 12),
    block('jaws', left, right, top - ring, top),
    block('jaws', left, right, bottom, bottom + ring),
    // its bent tail reaches into the slot, clear of the bottom
    block('jaws', plate - 4, right, top - ring - 7, top - ring),
  ];
}

/** An arbor through the hole: on centres at both ends, or standing out of the chuck with a washer at its free end. */
function arborShapes({ holding, onMm, headEnd, x, y }: Drawn): Shape[] {
  const [top, bottom] = [y(onMm / 2), y(-onMm / 2)];
  const tail = x(holding.rawEndMm);
  if (holding.method === 'mandrel')
    return [
      block('jaws', headEnd - 26, tail + 26, top, bottom),
      centreShape(headEnd - 26, y(0), -1),
      centreShape(tail + 26, y(0), 1),
    ];
  const tall = Math.max(16, Math.abs(top - bottom) * 0.9);
  return [
    block('jawGrip', headEnd - 26, headEnd - 2, y(0) - tall, y(0) + tall),
    block('jaws', headEnd - 2, tail + 12, top, bottom),
    ...(holding.method === 'stubArbor' ? [block('jawGrip', tail + 1, tail + 8, top - 8, bottom + 8)] : []),
  ];
}

/** Which way Z goes in a picture: what a cutter from the spindle enters first lies at the headstock, on the left. */
export const alongOf = ({ method }: Pick<Held, 'method'>): 1 | -1 => (turnsOver(method) ? -1 : 1);

/** A bar through the work between its centres, or out of a head at the headstock; slide and packing under the work. */
function overSlideShapes({ holding, x, y }: Drawn, stockMm: number, idle: boolean): Shape[] {
  const [near, far] = [x(holding.rawEndMm), x(holding.headEndMm ?? 0)];
  const below = y(-stockMm / 2);
  const bed = [
    block('jaws', near + 4, far - 4, below, below + 5),
    block('jawGrip', near - 10, far + 10, below + 5, below + 15),
  ];
  if (idle) return bed;
  const thick = 7;
  if (holding.method === 'headOverSlide')
    return [
      ...bed,
      block('jawGrip', near - CENTRE_LONG, near - CENTRE_LONG + 26, y(0) - 26, y(0) + 26),
      block('jaws', near - CENTRE_LONG + 26, near - 6, y(0) - thick, y(0) + thick),
    ];
  return [
    ...bed,
    centreShape(near - 16, y(0), -1),
    block('jaws', near - 16, far + 16, y(0) - thick, y(0) + thick),
    centreShape(far + 16, y(0), 1),
  ];
}

/** Room that means of holding take left of the work and right of it, picture units. */
export function holdRoom({ method }: Pick<Held, 'method'>): readonly [number, number] {
  const centre = CENTRE_LONG + 12;
  if (method === 'betweenCentres') return [centre + PLATE, centre];
  if (method === 'mandrel') return [centre + 26, centre + 26];
  if (turnsOver(method)) return [centre + 16, method === 'barOverSlide' ? centre + 16 : 28];
  return [40, onTailCentre(method) ? centre : 28];
}
