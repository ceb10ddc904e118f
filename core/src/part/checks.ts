import { flatten, radiiAt } from '../contour/index.ts';
import { PLACE_MM, ROUNDING } from '../quantity/index.ts';
import { bottomOf, cutInto, edgeOf, mouthOf, outsides } from './ask.ts';
import { filletBeside } from './ball-fillet.ts';
import type { DrawingChain } from './chain-of.ts';
import type { Drawing } from './drawing.ts';
import { insideProfiles, outsideProfile } from './outline.ts';
import type { Part } from './part.ts';
import type { Reader } from './read.ts';
import { pointMm as pointOf } from './shape/bore.ts';
import { edgeAlongMm, edgeDeepMm, onlyOutwards } from './shape/edges.ts';
import { sphereOf } from './shape/outside.ts';
import type { Inside, Outside } from './surface.ts';
import type { End } from './surface-id.ts';

/** Walls thinner than this are told, mm. */
const THIN_WALL_MM = 0.5;
/** Outlines are compared with straight lines this close to their arcs, mm. */
const CLOSE_MM = 0.005;

/** What the sizes along Z say against one another: the smallest set that disagrees, by name. */
export function checkSizes(drawing: Drawing, chain: DrawingChain, reader: Reader): void {
  if (drawing.features.length === 0) reader.add({ code: 'drawing.empty', path: ['features'] });
  for (const [i, d] of drawing.dimensions.entries())
    if (chain.surplus.includes(`d${d.id}`))
      reader.add({
        code: 'dimension.surplus',
        path: ['dimensions', i, 'size'],
        value: d.size.text,
        severity: 'warning',
      });
  const { conflict } = chain;
  if (!conflict) return;
  const names = conflict.ids.map((id) => {
    if (id === 'overall') return 'overall';
    const rest = id.slice(1);
    const feature = drawing.features.find((f) => f.id === rest);
    if (id[0] === 'f') return feature?.name || `Ø${feature?.diameter.text}`;
    const bore = [...drawing.bores.left, ...drawing.bores.right].find((b) => b.id === rest);
    if (id[0] === 'b') return bore?.name || `Ø${bore?.diameter.text}`;
    return drawing.dimensions.find((d) => d.id === rest)?.size.text ?? rest;
  });
  // shown at what was said last: the whole or a size from a datum before a feature's own length
  const at =
    conflict.ids.find((id) => id[0] === 'd') ?? conflict.ids.find((id) => id === 'overall') ?? conflict.ids[0]!;
  const path =
    at === 'overall'
      ? ['overall']
      : at[0] === 'd'
        ? ['dimensions', drawing.dimensions.findIndex((d) => `d${d.id}` === at), 'size']
        : [
            'features',
            Math.max(
              0,
              drawing.features.findIndex((f) => `f${f.id}` === at),
            ),
            'length',
          ];
  reader.add({
    ...{ code: 'drawing.sizesDisagree', path, value: names.join('|'), limit: Number(conflict.byMm.toFixed(4)) },
    ...{ unit: 'mm', severity: 'warning' as const },
  });
}

/** Edges fit their lengths: within them, a chamfer only where metal sticks out, a round within the step. */
export function checkEdges(part: Part, reader: Reader): void {
  const lengths = outsides(part);
  for (const [i, f] of lengths.entries()) {
    const edges = { left: edgeOf(part, f.id, 'left'), right: edgeOf(part, f.id, 'right') };
    const [left, right] = [edgeAlongMm(edges.left), edgeAlongMm(edges.right)];
    const long = f.zToMm - f.zFromMm;
    if (left + right > long + ROUNDING)
      reader.add({
        ...{ code: 'edge.longerThanFeature', path: ['features', f.index, 'edges', right > 0 ? 'right' : 'left'] },
        ...{ limit: long, unit: 'mm' },
      });
    for (const g of cutInto(part, f.id))
      if (g.kind === 'groove' && (g.zFromMm < f.zFromMm + left - ROUNDING || g.zToMm > f.zToMm - right + ROUNDING))
        if (left + right > 0)
          reader.add({ code: 'groove.overEdge', path: ['features', f.index, 'details'], value: g.id });
    for (const side of ['left', 'right'] as const) {
      const neighbour = lengths[i + (side === 'left' ? -1 : 1)];
      const edge = edges[side];
      if (!edge || !neighbour) continue;
      const mine = side === 'left' ? f.leftMm : f.rightMm;
      const theirs = side === 'left' ? neighbour.rightMm : neighbour.leftMm;
      const stepMm = (mine - theirs) / 2;
      const path = ['features', f.index, 'edges', side];
      if (sphereOf(neighbour)) {
        checkBallFillet(part, f, side, [...path], reader);
        continue;
      }
      if (stepMm <= 0 && (onlyOutwards(edge) || stepMm === 0)) reader.add({ code: 'edge.innerCorner', path });
      else if (edgeDeepMm(edge) > Math.abs(stepMm) + ROUNDING)
        reader.add({ code: 'edge.deeperThanStep', path, limit: Math.abs(stepMm), unit: 'mm' });
    }
  }
}

/** An edge beside a ball is a round that finds room: on its length, and on the ball before its other end. */
function checkBallFillet(part: Part, f: Outside, side: End, path: (string | number)[], reader: Reader): void {
  const fillet = filletBeside(part, f, side);
  const ball = outsides(part)[outsides(part).indexOf(f) + (side === 'right' ? 1 : -1)]!;
  const fits =
    fillet !== undefined &&
    fillet.length.zMm >= f.zFromMm - ROUNDING &&
    fillet.length.zMm <= f.zToMm + ROUNDING &&
    fillet.ball.zMm > ball.zFromMm &&
    fillet.ball.zMm < ball.zToMm;
  if (!fits) reader.add({ code: 'edge.besideBall', path });
}

/** Holes stay inside the part: none is deeper than it, meets the other one unsaid, or breaks through its outside. */
export function checkBores(
  part: Part,
  holes: readonly { readonly round: Inside; readonly wrongWay: boolean }[],
  reader: Reader,
): void {
  const [last] = holes.slice(-1);
  if (!last || outsides(part).length === 0) return;
  const outside = flatten(outsideProfile(part), CLOSE_MM);
  const profiles = insideProfiles(part).map((p) => flatten(p, CLOSE_MM));
  const bottoms = { left: 0, right: part.lengthMm };
  for (const { round: b, wrongWay } of holes) {
    const path = ['bores', b.from, b.index, 'length'];
    const { zMm } = bottomOf(b);
    if (wrongWay) reader.add({ code: 'bore.noDepth', path, unit: 'mm' });
    if (!b.through && (b.zToMm > part.lengthMm + ROUNDING || b.zFromMm < -ROUNDING))
      reader.add({
        ...{ code: 'bore.deeperThanPart', path, value: b.zToMm - b.zFromMm, limit: part.lengthMm, unit: 'mm' },
      });
    if (!b.through) bottoms[b.from] = zMm;
    checkPoint(
      part,
      b,
      holes.map((h) => h.round),
      [...path],
      reader,
    );
  }
  if (holes.every((h) => !h.round.through) && bottoms.left > bottoms.right + ROUNDING)
    reader.add({
      ...{ code: 'bore.meets', path: ['bores', last.round.from, last.round.index, 'length'] },
      ...{ value: bottoms.left - bottoms.right, unit: 'mm' },
    });
  for (const { round: b } of holes) {
    // walls are thinnest at corners of either outline; just beside a face its whole height would count
    const places = [...outside, ...profiles.flat()]
      .map(([z]) => z)
      .filter((z) => z > b.zFromMm && z < b.zToMm)
      .concat((b.zFromMm + b.zToMm) / 2)
      .flatMap((z) => [z - PLACE_MM, z + PLACE_MM]);
    let least = Number.POSITIVE_INFINITY;
    for (const z of places) {
      const out = radiiAt(outside, z);
      const own = profiles.map((p) => radiiAt(p, z)?.most ?? 0);
      if (out && out.most > 0) least = Math.min(least, out.most - Math.max(...own));
    }
    const path = ['bores', b.from, b.index, 'diameter'];
    if (least <= PLACE_MM) reader.add({ code: 'bore.breaksThrough', path, value: mouthOf(b).diameterMm, unit: 'mm' });
    else if (least < THIN_WALL_MM)
      reader.add({
        ...{ code: 'bore.thinWall', path, value: Number(least.toFixed(3)), limit: THIN_WALL_MM, unit: 'mm' },
        severity: 'warning',
      });
  }
}

/** The point of a drill goes on beyond the bottom that is drawn: in a blind hole there must be metal for it. */
function checkPoint(part: Part, b: Inside, all: readonly Inside[], path: (string | number)[], reader: Reader): void {
  const { zMm } = bottomOf(b);
  const last = !all.some((o) => o.from === b.from && o.index > b.index);
  if (b.through || !last || b.made !== 'drilled') return;
  const pointMm = pointOf(b);
  const leftMm = b.from === 'left' ? part.lengthMm - zMm : zMm;
  // it may run out into the hole from the other end
  const meets = all.some((o) => o.from !== b.from);
  if (!meets && leftMm > ROUNDING && pointMm > leftMm + ROUNDING)
    reader.add({
      ...{ code: 'bore.pointBreaksThrough', path, value: Number(pointMm.toFixed(2)), unit: 'mm' },
      limit: Number(leftMm.toFixed(2)),
    });
}

/** Names inside a drawing are its own. */
export function checkIds(drawing: Drawing, reader: Reader): void {
  const ids = new Set<string>();
  const once = (id: string, path: (string | number)[]) => {
    if (ids.has(id)) reader.add({ code: 'drawing.sameId', path, value: id });
    ids.add(id);
  };
  for (const [i, { id }] of drawing.features.entries()) once(id, ['features', i, 'id']);
  for (const side of ['left', 'right'] as const)
    for (const [i, { id }] of drawing.bores[side].entries()) once(id, ['bores', side, i, 'id']);
}
