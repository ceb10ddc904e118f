import { cutForces } from '../cutting/index.ts';
import type { Held, Setup } from '../hold/index.ts';
import { toleranceMm } from '../limit/index.ts';
import type { Means } from '../means/index.ts';
import { tipUse } from '../mechanics/index.ts';
import { insides, isShapedLater, isStraight, outsides, spigotAt } from '../part/index.ts';
import type { Problem } from '../quantity/index.ts';
import { edgeFor } from '../tool/index.ts';
import { isFinished, reachOf, type Workpiece, weightOutNmm } from '../work/index.ts';
import { canTip } from './bending.ts';
import { lobesMm, ringInJaws } from './gentle.ts';

/** A light cut, which whatever is held at all has to bear at its end: depth and feed, mm. */
const LIGHT = { depthMm: 0.3, feedMmPerRev: 0.1 };
/** Share of the closest limits that lobes may take: they add to everything else. */
const LOBES_SHARE = 0.25;

/**
 * What speaks against a hold once the metal is known: that even a light cut tips the work out of the jaws, and that a thin ring is
 * bored lobed in them. Paths from the setup.
 * @source FIELD 14
 */
export function checkHold(piece: Workpiece, setup: Setup, held: Held, means: Means): Problem[] {
  return [...spigotAtTail(piece), ...gentle(held), ...tips(piece, held, means), ...lobes(piece, setup, held, means)];
}

/** A spigot is there to be gripped by: it is not faced away while anything is left to be turned that it could hold. */
function spigotAtTail(piece: Workpiece): Problem[] {
  const { part } = piece;
  const spigot = spigotAt(part, 'right');
  const stands = spigot !== undefined && reachOf(piece).zToMm > part.lengthMm + spigot.lengthMm / 2;
  const left = outsides(part).some((f) => (isStraight(f) || isShapedLater(f)) && !isFinished(piece, f.id));
  return stands && left && !spigotAt(part, 'left') ? [{ code: 'hold.spigotAtTail', path: ['tail'] }] : [];
}

/** Jaws that may only be tightened a little are told of. */
const gentle = ({ gentleShare }: Held): Problem[] =>
  gentleShare === undefined
    ? []
    : [
        {
          ...{ code: 'hold.tightenLess', path: ['grip', 'kind'], value: Math.max(1, Math.round(gentleShare * 100)) },
          severity: 'warning',
        },
      ];

function tips(piece: Workpiece, held: Held, { material, tools }: Means): Problem[] {
  if (!canTip(held)) return [];
  const tool = edgeFor(tools, 'rougher');
  const edge = { kappaDeg: tool?.kappaDeg ?? 90, noseRadiusMm: tool?.noseRadiusMm ?? 0 };
  const { cuttingN, radialN } = cutForces(material, tool?.material ?? 'hss', { ...LIGHT, ...edge });
  const weightNmm = weightOutNmm(piece, held.jawsMm, material.densityKgPerM3);
  const tipping = { gripMm: held.gripMm, armMm: held.overhangMm, weightNmm };
  const share = tipUse(Math.hypot(cuttingN, radialN), cuttingN, tipping, held.onMm, held.forceN);
  if (share <= 1) return [];
  return [{ code: 'hold.tips', path: ['grip', 'mm'], value: held.gripMm, limit: held.overhangMm, unit: 'mm' }];
}

/** A ring in single jaws: how far it gives, against the closest limits of its lengths and holes. */
function lobes(piece: Workpiece, setup: Setup, held: Held, { lathe, material }: Means): Problem[] {
  const { part } = piece;
  const ring = ringInJaws(piece, held, lathe, setup, 'asDrawn');
  if (!ring || insides(part).length === 0) return [];
  const pressedMm = lobesMm(ring, held, material.modulusGPa);
  const closest = Math.min(...[...insides(part), ...outsides(part)].map((f) => toleranceMm(f.limits)));
  if (pressedMm <= LOBES_SHARE * closest) return [];
  return [
    {
      ...{ code: 'hold.lobes', path: ['grip', 'kind'], value: Number(pressedMm.toFixed(3)) },
      ...{ limit: Number(closest.toFixed(3)), unit: 'mm', severity: 'warning' },
    },
  ];
}
