import type { Operation, OperationKind } from '@whelk/core/route';
import type { FrozenRun, Move, Step } from '@whelk/core/run';
import { finish, rough, semiFinish } from './along.ts';
import { nameOf } from './at-lathe.ts';
import { breakEdges } from './break-edges.tsx';
import { centre } from './centre.tsx';
import { chamfer } from './chamfer.tsx';
import { changeSupport } from './change-support.tsx';
import { contour } from './contour.tsx';
import { countersink } from './countersink.tsx';
import { drill } from './drill.tsx';
import { drillBeside } from './drill-beside.tsx';
import { face } from './face.tsx';
import { faceGroove } from './face-groove.tsx';
import { glance } from './glance.tsx';
import { groove } from './groove.tsx';
import { knurl } from './knurl.tsx';
import { mark } from './mark.tsx';
import { measure } from './measure.tsx';
import { mount } from './mount.tsx';
import { openFloor } from './open-floor.tsx';
import { part } from './part.tsx';
import { pickUp } from './pick-up.tsx';
import { ream } from './ream.tsx';
import { roundEdge } from './round-edge.tsx';
import { saw } from './saw.tsx';
import { shoulder } from './shoulder.tsx';
import type { RowAbout, ShownOperation } from './shown.ts';
import { spot } from './spot.tsx';
import { taper, taperLast, taperNear } from './taper.tsx';
import { taperBack, taperSet } from './taper-set.tsx';
import { dieOrTap, thread, threadLast, threadNear } from './thread.tsx';
import { threadSet } from './thread-set.tsx';
import { touchOff } from './touch-off.ts';

/** The one list of kinds: what is said and shown of each is in its own file. */
const kinds: { readonly [Kind in OperationKind]: ShownOperation<Kind> } = {
  ...{ mount, face, centre, changeSupport, touchOff, glance, rough, measure, semiFinish, finish, shoulder, chamfer },
  ...{
    openFloor,
    faceGroove,
    mark,
    pickUp,
    drillBeside,
    spot,
    drill,
    ream,
    countersink,
    part,
    saw,
    groove,
    knurl,
    contour,
    roundEdge,
    breakEdges,
    taperSet,
    taper,
    taperNear,
    taperLast,
    taperBack,
    threadSet,
    thread,
    threadNear,
    threadLast,
    dieOrTap,
  },
};

/** What is said and shown of a kind; that operation and kind belong together the compiler cannot follow. */
export const shownOf = (kind: OperationKind) => kinds[kind] as unknown as ShownOperation<OperationKind>;

export const operationName = (kind: OperationKind): string => kinds[kind].name;
export const operationTitle = (operation: Operation, about: RowAbout): string =>
  shownOf(operation.kind).title(operation, about);
/** What a step is, in a line; a cut as it was told, where it is known. */
export const stepTitle = (step: Step, frozen: FrozenRun, move?: Move): string =>
  shownOf(step.kind).stepTitle(step, { frozen, name: nameOf(frozen, step.featureId), move });
