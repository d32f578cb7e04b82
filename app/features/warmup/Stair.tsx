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
import {
  type Fit,
  formatMinus,
  type Placement,
  type PlanBody,
  spokenLength,
  steepSteps,
} from "@tonodrome/core";
import { createContext, memo, useCallback, useContext, useMemo } from "react";
import { Gutter, heightOf, Strip } from "./Strip";

interface StairProps {
  fit: Fit;
  body: PlanBody;
  selectedId: string | null;
  onSelect: (id: string) => void;
  /** Without it the stair is only read. */
  onMove?: ((id: string, toIndex: number) => void) | undefined;
}

/** What the strips show. Apart from the list of them, so that a new fit redraws strips and not what makes them draggable. */
interface Shown {
  placements: ReadonlyMap<string, Placement>;
  steep: ReadonlySet<string>;
  selectedId: string | null;
  onSelect: (id: string) => void;
}

const ShownContext = createContext<Shown | null>(null);

/** The warm-up down to the start line: earliest at the top, stepped in as it gets harder, waits as bare paper. */
export const Stair = memo(function Stair({ fit, body, selectedId, onSelect, onMove }: StairProps) {
  const ids = useMemo(() => body.items.map((i) => i.id), [body.items]);
  const steep = useMemo(
    () => new Set(steepSteps(body.items, body.stepPoints).map((s) => s.toId)),
    [body.items, body.stepPoints],
  );
  const shown = useMemo(
    () => ({ placements: new Map(fit.placements.map((p) => [p.item.id, p])), steep, selectedId, onSelect }),
    [fit, steep, selectedId, onSelect],
  );
  return (
    <ul aria-label="Drills, first to last" className="m-0 list-none p-0">
      <ShownContext.Provider value={shown}>
        {onMove ? (
          <SortableStrips ids={ids} onMove={onMove} />
        ) : (
          ids.map((id) => (
            <li key={id} className="strip">
              <ShownStrip id={id} />
            </li>
          ))
        )}
      </ShownContext.Provider>
      <Wait seconds={ids.length > 0 ? fit.waitSeconds : 0} overSeconds={fit.waitOverSeconds} />
    </ul>
  );
});

const SortableStrips = memo(function SortableStrips({
  ids,
  onMove,
}: {
  ids: string[];
  onMove: NonNullable<StairProps["onMove"]>;
}) {
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
        opacity: isDragging ? 0.75 : 1,
        zIndex: isDragging ? 1 : 0,
        position: "relative",
        touchAction: "manipulation",
      }}
    >
      <ShownStrip id={id} />
    </li>
  );
});

const ShownStrip = memo(function ShownStrip({ id }: { id: string }) {
  const shown = useContext(ShownContext);
  const placement = shown?.placements.get(id);
  if (!shown || !placement) return null;
  return (
    <Strip
      placement={placement}
      selected={shown.selectedId === id}
      steep={shown.steep.has(id)}
      onSelect={shown.onSelect}
    />
  );
});

/** The wait before the start: bare paper, as high as it is long. */
function Wait({ seconds, overSeconds }: { seconds: number; overSeconds: number }) {
  if (seconds === 0) return null;
  return (
    <li className="flex" style={{ minHeight: heightOf(seconds) }}>
      <Gutter text={formatMinus(-seconds)} />
      <span className="flex-1 px-3 pt-1 font-text text-body text-muted">
        Wait {spokenLength(seconds)}, warm clothes on, keep moving
        {overSeconds > 0 ? `. ${spokenLength(overSeconds)} longer than you wanted` : ""}
      </span>
    </li>
  );
}
