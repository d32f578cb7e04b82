import {
  closestCenter,
  DndContext,
  type DragEndEvent,
  MouseSensor,
  TouchSensor,
  useSensor,
  useSensors,
} from "@dnd-kit/core";
import { restrictToVerticalAxis } from "@dnd-kit/modifiers";
import { SortableContext, useSortable, verticalListSortingStrategy } from "@dnd-kit/sortable";
import { CSS } from "@dnd-kit/utilities";
import { memo, useCallback } from "react";
import { ShownStrip } from "./Stair";

interface SortableStripsProps {
  /** Ids of the drills, in their order. */
  ids: string[];
  onMove: (id: string, toIndex: number) => void;
}

/** The strips of a stair, to be dragged into another order. */
export const SortableStrips = memo(function SortableStrips({ ids, onMove }: SortableStripsProps) {
  // A short press selects; a held one, or a mouse that moves, takes the strip along.
  const sensors = useSensors(
    useSensor(MouseSensor, { activationConstraint: { distance: 8 } }),
    useSensor(TouchSensor, { activationConstraint: { delay: 220, tolerance: 8 } }),
  );
  const drop = useCallback(
    ({ active, over }: DragEndEvent) => {
      if (over && over.id !== active.id) onMove(String(active.id), ids.indexOf(String(over.id)));
    },
    [ids, onMove],
  );
  return (
    <DndContext
      sensors={sensors}
      collisionDetection={closestCenter}
      modifiers={MODIFIERS}
      onDragEnd={drop}
      accessibility={NO_INSTRUCTIONS}
    >
      <SortableContext items={ids} strategy={verticalListSortingStrategy}>
        {ids.map((id) => (
          <SortableStrip key={id} id={id} />
        ))}
      </SortableContext>
    </DndContext>
  );
});

const MODIFIERS = [restrictToVerticalAxis];
// Moving by keys and by buttons is in the drill's own sheet, where it is said in words. What the package adds for
// those who listen belongs outside the list, which may hold drills only.
const NO_INSTRUCTIONS = { screenReaderInstructions: { draggable: "" }, container: document.body };

const SortableStrip = memo(function SortableStrip({ id }: { id: string }) {
  const { setNodeRef, listeners, transform, transition, isDragging } = useSortable({ id });
  return (
    <li
      ref={setNodeRef}
      {...listeners}
      className="strip"
      style={{
        transform: CSS.Translate.toString(transform),
        transition,
        opacity: isDragging ? 0.75 : undefined,
        ...(isDragging ? { zIndex: 1, position: "relative" } : {}),
        touchAction: "manipulation",
      }}
    >
      <ShownStrip id={id} />
    </li>
  );
});
