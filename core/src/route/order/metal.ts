import { insides, type Part, surfaceOf } from '../../part/index.ts';
import { PLACE_MM } from '../../quantity/index.ts';
import { kindOf, type Operation } from '../operation/kinds.ts';
import type { OrderAbout, OrderRule } from './rule.ts';

/** Whether an operation takes metal off, by a tool's way or by hand. */
const cuts = ({ kind }: Operation): boolean => kindOf(kind).swept !== undefined;
const inside = (part: Part, o: Operation): boolean =>
  kindOf(o.kind).opens !== undefined || insides(part).some((s) => s.id === o.featureId);
const overlap = (one: Operation, other: Operation): boolean =>
  Math.min(one.zToMm, other.zToMm) - Math.max(one.zFromMm, other.zFromMm) > PLACE_MM;
const planned = (one: Operation, other: Operation, { planned: at }: OrderAbout): boolean =>
  (at.get(one.id) ?? 0) < (at.get(other.id) ?? 0);

/** What stands over a place comes off before anything is cut there: each cut is told for the metal that it finds. */
export const metalOff: OrderRule = {
  ...{ code: 'metalOff', severity: 'never' },
  before: (one, other, about) =>
    cuts(one) &&
    cuts(other) &&
    overlap(one, other) &&
    inside(about.part, one) === inside(about.part, other) &&
    planned(one, other, about),
};

/** Cuts and measurements of one surface follow each other as they were thought out: each goes by what the one before left. */
export const sizeInTurn: OrderRule = {
  ...{ code: 'sizeInTurn', severity: 'never' },
  before: (one, other, about) =>
    one.featureId !== undefined && one.featureId === other.featureId && planned(one, other, about),
};

const touches = ({ kind }: Operation): boolean => kindOf(kind).act === 'touchOff';

/** A dial's number means something only once its tool has touched the work. */
export const toolKnown: OrderRule = {
  ...{ code: 'toolKnown', severity: 'never' },
  // touched again for a cone, it was known before by its first touch
  before: (one, other, about) =>
    touches(one) && !touches(other) && one.toolId === other.toolId && cuts(other) && planned(one, other, about),
};

/** Whether an operation cuts a thread, by a bit or by die or tap. */
const threads = (o: Operation): o is Extract<Operation, { threadId: string }> => 'threadId' in o;

/** A thread comes when its blank is to size, its groove is cut to run out in and its end is chamfered; none of them is cut through it. */
export const threadAfter: OrderRule = {
  ...{ code: 'threadAfter', severity: 'never' },
  before: (one, other, { part }) => {
    if (!threads(other) || threads(one) || !cuts(one)) return false;
    const thread = surfaceOf(part, other.threadId);
    return thread !== undefined && 'of' in thread && one.featureId === thread.of && one.kind !== 'part';
  },
};

/** Opened out of the solid, with no size to hold. */
const drills = (o: Operation): boolean => kindOf(o.kind).opens !== undefined && o.limits === undefined;
/** Whether it goes along a cone by a setting of its own: its first cuts are light, and come when all that is parallel is done. */
const alongCone = (o: Operation): boolean => 'perLength' in o;
const isRough = (o: Operation): boolean =>
  (kindOf(o.kind).act === 'rough' && !threads(o) && !alongCone(o)) || drills(o);
const isLast = (o: Operation): boolean => kindOf(o.kind).act === 'last';

/** A reamer follows the hole that is there: it is drilled and bored true first. */
export const reamAfterBore: OrderRule = {
  ...{ code: 'reamAfterBore', severity: 'never' },
  before: (one, other) =>
    kindOf(other.kind).opens !== undefined &&
    other.limits !== undefined &&
    one.featureId === other.featureId &&
    one.id !== other.id &&
    (drills(one) || kindOf(one.kind).act === 'rough'),
};

/** Everything is roughed before anything is finished: heat and what is set free in the metal move what was finished. */
export const roughFirst: OrderRule = {
  ...{ code: 'roughFirst', severity: 'poor' },
  before: (one, other, { part }) => {
    if (!isRough(one) || !isLast(other)) return false;
    if (drills(one)) return true;
    // a bar that is set again costs more than the holes' other steps take away
    return inside(part, one) === inside(part, other) && (!inside(part, one) || one.toolId === other.toolId);
  },
};

/** What weakens the work comes late: nothing heavy is cut beyond a groove or a neck. */
export const weakLate: OrderRule = {
  ...{ code: 'weakLate', severity: 'poor' },
  before: (one, other, { part }) =>
    other.kind === 'groove' && !inside(part, other) && isRough(one) && !inside(part, one) && one.zToMm > other.zFromMm,
};

/** Of mates the one that is corrected more easily goes last: a reamed or bored hole is as it is, a shaft is cut or polished to it. */
export const easierLast: OrderRule = {
  ...{ code: 'easierLast', severity: 'poor' },
  before: (one, other, { part }) => {
    const hole = inside(part, one) && (isLast(one) || one.kind === 'ream');
    const fit = (o: Operation): boolean => o.limits !== undefined && o.limits.how !== 'general';
    return hole && isLast(other) && !inside(part, other) && fit(other);
  },
};

/** Every edge is broken once nothing is cut any more that would leave a new one. */
export const edgesLast: OrderRule = {
  ...{ code: 'edgesLast', severity: 'poor' },
  before: (one, other) => other.kind === 'breakEdges' && cuts(one) && kindOf(one.kind).cutsOff !== true,
};

/** Heavy work of so many minutes warms the piece; after so many it may be measured to this, mm. FIELD 4: hot work is not measured */
const WARMS_MIN = 2;
const COOLS_MIN = 2;
const FINE_MM = 0.06;

/** Hot work is not measured for a close size. */
export const coolToMeasure: OrderRule = {
  ...{ code: 'coolToMeasure', severity: 'poor' },
  broken: (order) =>
    order.flatMap((measured, i) => {
      const { limits, last } = measured;
      if (!last || !limits || limits.upperMm - limits.lowerMm > FINE_MM) return [];
      let since = 0;
      for (let k = i - 1; k >= 0 && since < COOLS_MIN; k--) {
        const before = order[k]!;
        if (isRough(before) && before.minutes > WARMS_MIN) return [{ first: measured.id, other: before.id }];
        since += before.minutes;
      }
      return [];
    }),
};
