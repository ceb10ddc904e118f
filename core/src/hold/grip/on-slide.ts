import { chuckOf, type Lathe } from '../../lathe/index.ts';
import { barSection, insides, outsides, type Part } from '../../part/index.ts';
import { PLACE_MM, type Problem, type ProblemCode } from '../../quantity/index.ts';
import type { BoringBar } from '../../tool/index.ts';
import { rawEndMm, reachOf } from '../../work/index.ts';
import type { Held } from '../held.ts';
import { barOver, barWantsMm, CLEAR_MM } from '../over-slide.ts';
import type { OnSlide } from '../schema.ts';
import { throughHoleMm } from '../stock-check.ts';
import type { GripAsked, HoldAnswer } from './kind.ts';

/** What two clamps on slots press, as the sum of forces that jaws would need for the same hold, N. Recalled from practice */
const CLAMPS_N = 15_000;
/** Fastest that a bar between centres and a head with its cutter to one side turn, rpm. Practice */
const FASTEST_RPM = { centres: 800, head: 600 } as const;
/** Work may hang over the slide along the bed by half of what rests on it. */
const HANGS_SHARE = 1.5;

const NO_BAR = { centres: 'hold.noTurningBar.centres', head: 'hold.noTurningBar.head' } as const;
const BAR_SHORT = { centres: 'hold.barShort.centres', head: 'hold.barShort.head' } as const;

/** How far the axis lies above the face that the work stands on: as it was typed, or half of a flat section. */
const baseMm = ({ aboveBaseMm }: OnSlide, part: Part): number | undefined =>
  aboveBaseMm ?? outsides(part).flatMap((f) => barSection(f)?.acrossMm ?? [])[0];

/**
 * Bolted to the cross-slide, its hole brought in line with the spindle by packing and by the slide: the bar turns, the work is fed
 * past it. Height, length of bar, travel and room are checked before anything is clamped.
 * @source FIELD 5
 */
export function onSlide({ piece, lathe, tools, record }: GripAsked, grip: OnSlide): HoldAnswer {
  const { part } = piece;
  const { zFromMm, zToMm, largestMm } = reachOf(piece);
  const lengthMm = Number((zToMm - zFromMm).toFixed(6));
  const problems: Problem[] = [];
  const refuse = (code: ProblemCode, more: Partial<Problem> = {}): void => {
    problems.push({ code, path: ['grip', 'by'], unit: 'mm', ...more });
  };
  const bar = barOver(tools ?? [], piece, grip.by);
  const { slotted } = lathe.holding;
  if (!slotted) refuse('hold.noSlots');
  if (!bar) refuse(NO_BAR[grip.by]);
  const section = baseMm(grip, part);
  const axisMm = grip.aboveBaseMm ?? (section === undefined ? undefined : section / 2);
  if (axisMm === undefined) refuse('hold.noBase', { path: ['grip', 'aboveBaseMm'] });
  else if (slotted && axisMm > slotted.belowCentreMm + PLACE_MM)
    refuse('hold.axisAboveCentre', { value: axisMm, limit: slotted.belowCentreMm });
  if (slotted && lengthMm > HANGS_SHARE * slotted.alongMm)
    refuse('hold.longForSlide', { value: lengthMm, limit: slotted.alongMm });
  if (grip.by === 'centres' && throughHoleMm(part) === 0) refuse('hold.barNotThrough');
  if (rawEndMm(piece, 'right') > PLACE_MM) refuse('hold.endStillRaw', { value: rawEndMm(piece, 'right') });
  if (bar) problems.push(...reachOfBar(bar, lengthMm, lathe, grip), ...comesOut(bar, part));
  record?.({
    code: 'hold.overSlide',
    values: {
      ...{ lengthMm, wantsMm: barWantsMm(grip.by, lengthMm), barMm: bar?.reachMm ?? 0 },
      ...{ belowCentreMm: slotted?.belowCentreMm ?? 0, axisMm: axisMm ?? 0 },
      packMm: slotted && axisMm !== undefined ? slotted.belowCentreMm - axisMm : 0,
    },
  });
  if (problems.some((p) => p.severity !== 'warning') || !slotted || axisMm === undefined)
    return { held: undefined, problems };
  const held: Held = {
    ...{ method: grip.by === 'centres' ? 'barOverSlide' : 'headOverSlide', why: 'chosen' },
    ...{ jawsMm: zFromMm - CLEAR_MM, rawEndMm: zToMm, overhangMm: lengthMm, overhangDiameters: 0 },
    ...{ wantsRest: false, gripMm: 0, headEndMm: zFromMm, onMm: largestMm, forceN: CLAMPS_N },
    ...{ maxRpm: FASTEST_RPM[grip.by], chuckId: chuckOf(lathe).id },
    packMm: Number((slotted.belowCentreMm - axisMm).toFixed(6)),
  };
  return { held, problems };
}

/** Steps that the cutter does not come out to: they are left, the others are bored. */
function comesOut({ turns }: BoringBar, part: Part): Problem[] {
  const largestMm = Math.max(0, ...insides(part).map((s) => Math.max(s.leftMm, s.rightMm)));
  if (!turns || largestMm <= turns.mostBoreMm) return [];
  return [
    {
      ...{ code: 'hold.cutterShort', path: ['grip', 'by'], value: Number(largestMm.toFixed(2)) },
      ...{ limit: turns.mostBoreMm, unit: 'mm', severity: 'warning' },
    },
  ];
}

/** What bar and carriage must reach. */
function reachOfBar(bar: BoringBar, lengthMm: number, { sizes, slides }: Lathe, { by }: OnSlide): Problem[] {
  const wantsMm = barWantsMm(by, lengthMm);
  const travelMm = lengthMm + 2 * CLEAR_MM;
  const over: readonly (readonly [code: ProblemCode, value: number, limit: number])[] = [
    [BAR_SHORT[by], wantsMm, bar.reachMm],
    ...(by === 'centres' ? ([['hold.barLongerThanLathe', bar.reachMm, sizes.betweenCentresMm]] as const) : []),
    ['hold.carriageShort', travelMm, slides.carriage.travelMm],
  ];
  return over.flatMap(([code, value, limit]) =>
    value > limit + PLACE_MM ? [{ code, path: ['grip', 'by'], value, limit, unit: 'mm' as const }] : [],
  );
}
