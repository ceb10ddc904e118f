import type { Lathe } from '../lathe/index.ts';
import {
  boreForShareMm,
  crestFlatShareOf,
  exactLeadMm,
  formOf,
  includedDegOf,
  listedThreads,
  type NamedThread,
  overWiresMm,
  wireFor,
} from '../thread/index.ts';
import { type Engages, engagesFor } from './engage.ts';
import { trainLabel } from './gear-trains.ts';
import { type LeadSetting, leadSettings } from './leads.ts';

/** A thread as a lathe and the wires that are owned do it; lengths in mm. */
export interface ThreadTableRow {
  readonly name: string;
  readonly thread: NamedThread;
  /** levers or gears that come nearest, as they are written; missing where none come near */
  readonly set?: { readonly by: LeadSetting['kind']; readonly label: string; readonly errorPpm: number };
  readonly engages: Engages;
  /** bore before a tap or a bit */
  readonly drillMm: number;
  /** wires that are owned, and what is read over them at the basic pitch diameter */
  readonly wires?: { readonly wireMm: number; readonly overMm: number };
}

/** Bores are drilled for so much of the full height: what taps bear, and strips no earlier. FIELD 7 */
const DRILLED_SHARE = 0.9;
/** Drills are in steps of a tenth. */
const DRILL_STEPS = 10;
/** Forms that are tapped in a drilled hole; others are bored to their own size. */
const TAPPED: readonly NamedThread['form'][] = ['metric', 'unified', 'whitworth', 'ba', 'pipe'];
/** Flanks as steep as this hold no wires. */
const STEEP_DEG = 5;

/** How a lathe sets each lead, worked out once for all threads of that lead. */
function settingsOf(lathe: Lathe): (thread: NamedThread) => Pick<ThreadTableRow, 'set' | 'engages'> {
  const known = new Map<string, Pick<ThreadTableRow, 'set' | 'engages'>>();
  return (thread) => {
    const lead = exactLeadMm(thread);
    const key = lead.toFraction();
    const before = known.get(key);
    if (before) return before;
    const [way] = leadSettings(lathe, lead);
    const found = {
      engages: engagesFor(lathe, lead),
      ...(way
        ? {
            set: {
              ...{ by: way.kind, errorPpm: way.errorPpm },
              label: way.kind === 'marked' ? way.label : trainLabel(way.train),
            },
          }
        : {}),
    };
    known.set(key, found);
    return found;
  };
}

/**
 * A list of threads with how this lathe gives each, where its half-nuts close, what is drilled and which wires measure it.
 * @param seriesName a list, as `coarse` or `UNC` @param wiresMm wires that are owned
 */
export function threadTable(lathe: Lathe, seriesName: string, wiresMm: readonly number[]): readonly ThreadTableRow[] {
  const settings = settingsOf(lathe);
  return listedThreads(seriesName).map(({ name, thread }) => {
    const { majorMm, pitchMm, leadMm, pitchDiameterMm, holeMm, form } = thread;
    const includedDeg = includedDegOf(thread);
    const wired = { pitchMm, leadMm, includedDeg };
    const steep = Math.min(...formOf(thread).flanksDeg) < STEEP_DEG;
    const wireMm = steep
      ? undefined
      : wireFor(wired, wiresMm, Math.max(0, crestFlatShareOf(wired, majorMm, pitchDiameterMm)));
    const drilled = TAPPED.includes(form) ? boreForShareMm(thread, DRILLED_SHARE) : holeMm;
    return {
      ...{ name, thread, ...settings(thread) },
      drillMm: Math.round(drilled * DRILL_STEPS) / DRILL_STEPS,
      ...(wireMm === undefined ? {} : { wires: { wireMm, overMm: overWiresMm(wired, pitchDiameterMm, wireMm) } }),
    };
  });
}
