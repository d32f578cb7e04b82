// How long a start list of 2,000 rows takes to be read and compared. `npm run bench`.
import { csvTable } from "../src/formats/csvTable";
import { recognise } from "../src/startList/columns";
import { compareList } from "../src/startList/compareList";
import { readEntries } from "../src/startList/entry";
import { median } from "./median";

const row = (name: string, took: number) => console.log(`  ${name.padEnd(40)}${took.toFixed(3).padStart(8)}`);
const two = (n: number) => String(n).padStart(2, "0");

const text = [
  "Name,Event,Date,Time,No.",
  ...Array.from({ length: 2_000 }, (_, i) => {
    const time = `${two(Math.floor(i / 60) % 24)}:${two(i % 60)}`;
    return `Athlete ${i % 900},Round ${i % 7},2026-12-05,${time},${(i % 400) + 1}`;
  }),
].join("\n");
const athletes = Array.from({ length: 900 }, (_, i) => ({ id: String(i), name: `Athlete ${i}` }));

const read = csvTable(text);
if (!("table" in read)) throw new Error("It is no table.");
const { table } = read;
const reading = recognise(table, { title: "", venue: "", date: "", zone: "Europe/Vienna" });
const { entries } = readEntries(table, reading);

console.log("\na start list of 2,000 rows, median, ms (aim: all of it below 1,000)");
row(
  "its table",
  median(11, () => csvTable(text)),
);
row(
  "its rows",
  median(11, () => readEntries(table, reading)),
);
row(
  "compared with a club of 900",
  median(11, () => compareList(entries, { athletes, events: [], starts: [] }, false)),
);
