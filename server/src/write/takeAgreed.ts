import { createHash } from "node:crypto";
import type { FastifyReply } from "fastify";
import type { Transaction } from "sequelize";
import type { Database } from "../db/connect";
import { Refusal } from "../errors/refusal";
import { write } from "./write";

/** A mark of what would become of a file: another one as soon as anything would become of it that was not agreed to. */
const markOf = (news: unknown): string =>
  createHash("sha256").update(JSON.stringify(news)).digest("base64url");

/** A file that is compared with what there is, or taken as it was compared. */
interface Agreed<News, Told extends object> {
  /** The mark of the comparison that was agreed to; null only compares. */
  agreed: string | null;
  /** What would become of it now. @param transaction that in which it is to be taken, which locks what is compared; null only to look */
  compare: (transaction: Transaction | null) => Promise<News>;
  /** Whether there is nothing left to do. */
  isDone: (news: News) => boolean;
  /** What changed meanwhile, where something did: "The shelf has changed". */
  stale: string;
  /** Takes all of it, or throws. */
  take: (news: News, transaction: Transaction) => Promise<void>;
  /** What is told of it besides its mark. */
  tell: (news: News) => Told;
  /** Once it is taken and saved. */
  after: () => void;
}

/**
 * Compares a file, or takes it as it was compared: as a whole, and only while the same would become of it as was agreed to.
 * Whoever only looks holds no connection while it is compared.
 * @returns what would become of it, the mark of that, and whether it was taken
 * @throws Refusal `version_conflict` where something else would
 */
export async function takeAgreed<News, Told extends object>(
  database: Database,
  reply: FastifyReply,
  { agreed, compare, isDone, stale, take, tell, after }: Agreed<News, Told>,
): Promise<Told & { mark: string; taken: boolean }> {
  if (agreed === null) {
    const news = await compare(null);
    return { ...tell(news), mark: markOf(news), taken: false };
  }
  const work = async (transaction: Transaction) => {
    const news = await compare(transaction);
    const mark = markOf(news);
    // Sent again because the answer was lost: there is nothing left to do.
    if (isDone(news)) return { ...tell(news), mark, taken: true };
    if (agreed !== mark)
      throw new Refusal(
        "version_conflict",
        `${stale} since this was compared. Nothing was taken; look at it again.`,
        { path: "agreed" },
      );
    await take(news, transaction);
    return { ...tell(news), mark, taken: true };
  };
  return write(database, reply, work, { after });
}
