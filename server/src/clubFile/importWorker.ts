import { parentPort, workerData } from "node:worker_threads";
import { connect } from "../db/connect";
import { apiErrorOf, Refusal } from "../errors/refusal";
import { type Importer, importClub } from "./importClub";
import type { FromWorker, ToWorker } from "./importInWorker";
import { readClubFile } from "./readClubFile";

/*
 * Reads one club's file and writes it, in a thread of its own: neither the checking nor the memory of it is the
 * server's.
 */

/** A statement of an import writes many rows, milliseconds. */
const PATIENCE_MS = { statement: 120_000, lock: 5_000, idle: 60_000 };

const port = parentPort as NonNullable<typeof parentPort>;
const { databaseUrl, clubId, importer } = workerData as {
  databaseUrl: string;
  clubId: string;
  importer: Importer;
};
const tell = (message: FromWorker) => port.postMessage(message);

/** Chunks that came, and whoever waits for the next. */
const come: (Uint8Array | null)[] = [];
let wake = (): void => undefined;
port.on("message", ({ chunk }: ToWorker) => {
  come.push(chunk);
  wake();
});

async function* chunks(): AsyncGenerator<Uint8Array> {
  for (;;) {
    while (come.length === 0)
      await new Promise<void>((resolve) => {
        wake = resolve;
      });
    const chunk = come.shift() ?? null;
    if (chunk === null) return;
    yield chunk;
    tell({ wants: true });
  }
}

const database = connect(databaseUrl, 1, PATIENCE_MS);
try {
  await importClub(database, clubId, importer, await readClubFile(chunks()));
  tell({ done: true });
} catch (error) {
  tell(
    error instanceof Refusal
      ? { refused: { ...apiErrorOf(error), retryAfter: error.retryAfter } }
      : { failed: { name: (error as Error).name, message: (error as Error).message } },
  );
} finally {
  await database.sequelize.close();
  port.close();
}
