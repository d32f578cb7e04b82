import { moveStart } from "~/data/starts/moves";
import { pressRun } from "./press";
import { stateOf } from "./stateOf";
import { get } from "./store";

/**
 * Moves the start of a run: the start itself is moved, and its log learns of it from the server. A run whose start was deleted
 * keeps it for itself.
 * @param to ISO 8601
 * @param version of the start as it was read last; null where that is not known
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
