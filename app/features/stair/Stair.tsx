import {
  type Finding,
  type Fit,
  type FitContext,
  fitTimeline,
  formatMinus,
  idleLine,
  type NamedCulprit,
  type Placement,
  type Segment,
  spokenLength,
  waitBeforeStart,
} from "@tonodrome/core";
import { createContext, memo, type ReactNode, useContext, useEffect, useMemo, useRef } from "react";
import { StairMarkLines } from "./StairMarkLines";
import { Gutter, heightOf, StripLine } from "./Strip";
import { type StairMarks, stairMarks } from "./stairMarks";

interface StairProps {
  fit: Fit;
  /** What the day allows. */
  context: FitContext;
  /** What keeps the essentials from fitting, marked where it is. */
  culprit?: NamedCulprit | null;
  /** What there is to look at; none where the stair is only read. */
  toLookAt?: readonly Finding[];
  selectedId: string | null;
  /** Ids of several drills chosen at once; null when a press opens a drill. */
  chosen?: ReadonlySet<string> | null;
  onSelect: (id: string) => void;
  /** What the selected drill opens to, in its place; none where it is told beside the stair. */
  opened?: ReactNode;
  /** The strips as a list that can be reordered; without it the stair is only read. */
  children?: ReactNode;
}

/** What the strips show. Apart from the list of them, so that a new fit redraws strips and not what makes them draggable. */
interface Shown {
  placements: ReadonlyMap<string, Placement>;
  marks: StairMarks;
  /** For each drill that there is something to look at, how much. */
  found: ReadonlyMap<string, number>;
  selectedId: string | null;
  chosen: ReadonlySet<string> | null;
  /** Undefined where drills do not open in their place. */
  opened: ReactNode;
  onSelect: (id: string) => void;
}

const NONE: readonly Finding[] = [];

const ShownContext = createContext<Shown | null>(null);

/** The warm-up down to the start line: earliest at the top, stepped in as it gets harder, waits as bare paper. */
export const Stair = memo(function Stair({
  fit,
  context,
  culprit = null,
  toLookAt = NONE,
  selectedId,
  chosen = null,
  onSelect,
  opened,
  children,
}: StairProps) {
  const ids = useMemo(() => fit.placements.map((p) => p.item.id), [fit]);
  const marks = useMemo(() => stairMarks(fit, context, culprit), [fit, context, culprit]);
  const found = useMemo(() => {
    const counts = new Map<string, number>();
    for (const { itemId } of toLookAt) if (itemId) counts.set(itemId, (counts.get(itemId) ?? 0) + 1);
    return counts;
  }, [toLookAt]);
  const shown = useMemo(
    () => ({
      placements: new Map(fit.placements.map((p) => [p.item.id, p])),
      marks,
      found,
      selectedId,
      chosen,
      opened,
      onSelect,
    }),
    [fit, marks, found, selectedId, chosen, opened, onSelect],
  );
  return (
    <ul aria-label="Drills, first to last" className="m-0 list-none p-0">
      <ShownContext.Provider value={shown}>
        {children ??
          ids.map((id) => (
            <li key={id} className="strip">
              <ShownStrip id={id} />
            </li>
          ))}
      </ShownContext.Provider>
      {ids.length > 0 ? <Wait fit={fit} /> : null}
      {marks.below.length > 0 ? (
        <li>
          <StairMarkLines marks={marks.below} />
        </li>
      ) : null}
    </ul>
  );
});

/** The strip of one drill as the stair now shows it. */
export const ShownStrip = memo(function ShownStrip({ id }: { id: string }) {
  const shown = useContext(ShownContext);
  const placement = shown?.placements.get(id);
  if (!shown || !placement) return null;
  const above = shown.marks.above.get(id);
  const selected = shown.chosen ? shown.chosen.has(id) : shown.selectedId === id;
  const opens = shown.opened !== undefined && !shown.chosen;
  return (
    <>
      {above ? <StairMarkLines marks={above} /> : null}
      <StripLine
        item={placement.item}
        level={placement.level}
        ideal={placement.ideal}
        spanSeconds={placement.spanSeconds}
        beginSeconds={placement.beginSeconds}
        selected={selected}
        opens={opens}
        found={shown.found.get(id) ?? 0}
        windowed={shown.marks.windowed.get(id) ?? null}
        onSelect={shown.onSelect}
      />
      {opens && selected ? <Opened>{shown.opened}</Opened> : null}
    </>
  );
});

/** What a drill opens to, brought into sight with its strip. */
function Opened({ children }: { children: ReactNode }) {
  const box = useRef<HTMLDivElement>(null);
  useEffect(() => {
    // Once the strip has its new height.
    const frame = requestAnimationFrame(() =>
      box.current?.parentElement?.scrollIntoView?.({ block: "nearest" }),
    );
    return () => cancelAnimationFrame(frame);
  }, []);
  return <div ref={box}>{children}</div>;
}

/** The wait before the start: bare paper, as high as it is long. */
function Wait({ fit }: { fit: Fit }) {
  const { waitSeconds, waitOverSeconds } = fit;
  const last = waitBeforeStart(fitTimeline(fit));
  const seconds = last ? -last.fromSeconds : waitSeconds;
  if (seconds === 0) return null;
  return (
    <li className="flex" style={{ minHeight: heightOf(seconds) }}>
      <Gutter text={formatMinus(-seconds)} />
      <span className="flex-1 px-3 pt-1 font-text text-body text-muted">
        Wait {spokenLength(seconds)}, warm clothes on, keep moving
        {why(last)}
        {waitOverSeconds > 0 ? `. ${spokenLength(waitOverSeconds)} longer than you wanted` : ""}
      </span>
    </li>
  );
}

/** What makes the wait what it is, where that is more than the coach's own wish. */
function why(idle: Segment | undefined): string {
  const reasons = idle?.reasons.filter((r) => r.kind !== "wait" && r.kind !== "point") ?? [];
  return idle && reasons.length > 0 ? `: ${idleLine({ reasons })}` : "";
}
