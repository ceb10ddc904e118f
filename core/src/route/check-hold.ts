import { cutForces } from '../cutting/index.ts';
import { type Held, inChuck } from '../hold/index.ts';
import { chuckOf } from '../lathe/index.ts';
import { toleranceMm } from '../limit/index.ts';
import type { Means } from '../means/index.ts';
import { ringGivesMm, tipUse } from '../mechanics/index.ts';
import { insides, isStraight, outsides, spigotAt } from '../part/index.ts';
import type { Problem } from '../quantity/index.ts';
import { toolFor } from '../tool/index.ts';
import { hollowMm, isFinished, reachOf, standingMm, type Workpiece, weightOutNmm } from '../work/index.ts';
import { canTip } from './bending.ts';

/** A light cut, which whatever is held at all has to bear at its end: depth and feed, mm. */
const LIGHT = { depthMm: 0.3, feedMmPerRev: 0.1 };
/** Jaws of a chuck that press at single places; those that close all round lobe nothing. */
const JAWS: Readonly<Record<string, number>> = { threeJaw: 3, fineAdjusting: 3, fourJaw: 4 };
/** Share of the closest limits that lobes may take: they add to everything else. */
const LOBES_SHARE = 0.25;
/** How far beyond the jaws a ring still gives with what they press, as a multiple of √(radius · wall). Recalled of short tubes */
const GIVES_BEYOND = 2;

/**
 * What speaks against a hold once the metal is known: that even a light cut tips the work out of the jaws, and that a thin ring is
 * bored lobed in them. Paths from the setup.
 * @source FIELD 14
 */
export function checkHold(piece: Workpiece, held: Held, means: Means): Problem[] {
  return [...spigotAtTail(piece), ...tips(piece, held, means), ...lobes(piece, held, means)];
}

/** A spigot is there to be gripped by: it is not faced away while anything is left to be turned that it could hold. */
function spigotAtTail(piece: Workpiece): Problem[] {
  const { part } = piece;
  const spigot = spigotAt(part, 'right');
  const stands = spigot !== undefined && reachOf(piece).zToMm > part.lengthMm + spigot.lengthMm / 2;
  const left = outsides(part).some((f) => isStraight(f) && !isFinished(piece, f.id));
  return stands && left && !spigotAt(part, 'left') ? [{ code: 'hold.spigotAtTail', path: ['tail'] }] : [];
}

function tips(piece: Workpiece, held: Held, { material, tools }: Means): Problem[] {
  if (!canTip(held)) return [];
  const tool = toolFor(tools, 'rougher');
  const edge = { kappaDeg: tool?.kappaDeg ?? 90, noseRadiusMm: tool?.noseRadiusMm ?? 0 };
  const { cuttingN, radialN } = cutForces(material, tool?.material ?? 'hss', { ...LIGHT, ...edge });
  const weightNmm = weightOutNmm(piece, held.jawsMm, material.densityKgPerM3);
  const tipping = { gripMm: held.gripMm, armMm: held.overhangMm, weightNmm };
  const share = tipUse(Math.hypot(cuttingN, radialN), cuttingN, tipping, held.onMm, held.forceN);
  if (share <= 1) return [];
  return [{ code: 'hold.tips', path: ['grip', 'mm'], value: held.gripMm, limit: held.overhangMm, unit: 'mm' }];
}

/** A ring in single jaws: how far it gives, against the closest limits of its lengths and holes. */
function lobes(piece: Workpiece, held: Held, { lathe, material }: Means): Problem[] {
  const chuck = chuckOf(lathe, held.chuckId);
  const jaws = JAWS[chuck.kind];
  const { part } = piece;
  if (!jaws || !inChuck(held.method) || insides(part).length === 0) return [];
  // the ring as it will be: its own hole, where that goes through under the jaws
  const [from, to] = [held.jawsMm - held.gripMm, held.jawsMm];
  const middle = (from + to) / 2;
  const bored = insides(part).filter((b) => b.zFromMm <= middle && middle <= b.zToMm);
  const holeMm = Math.max(hollowMm(piece, middle), ...bored.map((b) => Math.min(b.leftMm, b.rightMm)));
  const outerMm = standingMm(piece, from, to);
  if (holeMm <= 0 || holeMm >= outerMm) return [];
  const wallMm = (outerMm - holeMm) / 2;
  const radiusMm = (outerMm + holeMm) / 4;
  const { zFromMm, zToMm } = reachOf(piece);
  const lengthMm = Math.min(zToMm - zFromMm, held.gripMm + GIVES_BEYOND * Math.sqrt(radiusMm * wallMm));
  const ring = { forceN: held.forceN / jaws, jaws, radiusMm, wallMm, lengthMm, modulusGPa: material.modulusGPa };
  // in at the jaws, nearly as much out between them
  const lobesMm = 2 * ringGivesMm(ring);
  const closest = Math.min(...[...insides(part), ...outsides(part)].map((f) => toleranceMm(f.limits)));
  if (lobesMm <= LOBES_SHARE * closest) return [];
  return [
    {
      ...{ code: 'hold.lobes', path: ['grip', 'kind'], value: Number(lobesMm.toFixed(3)) },
      ...{ limit: Number(closest.toFixed(3)), unit: 'mm', severity: 'warning' },
    },
  ];
}
