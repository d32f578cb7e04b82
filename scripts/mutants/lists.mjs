const COMPARE = "core/src/startList/compareList.ts";
const ENTRY = "core/src/startList/entry.ts";
const ORDER = "core/src/order/runningOrder.ts";
const SLOTS = "core/src/order/orderSlots.ts";
const CSV = "core/src/formats/csvText.ts";
const TABLE = "core/src/formats/csvTable.ts";

/** Start lists, running orders and tables. */
const mutants = [
  [
    "a round at its very time is that one",
    COMPARE,
    "for (const entry of these) meet(entry, atTime",
    "for (const entry of []) meet(entry, atTime",
  ],
  ["in the order of time", COMPARE, "timed.sort((a, b) => a.at - b.at)", "timed"],
  [
    "a move since is kept",
    COMPARE,
    "Date.parse(old.listedAt) !== Date.parse(startsAt)",
    "Date.parse(old.startsAt) !== Date.parse(startsAt)",
  ],
  [
    "what it has of time goes with it",
    COMPARE,
    "readyAt: earlier(startsAt, available) } : {}",
    "readyAt: old.readyAt } : {}",
  ],
  ["no venue takes none away", COMPARE, 'if (venue !== "" && wordKey', "if (wordKey"],
  ["names whichever part comes first", COMPARE, '.split(" ").sort().join(" ")', '.split(" ").join(" ")'],
  ["two of one name", COMPARE, "more.length > 0 ? { many", "false ? { many"],
  ["the same start twice", COMPARE, "if (before !== undefined && (found.id || addAthletes))", "if (false)"],
  ["a name that ends a title", COMPARE, "if (last !== undefined)", "if (false)"],
  ["a name is a whole word", COMPARE, "isLetter(whole[length]) ? undefined : ", ""],
  ["who is not in the club stays out", COMPARE, "return addAthletes ? { ...told", "return true ? { ...told"],
  ["a time that the clocks leave out", ENTRY, 'if (kind === "never") {', "if (false) {"],
  ["24 hours", ENTRY, "Number(hour) > 23", "Number(hour) > 99"],
  ["a number that is one", ENTRY, "&& number >= 1 &&", "&&"],
  ["the right press mends a slip", ORDER, "calls.filter((c) => c.number < call.number)", "calls"],
  ["breaks are no part of the pace", ORDER, "- list.breaks(first.number, last.number)", ""],
  ["breaks are waited for", ORDER, "* pace + list.breaks(last.number, number)", "* pace"],
  [
    "nobody before their time",
    ORDER,
    "Math.max(list.at(number), Math.round(reached))",
    "Math.round(reached)",
  ],
  ["a slip does not double a day", ORDER, "Math.min(SLOWEST * listedSeconds,", "Math.max(0,"],
  [
    "who is on is not expected",
    ORDER,
    "if (number <= last.number) return null;",
    "if (number < last.number) return null;",
  ],
  ["before each group", SLOTS, "Math.floor((n - 1) / groupOf)", "Math.floor(n / groupOf)"],
  ["from the number that is known", SLOTS, "/ 1000 - from(number)", "/ 1000"],
  ["no formula", CSV, "escapeFormulae: FORMULA", "escapeFormulae: false"],
  ["lines end with CRLF", CSV, 'newline: "\\r\\n"', 'newline: "\\n"'],
  ["a quote that is never closed", TABLE, "if (quotes) faults.push", "if (false) faults.push"],
  ["more values than heads", TABLE, "if (more > heads.length)", "if (false)"],
];

/** The tests of a room stand under its name. */
const testsOf = (file) =>
  file === ORDER || file === SLOTS
    ? "core/test/order/"
    : file === CSV || file === TABLE
      ? "core/test/formats/csv"
      : "core/test/startList/";

export default {
  project: "core",
  tests: "core/test/(order|startList|formats/csv)",
  runs: 60,
  mutants: mutants.map(([what, file, from, to]) => [what, file, from, to, testsOf(file)]),
};
