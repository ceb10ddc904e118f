import { z } from 'zod';
import { TOOL_MATERIALS } from '../../material/index.ts';

/** What every cutting tool of the drawer has, of whatever kind. */
export const anyTool = {
  id: z.uuid(),
  name: z.string().min(1).max(60),
  material: z.enum(TOOL_MATERIALS),
  /** when its edge was last fresh: what it has cut is counted from there */
  sharpenedAt: z.iso.datetime().optional(),
};

/** An edge that cuts along the work or a hole. `kappaDeg`: ISO setting angle, 90 cuts a square shoulder. */
export const edgeFields = {
  noseRadiusMm: z.number().min(0).max(10),
  kappaDeg: z.number().min(5).max(120),
  deepestMm: z.number().positive().max(30),
  edgeRadiusMm: z.number().positive().max(0.5),
  /** length of a flat ground along the work for finishing; none where it is not given */
  flatMm: z.number().min(0).max(20).optional(),
};
