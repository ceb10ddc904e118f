import type { Contour } from '../../contour/index.ts';
import type { Part, SurfaceId } from '../../part/index.ts';
import type { Workpiece } from '../../work/index.ts';
import { finish, rough, semiFinish } from './along.ts';
import type { AnyOperation, Note } from './any.ts';
import { breakEdges } from './break-edges.ts';
import { centre } from './centre.ts';
import { chamfer } from './chamfer.ts';
import { changeSupport } from './change-support.ts';
import { contour } from './contour.ts';
import { countersink } from './countersink.ts';
import { drill } from './drill.ts';
import { drillBeside } from './drill-beside.ts';
import { face } from './face.ts';
import { faceGroove } from './face-groove.ts';
import { glance } from './glance.ts';
import { groove } from './groove.ts';
import type { KindOfOperation, NotedOf, OfKind, Opened, OwnOf, Stroke, StrokesOf } from './kind.ts';
import { knurl } from './knurl.ts';
import { mark } from './mark.ts';
import { measure } from './measure.ts';
import { mount } from './mount.ts';
import { openFloor } from './open-floor.ts';
import { part } from './part-off.ts';
import { pickUp } from './pick-up.ts';
import { ream } from './ream.ts';
import { roundEdge } from './round.ts';
import { saw } from './saw.ts';
import { shoulder } from './shoulder.ts';
import { spot } from './spot.ts';
import { taper, taperLast, taperNear } from './taper.ts';
import { taperBack, taperSet } from './taper-set.ts';
import { dieOrTap, thread, threadLast, threadNear } from './thread.ts';
import { threadSet } from './thread-set.ts';
import { touchOff } from './touch-off.ts';

/** The one list of kinds, in the order in which they usually come: what is known of each is in its own file. */
const kinds = {
  ...{ mount, pickUp, face, centre, spot, drill, changeSupport, touchOff, mark, glance, rough, openFloor },
  ...{ measure, semiFinish, finish, shoulder },
  ...{
    knurl,
    contour,
    roundEdge,
    groove,
    faceGroove,
    ream,
    countersink,
    chamfer,
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
    breakEdges,
    drillBeside,
    part,
    saw,
  },
};

export type OperationKind = keyof typeof kinds;
/** Every kind. */
export const OPERATION_KINDS = Object.keys(kinds) as readonly OperationKind[] as readonly [
  OperationKind,
  ...OperationKind[],
];
/** An operation of one kind. */
export type OperationOf<Kind extends OperationKind> = Extract<Operation, { kind: Kind }>;
export type Operation = { [K in OperationKind]: OfKind<K, (typeof kinds)[K]['own']> }[OperationKind];
/** What each kind has of its own, its name with it. */
export type OwnOfKind = { [K in OperationKind]: OwnOf<K, (typeof kinds)[K]['own']> }[OperationKind];

type Known = KindOfOperation<AnyOperation & { readonly kind: OperationKind }>;
/** What is known of a kind; that an operation and its kind belong together the compiler cannot follow. */
export const kindOf = (kind: OperationKind): Known => kinds[kind] as unknown as Known;

/** What the tool of an operation goes through, as a half-section; of it only metal is cut. Undefined for what cuts nothing. */
export const sweptBy = (piece: Workpiece, operation: Operation): Contour | undefined =>
  kindOf(operation.kind).swept?.(operation, piece);

/** The ways that an operation's tool goes; none of what is done by hand or off the lathe. */
export const strokesOf = (operation: Operation, at: StrokesOf): readonly Stroke[] =>
  kindOf(operation.kind).strokes?.(operation, at) ?? [];

/** Surfaces that an operation finishes. */
export const finishedBy = (part: Part, operation: Operation): readonly SurfaceId[] =>
  kindOf(operation.kind).finishes?.(operation, part) ?? [];

/** The hole that a tool in the tailstock leaves; undefined for what makes none. */
export const openedBy = (operation: Operation): Opened | undefined => kindOf(operation.kind).opens?.(operation);

/** What is worth knowing at an operation with its tool. */
export const notesOf = (operation: Operation, about: NotedOf): readonly Note[] =>
  kindOf(operation.kind).notes?.(operation, about) ?? [];
