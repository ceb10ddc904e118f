/** How many of each kind go into a bar. */
export type Fill = readonly number[];

/** Equal things to be packed: largest first in every list here. Sizes and rooms are whole numbers of one unit. */
export interface Items {
  readonly size: number;
  readonly count: number;
}

/** First fit, largest first: each thing into the first bar with room for it. */
export function firstFit(
  rooms: readonly number[],
  items: readonly Items[],
): { readonly fills: readonly Fill[]; readonly left: readonly number[] } {
  const free = [...rooms];
  const fills = rooms.map(() => items.map(() => 0));
  const left = items.map(({ size, count }, kind) => {
    let rest = count;
    for (let bar = 0; bar < free.length && rest > 0; bar++) {
      const fit = Math.min(rest, Math.floor(free[bar]! / size));
      fills[bar]![kind] = fit;
      free[bar]! -= fit * size;
      rest -= fit;
    }
    return rest;
  });
  return { fills, left };
}

export type Packing =
  | { readonly kind: 'packed'; readonly fills: readonly Fill[]; readonly nodes: number }
  | { readonly kind: 'impossible'; readonly nodes: number }
  | { readonly kind: 'undecided'; readonly nodes: number };

/**
 * Whether all things go into these bars, bar after bar: each is filled so that no more stays free than all bars together have to
 * spare; the last takes the rest. A quick search shares what is to spare out evenly, a full one follows.
 * @param rooms shortest first @param items largest first @param mostNodes steps after which it is left undecided
 */
export function packInto(rooms: readonly number[], items: readonly Items[], mostNodes: number): Packing {
  const total = items.reduce((sum, i) => sum + i.size * i.count, 0);
  const spare = rooms.reduce((sum, r) => sum + r, 0) - total;
  if (spare < 0) return { kind: 'impossible', nodes: 0 };
  const search = new Search(rooms, items);
  for (const [share, nodes] of [
    [true, mostNodes * 0.3],
    [false, mostNodes],
  ] as const) {
    search.most = nodes;
    const found = search.fill(0, spare, share);
    if (found) return { kind: 'packed', fills: search.fills.map((f) => [...f]), nodes: search.nodes };
    if (!share && search.nodes < nodes) return { kind: 'impossible', nodes: search.nodes };
  }
  return { kind: 'undecided', nodes: search.nodes };
}

class Search {
  nodes = 0;
  most = 0;
  readonly fills: number[][];
  private readonly left: number[];
  private readonly sizes: readonly number[];
  private readonly rooms: readonly number[];
  /** states that led nowhere: what was left for a bar, with as much to spare */
  private readonly dead = new Map<string, number>();

  constructor(rooms: readonly number[], items: readonly Items[]) {
    this.rooms = rooms;
    this.sizes = items.map((i) => i.size);
    this.left = items.map((i) => i.count);
    this.fills = rooms.map(() => items.map(() => 0));
  }

  /** Fills bar after bar from this one on. */
  fill(bar: number, spare: number, share: boolean): boolean {
    if (this.nodes >= this.most) return false;
    if (bar === this.rooms.length - 1) {
      for (const [kind, count] of this.left.entries()) this.fills[bar]![kind] = count;
      return true;
    }
    const key = `${share ? 's' : 'f'}${bar}:${this.left.join()}`;
    if ((this.dead.get(key) ?? -1) >= spare) return false;
    const allowed = share ? Math.floor((2 * spare) / (this.rooms.length - bar)) : spare;
    const found = this.choose(bar, 0, this.rooms[bar]!, Math.min(spare, allowed), spare, share);
    if (!found && this.nodes < this.most) this.dead.set(key, spare);
    return found;
  }

  /** Chooses how many of each kind go into a bar, as many of the large ones as can be first. */
  private choose(bar: number, kind: number, free: number, allowed: number, spare: number, share: boolean): boolean {
    if (++this.nodes >= this.most) return false;
    if (free <= allowed && (kind === this.sizes.length || free < this.smallestFrom(kind)))
      return this.fill(bar + 1, spare - free, share);
    if (kind === this.sizes.length) return false;
    if (free - this.sumFrom(kind) > allowed) return false;
    const size = this.sizes[kind]!;
    const most = Math.min(this.left[kind]!, Math.floor(free / size));
    for (let n = most; n >= 0; n--) {
      this.left[kind]! -= n;
      this.fills[bar]![kind] = n;
      if (this.choose(bar, kind + 1, free - n * size, allowed, spare, share)) return true;
      this.left[kind]! += n;
      this.fills[bar]![kind] = 0;
      if (this.nodes >= this.most) return false;
    }
    return false;
  }

  private sumFrom(kind: number): number {
    let sum = 0;
    for (let k = kind; k < this.sizes.length; k++) sum += this.sizes[k]! * this.left[k]!;
    return sum;
  }

  private smallestFrom(kind: number): number {
    for (let k = this.sizes.length - 1; k >= kind; k--) if (this.left[k]! > 0) return this.sizes[k]!;
    return Number.POSITIVE_INFINITY;
  }
}
