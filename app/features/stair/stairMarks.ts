import {
  type Fit,
  type FitContext,
  fitTimeline,
  formatMinus,
  idleBefore,
  idleLine,
  listOf,
  type NamedCulprit,
  type Segment,
  wordKey,
} from "@tonodrome/core";

/** What stands between the strips of a stair. */
export type Mark =
  /** From here on it is done at another place. */
  | { kind: "place"; name: string; windows: string }
  /** Something at a fixed time. */
  | { kind: "point"; name: string; atSeconds: number; longSeconds: number; closes: boolean }
  /** What keeps the essentials from fitting, in a sentence. */
  | { kind: "conflict"; words: string }
  /** Nothing is done for a while, and why. */
  | { kind: "idle"; atSeconds: number; seconds: number; words: string };

/** Everything that stands between the strips of a stair, and which strips keep to windows. */
export interface StairMarks {
  /** What stands above the strip of a drill. */
  above: Map<string, Mark[]>;
  /** What stands below the last strip. */
  below: Mark[];
  /** Whether the place of each drill keeps to windows; drills without a place are not in it. */
  windowed: Map<string, boolean>;
}

/**
 * Where the day shows in a stair: changes of place with their windows, fixed points, and waits with their reasons.
 * @param culprit what keeps the essentials from fitting: it stands at its place or point, else at the first of them left out
 */
export function stairMarks(fit: Fit, context: FitContext, culprit: NamedCulprit | null = null): StairMarks {
  const conflict: Mark[] = culprit ? [{ kind: "conflict", words: culprit.line }] : [];
  const isCulprit = (kind: "window" | "point", index: number) =>
    (culprit?.rule?.kind === "window" && kind === "window" && culprit.rule.place === index) ||
    (culprit?.rule?.kind === "point" && kind === "point" && culprit.rule.point === index);
  const hasOwnLine = culprit?.rule?.kind === "window" || culprit?.rule?.kind === "point";
  const say = (marks: Mark[]) => marks.push(...conflict.splice(0));
  const above = new Map<string, Mark[]>();
  const windowed = new Map<string, boolean>();
  const points = context.points
    .map((point, index) => ({ ...point, index }))
    .filter((p) => p.fromSeconds >= -fit.availableSeconds)
    .sort((a, b) => a.fromSeconds - b.fromSeconds);
  const pointsUntil = (before: number): Mark[] => {
    const marks: Mark[] = [];
    while (points[0] && points[0].fromSeconds < before) {
      const { name, fromSeconds, toSeconds, closesPractice, index } =
        points.shift() as (typeof points)[number];
      marks.push({
        kind: "point",
        name,
        atSeconds: fromSeconds,
        longSeconds: toSeconds - fromSeconds,
        closes: closesPractice,
      });
      if (isCulprit("point", index)) say(marks);
    }
    return marks;
  };
  const timeline = fitTimeline(fit);
  let here = "";
  for (const { item, level, beginSeconds } of fit.placements) {
    const at = context.places.findIndex((p) => sameName(p.name, item.place));
    if (!level) {
      if (item.priority === "essential" && (isCulprit("window", at) || !hasOwnLine)) {
        const marks: Mark[] = [];
        say(marks);
        if (marks.length > 0) above.set(item.id, marks);
      }
      // The band goes on past what is left out at the same place.
      const windows = context.places.find((p) => sameName(p.name, here))?.windows ?? [];
      if (here && sameName(here, item.place)) windowed.set(item.id, windows.length > 0);
      continue;
    }
    const marks: Mark[] = [...idleMark(idleBefore(timeline, item.id)), ...pointsUntil(beginSeconds)];
    const place = context.places[at];
    if (place) {
      windowed.set(item.id, place.windows.length > 0);
      if (!sameName(place.name, here)) {
        here = place.name;
        marks.push({ kind: "place", name: place.name, windows: windowsOf(place) });
        if (isCulprit("window", at)) say(marks);
      }
    }
    if (marks.length > 0) above.set(item.id, marks);
  }
  const used = new Set(fit.placements.filter((p) => p.level).map((p) => wordKey(p.item.place)));
  const unused = context.places
    .filter((p) => p.windows.some((w) => w.toSeconds > -fit.availableSeconds) && !used.has(wordKey(p.name)))
    .map((p): Mark => ({ kind: "place", name: p.name, windows: `${windowsOf(p)}, nothing there yet` }));
  return { above, windowed, below: [...pointsUntil(1), ...unused] };
}

function idleMark(idle: Segment | undefined): Mark[] {
  if (!idle) return [];
  const { fromSeconds, toSeconds } = idle;
  // Fixed points are drawn as lines of their own; what is free around them is named by them.
  const points = idle.reasons.filter((r) => r.kind === "point");
  const reasons = idle.reasons.filter((r) => r.kind !== "point");
  const isAround = reasons.length === 0 && points.length > 0;
  const seconds = toSeconds - fromSeconds - (isAround ? points.reduce((sum, p) => sum + p.seconds, 0) : 0);
  if (isAround && seconds < NOTABLE) return [];
  const words = isAround ? `around ${listOf(points.map((p) => p.name))}` : idleLine({ reasons });
  return [{ kind: "idle", atSeconds: fromSeconds, seconds, words }];
}

/** So little around a fixed point is not worth a line, seconds. Custom. */
const NOTABLE = 30;

/** "−30:00 to −10:00, half of it". */
function windowsOf({ windows }: FitContext["places"][number]): string {
  return windows
    .map((w) => `${formatMinus(w.fromSeconds)} to ${formatMinus(Math.min(0, w.toSeconds))}${shared(w)}`)
    .join(", ");
}

function shared({ room, turns }: { room: "all" | "half"; turns: number }): string {
  return `${room === "half" ? ", half of it" : ""}${turns > 1 ? `, ${turns} take turns` : ""}`;
}

const sameName = (a: string, b: string) => wordKey(a) === wordKey(b);
