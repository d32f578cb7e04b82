/** @jest-environment node */

import { readdirSync, readFileSync } from "node:fs";
import path from "node:path";
import { words } from "~/ui/words";

const APP = path.join(__dirname, "..", "..");

/** Words that are spelled alike and mean different things: an open window and opening a version, back to a page and to a drill. */
const HOMONYMS = new Set(["Open", "Back", "Details", "Good"]);

/** What a screen bears as its label or title, word for word. */
const SAID = /\b(?:label|title|hint|placeholder)(?:=|: )"([A-Z][^"{}]*)"/g;

const files = ["features", "ui"].flatMap((folder) =>
  readdirSync(path.join(APP, folder), { recursive: true, encoding: "utf8" })
    .filter((file) => /\.tsx?$/.test(file) && !file.endsWith("words.ts"))
    .map((file) => path.join(APP, folder, file)),
);

it("a word that two screens bear is said in one place", () => {
  const bearers = new Map<string, Set<string>>();
  for (const file of files)
    for (const [, said = ""] of readFileSync(file, "utf8").matchAll(SAID))
      bearers.set(said, (bearers.get(said) ?? new Set()).add(path.relative(APP, file)));
  const twice = [...bearers].filter(([said, of]) => of.size > 1 && !HOMONYMS.has(said));
  expect(twice.map(([said, of]) => `${said}: ${[...of].join(", ")}`)).toEqual([]);
  const kept = new Set<string>(Object.values(words));
  expect([...bearers.keys()].filter((said) => kept.has(said))).toEqual([]);
});

it("each of those words is borne by two screens", () => {
  const all = files.map((file) => readFileSync(file, "utf8"));
  const lonely = Object.keys(words).filter(
    (key) => all.filter((text) => new RegExp(`\\bwords\\.${key}\\b`).test(text)).length < 2,
  );
  expect(lonely).toEqual([]);
});
