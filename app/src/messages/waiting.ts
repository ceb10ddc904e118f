import { type Waiting, type WaitsBecause, waitingWhat } from '@whelk/core/hold';
import { belongsTo } from '@whelk/core/job';
import { outsides, type Part, surfaceName, surfaceOf } from '@whelk/core/part';

/** Why a length, a hole or what is cut in is not cut in a setup. */
const whyText: Record<WaitsBecause, string> = {
  shape: 'not a straight diameter',
  behindLarger: 'behind a larger diameter',
  inJaws: 'in the jaws',
  otherEnd: 'from the other end',
  asBar: 'stays as the bar is',
  otherSetup: 'left for a later holding',
  tooFine: 'finer than this lathe and these gauges can be sure of; roughed, with metal left on it',
  cutOff: 'after it is cut off',
};
const cutInText = { groove: 'Groove', thread: 'Thread', knurl: 'Knurl' } as const;
const acrossText = { hole: 'Hole across or beside the axis', flat: 'Flat' } as const;

/** What waits, and why, in a line. @param name of a length or step of a hole */
export function waitingText(waiting: Waiting, part: Part, name: (id: string | undefined) => string): string {
  const { id, why } = waiting;
  const what = waitingWhat(id, new Set(outsides(part).map((f) => f.id)));
  if (what === 'face') {
    const face = surfaceOf(part, id);
    if (why !== 'cutOff') return 'Face the other end to length';
    const parted = face?.kind === 'face' && face.made === 'parted';
    return parted ? 'Part it off its grip' : 'Cut the part off its grip, face that end to length';
  }
  const of = name(belongsTo(part, id));
  if (what === 'length') return `${of}: ${whyText[why]}`;
  const surface = surfaceOf(part, id);
  if (what === 'edge')
    return surface?.kind === 'round'
      ? `Round at the ${surfaceName(id).end} of ${of}`
      : `${surfaceName(id).end === 'left' ? 'Left' : 'Right'} edge of ${of}`;
  if (surface?.kind === 'hole' || surface?.kind === 'flat')
    return (surface.kind === 'hole' && surface.name) || acrossText[surface.kind];
  if (surface?.kind === 'groove' || surface?.kind === 'thread' || surface?.kind === 'knurl')
    return `${cutInText[surface.kind]} on ${of}`;
  return `Hole ${of}`;
}
