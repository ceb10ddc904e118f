import { z } from 'zod';
import { TOOL_MATERIALS } from '../material/index.ts';
import type { Problem } from '../quantity/index.ts';
import { readHolder } from './code/holder.ts';
import { type CodeFault, isCodeFault, readInsert } from './code/insert.ts';

/** A holder or boring bar in the drawer: its designation, and what that does not tell. */
export const holderRecordSchema = z.strictObject({
  id: z.uuid(),
  code: z.string().max(40),
  /** smallest hole that a boring bar enters, as its maker says */
  leastBoreMm: z.number().positive().max(1000).optional(),
  /** of the inserts that its seat is made for */
  seatMm: z.number().positive().max(30).optional(),
  note: z.string().max(120),
});
export type HolderRecord = z.infer<typeof holderRecordSchema>;

/** Inserts of one kind in the drawer. */
export const insertRecordSchema = z.strictObject({
  id: z.uuid(),
  code: z.string().max(40),
  material: z.enum(TOOL_MATERIALS),
  /** the maker's own name of its grade */
  grade: z.string().max(40),
  count: z.number().int().min(0).max(10_000),
  /** corners of the one in use that have cut already */
  usedEdges: z.number().int().min(0).max(16),
  note: z.string().max(120),
});
export type InsertRecord = z.infer<typeof insertRecordSchema>;

const codeProblem = (fault: CodeFault): Problem => ({
  ...{ code: fault.code, path: ['code'], value: `${fault.position}: ${fault.value || '–'}` },
  limit: fault.allowed,
});

/** What is wrong with a holder's record; paths point into it. */
export function checkHolder(record: HolderRecord): Problem[] {
  const read = readHolder(record.code);
  if (isCodeFault(read)) return [codeProblem(read)];
  if (read.kind === 'boring' && record.leastBoreMm === undefined)
    return [{ code: 'holder.noLeastBore', path: ['leastBoreMm'], value: read.code }];
  if (record.leastBoreMm !== undefined && read.kind === 'boring' && record.leastBoreMm <= read.shankWideMm)
    return [
      {
        ...{ code: 'holder.boreBelowShank', path: ['leastBoreMm'], unit: 'mm' },
        ...{ value: record.leastBoreMm, limit: read.shankWideMm },
      },
    ];
  return [];
}

/** What is wrong with an insert's record; paths point into it. */
export function checkInsert(record: InsertRecord): Problem[] {
  const read = readInsert(record.code);
  if (isCodeFault(read)) return [codeProblem(read)];
  return record.usedEdges > read.edges
    ? [{ code: 'insert.moreUsedThanThere', path: ['usedEdges'], value: record.usedEdges, limit: read.edges }]
    : [];
}
