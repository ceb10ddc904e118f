import { freeFromMm, type Held, type Setup } from '../hold/index.ts';
import { type Chamfer, edgeOf, type Outside, outsides, type Part } from '../part/index.ts';
import { ROUNDING } from '../quantity/index.ts';
import { isFinished, standingMm, type Workpiece } from '../work/index.ts';

/** A piece in its setup. */
interface InSetup {
  readonly piece: Workpiece;
  readonly setup: Setup;
  readonly held: Held;
}

/** Lengths whose edge towards the tail is broken now: those cut in this setup, and finished ones whose edge had to wait. */
export function edgesNow({ piece, setup, held }: InSetup, cutNow: ReadonlySet<string>): readonly Outside[] {
  const lengths = outsides(piece.part);
  const all = setup.extent !== 'ends' && setup.extent !== 'rough';
  const waited = (f: Outside, i: number): boolean => {
    const edge = chamferOf(piece.part, f);
    const next = lengths[i + 1];
    const free = f.zToMm > freeFromMm(held) + 1 && (next === undefined || next.diameterMm < f.diameterMm);
    // what stays as the bar is has its edges all the same
    const stands = isFinished(piece, f.id) || f.diameterMm >= standingMm(piece, f.zFromMm, f.zToMm) - ROUNDING;
    return all && stands && !!edge && !isFinished(piece, edge.id) && free;
  };
  const left = (f: Outside): boolean => setup.leave?.includes(chamferOf(piece.part, f)?.id ?? '') === true;
  return lengths.filter((f, i) => chamferOf(piece.part, f) && !left(f) && (cutNow.has(f.id) || waited(f, i)));
}

/** The chamfer at the tail end of a length. */
export function chamferOf(part: Part, { id }: Outside): Chamfer | undefined {
  const edge = edgeOf(part, id, 'right');
  return edge?.kind === 'chamfer' ? edge : undefined;
}
