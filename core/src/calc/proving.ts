import { z } from 'zod';
import { WAITS } from '../hold/index.ts';
import { planJob, proveJob } from '../job/index.ts';
import { FINDING_CODES } from '../simulate/index.ts';
import { calculation } from './entry.ts';
import { contour, jobIn, number, shopIn, text, toldContour } from './job-door.ts';

const finding = z.object({
  code: z.enum(FINDING_CODES),
  /** setup, 1 for the first */
  number,
  operationId: text.optional(),
  passNumber: number.optional(),
  surfaceId: text.optional(),
  zMm: number,
  rMm: number,
  byMm: number,
});

/** A whole job cut as it is planned, with the tools' true shapes. */
export const proving = [
  calculation({
    name: 'route.simulate',
    tab: 'holding',
    input: z.strictObject({ job: jobIn, shop: shopIn }),
    output: z.object({
      /** whether it ends at the drawing, within its limits and 5 µm, without a finding, and nothing waits that turning makes */
      proved: z.boolean(),
      findings: z.array(finding),
      setups: z.array(
        z.object({
          number,
          passes: z.array(z.object({ operationId: text, passNumber: number, contour })),
          contour,
          /** operations by hand or off the lathe, which nothing proves */
          byHand: z.array(text),
          /** corners that a nose leaves round where they are drawn sharp */
          kept: z.array(z.object({ id: text, radiusMm: number })),
        }),
      ),
      waiting: z.array(z.object({ id: text, why: z.enum(WAITS) })),
      /** surfaces that are milled, drilled across or sawn off the lathe */
      offLathe: z.array(text),
    }),
    run: ({ job, shop }) => {
      const { setups, proved, findings, waiting, offLathe } = proveJob(planJob(job, shop));
      return {
        proved,
        findings: findings.map((f) => ({ ...f })),
        setups: setups.map(({ number: setup, frames, contour: left, byHand, kept }) => ({
          number: setup,
          passes: frames.map(({ operationId, passNumber, contour: c }) => ({
            operationId,
            passNumber,
            contour: toldContour(c),
          })),
          contour: toldContour(left),
          byHand: [...byHand],
          kept: kept.map(({ id, radiusMm }) => ({ id, radiusMm })),
        })),
        waiting: waiting.map(({ id, why }) => ({ id, why })),
        offLathe: [...offLathe],
      };
    },
  }),
];
