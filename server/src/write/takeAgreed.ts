import { createHash } from "node:crypto";
import { Refusal } from "../errors/refusal";

/** A mark of what would become of a file: another one as soon as anything would become of it that was not agreed to. */
const markOf = (news: unknown): string =>
  createHash("sha256").update(JSON.stringify(news)).digest("base64url");

/** A file that is compared with what there is, or taken as it was compared. */
interface Agreed<News> {
  /** What would become of it, as it is now. */
  news: News;
  /** The mark of the comparison that was agreed to; null only compares. */
  agreed: string | null;
  /** Whether there is nothing left to do. */
  isDone: boolean;
  /** What changed meanwhile, where something did: "The shelf has changed". */
  stale: string;
  /** Takes all of it, or throws. */
  take: () => Promise<void>;
}

/**
 * Takes a file as it was compared: as a whole, and only while the same would become of it as was agreed to.
 * @returns the mark of what would become of it, and whether it was taken
 * @throws Refusal `version_conflict` where something else would
 */
export async function takeAgreed<News>({ news, agreed, isDone, stale, take }: Agreed<News>) {
  const mark = markOf(news);
  if (agreed === null) return { mark, taken: false };
  // Sent again because the answer was lost: there is nothing left to do.
  if (isDone) return { mark, taken: true };
  if (agreed !== mark)
    throw new Refusal(
      "version_conflict",
      `${stale} since this was compared. Nothing was taken; look at it again.`,
      { path: "agreed" },
    );
  await take();
  return { mark, taken: true };
}
