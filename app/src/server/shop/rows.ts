import { instrumentSchema } from '@whelk/core/gauge';
import { calibrationSchema, storedLatheSchema } from '@whelk/core/lathe';
import { shopMaterialSchema } from '@whelk/core/material';
import { barSchema } from '@whelk/core/stock';
import { holderRecordSchema, insertRecordSchema, storedToolSchema } from '@whelk/core/tool';

/** The kinds of record a shop keeps, with the schema of each. */
export const recordSchemas = {
  lathe: storedLatheSchema,
  calibration: calibrationSchema,
  bar: barSchema,
  tool: storedToolSchema,
  instrument: instrumentSchema,
  holder: holderRecordSchema,
  insert: insertRecordSchema,
  material: shopMaterialSchema,
} as const;
export type RecordKind = keyof typeof recordSchemas;

export interface RecordRow {
  id: string;
  kind: RecordKind;
  position: number;
  document: unknown;
}

/** Kinds that are simply listed, added and changed one by one; lathes and what belongs to them have a door of their own. */
export function isListedKind(text: string | undefined): text is Exclude<RecordKind, 'lathe' | 'calibration'> {
  return text !== undefined && Object.hasOwn(recordSchemas, text) && text !== 'lathe' && text !== 'calibration';
}
