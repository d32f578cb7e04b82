import { flooredLength, formatMinus, MINUTE_SECONDS, wallClock } from "@tonodrome/core";
import {
  contradictionWords,
  type DayFile,
  type DayVersion,
  dayPlan,
  reasonWords,
  stepsOfFile,
} from "@tonodrome/core/day";
import { tableText } from "./tableText";

/** A day in one version as it is printed; times in seconds from the start, negative before it, and on the venue's clock. */
interface VersionAnswer {
  version: DayVersion;
  /** Whether everything can hold together. */
  holds: boolean;
  steps: {
    id: string;
    name: string;
    beginSeconds: number;
    endSeconds: number;
    begin: string;
    end: string;
    slackSeconds: number | null;
    tight: boolean;
  }[];
  /** What cannot hold together, and by how much it misses; null where everything does. */
  contradiction: { missingSeconds: number; because: string[]; words: string } | null;
}

/** A day counted back from its start, as usual and if it goes badly. */
export interface DayAnswer {
  startsAt: string;
  zone: string;
  versions: VersionAnswer[];
}

/** Counts a file's day back from its start. */
export function dayAnswer(file: DayFile): DayAnswer {
  const { startsAt, zone, warmUpSeconds } = file;
  const day = { startsAt, zone, warmUpSeconds, steps: stepsOfFile(file) };
  const clock = (seconds: number) => {
    const at = new Date(Date.parse(startsAt) + seconds * 1000).toISOString();
    const { date, time } = wallClock(at, zone);
    return `${date} ${time}`;
  };
  const versions = (["usual", "bad"] as const).map((version): VersionAnswer => {
    const plan = dayPlan(day, version);
    if (!plan.holds) {
      const { constraints, missingSeconds } = plan.contradiction;
      const because = [...new Set(constraints.map((c) => reasonWords(day, c.why, version)))];
      const words = contradictionWords(day, plan.contradiction, version);
      return { version, holds: false, steps: [], contradiction: { missingSeconds, because, words } };
    }
    const steps = plan.stands.map(({ step, beginSeconds, endSeconds, slackSeconds, isTight }) => ({
      ...{ id: step.id, name: step.name, beginSeconds, endSeconds },
      ...{ begin: clock(beginSeconds), end: clock(endSeconds), slackSeconds, tight: isTight },
    }));
    return { version, holds: true, steps, contradiction: null };
  });
  return { startsAt, zone, versions };
}

const HEADS: Record<DayVersion, string> = { usual: "usual", bad: "if it goes badly" };

/** "4 h 30 min of slack": nobody counts a day's room in seconds. */
function slackWords(seconds: number): string {
  return seconds < MINUTE_SECONDS ? "no slack" : `${flooredLength(seconds)} of slack`;
}

/** The same as tables to be read. */
export function dayTableText({ versions }: DayAnswer): string {
  return versions
    .map(({ version, steps, contradiction }) => {
      if (contradiction) return [HEADS[version], contradiction.words].join("\n");
      const rows = steps
        .toSorted((a, b) => a.beginSeconds - b.beginSeconds)
        .map((s) => [
          s.begin,
          s.end.slice(11),
          formatMinus(s.beginSeconds),
          s.tight ? "*" : "",
          s.name,
          s.slackSeconds === null ? "" : slackWords(s.slackSeconds),
        ]);
      return tableText([[HEADS[version], "to", "start", "", "step", ""], ...rows]).join("\n");
    })
    .concat("* leaves the day no room")
    .join("\n\n");
}
