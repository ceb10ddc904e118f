import type { Job, PlannedJob } from '@whelk/core/job';
import { crossHoles, insides } from '@whelk/core/part';

/** Names of a job's lengths, steps of holes and holes beside the axis as its pages and papers say them. */
export function namesOf({ drawing: { features } }: Job, { part }: PlannedJob): (id: string | undefined) => string {
  const names = new Map([
    ...features.map((f, i): [string, string] => [f.id, f.name || `feature ${i + 1}`]),
    ...crossHoles(part).map((h): [string, string] => [h.id, h.name]),
    ...insides(part).map((b): [string, string] => [b.id, b.name || `${b.index + 1} from the ${b.from}`]),
  ]);
  return (id) => names.get(id ?? '') ?? '';
}
