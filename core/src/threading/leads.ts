import type { Lathe } from '../lathe/index.ts';
import { positionsLabel } from '../lathe/index.ts';
import { MM_PER_IN, type Rational, rational, readTyped } from '../quantity/index.ts';
import { clearsStuds, type GearTrain, gearTrains } from './gear-trains.ts';

/** A way that a lathe gives a lead: levers as engraved, or a train of its change gears. */
export type LeadSetting =
  | {
      readonly kind: 'marked';
      readonly at: Readonly<Record<string, string>>;
      readonly label: string;
      readonly errorPpm: number;
    }
  | { readonly kind: 'train'; readonly train: GearTrain; readonly errorPpm: number };

/** Farther off than this a setting is another thread, parts in a million. */
const WORST_PPM = 20_000;
/** Trains that are told for a lathe. */
const MOST_TRAINS = 12;
/** Room that a stud takes where a lathe does not say, in teeth. */
const STUD_TEETH = 15;

/** Lead of the leadscrew, exact mm; undefined where it cannot be read. */
export function leadscrewMm({ threads }: Pick<Lathe, 'threads'>): Rational | undefined {
  const read = readTyped(threads.leadscrewLead);
  return read.ok ? read.mm : undefined;
}

/** Engraved settings that give a lead, exact ones first. */
function marked({ threads }: Pick<Lathe, 'threads'>, lead: Rational): LeadSetting[] {
  return threads.settings
    .flatMap(({ at, pitch, unit }): LeadSetting[] => {
      const gives = unit === 'mm' ? rational(pitch) : MM_PER_IN.div(rational(pitch));
      const errorPpm = gives.equals(lead) ? 0 : (gives.div(lead).valueOf() - 1) * 1e6;
      return Math.abs(errorPpm) > WORST_PPM
        ? []
        : [{ kind: 'marked', at, label: positionsLabel(threads.controls, at), errorPpm }];
    })
    .toSorted((a, b) => Math.abs(a.errorPpm) - Math.abs(b.errorPpm));
}

/** Whether trains of its gears drive the leadscrew alone: a gearbox between would have to be known with them. */
export const hasTrains = ({ threads }: Pick<Lathe, 'threads'>): boolean =>
  threads.gears.length >= 2 && threads.settings.length === 0;

/** Trains of the owner's gears that go onto the banjo, one pair and two. */
export function trainsFor(lathe: Pick<Lathe, 'threads'>, lead: Rational, most = MOST_TRAINS): readonly GearTrain[] {
  const screw = leadscrewMm(lathe);
  const { gears, train } = lathe.threads;
  if (!screw || gears.length < 2) return [];
  const fixed = train?.fixed ? rational(train.fixed[0]).div(train.fixed[1]) : rational(1);
  const ratio = lead.div(screw).div(fixed);
  const { least = 0, most: longest = Number.POSITIVE_INFINITY } = train?.teethTogether ?? {};
  const goesOn = (drivers: readonly number[], driven: readonly number[]): boolean => {
    const together = [...drivers, ...driven].reduce((a, b) => a + b, 0);
    // one pair is joined by idlers, whatever its size; two have to reach from shaft to shaft
    return (
      (drivers.length === 1 || (together >= least && together <= longest)) &&
      clearsStuds(drivers, driven, train?.studTeeth ?? STUD_TEETH)
    );
  };
  const one = gearTrains({ gears, ratio, pairs: 1, most, goesOn });
  const two = gearTrains({ gears, ratio, pairs: 2, most, goesOn });
  // of those that are equally near the plainer comes first
  return [...one.filter((t) => Math.abs(t.errorPpm) <= WORST_PPM), ...two]
    .toSorted((a, b) => Math.abs(a.errorPpm) - Math.abs(b.errorPpm))
    .slice(0, most);
}

/**
 * How a lathe gives a lead, best first: exact levers, exact trains, then what is nearest.
 * @source FIELD 7: exact first, else ppm
 */
export function leadSettings(lathe: Pick<Lathe, 'threads'>, lead: Rational): readonly LeadSetting[] {
  const trains = hasTrains(lathe)
    ? trainsFor(lathe, lead).map((train): LeadSetting => ({ kind: 'train', train, errorPpm: train.errorPpm }))
    : [];
  return [...marked(lathe, lead), ...trains].toSorted((a, b) => Math.abs(a.errorPpm) - Math.abs(b.errorPpm));
}
