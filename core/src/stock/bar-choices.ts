/** Equal bars, lengths and rooms in whole micrometres; a bar's room is its length and one kerf. */
export interface Bars {
  readonly id: string;
  readonly lengthUm: number;
  readonly roomUm: number;
  readonly count: number;
}

/** Combinations of bars with room enough, the shortest together first. */
export interface BarChoices {
  readonly sets: readonly (readonly Bars[])[];
  /** whether they are all there are; otherwise one for each total length, counted in millimetres */
  readonly complete: boolean;
  /** no combination with room enough is shorter than this */
  readonly boundUm: number;
}

/** Most combinations that are all listed. */
const MOST_CHOICES = 1 << 18;
/** How many are offered of a rack that has more, and the step at which their lengths are counted. */
const OFFERED = 300;
const COARSE = 1000;

// the longest bar is filled last and keeps what is left over
const inOrder = (bars: readonly Bars[]): readonly Bars[] => bars.toSorted((a, b) => a.roomUm - b.roomUm);

/** Which bars could be cut into for a room that is needed, in micrometres. */
export function barChoices(bars: readonly Bars[], needUm: number): BarChoices {
  const choices = bars.reduce((product, b) => product * (b.count + 1), 1);
  return choices > MOST_CHOICES ? coarseChoices(bars, needUm) : allChoices(bars, needUm);
}

function allChoices(bars: readonly Bars[], needUm: number): BarChoices {
  let sets: { roomUm: number; lengthUm: number; counts: readonly number[] }[] = [
    { roomUm: 0, lengthUm: 0, counts: [] },
  ];
  for (const bar of bars)
    sets = sets.flatMap((s) =>
      Array.from({ length: bar.count + 1 }, (_, n) => ({
        roomUm: s.roomUm + n * bar.roomUm,
        lengthUm: s.lengthUm + n * bar.lengthUm,
        counts: [...s.counts, n],
      })),
    );
  const enough = sets.filter((s) => s.roomUm >= needUm).sort((a, b) => a.lengthUm - b.lengthUm);
  return {
    sets: enough.map((s) => inOrder(s.counts.flatMap((n, i) => Array.from({ length: n }, () => bars[i]!)))),
    complete: true,
    boundUm: enough[0]?.lengthUm ?? 0,
  };
}

/**
 * One combination for each total that can be reached, to the millimetre, by the sums of subsets.
 * @source dynamic programming over rooms rounded down: a combination of m bars with room R has at least R − m there
 */
function coarseChoices(bars: readonly Bars[], needUm: number): BarChoices {
  const each = bars.flatMap((b) => Array.from({ length: b.count }, () => b));
  const rooms = each.map((b) => Math.floor(b.roomUm / COARSE));
  const most = Math.min(
    rooms.reduce((sum, r) => sum + r, 0),
    Math.ceil(needUm / COARSE) + Math.max(...rooms) + OFFERED,
  );
  // by which bar a total was first reached; bars come in turn, so walking back never takes one twice
  const by = new Int32Array(most + 1).fill(-1);
  by[0] = each.length;
  for (const [i, room] of rooms.entries())
    for (let total = most; total >= room; total--) if (by[total] === -1 && by[total - room] !== -1) by[total] = i;
  const sets: { chosen: readonly Bars[]; lengthUm: number }[] = [];
  let boundRoom = Number.POSITIVE_INFINITY;
  for (
    let total = Math.max(1, Math.floor(needUm / COARSE) - each.length);
    total <= most && sets.length < OFFERED;
    total++
  ) {
    if (by[total] === -1) continue;
    boundRoom = Math.min(boundRoom, total * COARSE);
    const chosen: Bars[] = [];
    for (let t = total; t > 0; t -= rooms[by[t]!]!) chosen.push(each[by[t]!]!);
    if (chosen.reduce((sum, b) => sum + b.roomUm, 0) >= needUm)
      sets.push({ chosen: inOrder(chosen), lengthUm: chosen.reduce((sum, b) => sum + b.lengthUm, 0) });
  }
  const kerf = each[0]!.roomUm - each[0]!.lengthUm;
  return {
    sets: sets.toSorted((a, b) => a.lengthUm - b.lengthUm).map((s) => s.chosen),
    complete: false,
    boundUm: Math.max(0, boundRoom - each.length * kerf),
  };
}
