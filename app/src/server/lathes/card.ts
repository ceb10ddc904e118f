import { materialIn, materialsOf } from '@whelk/core/job';
import type { Lathe } from '@whelk/core/lathe';
import { type Material, TOOL_MATERIALS, type ToolMaterial } from '@whelk/core/material';
import { type Picture, speedCardPicture, tableCardPicture } from '@whelk/core/picture';
import { taperTable } from '@whelk/core/tapering';
import { threadTable } from '@whelk/core/threading';
import type { Knex } from 'knex';
import { taperCardOf } from '../../messages/taper-table.ts';
import { threadCardOf } from '../../messages/thread-table.ts';
import { toolMaterialNames } from '../../messages/words.ts';
import { notFound } from '../answer.ts';
import { loadSettings, loadShop } from '../shop/service.ts';

/** Most columns that stay readable from across the shop. */
export const MOST_MATERIALS = 5;
const footWords = 'First the depth, then the feed, then this. Chatter or a burnt edge: slower. Guards, eyes, key out.';

export interface CardWish {
  readonly materialIds: readonly string[];
  readonly tool: ToolMaterial;
}

/** A wish from an address: `?tool=hss&materials=a,b`; what it does not name is left to the shop's rack. */
export function cardWish(url: URL): CardWish {
  const tool = url.searchParams.get('tool');
  const ids = url.searchParams.getAll('materials').flatMap((m) => m.split(','));
  return {
    tool: TOOL_MATERIALS.find((t) => t === tool) ?? 'hss',
    materialIds: ids.filter((id) => /^[a-z0-9-]{2,60}$/.test(id)).slice(0, MOST_MATERIALS),
  };
}

/** Lists of threads that go on the wall, by the lathe's own system first. */
const LISTS = { mm: ['coarse', 'fine', 'UNC'], in: ['UNC', 'UNF', 'BSW', 'coarse'] } as const;
/** The card of a lathe's threads. @throws Refused 404 */
export async function loadThreadCard(db: Knex, latheId: string): Promise<{ lathe: Lathe; picture: Picture }> {
  const { lathes } = await loadShop(db);
  const lathe = lathes.find((l) => l.id === latheId);
  if (!lathe) throw notFound();
  const rows = LISTS[lathe.unit].flatMap((name) => threadTable(lathe, name, []));
  return { lathe, picture: tableCardPicture(threadCardOf(lathe, rows)) };
}

/** The card of a lathe's settings for the usual tapers. @throws Refused 404 */
export async function loadTaperCard(db: Knex, latheId: string): Promise<{ lathe: Lathe; picture: Picture }> {
  const { lathes } = await loadShop(db);
  const lathe = lathes.find((l) => l.id === latheId);
  if (!lathe) throw notFound();
  return { lathe, picture: tableCardPicture(taperCardOf(lathe, taperTable(lathe))) };
}

/** What stands on a lathe's card: materials asked for, or those that lie on the rack. @throws Refused 404 */
export async function loadCard(
  db: Knex,
  latheId: string,
  wish: CardWish,
): Promise<{ lathe: Lathe; materials: readonly Material[]; all: readonly Material[]; picture: Picture }> {
  const [shop, settings] = await Promise.all([loadShop(db), loadSettings(db)]);
  const { lathes, bars } = shop;
  const lathe = lathes.find((l) => l.id === latheId);
  if (!lathe) throw notFound();
  const onRack = [...new Set(bars.map((b) => b.materialId))].slice(0, 4);
  const ids = wish.materialIds.length > 0 ? wish.materialIds : onRack.length > 0 ? onRack : ['low-carbon-steel'];
  const materials = ids.slice(0, MOST_MATERIALS).flatMap((id) => materialIn(shop, id) ?? []);
  if (materials.length === 0) throw notFound();
  const moved = lathe.spindle.controls.map((c) => c.name.toLowerCase()).join(' and ');
  const stepless = lathe.spindle.settings.every((s) => s.kind === 'stepless');
  const picture = speedCardPicture({
    lathe,
    materials: materials.map((m) => ({ name: m.name, speedMPerMin: m.speeds[wish.tool].speedMPerMin })),
    title: lathe.name,
    underTitle: `${stepless ? 'Speed, rpm, by diameter' : `${moved ? `${moved[0]!.toUpperCase()}${moved.slice(1)}` : 'Speed'} for the diameter turned, Ø in mm and inch`}; ${toolMaterialNames[wish.tool]}, roughing 2 mm deep at 0.2 mm/rev`,
    foot: footWords,
    policy: settings.policy,
  });
  return { lathe, materials, all: materialsOf(shop), picture };
}
