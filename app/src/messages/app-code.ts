import type { Problem, ProblemCode } from '@whelk/core/quantity';

/** Codes of what server, files and command line refuse, beside those of core. */
export const APP_CODES = [
  'gauge.outOfRange',
  'sheet.tooCrowded',
  'route.nothing',
  'trace.scale',
  'dxf.notDxf',
  'dxf.binary',
  'dxf.tooLarge',
  'dxf.tooMany',
  'dxf.broken',
  'dxf.empty',
  'demo.there',
  'stock.barChanged',
  'run.setupBefore',
  'run.open',
  'run.sameSequence',
  'calibration.already',
  'input.notJson',
  'input.tooDeep',
  'input.tooLarge',
  'input.notJsonType',
  'calc.unknown',
  'file.newer',
  'file.unknown',
  'file.notALathe',
  'not.found',
  'save.stale',
  'record.inUse',
  'database.away',
  'database.full',
  'host.refused',
  'origin.refused',
  'server.failed',
] as const;
export type AppCode = (typeof APP_CODES)[number];

/** A problem that has words: of core, or of the application around it. */
export type KnownProblem = Problem<ProblemCode | AppCode>;
