import { spawnSync } from "node:child_process";
import { mkdtempSync, readFileSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import { emptyPlan, noProfile, usualSetting } from "@tonodrome/core";
import { parse } from "csv-parse/sync";
import { bin, root, tonodrome } from "./tonodrome";

const dayFile = path.join(root, "docs", "examples", "day.json");
const rows = (text: string) => parse(text, { columns: true }) as Record<string, string>[];

const ATHLETE = "11111111-1111-4111-8111-111111111111";
const start = {
  record: "start",
  id: "22222222-2222-4222-8222-222222222222",
  version: 3,
  athleteId: ATHLETE,
  title: "Final",
  venue: "Hall",
  zone: "Europe/Vienna",
  startsAt: "2026-12-05T13:05:00.000Z",
  readyAt: "2026-12-05T12:20:00.000Z",
  eventId: null,
  setting: usualSetting(),
  plan: { id: "33333333-3333-4333-8333-333333333333", version: 1, body: emptyPlan() },
};
const clubText = (...records: object[]) => {
  const athlete = { record: "athlete", id: ATHLETE, version: 1, name: "Mira Lind", profile: noProfile() };
  const all = [athlete, ...records];
  const head = { format: "tonodrome-club", version: 5, name: "Club" };
  return [head, ...all, { record: "end", records: all.length }].map((r) => `${JSON.stringify(r)}\n`).join("");
};
/** A club's file of its own. */
function club(...records: object[]): string {
  const file = path.join(mkdtempSync(path.join(tmpdir(), "club-")), "club.ndjson");
  writeFileSync(file, clubText(...records));
  return file;
}
const list = (time: string, name = "Mira Lind") => `Name,Event,Date,Time\n${name},Final,2026-12-05,${time}\n`;

describe("export", () => {
  it("writes a day as a table, by the clock", () => {
    const { status, stdout } = tonodrome(["export", dayFile, "--as", "csv"]);
    expect(status).toBe(0);
    const steps = rows(stdout);
    expect(steps.find((s) => s.Clock === "12:25")).toMatchObject({ "If badly": "12:10", Takes: "25 min" });
  });

  it.each(["a4", "pocket"])("draws a day as PDF on %s", (paper) => {
    const { status, stdout } = spawnSync(process.execPath, [
      bin,
      "export",
      dayFile,
      "--as",
      "pdf",
      "--paper",
      paper,
    ]);
    expect(status).toBe(0);
    expect(stdout.subarray(0, 5).toString()).toBe("%PDF-");
    expect(stdout.toString("latin1")).toContain("%%EOF");
  });

  it("writes a plan as PDF, and a club's tables", () => {
    const plan = path.join(root, "docs", "examples", "six-minutes.json");
    const { status, stdout } = spawnSync(process.execPath, [bin, "export", plan, "--as", "pdf"]);
    expect([status, stdout.subarray(0, 5).toString()]).toEqual([0, "%PDF-"]);
    const starts = tonodrome(["export", club(start), "--as", "csv", "--of", "starts"]);
    expect(rows(starts.stdout)).toMatchObject([{ Athlete: "Mira Lind", Start: start.startsAt }]);
    expect(tonodrome(["export", club(), "--as", "csv", "--of", "shelf"]).stdout).toMatch(/^Name,Phase/);
    expect(tonodrome(["export", club(), "--as", "csv", "--of", "log"]).stdout).toMatch(/^Day,Athlete/);
  });

  it("says what it cannot write, and how", () => {
    expect(tonodrome(["export", dayFile, "--as", "docx"])).toMatchObject({ status: 2 });
    expect(tonodrome(["export", club(), "--as", "csv"])).toMatchObject({ status: 1 });
    expect(tonodrome(["export", dayFile, "--as", "pdf", "--paper", "a0"]).stderr).toContain("--paper");
    expect(tonodrome(["day", dayFile, "--as", "csv"]).stderr).toBe("--as is for export.\n");
  });
});

describe("import", () => {
  it("says what would change and writes nothing; told to, it writes it, and then there is nothing left", () => {
    const file = club(start);
    const before = readFileSync(file, "utf8");
    const args = ["import", "-", "--into", file, "--zone", "Europe/Vienna"];
    const dry = tonodrome(args, list("14:15"));
    expect([dry.status, dry.stdout]).toEqual([1, expect.stringContaining("changed: time")]);
    expect(readFileSync(file, "utf8")).toBe(before);
    expect(tonodrome([...args, "--apply"], list("14:15")).status).toBe(0);
    const table = tonodrome(["export", file, "--as", "csv", "--of", "starts"]);
    expect(rows(table.stdout)).toMatchObject([{ Start: "2026-12-05T13:15:00.000Z" }]);
    expect(tonodrome(args, list("14:15"))).toMatchObject({ status: 0 });
  });

  it("keeps the running order of a list with numbers, and brings it up to date", () => {
    const file = club(start);
    const args = ["import", "-", "--into", file, "--zone", "Europe/Vienna", "--apply"];
    const numbered = (number: number) =>
      `No,Name,Event,Date,Time,Venue\n${number},Mira Lind,Final,2026-12-05,14:15,\n9,Somebody Else,Final,2026-12-05,14:45,\n`;
    const records = () =>
      readFileSync(file, "utf8")
        .trim()
        .split("\n")
        .map((line) => JSON.parse(line));
    const of = (record: string) => records().find((r) => r.record === record);
    expect(tonodrome(args, numbered(4)).status).toBe(0);
    const order = of("order");
    expect(order).toMatchObject({ version: 1, slots: [{ number: 4 }, { number: 9 }], calls: [] });
    expect(of("start").order).toEqual({ id: order.id, number: 4 });
    const before = readFileSync(file, "utf8");
    expect(tonodrome(args.slice(0, -1), numbered(4))).toMatchObject({ status: 0 });
    expect(readFileSync(file, "utf8")).toBe(before);
    expect(tonodrome(args, numbered(5)).status).toBe(0);
    expect(of("order")).toMatchObject({ id: order.id, version: 2, slots: [{ number: 5 }, { number: 9 }] });
    expect(of("start").order).toEqual({ id: order.id, number: 5 });
  });

  it("takes in those who are not in the club when it is told to", () => {
    const file = club(start);
    const args = ["import", "-", "--into", file, "--zone", "Europe/Vienna"];
    expect(tonodrome(args, list("14:15", "Una Falk")).stdout).toContain("1 not of the club");
    expect(tonodrome([...args, "--add", "--apply"], list("14:15", "Una Falk")).status).toBe(0);
    const table = tonodrome(["export", file, "--as", "csv", "--of", "starts"]);
    expect(rows(table.stdout).map((r) => r.Athlete)).toEqual(["Mira Lind", "Una Falk"]);
  });

  it("asks how dates are written where that cannot be told, and takes none of them in some way unasked", () => {
    const file = club(start);
    const text = "Name,Event,Date,Time\nMira Lind,Final,05/06/2026,10:00\n";
    const args = ["import", "-", "--into", file, "--zone", "Europe/Vienna"];
    expect(tonodrome(args, text)).toMatchObject({ status: 2, stderr: expect.stringContaining("--dates") });
    expect(tonodrome([...args, "--dates", "month-first"], text).stdout).toContain("2026-05-06");
    expect(tonodrome([...args, "--dates", "sideways"], text)).toMatchObject({ status: 2 });
  });

  it("names line and column of a fault, and writes nothing", () => {
    const file = club(start);
    const before = readFileSync(file, "utf8");
    const bad = tonodrome(["import", "-", "--into", file, "--apply"], list("25:15"));
    expect([bad.status, bad.stderr]).toEqual([2, expect.stringMatching(/^line 2, Time: /)]);
    expect(readFileSync(file, "utf8")).toBe(before);
    expect(tonodrome(["import", "-"], list("14:15")).stderr).toContain("--into");
    writeFileSync(file, before.split("\n").slice(0, 2).join("\n"));
    expect(tonodrome(["import", "-", "--into", file], list("14:15")).stderr).toContain("cut short");
  });
});
