import type { Lathe } from '../lathe/index.ts';
import { halfDegOf } from '../taper/index.ts';
import { type CompoundSet, compoundFor } from './compound.ts';
import { type BetweenCentres, type SetOver, setOver, wantsBalls } from './set-over.ts';

/** The cone that is to be turned. Lengths in mm. */
export interface Cone {
  /** positive where the diameter falls towards the tailstock */
  readonly perLength: number;
  readonly lengthMm: number;
  readonly side: 'outside' | 'inside';
  /** where it is turned between centres; undefined in a chuck */
  readonly between?: BetweenCentres;
  /** lengths of a batch differ, so that each would ask for an offset of its own */
  readonly lengthsVary?: boolean;
}

/** Why a way is not one here. */
export const TAPER_WHY_NOT = [
  ...(['inside', 'noCentres', 'noSetOver', 'tooFar', 'lengthsVary', 'noAttachment', 'tooSteep', 'tooLong'] as const),
  ...(['noTravel', 'tooWide'] as const),
] as const;
export type TaperWhyNot = (typeof TAPER_WHY_NOT)[number];

/** A way of turning a cone on this lathe: its setting, or why it is none. */
export type TaperWay =
  | { readonly way: 'compound'; readonly can: true; readonly set: CompoundSet }
  | { readonly way: 'setOver'; readonly can: true; readonly set: SetOver; readonly balls: boolean }
  | {
      readonly way: 'attachment';
      readonly can: true;
      /** by its own graduation: degrees to the axis, or change of diameter per length */
      readonly graduated: 'degrees' | 'taperOnDiameter';
      readonly halfDeg: number;
      readonly perLength: number;
    }
  | { readonly way: 'formTool'; readonly can: true; readonly edgeMm: number }
  | {
      readonly way: 'compound' | 'setOver' | 'attachment' | 'formTool';
      readonly can: false;
      readonly why: TaperWhyNot;
      /** how far it may go here: degrees or mm */
      readonly limit?: number;
    };

/** A wide edge is pushed in along its whole breadth: wider than this it sings, mm. Shop */
const FORM_EDGE_MM = 6;
/** A long cone by a short compound is blended at most so many times. */
const MOST_SETTINGS = 2;

function byCompound(lathe: Lathe, halfDeg: number, lengthMm: number): TaperWay {
  const set = compoundFor(lathe, halfDeg, lengthMm);
  if (set.roomMm <= 0) return { way: 'compound', can: false, why: 'noTravel' };
  return set.settings > MOST_SETTINGS
    ? {
        way: 'compound',
        can: false,
        why: 'tooLong',
        limit: MOST_SETTINGS * set.roomMm * Math.cos((halfDeg * Math.PI) / 180),
      }
    : { way: 'compound', can: true, set };
}

function bySetOver({ tailstock }: Lathe, cone: Cone, halfDeg: number): TaperWay {
  const none = (why: TaperWhyNot, limit?: number): TaperWay => ({
    ...{ way: 'setOver', can: false, why },
    ...(limit === undefined ? {} : { limit }),
  });
  if (cone.side === 'inside') return none('inside');
  if (!cone.between) return none('noCentres');
  if (tailstock.setOverMm === 0) return none('noSetOver');
  if (cone.lengthsVary) return none('lengthsVary');
  const set = setOver(cone.perLength, cone.between);
  if (set.offsetMm > tailstock.setOverMm) return none('tooFar', tailstock.setOverMm);
  return { way: 'setOver', can: true, set, balls: wantsBalls(halfDeg) };
}

function byAttachment({ taperAttachment: own }: Lathe, cone: Cone, halfDeg: number): TaperWay {
  if (!own) return { way: 'attachment', can: false, why: 'noAttachment' };
  if (halfDeg > own.mostDeg) return { way: 'attachment', can: false, why: 'tooSteep', limit: own.mostDeg };
  if (cone.lengthMm > own.lengthMm) return { way: 'attachment', can: false, why: 'tooLong', limit: own.lengthMm };
  return { way: 'attachment', can: true, graduated: own.graduated, halfDeg, perLength: Math.abs(cone.perLength) };
}

/**
 * Every way of turning a cone on a lathe, those that can first: long slow ones by the attachment, then set over between centres, short and
 * steep ones by the compound, the shortest by a wide edge.
 * @source FIELD 8
 */
export function taperWays(lathe: Lathe, cone: Cone): readonly TaperWay[] {
  const halfDeg = Math.abs(halfDegOf(cone.perLength));
  const edgeMm = cone.lengthMm / Math.cos((halfDeg * Math.PI) / 180);
  const form: TaperWay =
    edgeMm <= FORM_EDGE_MM
      ? { way: 'formTool', can: true, edgeMm }
      : { way: 'formTool', can: false, why: 'tooWide', limit: FORM_EDGE_MM };
  const compound = byCompound(lathe, halfDeg, cone.lengthMm);
  const slow = [byAttachment(lathe, cone, halfDeg), bySetOver(lathe, cone, halfDeg)];
  // by hand along one setting it is the surest of short ones; a blend shows
  const short = compound.can && compound.way === 'compound' && compound.set.settings === 1;
  const all = short ? [compound, ...slow, form] : [...slow, compound, form];
  return [...all.filter((w) => w.can), ...all.filter((w) => !w.can)];
}
