import { moveStart } from "~/data/starts/moves";
import { pressRun } from "./press";
import { stateOf } from "./stateOf";
import { get } from "./store";

/**
 * Moves the start of a run. It moves the start itself; the run's log learns of it from the server. Where the start was deleted,
 * the move is a press of the run alone.
 * @param to ISO 8601
 * @param version of the start as it was read last; null where it is unknown
 */
export function moveRun(id: string, to: string, version: number | null, simulated = false): void {
  const kept = get(id);
  if (!kept) return;
  const { startId } = kept.run;
  const told = simulated ? { simulated: true as const } : {};
  if (!startId) {
    pressRun(id, { kind: "start-moved", startsAt: to, ...told });
    return;
  }
  const startsAt = new Date(stateOf(kept).startsAt).toISOString();
  moveStart(kept.clubId, { id: startId, version, startsAt }, to, told);
}
