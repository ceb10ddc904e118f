import { instrumentSchema } from '@whelk/core/gauge';
import { barSchema } from '@whelk/core/job';
import { storedLatheSchema } from '@whelk/core/lathe';
import { toolSchema } from '@whelk/core/tool';

/** The kinds of record a shop keeps, with the schema of each. */
export const recordSchemas = {
  lathe: storedLatheSchema,
  bar: barSchema,
  tool: toolSchema,
  instrument: instrumentSchema,
} as const;
export type RecordKind = keyof typeof recordSchemas;

export interface RecordRow {
  id: string;
  kind: RecordKind;
  position: number;
  document: unknown;
}

export function isRecordKind(text: string | undefined): text is RecordKind {
  return text !== undefined && Object.hasOwn(recordSchemas, text);
}
