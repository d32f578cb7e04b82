import type { AnswerName, AnswerOf } from "~/data/client/answers";
import { type Asking, ask } from "~/data/client/api";

/** Asks the server about one club. */
export type ClubAsk = <Name extends AnswerName>(
  name: Name,
  method: "GET" | "POST" | "PUT" | "DELETE",
  path: string,
  body?: unknown,
  how?: Asking,
) => Promise<AnswerOf<Name>>;

/** Asks about a club: every such question is scoped to it by its address. */
export const clubAsk =
  (clubId: string): ClubAsk =>
  (name, method, path, body, how) =>
    ask(name, method, `/clubs/${clubId}${path}`, body, how);
