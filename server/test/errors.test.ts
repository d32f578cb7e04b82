import { ConnectionError, DatabaseError } from "sequelize";
import { answerError } from "../src/errors/answerError";
import { notFound, Refusal, versionConflict } from "../src/errors/refusal";

/** What a client gets for what was thrown. */
function answered(error: Error) {
  const answer = {
    status: 0,
    body: {} as Record<string, unknown>,
    headers: {} as Record<string, unknown>,
    logged: 0,
  };
  const reply = {
    header: (name: string, value: unknown) => {
      answer.headers[name] = value;
      return reply;
    },
    code: (status: number) => {
      answer.status = status;
      return reply;
    },
    type: () => reply,
    send: (text: string) => {
      answer.body = JSON.parse(text);
    },
  };
  const log = { error: () => answer.logged++ };
  answerError(error, { log } as never, reply as never);
  return answer;
}

const fromDatabase = (code: string) =>
  new DatabaseError(Object.assign(new Error("from the database"), { code, sql: "" }) as never);

it.each([
  ["a deadlock", fromDatabase("40P01"), 503, "unavailable"],
  ["a lock not got in time", fromDatabase("55P03"), 503, "unavailable"],
  ["a statement that took too long", fromDatabase("57014"), 503, "unavailable"],
  ["what somebody else wrote into", fromDatabase("40001"), 503, "unavailable"],
  ["a database that is shutting down", fromDatabase("57P01"), 503, "unavailable"],
  ["one that has no room", fromDatabase("53300"), 503, "unavailable"],
  ["one that is not there", new ConnectionError(new Error("refused")), 503, "unavailable"],
  ["what was deleted meanwhile", fromDatabase("23503"), 404, "not_found"],
  ["a body that is too large", Object.assign(new Error("large"), { statusCode: 413 }), 413, "too_large"],
  [
    "one that is no JSON",
    Object.assign(new Error("odd"), { statusCode: 415 }),
    415,
    "unsupported_media_type",
  ],
  ["one that comes too slowly", Object.assign(new Error("slow"), { statusCode: 408 }), 503, "unavailable"],
  ["one that cannot be read", Object.assign(new Error("bad"), { statusCode: 400 }), 400, "invalid_input"],
  ["nothing of that kind", notFound("drill"), 404, "not_found"],
  ["an old version", versionConflict("drill", { version: 3 }), 409, "version_conflict"],
])("answers %s with its code, and it is no fault of the server's", (_, error, status, code) => {
  expect(answered(error)).toMatchObject({ status, body: { code, message: expect.any(String) }, logged: 0 });
});

it("answers what nobody foresaw with 500, says nothing of it, and notes it", () => {
  const { status, body, logged } = answered(new Error("the secret of the house"));
  expect([status, body.code, logged]).toEqual([500, "internal", 1]);
  expect(JSON.stringify(body)).not.toContain("secret");
});

it("says after how long to ask again", () => {
  expect(answered(new Refusal("too_many", "Too many.", {}, 17)).headers).toEqual({ "retry-after": 17 });
});
