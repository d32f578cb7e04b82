import type { FastifyReply } from "fastify";
import type { Transaction } from "sequelize";
import type { Database } from "../db/connect";
import { isDeadlock } from "../errors/answerError";
import { Refusal } from "../errors/refusal";

/** How a write is told of and kept in the audit trail. */
export interface WriteOptions<T> {
  status?: number;
  /** Done once it is committed, and before it is answered. */
  after?: (answer: T) => void;
}

/**
 * Does a write within one transaction and answers with what it made. The answer is written out, by the route's own
 * schema, before the transaction commits: one that cannot be written undoes the write, so that nothing is ever saved of
 * which it is said that it was not.
 * @param work what is done; a Refusal that it returns, instead of throwing it, is answered and what was written is kept
 * @returns the reply, sent
 */
export async function write<T>(
  { sequelize }: Database,
  reply: FastifyReply,
  work: (transaction: Transaction) => Promise<T | Refusal>,
  { status = 200, after }: WriteOptions<T> = {},
): Promise<never> {
  const once = () =>
    sequelize.transaction(async (transaction) => {
      const made = await work(transaction);
      if (made instanceof Refusal) return { answer: made, text: "" };
      reply.code(status);
      return { answer: made, text: String(reply.serialize(made)) };
    });
  // Two that were in each other's way: the one that was broken off did nothing, and does it again.
  const { answer, text } = await once().catch((error) =>
    isDeadlock(error) ? once() : Promise.reject(error),
  );
  if (answer instanceof Refusal) throw answer;
  after?.(answer);
  return reply.type("application/json; charset=utf-8").send(text as never) as never;
}
