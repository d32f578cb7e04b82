import type { Person, TestServer } from "./testServer";

/** A record of a club's file. */
export type Line = Record<string, unknown>;
/** The records of a file. */
export const linesOf = (text: string): Line[] =>
  text
    .trim()
    .split("\n")
    .map((line) => JSON.parse(line));
/** Records as a file. */
export const textOf = (lines: readonly Line[]) => lines.map((line) => `${JSON.stringify(line)}\n`).join("");
/** Those of one kind. */
export const of = (lines: readonly Line[], record: string) => lines.filter((l) => l.record === record);

/** A club's file as it is answered. */
export async function exportOf(
  server: TestServer,
  { cookie }: Person,
  clubId: string,
  query = "",
): Promise<string> {
  const answer = await server.send({ url: `/api/clubs/${clubId}/export${query}` }, cookie);
  expect(answer.statusCode).toBe(200);
  return answer.body;
}
