import type { Contour } from '../../contour/index.ts';
import type { Part, SurfaceId } from '../../part/index.ts';
import type { Workpiece } from '../../work/index.ts';
import type { Operation, OperationKind } from '../plan.ts';
import { finish, measure, rough, semiFinish } from './along.ts';
import { centre } from './centre.ts';
import { chamfer } from './chamfer.ts';
import { face } from './face.ts';
import type { KindOfOperation } from './kind.ts';
import { mount } from './mount.ts';
import { shoulder } from './shoulder.ts';
import { touchOff } from './touch-off.ts';

/** The one list of kinds: what is known of each is in its own file. */
const kinds: { readonly [Kind in OperationKind]: KindOfOperation<Kind> } = {
  ...{ mount, face, centre, touchOff, rough, semiFinish, measure, finish, shoulder, chamfer },
};
/** What its own file says of an operation's kind; that both are of one kind the compiler cannot follow. */
const of = ({ kind }: Operation) => kinds[kind] as unknown as KindOfOperation<never>;

/** What the tool of an operation goes through, as a half-section; of it only metal is cut. Undefined for what cuts nothing. */
export const sweptBy = (piece: Workpiece, operation: Operation): Contour | undefined =>
  of(operation).swept?.(operation as never, piece);

/** Surfaces that an operation finishes. */
export const finishedBy = (part: Part, operation: Operation): readonly SurfaceId[] =>
  of(operation).finishes?.(operation as never, part) ?? [];
