import { Worker } from "node:worker_threads";
import { Refusal } from "../errors/refusal";
import type { JobAnswer, TaskAnswer, TaskInput, TaskName } from "./tasks";

/** Threads for what may take seconds and for what takes a moment, so that the one never waits for the other. Custom. */
const THREADS = { long: 2, short: 1 };
type Lane = keyof typeof THREADS;

const LANE: Record<TaskName, Lane> = {
  judge: "long",
  compareList: "long",
  compareShelf: "long",
  glance: "short",
};

/** Jobs that wait for a thread of a lane; more are refused. Custom. */
const MOST_WAITING = { long: 6, short: 200 };

/** Longest time for one job once it has begun, and for a thread to begin, milliseconds; and its memory, megabytes. Custom. */
const LONGEST_MS = 5_000;
const LONGEST_LOADING = 30_000;
const MOST_MEMORY = 256;

/** How a job is asked for. */
export interface Asked {
  /** Whose it is: each has one at a time. Left out where many ask for the same at once. */
  whose?: string;
  /** Ends it when whoever asked is gone. */
  signal?: AbortSignal;
  /** Longest time for it, if another than usual, milliseconds. */
  longest?: number;
}

/** Threads in which the server has done what takes more than a moment. */
export interface Threads {
  /**
   * Has something done in a thread.
   * @throws Refusal `too_many` while another of theirs is under way, or too many wait; `too_large` when it takes too long
   */
  do<Name extends TaskName>(name: Name, input: TaskInput<Name>, how?: Asked): Promise<TaskAnswer<Name>>;
  close(): Promise<void>;
}

interface Waiting {
  name: TaskName;
  input: unknown;
  how: Asked;
  resolve: (answer: unknown) => void;
  reject: (error: Error) => void;
}

const tooLarge = () =>
  new Refusal("too_large", "This takes the server too long. Use less at once: fewer drills, rows or limits.");
const tooMany = () =>
  new Refusal("too_many", "The server is very busy just now. Try again in a moment.", {}, 5);
const gone = () => new Refusal("unavailable", "Whoever asked for this is gone.");

/** @param file the worker as it was built */
export function makeThreads(file: string): Threads {
  const waiting: Record<Lane, Waiting[]> = { long: [], short: [] };
  const idle: Record<Lane, Worker[]> = { long: [], short: [] };
  const all: Record<Lane, Set<Worker>> = { long: new Set(), short: new Set() };
  const busy = new Set<string>();

  function threadOf(lane: Lane): Worker | null {
    const free = idle[lane].pop();
    if (free) return free;
    if (all[lane].size >= THREADS[lane]) return null;
    const thread = new Worker(file, { resourceLimits: { maxOldGenerationSizeMb: MOST_MEMORY } });
    all[lane].add(thread);
    // One that ends while idle is not used again; no job fails by it.
    thread.on("error", () => undefined);
    thread.once("exit", () => {
      all[lane].delete(thread);
      idle[lane] = idle[lane].filter((other) => other !== thread);
    });
    thread.unref();
    return thread;
  }

  function next(lane: Lane): void {
    const job = waiting[lane][0];
    const thread = job ? threadOf(lane) : null;
    if (!job || !thread) return;
    waiting[lane].shift();
    void run(lane, thread, job).finally(() => next(lane));
  }

  /** Has a thread do a job; a thread that cannot go on afterwards is ended. */
  async function run(lane: Lane, thread: Worker, { name, input, how, resolve, reject }: Waiting) {
    let isGood = false;
    let timer: NodeJS.Timeout | undefined;
    let letGo = (): void => undefined;
    try {
      const told = await new Promise<Exclude<JobAnswer, { begun: true }>>((settle, fail) => {
        const giveUpAfter = (time: number) => {
          clearTimeout(timer);
          timer = setTimeout(() => fail(tooLarge()), time);
        };
        giveUpAfter(LONGEST_LOADING);
        const hear = (said: JobAnswer) =>
          "begun" in said ? giveUpAfter(how.longest ?? LONGEST_MS) : settle(said);
        const hangUp = () => fail(gone());
        const failed = (error: Error & { code?: string }) =>
          fail(error.code === "ERR_WORKER_OUT_OF_MEMORY" ? tooLarge() : error);
        const exited = () => fail(new Error("A thread ended without an answer."));
        how.signal?.addEventListener("abort", hangUp);
        thread.on("message", hear).on("error", failed).on("exit", exited).ref();
        letGo = () => {
          how.signal?.removeEventListener("abort", hangUp);
          thread.off("message", hear).off("error", failed).off("exit", exited);
        };
        thread.postMessage({ name, input });
      });
      isGood = true;
      if ("answer" in told) resolve(told.answer);
      else reject(Object.assign(new Error(told.failed.message), { name: told.failed.name }));
    } catch (error) {
      reject(error as Error);
    } finally {
      clearTimeout(timer);
      letGo();
      if (isGood) {
        thread.unref();
        idle[lane].push(thread);
      } else {
        all[lane].delete(thread);
        await thread.terminate();
      }
    }
  }

  return {
    async do(name, input, how = {}) {
      const lane = LANE[name];
      const { whose, signal } = how;
      if (signal?.aborted) throw gone();
      if (whose !== undefined && busy.has(whose))
        throw new Refusal(
          "too_many",
          "Another request of yours is still being answered. Try again in a moment.",
          {},
          5,
        );
      if (waiting[lane].length >= MOST_WAITING[lane]) throw tooMany();
      if (whose !== undefined) busy.add(whose);
      try {
        return (await new Promise<unknown>((resolve, reject) => {
          const job: Waiting = { name, input, how, resolve, reject };
          // One that waits and is given up never begins.
          signal?.addEventListener("abort", () => {
            const at = waiting[lane].indexOf(job);
            if (at < 0) return;
            waiting[lane].splice(at, 1);
            reject(gone());
          });
          waiting[lane].push(job);
          next(lane);
        })) as never;
      } finally {
        if (whose !== undefined) busy.delete(whose);
      }
    },
    async close() {
      const threads = [...all.long, ...all.short];
      await Promise.all(threads.map((thread) => thread.terminate()));
    },
  };
}
