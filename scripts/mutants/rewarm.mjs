const ROOM = "core/src/rewarm/";
const CHECKS = "core/src/checks/";
const FILL = "core/src/fill/";
const FIT = "core/src/fit/search/";

/** A second start on the same day: how much is enough, what the body has left, and what filling makes of it. */
const mutants = [
  ["what ended last counts", `${ROOM}rewarm.ts`, "a.toSeconds > b.toSeconds", "a.toSeconds < b.toSeconds"],
  ["long after it is a warm-up like any", `${ROOM}rewarm.ts`, "minutes >= LIKE_ANY", "false"],
  [
    "between figures in a straight line",
    `${ROOM}rewarm.ts`,
    "(x - fromX)) / (toX - fromX)",
    "0) / (toX - fromX)",
  ],
  ["fresh for so long only", `${ROOM}rewarm.ts`, "d.toSeconds >= -withinSeconds", "true"],
  ["the easy part has its own share", `${ROOM}rewarm.ts`, "raise * raiseShare", "others * raiseShare"],
  ["what is done now counts", `${ROOM}wholeDay.ts`, "Math.min(until, toSeconds)", "toSeconds"],
  ["no two at once", `${ROOM}wholeDay.ts`, "Math.max(last, fromSeconds)", "fromSeconds"],
  [
    "nothing is done between",
    `${ROOM}wholeDay.ts`,
    "end < until ? [idle(end, until)] : []",
    "false ? [] : []",
  ],
  ["the event itself is work", `${ROOM}doneIn.ts`, "...ofEvent(start)", ""],
  [
    "so long before the later start",
    `${ROOM}doneIn.ts`,
    "fromSeconds: fromSeconds - agoSeconds",
    "fromSeconds",
  ],
  ["half a day is remembered", `${ROOM}doneBefore.ts`, "d.fromSeconds >= -REMEMBERED_SECONDS", "true"],
  [
    "the forecast goes by the whole day",
    `${CHECKS}terms/situation.ts`,
    "forecastOf(pieces, around, whole)",
    "forecastOf(pieces, around)",
  ],
  [
    "less is enough after another start",
    `${CHECKS}amount/tooShort.ts`,
    "rewarm ? shareOf(rewarm, easyPortion(approach)) : 1",
    "1",
  ],
  ["half as long again is right", `${CHECKS}amount/moreThanRewarm.ts`, "enough * SPARE", "enough"],
  ["a fresh action is not cold", `${CHECKS}cover/actionCold.ts`, "&& !stillWarm.has(wordKey(a.what))", ""],
  [
    "a fresh action may go hard",
    `${CHECKS}climb/straightToHard.ts`,
    "doing.prepares.some((action) => isStillWarm.has(action))",
    "false",
  ],
  [
    "who was there need not go again",
    `${CHECKS}climb/neverAtLevel.ts`,
    "|| event.actions.some((a) => stillWarm.has(wordKey(a)))",
    "",
  ],
  ["filling makes it shorter", `${FILL}shape/shape.ts`, "rules.longest) * enough", "rules.longest)"],
  [
    "ladders begin higher",
    `${FILL}choose/chooseTechnical.ts`,
    "isStillWarm(c, stillWarm) ? cutBelow",
    "false ? cutBelow",
  ],
  ["and that is said", `${FILL}choose/climbing.ts`, "isBegunHigher(choice)", "false"],
  [
    "what all lead up to is no entry",
    `${FIT}reach.ts`,
    "entry <= Math.min(bare, reaches[0] ?? Infinity)",
    "true",
  ],
  [
    "what is reached counts",
    `${FIT}reach.ts`,
    "bare >= entry ? Math.min(bare, near) : near",
    "Math.max(bare, near)",
  ],
  ["what ended last, not what began last", `${ROOM}rewarm.ts`, "a && a.toSeconds > b.toSeconds ? a : b", "b"],
];

/** The tests of what a file does. */
function testsOf(file) {
  if (file.startsWith(CHECKS) && !file.includes("/terms/")) return "core/test/checks/checks";
  return file.startsWith(FIT) ? "core/test/fit/fit" : "core/test/rewarm/";
}

export default {
  project: "core",
  tests: "core/test/rewarm/",
  runs: 60,
  mutants: mutants.map(([what, file, from, to]) => [what, file, from, to, testsOf(file)]),
};
