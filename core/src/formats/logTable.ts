import type { RunSummary } from "../run/log/runSummary";
import { formatLength } from "../time/clock";
import { wallClock } from "../time/zone";
import { csvText } from "./csvText";

/** A run as a row has it. */
export interface RunInTable extends RunSummary {
  athlete: string;
  title: string;
  venue: string;
  zone: string;
  startsAt: string;
}

/** The log, a run a row. */
export function logCsv(runs: readonly RunInTable[]): string {
  const clock = (instant: string | null, zone: string) => (instant ? wallClock(instant, zone).time : "");
  return csvText(
    [
      "Day",
      "Athlete",
      "Event",
      "Venue",
      "Time zone",
      "Kind",
      "Start",
      "Began",
      "Ended",
      "Drills",
      "Done",
      "Skipped",
      "Planned",
      "Taken",
    ],
    runs.map((run) => [
      wallClock(run.beganAt ?? run.startsAt, run.zone).date,
      run.athlete,
      run.title,
      run.venue,
      run.zone,
      run.kind,
      clock(run.startsAt, run.zone),
      clock(run.beganAt, run.zone),
      clock(run.endedAt, run.zone),
      run.drills,
      run.done,
      run.skipped,
      formatLength(run.plannedSeconds),
      formatLength(run.realSeconds),
    ]),
  );
}
