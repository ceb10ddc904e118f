import type { PlannedJob } from '../../src/job/index.ts';
import { cutInto, edgeOf, insides, outsides, roundOf } from '../../src/part/index.ts';
import type { Operation } from '../../src/route/index.ts';
import { simulate } from '../../src/simulate/index.ts';
import { FAMILIES, type Family, partOf } from '../../src/testing/families.ts';
import { seeded } from '../../src/testing/seeded.ts';
import { hasEdge, type Tool } from '../../src/tool/index.ts';
import { type Asked, type Drawn, judged, type Told } from './reference.ts';

/**
 * Routes that are spoiled on purpose, each judged by the plain reference and by the simulation: what harms has to be found, what does not
 * must not be accused. `npm run prove -- COUNT`
 */
type Setup = PlannedJob['setups'][number];
const wanted = Number(process.argv[2] ?? 2000);

/** What is told at an operation, as plain numbers. */
function toldOf(o: Operation, setup: Setup): Told {
  const { part } = setup.piece;
  const tool = setup.means.tools.find((t) => t.id === o.toolId);
  const on = o.featureId ? roundOf(part, o.featureId) : undefined;
  const sizes = Object.fromEntries(
    Object.entries(o).flatMap(([key, v]) =>
      typeof v === 'number' || typeof v === 'boolean' ? [[key, Number(v)]] : [],
    ),
  );
  const middle = on ? (on.limits.upperMm + on.limits.lowerMm) / 4 : 0;
  const edge = tool && hasEdge(tool) ? { noseMm: tool.noseRadiusMm, deepestMm: tool.deepestMm } : undefined;
  return {
    ...{ kind: o.kind, inside: on?.side === 'inside', zFromMm: o.zFromMm, zToMm: o.zToMm },
    diametersMm: o.passes.map((p) => p.diameterAfterMm),
    sizes: o.kind === 'chamfer' ? { ...sizes, cornerMm: middle - o.depthMm } : sizes,
    plungesMm: o.kind === 'groove' ? o.plungesMm : [],
    slices:
      o.kind === 'openFloor'
        ? o.slices.map((s) => ({ zMm: part.lengthMm - s.fromEndMm, fromDiameterMm: s.fromDiameterMm }))
        : [],
    tool: tool && {
      ...{ noseMm: edge?.noseMm ?? 0, deepestMm: edge?.deepestMm ?? 1e3 },
      widthMm: tool.kind === 'blade' || tool.kind === 'inside blade' ? tool.widthMm : 0,
      backMm: tool.kind === 'boring bar' ? (tool.leastBoreMm + tool.shankMm) / 2 : 0,
      reachMm: tool.kind === 'drill' ? tool.fluteMm : tool.kind === 'boring bar' ? tool.reachMm : 1e4,
      topMm: tool.kind === 'boring bar' ? (tool.leastBoreMm - tool.shankMm) / 2 : 0,
    },
  };
}

/** What is drawn, as plain numbers, with what the route says that it finishes. */
function drawnOf({ piece: { part }, plan }: Setup): Drawn[] {
  const done = (id: string): boolean => id in plan.after.finished;
  return [...outsides(part), ...insides(part)].map((s) => ({
    ...{ inside: s.side === 'inside', zFromMm: s.zFromMm, zToMm: s.zToMm },
    ...{ lowerMm: s.limits.lowerMm / 2, upperMm: s.limits.upperMm / 2, finished: done(s.id) },
    leftEdgeMm: lengthOf(edgeOf(part, s.id, 'left')),
    rightEdgeMm: lengthOf(edgeOf(part, s.id, 'right')),
    grooves: cutInto(part, s.id).flatMap((g) =>
      g.kind === 'groove' ? [{ zFromMm: g.zFromMm, zToMm: g.zToMm, deepMm: g.depthMm, finished: done(g.id) }] : [],
    ),
  }));
}
const lengthOf = (edge: ReturnType<typeof edgeOf>): number =>
  edge?.kind === 'chamfer' && edge.limits ? edge.limits.upperMm : edge ? edge.zToMm - edge.zFromMm : 0;

function askedOf(setup: Setup, operations: readonly Operation[], stockMm: number): Asked {
  const { held } = setup.plan;
  const inJaws = held && (held.method === 'chuck' || held.method === 'chuckAndCentre');
  return {
    ...{ zFromMm: (held?.jawsMm ?? 0) - (held?.gripMm ?? 0), zToMm: held?.rawEndMm ?? 0, stockMm },
    lengthMm: setup.piece.part.lengthMm,
    faced: 'part.right' in setup.plan.after.finished,
    noseMm: Math.max(0, ...setup.means.tools.map((t) => (hasEdge(t) ? t.noseRadiusMm : 0))),
    jaws: inJaws ? { zMm: held.jawsMm, radiusMm: held.onMm / 2 } : undefined,
    ...{ drawn: drawnOf(setup), told: operations.map((o) => toldOf(o, setup)) },
  };
}

const cuts = (o: Operation): boolean =>
  o.toolId !== undefined && o.kind !== 'touchOff' && o.kind !== 'spot' && o.kind !== 'centre';
const shiftedBy = (o: Operation, mm: number): Operation => {
  const moved = { ...o, zFromMm: o.zFromMm + mm, zToMm: o.kind === 'drill' ? o.zToMm : o.zToMm + mm };
  if (moved.kind === 'groove') return { ...moved, plungesMm: moved.plungesMm.map((z) => z + mm) };
  if (moved.kind === 'openFloor')
    return { ...moved, slices: moved.slices.map((s) => ({ ...s, fromEndMm: s.fromEndMm - mm })) };
  return moved;
};
const deepenedBy = (o: Operation, mm: number, inside: boolean): Operation => {
  const by = inside ? 2 * mm : -2 * mm;
  const passes = o.passes.map((p) => ({ ...p, diameterAfterMm: p.diameterAfterMm + by }));
  if (o.kind === 'groove') return { ...o, floorMm: o.floorMm + by };
  if (o.kind === 'shoulder') return { ...o, fromDiameterMm: o.fromDiameterMm + by };
  if (o.kind === 'drill') return { ...o, diameterMm: o.diameterMm - by };
  return { ...o, passes };
};

/** One mutation of a route by chance; its name and the operations that come of it. */
function mutated(setup: Setup, chance: () => number): readonly [string, readonly Operation[]] {
  const list = setup.plan.operations;
  const able = list.flatMap((o, i) => (cuts(o) ? [i] : []));
  const i = able[Math.floor(chance() * able.length)]!;
  const o = list[i]!;
  const inside = roundOf(setup.piece.part, o.featureId ?? '')?.side === 'inside';
  const amounts = [0.004, 0.02, 0.1, 0.4, 1.5, 5];
  const amount = amounts[Math.floor(chance() * amounts.length)]! * (chance() < 0.5 ? 1 : -1);
  const kind = Math.floor(chance() * 5);
  if (kind === 0) return [`${o.kind} removed`, list.filter((x) => x !== o)];
  if (kind === 1) {
    const j = able[Math.floor(chance() * able.length)]!;
    return [`${o.kind} swapped with ${list[j]!.kind}`, list.with(i, list[j]!).with(j, o)];
  }
  if (kind === 2) return [`${o.kind} deeper by ${amount}`, list.with(i, deepenedBy(o, amount, inside))];
  if (kind === 3) return [`${o.kind} shifted by ${amount}`, list.with(i, shiftedBy(o, amount))];
  const others = setup.means.tools.filter((t: Tool) => {
    const own = setup.means.tools.find((x) => x.id === o.toolId);
    return t.id !== o.toolId && t.kind === own?.kind;
  });
  const other = others[Math.floor(chance() * others.length)];
  return other
    ? [`${o.kind} with another tool`, list.with(i, { ...o, toolId: other.id })]
    : [`${o.kind} removed`, list.filter((x) => x !== o)];
}

const FROM: readonly Family[] = FAMILIES.filter((f) => f !== 'castings' && f !== 'odd sections');
const chance = seeded(7);
const tally = { harmful: 0, found: 0, harmless: 0, accused: 0, between: 0, base: 0 };
const missed = new Map<string, number>();
const wrongly = new Map<string, number>();
const began = performance.now();
let number = 0;
let tried = 0;
while (tried < wanted) {
  number++;
  const family = FROM[number % FROM.length]!;
  const { planned, shop } = partOf(family, number);
  const setup = planned.setups[0] as Setup | undefined;
  const stockMm = planned.stockMm ?? 0;
  if (!setup?.plan.held || shop.bars[0]?.shape) continue;
  const plain = judged(askedOf(setup, setup.plan.operations, stockMm));
  if (plain.harm) {
    tally.base++;
    console.log(`the reference finds “${plain.harm}” in ${family} ${number} as planned`);
    continue;
  }
  for (let n = 0; n < 12 && tried < wanted; n++) {
    const [name, operations] = mutated(setup, chance);
    const { harm, clean } = judged(askedOf(setup, operations, stockMm));
    const { findings } = simulate({ ...setup, plan: { ...setup.plan, operations } });
    tried++;
    if (harm) {
      tally.harmful++;
      if (findings.length > 0) tally.found++;
      else {
        missed.set(`${name}: ${harm}`, (missed.get(`${name}: ${harm}`) ?? 0) + 1);
        if (process.argv[3]) console.log('missed', family, number, name, harm);
      }
    } else if (clean) {
      tally.harmless++;
      if (findings.length > 0) {
        const key = `${name}: ${findings[0]!.code}`;
        tally.accused++;
        wrongly.set(key, (wrongly.get(key) ?? 0) + 1);
        if (process.argv[3]) console.log('accused', family, number, name, JSON.stringify(findings[0]));
      }
    } else tally.between++;
  }
}
const seconds = (performance.now() - began) / 1000;
console.log(
  `${tried} spoiled routes of ${number} parts in ${seconds.toFixed(0)} s: ${tally.harmful} harm, ${tally.found} of them found; ` +
    `${tally.harmless} do not, ${tally.accused} of them accused; ${tally.between} between`,
);
for (const [name, count] of [...missed].sort((a, b) => b[1] - a[1]).slice(0, 20))
  console.log(`  missed ${count} × ${name}`);
for (const [name, count] of [...wrongly].sort((a, b) => b[1] - a[1]).slice(0, 20))
  console.log(`  accused ${count} × ${name}`);
if (tally.found < tally.harmful || tally.accused > 0 || tally.base > 0) process.exitCode = 1;
