import { ApiFailure, ask } from "~/data/client/api";
import { timeNow } from "~/data/client/clock";

function server(answer: Partial<Response> | Error): void {
  const fetch = async () => {
    if (answer instanceof Error) throw answer;
    return answer as Response;
  };
  Object.assign(globalThis, { fetch });
  Object.assign(AbortSignal, { timeout: () => undefined });
}

const list = () => ask("athleteList", "GET", "/athletes");
const failure = () => list().catch((error) => error as ApiFailure);

it("gives the checked answer", async () => {
  server({ ok: true, json: async () => ({ athletes: [] }) });
  expect(await list()).toEqual({ athletes: [] });
});

it("learns from every answer what the time is", async () => {
  const date = new Date(Date.now() - 600_000).toUTCString();
  const headers = new Map([["date", date]]) as unknown as Headers;
  server({ ok: true, headers, json: async () => ({ athletes: [] }) });
  await list();
  expect(Math.abs(timeNow() - (Date.now() - 600_000))).toBeLessThan(2000);
});

it("says that the server cannot be reached, and that nothing is lost", async () => {
  server(new TypeError("Failed to fetch"));
  const error = await failure();
  expect(error).toBeInstanceOf(ApiFailure);
  expect(error).toMatchObject({ code: "unreachable", message: expect.stringContaining("is kept") });
});

it("passes on the server's own words, field and newer version", async () => {
  const body = {
    code: "version_conflict",
    message: "Someone else saved this.",
    path: "version",
    current: { version: 2 },
  };
  server({ ok: false, json: async () => body });
  expect(await failure()).toMatchObject({ ...body });
});

it("does not fall over an answer in no known shape", async () => {
  server({ ok: false, json: async () => ({ oops: true }) });
  expect(await failure()).toMatchObject({ code: "internal" });
  server({
    ok: false,
    json: async () => {
      throw new SyntaxError("not JSON");
    },
  });
  expect(await failure()).toMatchObject({ code: "unreachable" });
});
