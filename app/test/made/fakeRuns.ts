import type { RunEvent } from "@tonodrome/core";
import type { Run, Start } from "@tonodrome/core/api";

/** A server that keeps runs as the real one does, and can be taken off the net. */
export class FakeRuns {
  /** @param start whose runs they are */
  constructor(private readonly start: Start) {}

  up = true;
  /** Answers that something went wrong. */
  troubled = false;
  /** Takes what it is sent, and its answer is lost on the way. */
  losesAnswers = false;
  /** Keeps what comes in another order than it was pressed in. */
  reorders = false;
  runs = new Map<string, Run>();
  calls = 0;
  /** Which press it refuses, and with what. */
  refuses: ((event: { kind: string; at: string }) => string | null) | null = null;
  /** With which code it refuses a run itself; null when it takes it. */
  refusesRuns: string | null = null;
  /** How often it was asked to make a run. */
  made = 0;
  /** Whether its log is full. */
  isFull = false;
  /** How far its clock is behind this device's, milliseconds. */
  behind = 0;
  /** Clubs that were asked about. */
  clubs = new Set<string>();

  fetch = async (url: string, init: { method: string; body?: string }): Promise<Response> => {
    this.calls++;
    if (this.up && url === "/health") return this.answer({ ok: true });
    this.clubs.add(/\/clubs\/([^/]+)\//.exec(url)?.[1] ?? "none");
    if (!this.up) throw new TypeError("Failed to fetch");
    if (this.troubled)
      return { ok: false, json: async () => ({ code: "internal", message: "Oh", path: null }) } as Response;
    const sent = JSON.parse(init.body ?? "{}");
    const eventsOf = /\/runs\/([^/]+)\/events/.exec(url)?.[1];
    if (!eventsOf) {
      this.made++;
      if (this.refusesRuns) return this.refusal(this.refusesRuns, null);
      const { id: startId, title, venue, zone, startsAt } = this.start;
      // Sent twice is made once; the first one stands.
      const made = this.runs.get(sent.id);
      if (made) return this.answer(made);
      this.runs.set(sent.id, {
        id: sent.id,
        startId,
        title,
        venue,
        zone,
        startsAt,
        athleteName: "Ada",
        plan: sent.plan,
        events: [],
      });
      return this.answer(this.runs.get(sent.id));
    }
    const run = this.runs.get(eventsOf) as Run;
    if (this.isFull) return this.refusal("full", null);
    const refused = sent.events.findIndex((e: RunEvent) => this.refuses?.(e));
    if (refused >= 0)
      return this.refusal("invalid_input", `events.${refused}.${this.refuses?.(sent.events[refused])}`);
    const known = new Set(run.events.map((e) => e.id));
    const news = sent.events.filter((e: { id: string }) => !known.has(e.id));
    run.events.push(...(this.reorders ? news.reverse() : news));
    if (this.losesAnswers) throw new TypeError("Failed to fetch");
    return this.answer({ recorded: sent.events.map((e: { id: string }) => e.id) });
  };

  private refusal(code: string, path: string | null): Response {
    const headers = new Map([["date", new Date(Date.now() - this.behind).toUTCString()]]);
    const body = { code, message: "No.", path };
    return { ok: false, headers, json: async () => body } as unknown as Response;
  }

  private answer(data: unknown): Response {
    const headers = new Map([["date", new Date(Date.now() - this.behind).toUTCString()]]);
    return { ok: true, headers, json: async () => data } as unknown as Response;
  }
}
