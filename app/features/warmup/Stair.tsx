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
import { type Fit, formatMinus, type PlanBody, spokenLength, steepSteps } from "@tonodrome/core";
import { memo, useCallback, useMemo } from "react";
import { Text, View } from "react-native";
import { heightOf, Strip, type StripProps } from "./Strip";

interface StairProps {
  fit: Fit;
  body: PlanBody;
  selectedId: string | null;
  onSelect: (id: string) => void;
  onMove: (id: string, toIndex: number) => void;
}

/** The warm-up down to the start line: earliest at the top, stepped in as it gets harder, waits as bare paper. */
export function Stair({ fit, body, selectedId, onSelect, onMove }: StairProps) {
  const ids = useMemo(() => body.items.map((i) => i.id), [body.items]);
  const steep = useMemo(
    () => new Set(steepSteps(body.items, body.stepPoints).map((s) => s.toId)),
    [body.items, body.stepPoints],
  );
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
    <View role="list" aria-label="Drills, first to last">
      <DndContext
        sensors={sensors}
        collisionDetection={closestCenter}
        modifiers={MODIFIERS}
        onDragEnd={drop}
        accessibility={NO_INSTRUCTIONS}
      >
        <SortableContext items={ids} strategy={verticalListSortingStrategy}>
          {fit.placements.map((placement) => (
            <SortableStrip
              key={placement.item.id}
              placement={placement}
              selected={placement.item.id === selectedId}
              steep={steep.has(placement.item.id)}
              onSelect={onSelect}
            />
          ))}
        </SortableContext>
      </DndContext>
      <Wait seconds={fit.waitSeconds} overSeconds={fit.waitOverSeconds} />
    </View>
  );
}

const MODIFIERS = [restrictToVerticalAxis];
// Moving by keys and by buttons is in the drill's own sheet, where it is said in words. What the package adds for
// those who listen belongs outside the list, which may hold drills only.
const NO_INSTRUCTIONS = { screenReaderInstructions: { draggable: "" }, container: document.body };

const SortableStrip = memo(function SortableStrip(props: StripProps) {
  const { setNodeRef, listeners, transform, transition, isDragging } = useSortable({
    id: props.placement.item.id,
  });
  return (
    <li
      ref={setNodeRef}
      {...listeners}
      style={{
        listStyle: "none",
        transform: CSS.Translate.toString(transform),
        transition,
        opacity: isDragging ? 0.75 : 1,
        zIndex: isDragging ? 1 : 0,
        position: "relative",
        touchAction: "manipulation",
      }}
    >
      <Strip {...props} />
    </li>
  );
});

function Wait({ seconds, overSeconds }: { seconds: number; overSeconds: number }) {
  if (seconds === 0) return null;
  return (
    <View role="listitem" className="flex-row" style={{ minHeight: heightOf(seconds) }}>
      <Text
        className="w-[64px] pt-1 font-figures text-small text-muted"
        style={{ fontVariant: ["tabular-nums"] }}
      >
        {formatMinus(-seconds)}
      </Text>
      <Text className="flex-1 px-3 pt-1 font-text text-body text-muted">
        Wait {spokenLength(seconds)}, warm clothes on, keep moving
        {overSeconds > 0 ? `. ${spokenLength(overSeconds)} longer than you wanted` : ""}
      </Text>
    </View>
  );
}
