import type { Chuck } from '../lathe/index.ts';
import type { Outside, Part } from '../part/index.ts';
import { cutInto, edgeOf, insides, outsides } from '../part/index.ts';
import type { Recorder } from '../working/index.ts';
import { type Blank, cutOffMm } from './blank.ts';
import type { HoldChoice, HoldMethod } from './schema.ts';
import type { Worked } from './worked.ts';

/** Overhang in diameters up to which a chuck alone is trusted, and beyond which even a tail centre wants a rest. FIELD 2 */
export const FREE_DIAMETERS = 4;
export const REST_DIAMETERS = 12;

export interface Holding {
  readonly method: HoldMethod;
  readonly why: 'chosen' | 'shortOverhang' | 'longOverhang' | 'bends';
  /** zPart of the jaws' tail side */
  readonly jawsMm: number;
  /** zPart of the raw tail end */
  readonly rawEndMm: number;
  readonly overhangMm: number;
  readonly overhangDiameters: number;
  readonly wantsRest: boolean;
  readonly gripMm: number;
  /** held again: zPart of the piece's end at the headstock; else the jaws hold its very end */
  readonly headEndMm?: number;
  /** zPart where it is carried at the headstock, where that is not at the jaws: a centre, a mandrel's own end */
  readonly supportMm?: number;
  /** length that it is held by */
  readonly onId?: string;
  /** diameter that is held */
  readonly onMm: number;
  /** what presses there, jaws or what is in their place, as the sum of forces that jaws would need for the same hold */
  readonly forceN: number;
  /** fastest that it may turn, rpm */
  readonly maxRpm: number;
}

/**
 * Places the blank in the jaws and says whether a tail centre is wanted. zPart 0 is the part's left end.
 * @param spigotMm length of a spigot at the left end
 */
export function holdingFor(
  part: Part,
  blank: Blank,
  choice: HoldChoice,
  chuck: Chuck,
  record?: Recorder,
  spigotMm = 0,
): Holding {
  const headMm = choice.faceHeadMm + spigotMm;
  // a spigot is there to be gripped: the jaws end with it
  const onPartMm = spigotMm > 0 ? Math.min(blank.gripMm - headMm, -choice.faceHeadMm) : blank.gripMm - headMm;
  const jawsMm =
    choice.gripOn === 'spare' ? -(headMm + cutOffMm(choice, blank.diameterMm) + choice.clearanceMm) : onPartMm;
  const gripMm = choice.gripOn === 'part' ? Math.min(blank.gripMm, jawsMm + headMm) : blank.gripMm;
  const rawEndMm = part.lengthMm + choice.faceTailMm;
  const overhangMm = rawEndMm - jawsMm;
  const overhangDiameters = overhangMm / blank.diameterMm;
  const method =
    choice.method === 'auto' ? (overhangDiameters > FREE_DIAMETERS ? 'chuckAndCentre' : 'chuck') : choice.method;
  const why = choice.method !== 'auto' ? 'chosen' : method === 'chuck' ? 'shortOverhang' : 'longOverhang';
  record?.({
    code: 'hold.overhang',
    values: { overhangMm, diameterMm: blank.diameterMm, overhangDiameters, freeDiameters: FREE_DIAMETERS, method },
  });
  return {
    method,
    why,
    jawsMm,
    rawEndMm,
    overhangMm,
    overhangDiameters,
    wantsRest: overhangDiameters > REST_DIAMETERS,
    gripMm,
    ...{ onMm: blank.diameterMm, forceN: chuck.forceN, maxRpm: chuck.maxRpm },
  };
}

/** Why a feature, a face or an edge cannot be turned in this holding. */
export interface Waiting {
  readonly what: 'feature' | 'headFace' | 'cutOff' | 'leftEdge' | 'detail' | 'bore';
  readonly featureId?: string;
  readonly why: 'behindLarger' | 'inJaws' | 'otherEnd' | 'asBar' | 'shape' | 'otherSetup' | 'tooFine';
}
/** Whether another holding can bring it on; what is of a shape that is not planned, or too fine, is left to the turner. */
export const helpedByHolding = ({ what, why }: Waiting): boolean =>
  what !== 'detail' && what !== 'bore' && why !== 'shape' && why !== 'tooFine' && why !== 'asBar';

export interface Reach {
  /** largest first, which is from the chuck to the tail */
  readonly reachable: readonly Outside[];
  readonly waiting: readonly Waiting[];
}

/**
 * What can be turned from the tailstock end: features no smaller than everything between them and the tail, and clear of the jaws.
 * @param clearanceMm free distance that the tool keeps from the jaws
 * @param worked a holding after the first: what is finished already
 */
export function reachFromTail(
  part: Part,
  holding: Holding,
  stockMm: number,
  clearanceMm: number,
  gripOn: HoldChoice['gripOn'],
  worked?: Pick<Worked, 'doneIds' | 'headMm'>,
): Reach {
  const reachable: Outside[] = [];
  const waiting: Waiting[] = [];
  const done = new Set(worked?.doneIds);
  let largestMm = 0;
  for (const feature of outsides(part).toReversed()) {
    const blocked = feature.diameterMm < largestMm - 1e-9;
    largestMm = Math.max(largestMm, feature.diameterMm);
    if (done.has(feature.id)) {
      // finished before; it stands in the way of what lies behind it all the same
    } else if (blocked) waiting.push({ what: 'feature', featureId: feature.id, why: 'behindLarger' });
    else if (feature.kind !== 'cylinder') waiting.push({ what: 'feature', featureId: feature.id, why: 'shape' });
    else if (feature.zFromMm < holding.jawsMm + Math.min(clearanceMm, 1))
      waiting.push({ what: 'feature', featureId: feature.id, why: 'inJaws' });
    else if (feature.diameterMm >= stockMm - 1e-9)
      waiting.push({ what: 'feature', featureId: feature.id, why: 'asBar' });
    else reachable.push(feature);
    const edges = [edgeOf(part, feature.id, 'left'), edgeOf(part, feature.id, 'right')];
    if (cutInto(part, feature.id).length > 0 || edges.some((e) => e?.kind === 'round'))
      waiting.push({ what: 'detail', featureId: feature.id, why: 'shape' });
    if (edges[0]?.kind === 'chamfer') waiting.push({ what: 'leftEdge', featureId: feature.id, why: 'otherEnd' });
  }
  for (const bore of insides(part)) waiting.push({ what: 'bore', featureId: bore.id, why: 'shape' });
  if (worked) {
    if (worked.headMm > 0) waiting.push({ what: 'headFace', why: 'otherEnd' });
    return { reachable: reachable.toReversed(), waiting };
  }
  waiting.push({ what: gripOn === 'spare' ? 'cutOff' : 'headFace', why: 'otherEnd' });
  if (gripOn === 'spare') waiting.push({ what: 'headFace', why: 'otherEnd' });
  return { reachable: reachable.toReversed(), waiting };
}
