import {
  type CutSetup,
  type CuttingOperation,
  type Grade,
  holdWhereItBends,
  operationRules,
  SCHOOLS,
  type School,
  speedTable,
  usualDepthMm,
  usualFeedMmPerRev,
} from '@whelk/core/cutting';
import type { Job, OperationCut, Settings } from '@whelk/core/job';
import { chuckOf, feedsOf, type Lathe, type Positions } from '@whelk/core/lathe';
import { familyOf, type Material } from '@whelk/core/material';
import { readFinish } from '@whelk/core/part';
import { parseLength, shortLength } from '@whelk/core/quantity';
import { type EdgeTool, hasEdge, type Tool } from '@whelk/core/tool';

/** What the shop lends to the bench book. */
export interface Bench {
  readonly lathes: readonly Lathe[];
  readonly tools: readonly Tool[];
  readonly materials: readonly Material[];
  readonly settings: Settings;
  /** where each lathe's controls stand, by its id */
  readonly standing: Readonly<Record<string, Positions>>;
}

/** The words of the sentence, lengths as typed. */
export interface Words {
  readonly operation: CuttingOperation;
  readonly grade: Grade;
  readonly materialId: string;
  readonly diameter: string;
  readonly toolId: string;
  readonly depth: string;
  readonly feed: string;
  readonly latheId: string;
  readonly held: 'chuck' | 'centre';
  readonly overhang: string;
  readonly bend: string;
  readonly ra: string;
  readonly school: School;
}

export function firstWords(bench: Bench): Words {
  const lathe = bench.lathes[0];
  const inch = lathe?.unit === 'in';
  return {
    operation: 'turning',
    grade: 'rough',
    materialId: 'medium-carbon-steel',
    diameter: inch ? '1 1/4' : '40',
    toolId: (bench.tools.find((t) => t.kind === 'rougher') ?? bench.tools.find(hasEdge))?.id ?? '',
    depth: inch ? '.040' : '1',
    feed: inch ? '.008' : '0.2',
    latheId: lathe?.id ?? '',
    held: 'chuck',
    overhang: inch ? '3 1/2' : '90',
    bend: inch ? '.004' : '0.1',
    ra: '',
    school: bench.settings.school,
  };
}

/** Roughing, semi-finishing or finishing: depth and feed as they usually are for it, to be changed at will. */
export function gradeWords(bench: Bench, words: Words, grade: Grade): Partial<Words> {
  const lathe = bench.lathes.find((l) => l.id === words.latheId);
  const tool = bench.tools.find((t) => t.id === words.toolId);
  const material = bench.materials.find((m) => m.id === words.materialId);
  if (!lathe || !tool || !material) return { grade };
  const feedMm = usualFeedMmPerRev(words.operation, grade, mmOf(words, 'diameter', lathe.unit) ?? 20, material);
  if (feedMm === undefined) return { grade };
  const said = (mm: number) => shortLength(mm, lathe.unit, lathe.unit === 'mm' ? 3 : 4);
  return { grade, depth: said(usualDepthMm(grade, lathe.rigidity, familyOf(tool.material))), feed: said(feedMm) };
}

/** An operation of a job that the sentence is about. */
export interface Taken extends OperationCut {
  readonly jobId: string;
  readonly version: number;
  readonly job: Job;
}

/** The sentence for an operation of a job. */
export function wordsOf(bench: Bench, taken: Taken): Words {
  const unit = bench.lathes.find((l) => l.id === taken.latheId)?.unit ?? 'mm';
  const said = (mm: number, digits: number) => shortLength(mm, unit, unit === 'mm' ? digits : digits + 1);
  return {
    ...firstWords(bench),
    materialId: taken.materialId,
    latheId: taken.latheId,
    toolId: taken.toolId,
    diameter: said(taken.diameterMm, 2),
    depth: said(taken.depthMm, 2),
    feed: said(taken.feedMm, 3),
    overhang: said(taken.overhangMm, 1),
    bend: said(taken.bendAllowedMm, 3),
    held: taken.tailCentre ? 'centre' : 'chuck',
    school: taken.job.route.school,
  };
}

/** Words kept from the last time, where they still make sense. */
export function readWords(bench: Bench, kept: string | null): Words {
  const first = firstWords(bench);
  if (!kept) return first;
  try {
    const old = JSON.parse(kept) as Partial<Record<keyof Words, unknown>>;
    const texts = Object.fromEntries(
      Object.entries(first).map(([key, value]) => [
        key,
        typeof old[key as keyof Words] === 'string' ? String(old[key as keyof Words]).slice(0, 64) : value,
      ]),
    ) as unknown as Words;
    return {
      ...texts,
      latheId: bench.lathes.some((l) => l.id === texts.latheId) ? texts.latheId : first.latheId,
      toolId: bench.tools.some((t) => t.id === texts.toolId) ? texts.toolId : first.toolId,
      materialId: bench.materials.some((m) => m.id === texts.materialId) ? texts.materialId : first.materialId,
      operation: Object.hasOwn(operationRules, texts.operation) ? texts.operation : first.operation,
      school: SCHOOLS.includes(texts.school) ? texts.school : first.school,
    };
  } catch {
    return first;
  }
}

export type LengthWord = 'diameter' | 'depth' | 'feed' | 'overhang' | 'bend';
export const lengthWords: readonly LengthWord[] = ['diameter', 'depth', 'feed', 'overhang', 'bend'];

/** A length word in mm, or undefined while it is none. */
export function mmOf(words: Words, word: LengthWord, unit: 'mm' | 'in'): number | undefined {
  const read = parseLength(words[word], unit);
  return read.ok ? read.mm.valueOf() : undefined;
}

/** What is worked out of a lathe once, however often a word changes: its exact feeds are slow to make. */
const known = new WeakMap<Lathe, Pick<CutSetup, 'table' | 'feeds'>>();
function ofLathe(lathe: Lathe, mostRpm: number): Pick<CutSetup, 'table' | 'feeds'> {
  const before = known.get(lathe);
  if (before?.table.mostRpm === mostRpm) return before;
  const made = { table: speedTable(lathe, mostRpm), feeds: before?.feeds ?? feedsOf(lathe) };
  known.set(lathe, made);
  return made;
}

/** Words that say how the work is held: while they are the job's own, it is reckoned as the job's own steps. */
const HELD_WORDS = ['latheId', 'diameter', 'held', 'overhang'] as const;
/** Whether the sentence still speaks of the work as the job holds it. */
export function asInJob(bench: Bench, words: Words, taken: Taken | undefined): taken is Taken {
  if (!taken) return false;
  const own = wordsOf(bench, taken);
  return HELD_WORDS.every((w) => own[w] === words[w]);
}

export interface Ready {
  readonly setup: CutSetup;
  readonly lathe: Lathe;
  readonly tool: EdgeTool;
  readonly depthMm: number;
  readonly feedMm: number;
}

/** Everything that the decision needs, once every word of the sentence makes sense. */
export function setupOf(bench: Bench, words: Words, taken?: Taken): Ready | undefined {
  const lathe = bench.lathes.find((l) => l.id === words.latheId);
  const tool = bench.tools.filter(hasEdge).find((t) => t.id === words.toolId);
  const material = bench.materials.find((m) => m.id === words.materialId);
  if (!lathe || !tool || !material) return undefined;
  const [diameterMm, depthMm, feedMm, overhangMm, bendMm] = lengthWords.map((w) => mmOf(words, w, lathe.unit));
  if (!diameterMm || !depthMm || !feedMm || !overhangMm || !bendMm) return undefined;
  const ra = words.ra.trim() === '' ? undefined : readFinish(words.ra);
  const chuck = chuckOf(lathe);
  const own = asInJob(bench, words, taken) ? taken : undefined;
  const { table, feeds } = ofLathe(lathe, own?.mostRpm ?? chuck.maxRpm);
  if (table.fixed.length === 0 && !table.ranges) return undefined;
  const { deepestMm, noseRadiusMm, kappaDeg, edgeRadiusMm } = tool;
  return {
    lathe,
    tool,
    depthMm,
    feedMm,
    setup: {
      material,
      tool: { material: tool.material, noseRadiusMm, kappaDeg, edgeRadiusMm, deepestMm, flatMm: tool.flatMm ?? 0 },
      lathe,
      table,
      feeds,
      operation: words.operation,
      diameterMm,
      hold: own
        ? { ...own.hold, bendAllowedMm: bendMm }
        : holdWhereItBends({
            ...{ tailCentre: words.held === 'centre', overhangMm, diameterMm, jawForceN: chuck.forceN },
            ...{ bendAllowedMm: bendMm, modulusGPa: material.modulusGPa },
          }),
      raUm: ra,
      policy: bench.settings.policy,
    },
  };
}
