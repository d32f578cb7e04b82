import type { RunEvent } from "../../src/run/log/runEvent";
import type { RunDrill, RunPlan } from "../../src/run/steps/runPlan";

/*
 * A run read from docs/run.md alone, for proving the replay: what happened to each step is kept as the stretches of time in
 * which it was under way and in which it was held, and everything else is read off those.
 */

type Event<Kind extends RunEvent["kind"]> = Extract<RunEvent, { kind: Kind }>;

interface Step {
  key: string;
  drill: RunDrill;
  by: string;
  fate: "to-come" | "now" | "done" | "skipped";
  under: { from: number; to: number | null }[];
  held: { from: number; to: number | null }[];
  longer: number;
  tries: boolean[];
  /** When a wait ends by the clock; null where it does not. */
  until: string | null;
}

/** What is known of a run after its presses. Times in milliseconds since the epoch, lengths in seconds. */
export interface Replayed {
  phase: "ready" | "under-way" | "waiting" | "ended";
  now: string | null;
  steps: {
    key: string;
    fate: string;
    took: number | null;
    held: number;
    longer: number;
    tries: boolean[];
    until: string | null;
  }[];
  begun: number | null;
  over: number | null;
  waitFrom: number | null;
  start: number;
  fittedFor: number;
  wait: number;
  answers: { ready: number | null; first: string; note: string } | null;
  ahead: number;
  canUndo: string[];
}

const keyOf = ({ itemId, wait }: RunDrill) => (wait ? `${itemId}~` : itemId);
const FREE = /^(begin|end|undo|start-moved|clock|pulse|rating|take)$/;

/** In the order of time, of the same instant the smaller id first; each once; without what was taken back. */
function inOrder(events: readonly RunEvent[]): RunEvent[] {
  const taken = events.flatMap((e) => (e.kind === "undo" ? [e.undoes] : []));
  return events
    .filter((e, i) => events.findLastIndex((o) => o.id === e.id) === i)
    .filter((e) => e.kind !== "undo" && (FREE.test(e.kind) || !taken.includes(e.id)))
    .sort((a, b) => Date.parse(a.at) - Date.parse(b.at) || (a.id < b.id ? -1 : 1));
}

class Course {
  phase: Replayed["phase"] = "ready";
  steps: Step[];
  begun: number | null = null;
  over: number | null = null;
  waitFrom: number | null = null;
  start: number;
  fittedFor: number;
  wait: number;
  answers: Replayed["answers"] = null;
  ahead = 0;
  changed: string[] = [];
  inserts = 0;
  refits = 0;

  constructor(
    readonly plan: RunPlan,
    readonly events: readonly RunEvent[],
  ) {
    this.steps = plan.drills.map((drill) => this.stepOf(drill, ""));
    this.start = Date.parse(plan.startsAt);
    this.fittedFor = this.start;
    this.wait = plan.waitSeconds;
  }

  stepOf(drill: RunDrill, by: string): Step {
    return {
      ...{ key: keyOf(drill), drill, by, fate: "to-come" as const },
      ...{ under: [], held: [], longer: 0, tries: [], until: drill.wait?.until ?? null },
    };
  }

  get current(): Step | undefined {
    return this.steps.find((s) => s.fate === "now");
  }

  enter(step: Step | undefined, at: number): void {
    if (!step) {
      this.phase = "waiting";
      this.waitFrom = at;
      return;
    }
    this.phase = "under-way";
    this.waitFrom = null;
    step.fate = "now";
    step.under.push({ from: at, to: null });
  }

  leave(step: Step, fate: Step["fate"], at: number): void {
    for (const stretch of [...step.under, ...step.held]) stretch.to ??= at;
    step.fate = fate;
  }

  nextAfter(step: Step): Step | undefined {
    return this.steps.slice(this.steps.indexOf(step) + 1).find((s) => s.fate === "to-come");
  }

  /** A press that is for the step under way, and names it where it names any. */
  meant(event: RunEvent): Step | null {
    const step = this.current;
    return this.phase !== "under-way" || !step || ("of" in event && event.of && event.of !== step.key)
      ? null
      : step;
  }

  finish(step: Step, fate: "done" | "skipped", at: number): void {
    this.leave(step, fate, at);
    this.enter(this.nextAfter(step), at);
  }

  gateOpens({ drill: { gate }, tries }: Step): boolean {
    if (!gate) return false;
    let sides = 0;
    let own: boolean[] = [];
    for (const hit of tries) {
      own.push(hit);
      const looked = gate.rule.kind === "of" ? own.slice(Math.max(0, own.length - gate.rule.window)) : own;
      const streak = [...own].reverse().findIndex((t) => !t);
      const counting =
        gate.rule.kind === "row" ? (streak < 0 ? own.length : streak) : looked.filter((t) => t).length;
      if (counting < gate.hits) continue;
      sides += 1;
      own = [];
      if (sides === gate.sides) return true;
    }
    return false;
  }

  press(event: RunEvent, at: number): boolean {
    if (event.kind === "start-moved") {
      this.start = Date.parse(event.startsAt);
      return true;
    }
    if (event.kind === "clock") {
      this.ahead = event.aheadSeconds;
      return true;
    }
    if (event.kind === "take") return false;
    if (event.kind === "rating") {
      this.answers = { ready: event.ready, first: event.first, note: event.note };
      return true;
    }
    if (this.phase === "ended") return false;
    switch (event.kind) {
      case "begin":
        if (this.phase !== "ready") return false;
        this.begun = at;
        this.enter(this.steps[0], at);
        return true;
      case "end":
        if (this.current) this.leave(this.current, "skipped", at);
        this.phase = "ended";
        this.over = at;
        return true;
      case "insert":
        return this.putIn(event, at);
      case "refit":
        return this.refit(event, at);
      case "back":
        return this.back(event, at);
      case "jump":
        return this.jump(event, at);
    }
    const step = this.meant(event);
    if (!step) return false;
    switch (event.kind) {
      case "done":
        this.finish(step, "done", at);
        return true;
      case "skip":
        this.finish(step, "skipped", at);
        return true;
      case "extend":
        step.longer += event.seconds;
        return true;
      case "hold":
        if (step.held.some((h) => h.to === null)) return false;
        step.held.push({ from: at, to: null });
        return true;
      case "release": {
        const open = step.held.find((h) => h.to === null);
        if (open) open.to = at;
        return open !== undefined;
      }
      case "hit":
      case "miss":
        if (!step.drill.gate) return false;
        step.tries.push(event.kind === "hit");
        if (this.gateOpens(step)) this.finish(step, "done", at);
        return true;
    }
    return false;
  }

  back(event: Event<"back">, at: number): boolean {
    if (this.phase !== "under-way" && this.phase !== "waiting") return false;
    const left = this.current;
    if (left && event.of && event.of !== left.key) return false;
    const here = left ? this.steps.indexOf(left) : this.steps.length;
    const before = this.steps.slice(0, here);
    const to = before.filter((s) => !s.drill.wait).at(-1);
    if (!to) return false;
    if (left) this.leave(left, "to-come", at);
    for (const wait of before.slice(before.indexOf(to) + 1)) {
      wait.fate = "to-come";
      wait.under = [];
      wait.held = [];
    }
    this.enter(to, at);
    return true;
  }

  jump({ to }: Event<"jump">, at: number): boolean {
    const target = this.steps.find((s) => s.key === to);
    const left = this.current;
    if (!target || target === left || (this.phase !== "under-way" && this.phase !== "waiting")) return false;
    if (left) {
      const [from, until] = [this.steps.indexOf(left), this.steps.indexOf(target)];
      this.leave(left, until < from ? "to-come" : "skipped", at);
      for (const between of this.steps.slice(from + 1, Math.max(from, until)))
        if (between.fate === "to-come") between.fate = "skipped";
    }
    this.enter(target, at);
    return true;
  }

  putIn(event: Event<"insert">, at: number): boolean {
    this.inserts += 1;
    if (this.inserts > 200 || this.steps.some((s) => s.key === keyOf(event.drill))) return false;
    const step = this.stepOf(event.drill, event.id);
    const place = this.current
      ? this.steps.indexOf(this.current) + 1
      : this.phase === "ready"
        ? 0
        : this.steps.length;
    this.steps.splice(place, 0, step);
    if (this.phase === "waiting") this.enter(step, at);
    return true;
  }

  /** The step that a press, or the plan, brought under a key. */
  brought(key: string, by: string): RunDrill | undefined {
    if (by === "") return this.plan.drills.findLast((d) => keyOf(d) === key);
    const event = this.events.findLast((e) => e.id === by);
    if (event?.kind === "insert") return keyOf(event.drill) === key ? event.drill : undefined;
    if (event?.kind !== "refit") return undefined;
    return event.drills.findLast((d): d is RunDrill => !("same" in d) && keyOf(d) === key);
  }

  refit(event: Event<"refit">, at: number): boolean {
    if (this.refits === 500) return false;
    this.refits += 1;
    if (event.until && this.current?.drill.wait) this.current.until = event.until;
    const stays = this.steps.filter((s) => s.fate !== "to-come");
    const coming = event.drills.flatMap((d) => {
      if (!("same" in d)) return [this.stepOf(d, event.id)];
      const drill = this.brought(d.same, d.from ?? "");
      return drill ? [this.stepOf(drill, d.from ?? "")] : [];
    });
    this.steps = [];
    for (const step of [...stays, ...coming])
      if (stays.includes(step) || this.steps.every((s) => s.key !== step.key)) this.steps.push(step);
    this.wait = event.waitSeconds;
    this.fittedFor = this.start;
    const next = this.steps.find((s) => s.fate === "to-come");
    if (this.phase === "waiting" && next) this.enter(next, at);
    return true;
  }

  result(): Replayed {
    const length = (all: { from: number; to: number | null }[]) =>
      all.reduce((sum, { from, to }) => sum + ((to ?? from) - from), 0) / 1000;
    return {
      phase: this.phase,
      now: this.current?.key ?? null,
      steps: this.steps.map((s) => {
        // What is under way has taken no whole time yet; what was passed over took none.
        const open = s.fate === "now" || (s.fate === "to-come" && s.under.length === 0);
        const closedHeld = s.held.filter((h) => h.to !== null);
        return {
          key: s.key,
          fate: s.fate,
          took: open ? null : length(s.under) - length(s.held),
          held: length(closedHeld),
          longer: s.longer,
          tries: s.tries,
          until: s.until,
        };
      }),
      begun: this.begun,
      over: this.over,
      waitFrom: this.phase === "waiting" ? this.waitFrom : null,
      start: this.start,
      fittedFor: this.fittedFor,
      wait: this.wait,
      answers: this.answers,
      ahead: this.ahead,
      canUndo: this.changed.slice(-10),
    };
  }
}

/** Reads a run from its presses. */
export function replayRun(plan: RunPlan, events: readonly RunEvent[]): Replayed {
  const course = new Course(plan, events);
  for (const event of inOrder(events)) {
    const did = course.press(event, Date.parse(event.at));
    if (did && !FREE.test(event.kind)) course.changed.push(event.id);
  }
  return course.result();
}
