import { z } from 'zod';
import { TOOL_MATERIALS } from '../material/index.ts';

/** A cutting tool of the shop. `kappaDeg`: ISO setting angle, 90 cuts a square shoulder. */
export const toolSchema = z.strictObject({
  id: z.uuid(),
  name: z.string().min(1).max(60),
  kind: z.enum(['rougher', 'finisher', 'facing', 'chamfer', 'centre drill']),
  material: z.enum(TOOL_MATERIALS),
  noseRadiusMm: z.number().min(0).max(10),
  kappaDeg: z.number().min(5).max(120),
  deepestMm: z.number().positive().max(30),
  edgeRadiusMm: z.number().positive().max(0.5),
  /** length of a flat ground along the work for finishing; none where it is not given */
  flatMm: z.number().min(0).max(20).optional(),
  /** when its edge was last fresh: what it has cut is counted from there */
  sharpenedAt: z.iso.datetime().optional(),
  /** pilot diameter of a centre drill */
  sizeMm: z.number().positive().max(30).optional(),
});
export type Tool = z.infer<typeof toolSchema>;

/** A tool as an older version kept it, when there was but one kind of carbide. */
export function upgradeTool(document: unknown): unknown {
  return typeof document === 'object' && document !== null && 'material' in document && document.material === 'carbide'
    ? { ...document, material: 'coated' }
    : document;
}
/** A tool from a file or the database. */
export const storedToolSchema = z.preprocess(upgradeTool, toolSchema);

/** The first tool of a kind; the shop's list is in the order it prefers. */
export function toolFor(tools: readonly Tool[], kind: Tool['kind']): Tool | undefined {
  return (
    tools.find((tool) => tool.kind === kind) ??
    (kind === 'finisher' || kind === 'facing' ? tools.find((tool) => tool.kind === 'rougher') : undefined)
  );
}
