import type { Problem } from '../quantity/index.ts';
import type { BitShape, Tool, ToolKind } from '../tool/index.ts';
import type { PlannedSetup } from './setups.ts';

/** How a missing tool is come by: ground from a bit, or bought by what its standard calls it; sizes in mm. */
export type Remedy =
  | { readonly by: 'grind'; readonly shape: BitShape; readonly radiusMm?: number; readonly widthMm?: number }
  | { readonly by: 'buy'; readonly what: string; readonly standard: string };
/** A tool that a route asks for and the drawer has not got. */
export interface MissingTool {
  /** what says so, with its place in the job */
  readonly problem: Problem;
  readonly kind: ToolKind;
  /** of what is owned the one that comes nearest to it */
  readonly nearest?: Tool;
  readonly remedies: readonly Remedy[];
}

/** Series of twist drills by how deep they go for their diameter. ISO 235 jobber series, ISO 494 long series */
const JOBBER_DIAMETERS = 8;
const size = (mm: number): string => String(Number(mm.toFixed(2)));
const drill = (mm: number, deepMm?: number): Remedy => ({
  by: 'buy',
  what: `twist drill Ø${size(mm)}`,
  standard: deepMm !== undefined && deepMm > JOBBER_DIAMETERS * mm ? 'ISO 494' : 'ISO 235',
});

/** Blades are ground to a width, and pointed bits where their angle has a sheet. */
const ofWidth = (_: Problem, mm: number): readonly Remedy[] => [{ by: 'grind', shape: 'parting', widthMm: mm }];
const ofAngle = (_: Problem, deg: number): readonly Remedy[] =>
  Math.abs(deg - 60) < 0.5 ? [{ by: 'grind', shape: 'thread60' }] : [];

/** What is missing, by its code: the kind, the size that counts, and how it is come by. */
const kinds: Readonly<
  Record<string, { readonly kind: ToolKind; readonly remedies: (p: Problem, mm: number) => readonly Remedy[] }>
> = {
  'route.lacks.drill': { kind: 'drill', remedies: (_, mm) => [drill(mm)] },
  'route.lacks.reamer': {
    kind: 'reamer',
    remedies: (_, mm) => [{ by: 'buy', what: `machine reamer Ø${size(mm)} H7`, standard: 'ISO 521' }],
  },
  'route.lacks.countersink': {
    kind: 'countersink',
    remedies: (_, deg) => [{ by: 'buy', what: `countersink ${size(deg)}°`, standard: 'ISO 3294' }],
  },
  'route.lacks.blade': {
    kind: 'blade',
    remedies: ofWidth,
  },
  'route.lacks.insideBlade': {
    kind: 'inside blade',
    remedies: ofWidth,
  },
  'route.lacks.insideVee': {
    kind: 'inside threading',
    remedies: ofAngle,
  },
  'route.lacks.floorBlade': {
    kind: 'face blade',
    remedies: ofWidth,
  },
  'route.lacks.form': {
    kind: 'form',
    remedies: ({ limit }, mm) => [
      { by: 'grind', shape: 'roundNose', radiusMm: chordRadius(mm, Number(limit ?? mm / 2)) },
    ],
  },
  'route.lacks.faceBlade': {
    kind: 'face blade',
    remedies: ofWidth,
  },
  'route.lacks.vee': {
    kind: 'vee',
    remedies: ofAngle,
  },
  'route.lacks.nose': {
    kind: 'form',
    remedies: ({ limit }) => [{ by: 'grind', shape: 'roundNose', radiusMm: noseUnder(Number(limit ?? 6)) }],
  },
  'route.lacks.knurl': {
    kind: 'knurling',
    remedies: ({ limit }, mm) => [
      {
        by: 'buy',
        what: `knurling wheels ${limit === 1 ? 'AA' : 'BL30 and BR30'}, pitch ${size(mm)}`,
        standard: 'DIN 403',
      },
    ],
  },
  'route.lacks.threading': {
    kind: 'threading',
    remedies: ofAngle,
  },
  'route.lacks.insideThreading': { kind: 'inside threading', remedies: () => [] },
  'route.lacks.bar': { kind: 'boring bar', remedies: () => [{ by: 'grind', shape: 'boring' }] },
};

/** Of a segment by its chord and depth. */
const chordRadius = (chordMm: number, deepMm: number): number =>
  Number(((chordMm ** 2 / 4 + deepMm ** 2) / (2 * deepMm)).toFixed(2));
/** A nose that goes into a hollow with room to step in: half its radius, no more than a hand bears at once. */
const noseUnder = (hollowMm: number): number => Math.max(0.5, Math.min(3, Math.floor(hollowMm) / 2));

/** The size that a tool of a kind is chosen by. */
function sizeOf(tool: Tool): number | undefined {
  if ('diameterMm' in tool) return tool.kind === 'countersink' ? tool.angleDeg : tool.diameterMm;
  if (tool.kind === 'knurling') return tool.pitchMm;
  if (tool.kind === 'boring bar') return tool.leastBoreMm;
  if (tool.kind === 'vee' || tool.kind === 'threading' || tool.kind === 'inside threading') return tool.angleDeg;
  if (tool.kind === 'form') return tool.radiusMm;
  return 'widthMm' in tool ? tool.widthMm : undefined;
}

/** Of the drawer what comes nearest in the size that counts. */
function nearestTo(tools: readonly Tool[], kind: ToolKind, wanted: number): Tool | undefined {
  const off = (tool: Tool): number => Math.abs((sizeOf(tool) ?? Number.POSITIVE_INFINITY) - wanted);
  // a bar that turns itself is none for the post
  const serves = (t: Tool): boolean => t.kind === kind && !(t.kind === 'boring bar' && t.turns);
  return tools.filter(serves).toSorted((a, b) => off(a) - off(b))[0];
}

/** Whether a problem tells of a tool that the drawer lacks, so that it is listed with what comes nearest. */
export const tellsOfMissing = ({ code }: Pick<Problem, 'code'>): boolean => code in kinds;

/** What of the drawer a job lacks, each once: the nearest that is owned, and how it is come by. */
export function missingTools(setups: readonly PlannedSetup[]): readonly MissingTool[] {
  const seen = new Set<string>();
  return setups.flatMap(({ means, problems }) =>
    problems.flatMap((problem): MissingTool[] => {
      const known = kinds[problem.code];
      const told = `${problem.code} ${problem.value} ${problem.limit}`;
      if (!known || seen.has(told)) return [];
      seen.add(told);
      const remedies = known.remedies(problem, Number(problem.value));
      const [first] = remedies;
      const wanted = first?.by === 'grind' && first.radiusMm !== undefined ? first.radiusMm : Number(problem.value);
      const nearest = Number.isFinite(wanted) ? nearestTo(means.tools, known.kind, wanted) : undefined;
      return [{ problem, kind: known.kind, ...(nearest ? { nearest } : {}), remedies }];
    }),
  );
}
