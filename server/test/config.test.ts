import { readConfig } from "../src/process/config";

const needed = { DATABASE_URL: "postgresql://x", TONODROME_SECRET: "a".repeat(32) };
const read = (more: Record<string, string>) => readConfig({ ...needed, ...more });

it("names the variable that is missing or wrong", () => {
  expect(() => readConfig({})).toThrow(/DATABASE_URL is not set/);
  expect(() => read({ TONODROME_SECRET: "short" })).toThrow(/TONODROME_SECRET is missing or short/);
  expect(() => read({ PORT: "http" })).toThrow(/PORT is "http"/);
  expect(() => read({ TONODROME_IMPORT_MB: "0.5" })).toThrow(/whole number from 1/);
  expect(() => read({ TONODROME_TRUST_PROXY: "everybody" })).toThrow(/how many balancers/);
  expect(() => read({ TONODROME_TRUST_PROXY: "0" })).toThrow(/how many balancers/);
});

it("trusts nobody and is asked for by this machine's names, unless it is said otherwise", () => {
  expect(read({})).toMatchObject({
    port: 4780,
    host: "127.0.0.1",
    poolSize: 10,
    trustProxy: false,
    hosts: ["localhost", "127.0.0.1", "[::1]"],
    hstsDays: 0,
    signUp: true,
  });
  expect(read({ HOST: "0.0.0.0" }).hosts).toBeNull();
  expect(read({ TONODROME_TRUST_PROXY: "1" })).toMatchObject({ trustProxy: 1, hosts: null });
  expect(read({ TONODROME_TRUST_PROXY: "10.0.0.0/8, 192.0.2.7" }).trustProxy).toEqual([
    "10.0.0.0/8",
    "192.0.2.7",
  ]);
  expect(read({ TONODROME_HOSTS: "Club.example, www.club.example" }).hosts).toEqual([
    "club.example",
    "www.club.example",
  ]);
});

it("closes the demo's door by either word", () => {
  expect(read({}).demos).toBeGreaterThan(0);
  expect(read({ TONODROME_DEMO: "no" }).demos).toBe(0);
  expect(read({ TONODROME_DEMOS: "0" }).demos).toBe(0);
});
