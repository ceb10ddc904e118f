import { z } from 'zod';
import { type BoringBar, boringBarSchema } from './kind/boring-bar.ts';
import { centreDrillSchema, countersinkSchema, drillSchema, reamerSchema } from './kind/drilling.ts';
import {
  bladeSchema,
  faceBladeSchema,
  formToolSchema,
  insideBladeSchema,
  knurlToolSchema,
  veeBitSchema,
} from './kind/plunging.ts';
import { dieSchema, insideThreadingSchema, tapSchema, threadingToolSchema } from './kind/threading.ts';
import { chamferToolSchema, TURNING_KINDS, type TurningTool, turningToolSchema } from './kind/turning.ts';

/** A cutting tool of the shop: each kind with its own fields. */
export const toolSchema = z.discriminatedUnion('kind', [
  turningToolSchema,
  chamferToolSchema,
  centreDrillSchema,
  drillSchema,
  reamerSchema,
  countersinkSchema,
  boringBarSchema,
  bladeSchema,
  insideBladeSchema,
  formToolSchema,
  veeBitSchema,
  faceBladeSchema,
  knurlToolSchema,
  threadingToolSchema,
  insideThreadingSchema,
  tapSchema,
  dieSchema,
]);
export type Tool = z.infer<typeof toolSchema>;
export type ToolKind = Tool['kind'];
/** Every kind, in the order of a drawer. */
export const TOOL_KINDS = [
  ...TURNING_KINDS,
  ...(['chamfer', 'centre drill', 'drill', 'reamer', 'countersink', 'boring bar'] as const),
  ...(['blade', 'inside blade', 'form', 'vee', 'face blade', 'knurling'] as const),
  ...(['threading', 'inside threading', 'tap', 'die'] as const),
] as const satisfies readonly ToolKind[];
/** A tool whose edge cuts along the work or a hole. */
export type EdgeTool = TurningTool | BoringBar;

/** Whether a tool has an edge that cuts along. */
export const hasEdge = (tool: Tool): tool is EdgeTool => 'noseRadiusMm' in tool;

/** Whether a tool turns along and faces across the outside. */
export const isTurning = (tool: Tool): tool is TurningTool => hasEdge(tool) && tool.kind !== 'boring bar';

const isObject = (x: unknown): x is Record<string, unknown> => typeof x === 'object' && x !== null;

/** Fields of one kind of carbide, and of tools that cut no length and had an edge's fields all the same. */
const NOT_ANY_MORE: Readonly<Record<string, readonly string[]>> = {
  chamfer: ['noseRadiusMm', 'deepestMm', 'edgeRadiusMm', 'flatMm', 'sizeMm'],
  'centre drill': ['noseRadiusMm', 'kappaDeg', 'deepestMm', 'edgeRadiusMm', 'flatMm'],
};
/** A tool as an older version kept it: with one kind of carbide, and every kind with the fields of all. */
export function upgradeTool(document: unknown): unknown {
  if (!isObject(document)) return document;
  const gone =
    document.kind === 'rougher' || document.kind === 'finisher' || document.kind === 'facing'
      ? ['sizeMm']
      : (NOT_ANY_MORE[String(document.kind)] ?? []);
  const kept = Object.fromEntries(Object.entries(document).filter(([key]) => !gone.includes(key)));
  return kept.material === 'carbide' ? { ...kept, material: 'coated' } : kept;
}
/** A tool from a file or the database. */
export const storedToolSchema = z.preprocess(upgradeTool, toolSchema);

/** Tools of one kind, in the order that the shop prefers. */
export const toolsOf = <K extends Exclude<ToolKind, TurningTool['kind']>>(
  tools: readonly Tool[],
  kind: K,
): readonly Extract<Tool, { kind: K }>[] =>
  tools.filter((tool): tool is Extract<Tool, { kind: K }> => tool.kind === kind);

/** The first turning tool for something; the shop's list is in the order it prefers, and a rougher does for all. */
export function edgeFor(tools: readonly Tool[], kind: TurningTool['kind']): TurningTool | undefined {
  const own = (wanted: TurningTool['kind']) => tools.find((t): t is TurningTool => t.kind === wanted);
  return own(kind) ?? (kind === 'rougher' ? undefined : own('rougher'));
}
