import { Worker } from "node:worker_threads";
import type { ApiError } from "@tonodrome/core/api";
import { Refusal } from "../errors/refusal";
import type { Importer } from "./importClub";

/** The next bytes of the file; null at its end. */
export interface ToWorker {
  chunk: Uint8Array | null;
}

/** What the worker says of an import. */
export type FromWorker =
  | { wants: true }
  | { done: true }
  | { refused: ApiError & { retryAfter: number | undefined } }
  | { failed: { name: string; message: string } };

/** Most memory that reading a file may take, megabytes: a line, its record and some rows are far less. */
const MOST_MEMORY = 256;

/** Chunks that are on their way to the worker before one waits for it. */
const AHEAD = 4;

/**
 * Imports a club's file, read in a thread of its own as it comes.
 * @param file the worker as it was built
 * @throws Refusal as `importClub` does, `too_large`
 */
export async function importInWorker(
  bytes: AsyncIterable<Uint8Array>,
  mostBytes: number,
  data: { databaseUrl: string; clubId: string; importer: Importer },
  file: string,
): Promise<void> {
  const worker = new Worker(file, {
    workerData: data,
    resourceLimits: { maxOldGenerationSizeMb: MOST_MEMORY },
  });
  try {
    await feed(worker, bytes, mostBytes);
  } finally {
    await worker.terminate();
  }
}

async function feed(worker: Worker, bytes: AsyncIterable<Uint8Array>, mostBytes: number): Promise<void> {
  let sent = 0;
  let onTheWay = 0;
  let wake = (): void => undefined;
  let isOver = false;
  const answer = new Promise<void>((resolve, reject) => {
    const over = (end: () => void) => {
      isOver = true;
      end();
      wake();
    };
    worker.on("message", (message: FromWorker) => {
      if ("wants" in message) {
        onTheWay--;
        wake();
      } else if ("done" in message) over(resolve);
      else if ("refused" in message) {
        const { code, message: words, retryAfter, ...more } = message.refused;
        over(() => reject(new Refusal(code, words, more, retryAfter)));
      } else
        over(() => reject(Object.assign(new Error(message.failed.message), { name: message.failed.name })));
    });
    worker.on("error", (error: Error & { code?: string }) =>
      over(() =>
        reject(
          error.code === "ERR_WORKER_OUT_OF_MEMORY"
            ? new Refusal("too_large", "A line of the file is too large to be read. Nothing was imported.")
            : error,
        ),
      ),
    );
    worker.on("exit", () => over(() => reject(new Error("The import ended without an answer."))));
  });
  answer.catch(() => undefined);
  for await (const chunk of bytes) {
    sent += chunk.length;
    if (sent > mostBytes) {
      throw new Refusal(
        "too_large",
        `The file is larger than the ${Math.floor(mostBytes / 1_048_576)} MB that are taken here. Nothing was imported.`,
      );
    }
    while (onTheWay >= AHEAD && !isOver)
      await new Promise<void>((resolve) => {
        wake = resolve;
      });
    // It has been refused already: the rest need not be read.
    if (isOver) return answer;
    onTheWay++;
    worker.postMessage({ chunk } satisfies ToWorker);
  }
  worker.postMessage({ chunk: null } satisfies ToWorker);
  return answer;
}
