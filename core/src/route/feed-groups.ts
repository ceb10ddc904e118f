import { type Feed, feedsOf, type Lathe } from '../lathe/index.ts';
import { FINE_FEED } from './fit-context.ts';

/** A change of feed that takes longer is not made for a single cut, minutes. FIELD 4: nobody changes gears for a minute's cut */
const COSTLY_MIN = 3;

/**
 * Feeds to plan with: those of each gearing that stays on, and all of them. Where feeds are changed by a lever there is one group.
 * @returns groups with a feed that finishes, where there are such; each finest first
 */
export function feedGroups(lathe: Lathe): readonly (readonly Feed[])[] {
  const all = feedsOf(lathe);
  const costly = lathe.feeds.controls.filter((c) => c.changeMin >= COSTLY_MIN);
  if (costly.length === 0) return [all];
  const groups = new Map<string, Feed[]>();
  for (const feed of all) {
    const key = costly.map((c) => feed.setting.at[c.id] ?? '').join('|');
    groups.set(key, [...(groups.get(key) ?? []), feed]);
  }
  // what is a little coarser than usual finishes too
  const fine = [...groups.values()].filter((g) => g.some((f) => f.mmPerRev <= 1.2 * FINE_FEED));
  return [...fine, all];
}
