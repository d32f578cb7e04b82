import type { Conditions } from "../conditions/setting";
import type { DayFrame } from "../day/constraint";
import { dayPlan } from "../day/day";
import { calledLine } from "../drill/called";
import type { Fit, Placement } from "../fit/fit";
import { weatherCaution } from "../run/live/cautions";
import { formatLength, formatMinus, roundLength } from "../time/clock";
import { wallClock } from "../time/zone";

/** What a printed sheet is made of. */
export interface SheetOf {
  athlete: string;
  title: string;
  venue: string;
  /** The day as it is counted back; its steps may be none. */
  frame: DayFrame;
  /** Null where there is no warm-up. */
  fit: Fit | null;
  /** Null where they are not known. */
  conditions: Conditions | null;
  /** Who warms up together, to be ticked off; left out for one athlete alone. */
  group?: readonly { name: string }[] | undefined;
}

/** A start on paper: what works when phones do not. Every text is short enough for a line or two of large type. */
export interface PrintedSheet {
  athlete: string;
  title: string;
  venue: string;
  /** The venue's day, `YYYY-MM-DD`, and clock, with its zone. */
  date: string;
  start: string;
  zone: string;
  /** When the warm-up begins; null where there is none. */
  begins: string | null;
  steps: SheetStep[];
  drills: SheetDrill[];
  /** The wait before the start, as "5:00"; null for none. */
  wait: string | null;
  lists: { name: string; lines: string[] }[];
  cautions: string[];
  /** What cannot hold together, or does not fit: a sheet that hides it would be believed. */
  remarks: string[];
}

/** A step of the day: its clock as usual and, where that is another, if it goes badly. */
export interface SheetStep {
  clock: string;
  badly: string | null;
  /** "the day before" and the like; empty on the day of the start. */
  day: string;
  name: string;
  place: string;
  takes: string;
}

/** A drill, or a rung of a ladder below its name. */
export interface SheetDrill {
  clock: string;
  /** Before the start: "−12:30". */
  minus: string;
  name: string;
  dose: string;
  takes: string;
  place: string;
  focus: string;
  rungs: { name: string; dose: string; focus: string }[];
}

/** Lays a start out for paper. */
export function printedSheet({
  athlete,
  title,
  venue,
  frame,
  fit,
  conditions,
  group,
}: SheetOf): PrintedSheet {
  const zero = Date.parse(frame.startsAt);
  const clockAt = (seconds: number) =>
    wallClock(new Date(zero + Math.round(seconds) * 1000).toISOString(), frame.zone);
  const { date, time } = clockAt(0);
  const { steps, remarks } = stepsOf(frame, date, clockAt);
  const kept = (fit?.placements ?? []).filter((p) => p.level && p.spanSeconds > 0);
  const drills = kept.map((placement) => drillOf(placement, (seconds) => clockAt(seconds).time));
  const weather = conditions && weatherCaution({ conditions });
  const own = kept.flatMap(({ item }) => (item.details?.cautions ?? []).map((c) => `${item.name}: ${c}`));
  return {
    athlete,
    title,
    venue,
    date,
    start: time,
    zone: frame.zone,
    begins: kept[0] ? clockAt(kept[0].beginSeconds).time : null,
    steps,
    drills,
    wait: fit && fit.waitSeconds > 0 && kept.length > 0 ? formatLength(fit.waitSeconds) : null,
    lists: [
      ...(group ? [{ name: `Group of ${group.length}`, lines: group.map((m) => m.name) }] : []),
      ...frame.steps
        .filter((step) => step.list.length > 0)
        .map(({ name, list }) => ({ name, lines: [...list] })),
    ],
    cautions: [...(weather ? [weather] : []), ...new Set(own)],
    remarks: [
      ...remarks,
      ...(fit?.state === "short" ? ["The essentials do not all fit into this time."] : []),
    ],
  };
}

function stepsOf(
  frame: DayFrame,
  date: string,
  clockAt: (seconds: number) => { date: string; time: string },
) {
  if (frame.steps.length === 0) return { steps: [], remarks: [] };
  const usual = dayPlan(frame, "usual");
  const bad = dayPlan(frame, "bad");
  if (!usual.holds) return { steps: [], remarks: ["The day cannot hold together as it stands."] };
  const stands = usual.stands.map((stand, i) => ({ ...stand, bad: bad.holds ? bad.stands[i] : undefined }));
  // By the clock: what is done beside other things stands where it begins.
  const steps = stands
    .sort((a, b) => a.beginSeconds - b.beginSeconds)
    .map(({ step, beginSeconds, endSeconds, bad: other }): SheetStep => {
      const at = clockAt(beginSeconds);
      const badly = other ? clockAt(other.beginSeconds).time : at.time;
      return {
        clock: at.time,
        badly: badly === at.time ? null : badly,
        day: dayWords(date, at.date),
        name: step.name,
        place: step.place,
        takes: endSeconds > beginSeconds ? roundLength(endSeconds - beginSeconds) : "",
      };
    });
  return { steps, remarks: bad.holds ? [] : ["If it goes badly, the day does not hold together."] };
}

/** Which day a step is on, as seen from the day of the start. */
function dayWords(date: string, other: string): string {
  const days = Math.round((Date.parse(other) - Date.parse(date)) / 86_400_000);
  if (days === 0) return "";
  if (Math.abs(days) === 1) return days < 0 ? "the day before" : "the day after";
  return days < 0 ? `${-days} days before` : `${days} days after`;
}

function drillOf(
  { item, level, beginSeconds, spanSeconds }: Placement,
  clock: (s: number) => string,
): SheetDrill {
  const rungs = level?.rungs ?? [];
  return {
    clock: clock(beginSeconds),
    minus: formatMinus(beginSeconds),
    name: item.name,
    dose: rungs.length > 0 ? "" : (level?.words ?? ""),
    takes: formatLength(spanSeconds),
    place: item.place,
    focus: [item.focus, item.details?.called ? `Called: ${calledLine(item.details.called)}` : ""]
      .filter(Boolean)
      .join(". "),
    rungs: rungs.map(({ name, words, focus }) => ({ name, dose: words, focus })),
  };
}
