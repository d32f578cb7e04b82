import { Worker } from "node:worker_threads";
import type { FitFile } from "@tonodrome/core/fitting";
import type { FindingAnswer, ForecastAnswer } from "@tonodrome/core/judge-answers";
import { Refusal } from "../errors/refusal";

/** What a plan is judged to be. */
export interface JudgedAnswer {
  forecast: ForecastAnswer;
  findings: FindingAnswer[];
}

/** Most plans judged at once on one server, longest time for one, milliseconds, and its memory, megabytes. Custom. */
const MOST_AT_ONCE = 2;
const LONGEST = 20_000;
const MOST_MEMORY = 256;

let underWay = 0;

/**
 * Judges a plan in a thread of its own.
 * @param worker the file as it was built
 * @throws Refusal `too_many` when others are being judged, `too_large` when it takes too long
 */
export async function judgeInWorker(file: FitFile, worker: string, longest = LONGEST): Promise<JudgedAnswer> {
  if (underWay >= MOST_AT_ONCE)
    throw new Refusal("too_many", "Other plans are being judged just now. Try again in a moment.", {}, 5);
  underWay++;
  const thread = new Worker(worker, {
    workerData: file,
    resourceLimits: { maxOldGenerationSizeMb: MOST_MEMORY },
  });
  let timer: NodeJS.Timeout | undefined;
  try {
    return await new Promise<JudgedAnswer>((resolve, reject) => {
      const tooMuch = () =>
        reject(
          new Refusal("too_large", "This plan takes too long to judge here. Use fewer drills or limits."),
        );
      timer = setTimeout(tooMuch, longest);
      thread.once("message", resolve);
      thread.once("error", (error: Error & { code?: string }) =>
        error.code === "ERR_WORKER_OUT_OF_MEMORY" ? tooMuch() : reject(error),
      );
      thread.once("exit", () => reject(new Error("Judging ended without an answer.")));
    });
  } finally {
    clearTimeout(timer);
    underWay--;
    await thread.terminate();
  }
}
