import type { RunState } from "../log/state";
import type { RunPlan } from "../steps/runPlan";

/** What to do in the wait before the start, at one moment. */
export interface WaitPrompt {
  kind: "clothes" | "keep-warm" | "easy" | "routine" | "kit" | "point";
  words: string;
  /** Seconds until there is something else to do. */
  seconds: number;
}

/** Every so often something that keeps warm, for so long, seconds (custom: easy movement of under a minute costs nothing). */
const KEEP_WARM = { every: 180, lasts: 40 };

/** The first thing in the wait, warm clothes, seconds (custom; that they are kept on is what slows cooling: Faulkner 2013). */
const CLOTHES = 30;

/** The routine begins so long before the start, and the last check of the kit, seconds (custom). */
const ROUTINE = 180;
const LAST_CHECK = 60;

/**
 * Says what to do in the wait: warm clothes first, something that keeps warm every three minutes, the mental routine in
 * the last three, kit in the last one, and fixed points when they are due.
 * @param now milliseconds since the epoch
 * @returns null when the run is not waiting, or the start is over
 */
export function waitPrompt(plan: RunPlan, state: RunState, now: number): WaitPrompt | null {
  const untilStart = (state.startsAt - now) / 1000;
  if (state.status !== "waiting" || state.waitingSince === null || untilStart <= 0) return null;
  const point = plan.source?.context.points.find(
    (p) => untilStart <= -p.fromSeconds && untilStart > -p.toSeconds,
  );
  if (point) return { kind: "point", words: `${point.name}.`, seconds: untilStart + point.toSeconds };
  const next = nextPoint(plan, untilStart);
  const until = (seconds: number) => Math.max(0, Math.min(untilStart - seconds, next));
  if (untilStart <= LAST_CHECK) return { kind: "kit", words: kitWords(plan), seconds: until(0) };
  if (untilStart <= ROUTINE)
    return { kind: "routine", words: routineWords(plan), seconds: until(LAST_CHECK) };
  const waited = Math.max(0, (now - state.waitingSince) / 1000);
  if (waited < CLOTHES)
    return {
      kind: "clothes",
      words: "Warm clothes on.",
      seconds: Math.min(CLOTHES - waited, until(ROUTINE)),
    };
  const within = waited % KEEP_WARM.every;
  const moving = waited >= KEEP_WARM.every && within < KEEP_WARM.lasts;
  return moving
    ? {
        kind: "keep-warm",
        words: "Keep warm: easy steps on the spot, swing the arms.",
        seconds: Math.min(KEEP_WARM.lasts - within, until(ROUTINE)),
      }
    : {
        kind: "easy",
        words: "Easy. Stand, walk or sit loose.",
        seconds: Math.min(KEEP_WARM.every - within, until(ROUTINE)),
      };
}

/** Seconds until the next fixed point; Infinity when there is none. */
function nextPoint({ source }: RunPlan, untilStart: number): number {
  const ahead = source?.context.points.map((p) => untilStart + p.fromSeconds).filter((s) => s > 0) ?? [];
  return Math.min(Infinity, ...ahead);
}

function kitWords({ kit = [] }: RunPlan): string {
  return kit.length > 0
    ? `Clothes off, last look at the kit: ${kit.join(", ")}.`
    : "Clothes off, last look at the kit.";
}

/** One cue, the last one that was worked on, a breath at a time. */
function routineWords({ drills }: RunPlan): string {
  const cue = drills.findLast((d) => d.phase === "technical" && d.focus)?.focus;
  return cue ? `Breathe with the ink. One cue: ${cue}` : "Breathe with the ink. One cue, nothing new.";
}
