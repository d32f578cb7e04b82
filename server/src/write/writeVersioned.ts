import type { Transaction } from "sequelize";
import { notFound, type Refusal, versionConflict } from "../errors/refusal";

/** A row that is changed as a whole, and only as the version that was read. */
export interface VersionedWrite<Row extends { version: number }, Answer extends { version: number }> {
  /** What it is called: "drill". */
  what: string;
  /** The version that the edit was made against. */
  against: number;
  /** Reads the row within the club, locked until the transaction is over. */
  find: (locked: { transaction: Transaction; lock: true }) => Promise<Row | null>;
  answer: (row: Row) => Answer | Promise<Answer>;
  /** Whether what stands already reads as it is wanted. */
  isSame: (row: Row, answer: Answer) => boolean;
  /** Writes it as the next version, with whatever goes with that, and answers with what it became. */
  change: (row: Row, version: number, before: Answer) => Promise<Answer>;
  /** What is kept of an edit that comes too late. */
  keepRefused?: (row: Row) => Promise<unknown>;
  /** Who wrote what stands, where that is known. */
  whoWrote?: (row: Row) => Promise<string | undefined>;
}

/**
 * Changes a row against the version that was read. The same edit sent again, because its answer was lost on the way, counts
 * as saved; an edit against any other version is refused with what stands now, and overwrites nothing.
 * @returns the row as it now stands, or the refusal: what was written besides it is kept
 * @throws Refusal `not_found` when there is none
 */
export async function writeVersioned<Row extends { version: number }, Answer extends { version: number }>(
  transaction: Transaction,
  { what, against, find, answer, isSame, change, keepRefused, whoWrote }: VersionedWrite<Row, Answer>,
): Promise<Answer | Refusal> {
  const row = await find({ transaction, lock: true });
  if (!row) throw notFound(what);
  const before = await answer(row);
  if (row.version === against) return change(row, against + 1, before);
  if (row.version === against + 1 && isSame(row, before)) return before;
  await keepRefused?.(row);
  return versionConflict(what, before, await whoWrote?.(row));
}
