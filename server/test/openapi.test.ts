import { execFile, execFileSync, spawnSync } from "node:child_process";
import { mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import type { AddressInfo } from "node:net";
import { tmpdir } from "node:os";
import path from "node:path";
import { pathToFileURL } from "node:url";
import { promisify } from "node:util";
import type { z } from "zod";
import { EXAMPLES } from "../openapi/examples";
import { openapiText } from "../openapi/openapiText";
import { OPERATIONS } from "../openapi/operations";
import { apiRoutes } from "../openapi/routes";
import { makeStart, runInput } from "./make";
import { PASSWORD, testServer } from "./testServer";

const root = path.resolve(__dirname, "..", "..");
const file = path.join(root, "docs", "openapi.json");

const lint = (of: string) =>
  spawnSync(process.execPath, [path.join(root, "server", "openapi", "lint.mjs"), of], { encoding: "utf8" });

let folder: string;
beforeAll(() => {
  folder = mkdtempSync(path.join(tmpdir(), "openapi-"));
});
afterAll(() => rmSync(folder, { recursive: true, force: true }));

it("is published as the routes are: npm run schema", async () => {
  expect(readFileSync(file, "utf8")).toBe(await openapiText());
});

it("is light enough to be read by a tool", () => {
  expect(readFileSync(file).length).toBeLessThan(250_000);
});

it("has nothing for a linter to say, who would say it", () => {
  expect(lint(file)).toMatchObject({ status: 0, stderr: "" });
  const worse = path.join(folder, "worse.json");
  writeFileSync(worse, readFileSync(file, "utf8").replace('"operationId":"signIn",', ""));
  expect(lint(worse)).toMatchObject({ status: 1, stderr: expect.stringContaining("operation-operationId") });
});

it("is what the server answers, to anybody", async () => {
  const server = await testServer();
  const { status, body } = await server.askWith()("GET", "/api/openapi.json");
  expect({ status, body }).toEqual({ status: 200, body: JSON.parse(readFileSync(file, "utf8")) });
  await server.close();
});

it("has examples that the server takes", async () => {
  const operations = Object.values(OPERATIONS).flatMap((group) => Object.entries(group.operations));
  const routes = await apiRoutes();
  expect(Object.keys(EXAMPLES).length).toBeGreaterThan(5);
  for (const [id, example] of Object.entries(EXAMPLES)) {
    const [key] = operations.find(([, operation]) => operation.id === id) as [string, unknown];
    const route = routes.find(({ method, url }) => `${method} ${url.replace(/:(\w+)/g, "{$1}")}` === key);
    const { body: schema } = { ...(route?.schema as object) } as { body: z.ZodType };
    const body = schema.safeParse(example);
    expect([id, body.error]).toEqual([id, undefined]);
  }
});

it("makes a client that signs in, makes a start, saves a plan and reads a run", async () => {
  const server = await testServer();
  await server.app.listen({ port: 0, host: "127.0.0.1" });
  const { port } = server.app.server.address() as AddressInfo;
  const client = path.join(folder, "client");
  mkdirSync(client);
  const bin = (name: string) => path.join(root, "node_modules", ".bin", name);
  execFileSync(bin("openapi-ts"), ["-i", file, "-o", client, "--silent"]);
  const built = path.join(folder, "client.mjs");
  execFileSync(bin("esbuild"), [
    path.join(client, "index.ts"),
    "--bundle",
    "--format=esm",
    `--outfile=${built}`,
  ]);
  // A program of its own, as a stranger would write it.
  const program = `
    import * as api from ${JSON.stringify(pathToFileURL(built).href)};
    const [email, athleteId, clubId, runId] = process.argv.slice(2);
    let cookie = "";
    const options = { baseUrl: ${JSON.stringify(`http://127.0.0.1:${port}`)}, throwOnError: true };
    const asked = () => ({ ...options, headers: { cookie } });
    const refused = await api.signIn({ ...options, throwOnError: false, body: { email, password: "not this one" } });
    const session = await api.signIn({ ...options, body: { email, password: ${JSON.stringify(PASSWORD)} } });
    cookie = session.response.headers.get("set-cookie").split(";")[0];
    const { data: start } = await api.makeStart({ ...asked(), path: { clubId }, body: {
      athleteId, title: "Free skate", venue: "River Hall", zone: "Europe/Vienna",
      startsAt: "2098-06-01T12:30:00.000Z", readyAt: "2098-06-01T12:00:00.000Z" } });
    const body = ${JSON.stringify((EXAMPLES.savePlan as { body: unknown }).body)};
    body.items[0].drillId = null;
    const { data: plan } = await api.savePlan({ ...asked(), path: { clubId, id: start.plan.id }, body: { version: 1, body } });
    const { data: run } = await api.getRun({ ...asked(), path: { clubId, id: runId } });
    console.log(JSON.stringify({ refused: refused.error.code, title: start.title, items: plan.body.items.length, run: run.id }));
  `;
  const { id: startId, athlete } = await makeStart(server);
  const { body: run } = await server.ask("POST", "/api/:club/runs", runInput(startId));
  const script = path.join(folder, "program.mjs");
  writeFileSync(script, program);
  const args = [script, server.owner.email, athlete.id, server.clubId, run.id];
  const { stdout } = await promisify(execFile)(process.execPath, args);
  expect(JSON.parse(stdout)).toEqual({
    refused: "wrong_password",
    title: "Free skate",
    items: 1,
    run: run.id,
  });
  await server.close();
}, 60_000);
