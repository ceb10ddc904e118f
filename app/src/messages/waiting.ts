import { type Waiting, type WaitsBecause, waitingWhat } from '@whelk/core/hold';
import { belongsTo } from '@whelk/core/job';
import { insides, outsides, type Part, surfaceOf } from '@whelk/core/part';
import { wordsOf } from './surface.ts';

/** Why a length, a hole or what is cut in is not cut in a setup. */
const whyText: Record<WaitsBecause, string> = {
  shape: 'not a straight diameter',
  behindLarger: 'behind a larger diameter',
  inJaws: 'in the jaws',
  behindRest: 'behind the steady, or under it',
  otherEnd: 'from the other end',
  asBar: 'stays as the bar is',
  otherSetup: 'left for a later holding',
  tooFine: 'finer than this lathe and these gauges can be sure of; roughed, with metal left on it',
  wontBear: 'even the lightest cut is too much, held like this',
  cutOff: 'after it is cut off',
  behindNarrower: 'behind a narrower part of the hole',
  behindCentre: 'the tail centre stands in the way of the hole',
  onArbor: 'held by its hole',
  noTool: 'nothing in the drawer makes it',
  noLead: 'this lathe gives no lead that is near enough',
  noRunOut: 'no end at which a tool could begin',
  noClass: 'no class of this thread that is known',
  workStands: 'the work stands on the cross-slide: nothing is turned',
  otherHeight: 'not at the height of the axis: packed anew, in a holding of its own',
};

/** A surface by its name, or by what it is on what. @param name of a length or step of a hole */
export function surfaceText(id: string, part: Part, name: (id: string | undefined) => string): string {
  const own = name(id);
  const surface = surfaceOf(part, id);
  return own || !surface ? own : wordsOf(surface, name(belongsTo(part, id)));
}

/** What waits, and why, in a line. @param name of a length or step of a hole */
export function waitingText(waiting: Waiting, part: Part, name: (id: string | undefined) => string): string {
  const { id, why } = waiting;
  const what = waitingWhat(id, new Set([...outsides(part), ...insides(part)].map((f) => f.id)));
  if (what === 'face') {
    const face = surfaceOf(part, id);
    if (why !== 'cutOff') return 'Face the other end to length';
    const parted = face?.kind === 'face' && face.made === 'parted';
    return parted ? 'Part it off its grip' : 'Cut the part off its grip, face that end to length';
  }
  const of = name(belongsTo(part, id));
  if (what === 'length') return `${of}: ${whyText[why]}`;
  const surface = surfaceOf(part, id);
  return surface ? wordsOf(surface, of) : of;
}
