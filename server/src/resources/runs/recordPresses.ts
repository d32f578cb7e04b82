import { MOST, type RunEventsInput, rolesThat } from "@tonodrome/core/api";
import type { Along } from "../../access/session/session";
import { Refusal } from "../../errors/refusal";

/**
 * Records presses, each once however often it is sent, and only into a run of this club that has room for them: all of it
 * in the statement that also finds out who asks, because in a hall every press waits for this. The run's row is locked,
 * so that its count of presses is right whoever presses at the same moment.
 */
export const recordPresses = (pressAhead: number): Along => ({
  name: "record presses",
  steps: `
    run AS (
      SELECT r.club_id, r.id, r.presses, r.press_bytes FROM runs r, asker
      WHERE r.club_id = $2 AND r.id = $3 AND asker.role IN ('${rolesThat("run").join("', '")}') FOR UPDATE OF r),
    fresh AS (
      SELECT (e ->> 'id')::uuid AS id, e FROM run, jsonb_array_elements($4::jsonb) e
      WHERE NOT EXISTS (SELECT 1 FROM run_events k
        WHERE k.club_id = run.club_id AND k.run_id = run.id AND k.id = (e ->> 'id')::uuid)),
    room AS (
      SELECT run.* FROM run WHERE run.presses + (SELECT count(DISTINCT id) FROM fresh) <= ${MOST.presses}
        AND run.press_bytes + (SELECT coalesce(sum(octet_length(e::text)), 0) FROM fresh) <= ${MOST.pressBytes}),
    added AS (
      INSERT INTO run_events (club_id, run_id, id, event)
      SELECT room.club_id, room.id, fresh.id, fresh.e FROM room, fresh
      ON CONFLICT DO NOTHING RETURNING octet_length(event::text) AS bytes),
    counted AS (
      UPDATE runs r SET presses = r.presses + (SELECT count(*) FROM added),
        press_bytes = r.press_bytes + (SELECT coalesce(sum(bytes), 0) FROM added)
      FROM room WHERE r.club_id = room.club_id AND r.id = room.id AND EXISTS (SELECT 1 FROM added))`,
  // How many presses there were before, which tells how long it takes to sum them up.
  sql: "SELECT CASE WHEN EXISTS (SELECT 1 FROM room) THEN run.presses::text ELSE 'full' END FROM run",
  values: (body) => {
    const { events } = body as RunEventsInput;
    checkTimes(events, pressAhead);
    return [JSON.stringify(events)];
  },
});

/** Nothing is pressed in the future. @throws Refusal `invalid_input` at the first press that is */
function checkTimes(events: RunEventsInput["events"], pressAhead: number): void {
  const latest = Date.now() + pressAhead;
  const index = events.findIndex((e) => Date.parse(e.at) > latest);
  if (index < 0) return;
  throw new Refusal("invalid_input", "This was pressed later than it is now: the device's clock is wrong.", {
    path: `events.${index}.at`,
  });
}
