import {
  type Announcements,
  type CollisionDetection,
  closestCenter,
  DndContext,
  type DragEndEvent,
  type DragOverEvent,
  KeyboardSensor,
  PointerSensor,
  pointerWithin,
  useDroppable,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import {
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable';
import type { Move } from '@whelk/core/hold';
import type { Part } from '@whelk/core/part';
import { type Broken, type Judged, judged, type Operation, type Plan } from '@whelk/core/route';
import { GripVertical } from 'lucide-react';
import { type ReactNode, useState } from 'react';
import { orderRuleText } from '../../messages/order-rules.ts';

/** What the rules know of a plan. */
export const aboutPlan = (plan: Plan, part: Part) => ({ part, planned: new Map(plan.planned.map((id, i) => [id, i])) });

/** Where an operation comes to stand when it is let go over another one. */
function moveOver(operations: readonly Operation[], id: string, overId: string): Move | undefined {
  const ids = operations.map((o) => o.id);
  const [from, to] = [ids.indexOf(id), ids.indexOf(overId)];
  if (from < 0 || to < 0 || from === to) return undefined;
  return { id, before: (to > from ? ids[to + 1] : ids[to]) ?? null };
}

/** The place beside the list where an operation is let go that another holding is to do. */
const LATER = 'later-holding';
/** What lies under the pointer is meant; over no row the nearest one. */
const nearest: CollisionDetection = (asked) => {
  const later = pointerWithin(asked).filter((c) => c.id === LATER);
  return later.length > 0 ? later : closestCenter(asked);
};

/** Shown while an operation is held that can be left. */
function LaterHolding({ text }: { readonly text: string }) {
  const { setNodeRef, isOver } = useDroppable({ id: LATER });
  return (
    <p
      ref={setNodeRef}
      className={`sticky bottom-24 z-10 mx-5 my-2 border-2 border-dashed border-[var(--brass)] bg-[var(--color-base-100)] px-4 py-4 text-center ${isOver ? 'font-bold' : ''}`}
    >
      {text}
    </p>
  );
}

interface Told {
  readonly id: string;
  readonly title: string;
  readonly says: Judged;
}

/** What the rules say of where a hand holds an operation. */
function Verdict({
  told: { id, title, says },
  titled,
  onClose,
}: {
  readonly told: Told;
  readonly titled: (id: string) => string;
  readonly onClose: () => void;
}) {
  const { refused, against } = says;
  const pairOf = ({ first, other }: Broken): string => titled(first === id ? other : first);
  return (
    <div
      role="status"
      className="fixed inset-x-5 bottom-4 z-20 flex items-start gap-3 border-2 border-current bg-[var(--color-base-100)] px-4 py-3"
    >
      <p className="grow">
        <b>{title}: </b>
        {refused ? (
          <span className="text-[var(--stop)]">
            ✕ not there, it comes {refused.first === id ? 'before' : 'after'} “{pairOf(refused)}”.{' '}
            {orderRuleText[refused.code].why}
          </span>
        ) : against.length > 0 ? (
          <span>
            ▲ it may stand there, but: {[...new Set(against.map((b) => orderRuleText[b.code].why))].join(' ')}
          </span>
        ) : (
          <span>✓ no rule speaks against it.</span>
        )}
      </p>
      <button type="button" className="quiet" onClick={onClose}>
        Close
      </button>
    </div>
  );
}

/** The list of operations, each of which can be taken by its handle and put elsewhere; the rules are told while it is held. */
export function Reordering({
  plan,
  part,
  titleOf,
  onMove,
  laterText,
  onLater,
  children,
}: {
  readonly plan: Plan;
  readonly part: Part;
  readonly titleOf: (operation: Operation) => string;
  readonly onMove: (move: Move) => void;
  /** what is said of leaving an operation to another holding; undefined for one that belongs to this one */
  readonly laterText: (operation: Operation) => string | undefined;
  readonly onLater: (operation: Operation) => void;
  readonly children: ReactNode;
}) {
  const [told, setTold] = useState<Told>();
  const [heldId, setHeldId] = useState<string>();
  const { operations } = plan;
  const held = operations.find((o) => o.id === heldId);
  const later = held && laterText(held);
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const tell = (id: string, overId: string | undefined) => {
    const operation = operations.find((o) => o.id === id);
    const move = operation && overId !== undefined ? moveOver(operations, id, overId) : undefined;
    if (!operation || !move) return undefined;
    return { move, told: { id, title: titleOf(operation), says: judged(operations, move, aboutPlan(plan, part)) } };
  };
  const titled = (id: string | number): string => {
    const operation = operations.find((o) => o.id === id);
    return operation ? titleOf(operation) : '';
  };
  const announcements: Announcements = {
    onDragStart: ({ active }) => `${titled(active.id)} taken.`,
    onDragOver: ({ active, over }) =>
      over
        ? over.id === LATER
          ? `${titled(active.id)} for a later holding.`
          : `${titled(active.id)} at the place of ${titled(over.id)}.`
        : undefined,
    onDragEnd: ({ active }) => `${titled(active.id)} let go.`,
    onDragCancel: ({ active }) => `${titled(active.id)} stays where it was.`,
  };
  return (
    <DndContext
      id="order"
      sensors={sensors}
      collisionDetection={nearest}
      accessibility={{
        announcements,
        screenReaderInstructions: {
          draggable:
            'Press space to take the operation, the arrow keys to move it, space to let it go, escape to leave it.',
        },
      }}
      onDragStart={({ active }) => {
        setTold(undefined);
        setHeldId(String(active.id));
      }}
      onDragOver={({ active, over }: DragOverEvent) => setTold(tell(String(active.id), over?.id as string)?.told)}
      onDragCancel={() => {
        setTold(undefined);
        setHeldId(undefined);
      }}
      onDragEnd={({ active, over }: DragEndEvent) => {
        setHeldId(undefined);
        const left = operations.find((o) => o.id === active.id);
        if (over?.id === LATER) {
          setTold(undefined);
          if (left) onLater(left);
          return;
        }
        const found = tell(String(active.id), over?.id as string);
        // what was refused stays told, so that it can be read
        if (!found?.told.says.refused) setTold(undefined);
        if (found && !found.told.says.refused) onMove(found.move);
      }}
    >
      {told && <Verdict told={told} titled={titled} onClose={() => setTold(undefined)} />}
      <SortableContext items={operations.map((o) => o.id)} strategy={verticalListSortingStrategy}>
        {children}
      </SortableContext>
      {later !== undefined && <LaterHolding text={later} />}
    </DndContext>
  );
}

/** A row that can be taken by its handle. */
export function Movable({
  id,
  title,
  open,
  className,
  children,
}: {
  readonly id: string;
  readonly title: string;
  readonly open: boolean;
  readonly className: string;
  readonly children: ReactNode;
}) {
  const { attributes, listeners, setNodeRef, setActivatorNodeRef, transform, transition, isDragging } = useSortable({
    id,
  });
  return (
    <li
      ref={setNodeRef}
      className={`relative ${className} ${isDragging ? 'z-10 bg-[var(--bench)]' : ''}`}
      style={{ transform: transform ? `translate3d(0, ${transform.y}px, 0)` : undefined, transition }}
    >
      <button
        ref={setActivatorNodeRef}
        type="button"
        className="handle"
        {...attributes}
        {...listeners}
        // one stop a row for the keyboard: the handle of the row that is open is the next one back
        tabIndex={open ? 0 : -1}
        aria-label={`Move: ${title}`}
      >
        <GripVertical size={16} aria-hidden="true" />
      </button>
      {children}
    </li>
  );
}
