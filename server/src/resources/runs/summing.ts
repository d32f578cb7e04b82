import { type RunSummary, runSummary } from "@tonodrome/core";
import { literal, Op } from "sequelize";
import { eventsIn, type Joined } from "../../answers/run";
import type { Context } from "../context";

/**
 * What is pressed is summed up for the log this long after it, milliseconds, and a little later for each press there is
 * to sum up: a run is pressed in bursts, and a long log must not be read again and again.
 */
const SETTLES_MS = 3_000;
const EACH_PRESS_MS = 2;

/** Sums runs up for the log. `end` gives up what was to be summed up soon. */
export function makeSumming({ models, changes }: Pick<Context, "models" | "changes">) {
  /** Sums a run up from its presses and stores that, unless somebody pressed in the meantime: then it is done again. */
  async function sumUp(clubId: string, id: string): Promise<RunSummary | null> {
    const row = await models.Run.findOne({
      where: { clubId, id },
      attributes: { exclude: ["plan"], include: [[literal(`"Run"."plan" - 'source'`), "plan"]] },
      // A row of the log says nothing of heart rates.
      include: [eventsIn(clubId, { event: { kind: { [Op.ne]: "pulse" } } })],
    });
    if (!row) return null;
    const { plan, events, presses } = row as unknown as Joined;
    const summary = runSummary(
      plan,
      events.map((e) => e.event),
    );
    await models.Run.update({ summary, summed: presses }, { where: { clubId, id, presses } });
    return summary;
  }

  const settling = new Map<string, NodeJS.Timeout>();
  /**
   * Sums a run up soon. Should that not come about, the log does it when it is asked.
   * @param presses how many there were before; null to sum it up at once
   */
  function sumUpSoon(clubId: string, id: string, presses: number | null): void {
    const delay = presses === null ? 0 : SETTLES_MS + EACH_PRESS_MS * presses;
    const key = `${clubId} ${id}`;
    const waiting = settling.get(key);
    if (waiting && delay > 0) return;
    clearTimeout(waiting);
    const sum = () => {
      settling.delete(key);
      sumUp(clubId, id).then(
        () => changes.publish({ clubId, topic: "runs" }),
        () => undefined,
      );
    };
    settling.set(key, setTimeout(sum, delay).unref());
  }

  function end(): void {
    for (const timer of settling.values()) clearTimeout(timer);
  }

  return { sumUp, sumUpSoon, end };
}
