import { chanceOf, type Gauge, PretendedLathe, type World } from '../../src/simulate/index.ts';
import { type Answer, follow } from './asking.ts';

/**
 * A turner who does what he is told, one step at a time, and knows of it only what `run.begin` and `run.after` answer to anyone.
 * Now and then a reading slips, or a hand; asked to look again he looks, and answers truly.
 */
export interface Habits {
  /** share of readings that slip */
  readonly readingSlips: number;
  /** share of dial moves that go wrong: a step taken for done, a ring knocked, a turn too far */
  readonly handSlips: number;
}
export interface Ring {
  readonly lineNumber: number;
  readonly divisions: number;
}
export interface Piece {
  readonly run: object;
  readonly world: World;
  readonly rings: { readonly crossSlide: Ring; readonly compound: Ring };
  readonly gauge: Gauge;
  readonly instrumentId: string;
  readonly features: readonly {
    readonly id: string;
    readonly zFromMm: number;
    readonly zToMm: number;
    /** in a hole, with the gauge for it */
    readonly inside?: { readonly gauge: Gauge; readonly instrumentId: string };
  }[];
  readonly habits: Habits;
}
export interface CutFeature {
  readonly id: string;
  readonly smallestMm: number;
  readonly largestMm: number;
  readonly measurements: number;
  /** cuts beyond those planned */
  readonly extraCuts: number;
}
export interface Made {
  readonly features: readonly CutFeature[];
  readonly samples: readonly { toolId: string; share: number; uncertaintyShare: number }[];
  /** hand slips that were made, and those that the next reading was asked about */
  readonly slipped: number;
  readonly askedAfterSlip: number;
  readonly finished: boolean;
  readonly refused: readonly string[];
}

const flip = { clockwise: 'anticlockwise', anticlockwise: 'clockwise' } as const;

/** Exchanges two neighbouring figures after the point, or adds a half, a turn, or reads the other unit. */
function slipped(mm: number, text: string, turnMm: number, even: () => number): string {
  const kind = Math.floor(even() * 4);
  if (kind === 0) return (mm + (even() < 0.5 ? 0.5 : -0.5)).toFixed(3);
  if (kind === 1) return (mm + (even() < 0.5 ? turnMm : -turnMm)).toFixed(3);
  if (kind === 2) return (mm / 25.4).toFixed(4);
  const at = text.length - 2 - Math.floor(even() * 2);
  return text.slice(0, at - 1) + text[at] + text[at - 1] + text.slice(at + 1);
}

/** A trial cut is so long, mm. */
const SHORT_ZONE_MM = 5;

/** Cuts one piece as it is told, to the end or until nothing more is told. */
export function turnPiece(piece: Piece): Made {
  const { run, world, rings, gauge, habits } = piece;
  const chance = chanceOf(world.seed ^ 0x5bd1e995);
  const lathe = new PretendedLathe(world);
  const { add, ask } = follow(run);
  const counts = new Map(piece.features.map((f) => [f.id, { measurements: 0, extraCuts: 0 }]));
  const placeOf = (id: string) => piece.features.find((f) => f.id === id)!;
  const isInside = (id: string | undefined): boolean => piece.features.some((f) => f.id === id && f.inside);
  const refused: string[] = [];
  let tool = '';
  let slips = 0;
  let asked = 0;
  /**
   * Slips of the hand that no reading has met yet; two before the same reading are both asked about with it. A pass that was
   * skipped leaves nothing wrong once the next one has gone over the same metal.
   */
  let open = 0;
  let skipped = 0;
  const turnMm = 2 * world.cross.lineMm * world.cross.linesPerTurn;

  const read = (featureId: string): { text: string; true: string } => {
    const { zFromMm, zToMm } = placeOf(featureId);
    const { inside } = placeOf(featureId);
    const middleMm = short ? world.lengthMm - SHORT_ZONE_MM / 2 : (zFromMm + zToMm) / 2;
    const mm = inside ? lathe.measureHole(middleMm, inside.gauge) : lathe.measure(middleMm, gauge);
    const honest = mm.toFixed(3);
    const slip = chance.even() < habits.readingSlips;
    return { text: slip ? slipped(mm, honest, turnMm, chance.even) : honest, true: honest };
  };
  /** Makes a move with the hands, in their order; says whether it was made at all. */
  const wind = (move: Answer): boolean => {
    const slide = move.slide === 'compound' ? 'compound' : 'cross';
    const ring = move.slide === 'compound' ? rings.compound : rings.crossSlide;
    const slip = chance.even() < habits.handSlips ? Math.floor(chance.even() * 3) : undefined;
    if (slip !== undefined) {
      slips++;
      open++;
    }
    // taken for done, though it was not
    if (slip === 0) {
      skipped++;
      return false;
    }
    slips -= skipped;
    open -= skipped;
    skipped = 0;
    // the ring was knocked by a few lines meanwhile, and is wound to its number all the same
    const knockedLines = slip === 1 ? 5 + Math.floor(chance.even() * 10) : 0;
    lathe.turn(slide, move.outTurns * ring.divisions, move.outHand);
    lathe.turn(slide, (move.fullTurns + (slip === 2 ? 1 : 0)) * ring.divisions, move.hand);
    lathe.turnTo(slide, Number(move.rest) / ring.lineNumber + knockedLines, move.hand);
    // it reads as told in the end
    if (slip !== undefined)
      lathe.bump(slide, lathe.rising(slide, move.hand) * -(knockedLines + (slip === 2 ? ring.divisions : 0)));
    return true;
  };
  const number = (slide: 'cross' | 'compound', ring: Ring): string => (lathe.reads(slide) * ring.lineNumber).toFixed(3);
  /** a short trial cut was made: the next reading is taken where it is */
  let short = false;
  let trueText = new Map<string, string>();

  for (let guard = 0; guard < 120; guard++) {
    const told = ask();
    if (told.over) return finish(true, told);
    const { step } = told;
    // what comes from the tailstock changes nothing in the post
    const fromTailstock = step.kind === 'spot' || step.kind === 'drill' || step.kind === 'ream';
    if (step.toolId && step.toolId !== tool && step.kind !== 'measure' && !fromTailstock) {
      tool = step.toolId;
      if (isInside(step.featureId)) lathe.putInHole(tool, world.lengthMm - 2);
      else lathe.putIn(tool);
    }
    if (told.asks.length > 0) {
      asked += open;
      open = 0;
      skipped = 0;
      for (const doubt of told.asks) answer(doubt, step);
      continue;
    }
    if (step.kind === 'touchOff') {
      touch(step);
      continue;
    }
    if (step.kind === 'measure' && !told.measured) {
      counts.get(step.featureId)!.measurements++;
      const { text, true: honest } = read(step.featureId);
      const id = add({
        kind: 'reading',
        stepId: step.id,
        raw: { text, unit: 'mm' },
        instrumentId: placeOf(step.featureId).inside?.instrumentId ?? piece.instrumentId,
        place: 'middle',
      });
      trueText = new Map([...trueText, [id, honest]]);
      continue;
    }
    if (step.kind === 'measure') {
      open = 0;
      skipped = 0;
    }
    const [act] = told.acts;
    if (!act) return finish(false, told);
    if (act.code === 'gone') return finish(false, told);
    if (act.code === 'leaveSo' || act.code === 'byHand') refused.push(`${step.featureId}:${told.move?.why ?? 'edge'}`);
    // what cannot be cut safely is left as it is
    const body = act.code === 'byHand' ? told.acts.at(-1).body : act.body;
    const move = act.code === 'trial' ? told.trial : told.move;
    short = act.code === 'trial';
    if (move?.kind === 'move') {
      const wound = wind(move);
      if (step.id.includes('-again-') || body.follows === 'measure') counts.get(step.featureId)!.extraCuts++;
      const stopMm = short ? world.lengthMm - SHORT_ZONE_MM : step.zStopMm;
      if (wound && isInside(step.featureId)) lathe.bore(stopMm);
      else if (wound) lathe.cut(stopMm);
    }
    if (step.kind === 'drill' || step.kind === 'ream') lathe.drill(step.diameterMm, step.zStopMm);
    add(body);
  }
  return finish(false, ask());

  function answer(doubt: Answer, step: Answer): void {
    if (step.kind === 'touchOff') {
      touch(step, true);
      return;
    }
    const honest = trueText.get(doubt.eventId)!;
    if (Math.abs(Number(honest) - doubt.readMm) > 1e-9) {
      add({ kind: 'corrected', readingId: doubt.eventId, raw: { text: honest, unit: 'mm' } });
      // corrected it may still be doubted: then it really is so
      const again = ask();
      if (again.asks.some((a: Answer) => a.eventId === doubt.eventId))
        add({ kind: 'confirmed', readingId: doubt.eventId });
    } else add({ kind: 'confirmed', readingId: doubt.eventId });
  }
  function touch(step: Answer, lookedAgain = false): void {
    const inHole = piece.features.find((f) => f.id === step.featureId)?.inside;
    const again = step.targetMm !== undefined;
    const last = piece.features.at(-1)!;
    const zMm = again ? (last.zFromMm + last.zToMm) / 2 : world.lengthMm - 2;
    if (!lookedAgain && inHole) {
      lathe.touchWall(world.lengthMm - 2);
      const outwards = world.cross.clockwiseIn ? flip.clockwise : 'clockwise';
      lathe.turnTo('cross', 0.15 / world.cross.lineMm, outwards);
      lathe.bore(world.lengthMm - 6);
    } else if (!lookedAgain) {
      lathe.touch(zMm);
      if (!again) {
        // a light cut, to clean up the end
        lathe.turnTo('cross', 0.15 / world.cross.lineMm, world.cross.clockwiseIn ? 'clockwise' : flip.clockwise);
        lathe.cut(world.lengthMm - 6);
      }
    }
    const mm = inHole ? lathe.measureHole(world.lengthMm - 2, inHole.gauge) : lathe.measure(zMm, gauge);
    const honest = mm.toFixed(3);
    const text =
      !lookedAgain && chance.even() < habits.readingSlips ? slipped(mm, honest, turnMm, chance.even) : honest;
    add({
      ...{ kind: 'touchedOff', stepId: step.id, diameter: { text, unit: 'mm' }, approach: 'in' },
      ...{ crossNumber: number('cross', rings.crossSlide), endNumber: '0' },
      ...(step.compoundDeg === undefined ? {} : { compoundNumber: number('compound', rings.compound) }),
      ...(lookedAgain ? { lookedAgain } : {}),
    });
  }
  function finish(finished: boolean, told: Answer): Made {
    const features = piece.features.map((f) => ({
      ...{ id: f.id, ...counts.get(f.id)! },
      ...(f.inside ? lathe.truthOfHole(f.zFromMm + 1, f.zToMm - 1) : lathe.truth(f.zFromMm + 1, f.zToMm - 1)),
    }));
    return { features, samples: told.samples, slipped: slips, askedAfterSlip: asked, finished, refused };
  }
}
