const DAY = "core/src/day/";
const TICK = "core/src/lists/tick.ts";
const CALENDAR = "core/src/formats/dayCalendar.ts";
const GLANCE = "core/src/glance/glance.ts";

/** A whole day counted back from its start, and how a start stands in a list. */
const mutants = [
  ["each is over before the next", `${DAY}constraint.ts`, "add(i, next, long(i),", "add(i, next, 0,"],
  ["what is beside waits for nobody", `${DAY}constraint.ts`, "step.beside ? [] : [i]", "[i]"],
  ["badly it takes longer", `${DAY}constraint.ts`, 'version === "bad" ?', 'version === "usual" ?'],
  [
    "no later than it is fitted",
    `${DAY}constraint.ts`,
    "add(start, i, -warmUpSeconds,",
    "add(start, i, -2 * warmUpSeconds,",
  ],
  ["straight before is not long before", `${DAY}constraint.ts`, "add(of, i, -long(i), why);", ""],
  ["its own end counts", `${DAY}constraint.ts`, "MINUTE_SECONDS + own - others", "MINUTE_SECONDS - others"],
  [
    "at most so long before",
    `${DAY}constraint.ts`,
    "others - own - rule.mostMinutes * MINUTE_SECONDS",
    "Number.NEGATIVE_INFINITY",
  ],
  [
    "not after a time",
    `${DAY}constraint.ts`,
    "own - clockAt(rule.day, rule.notAfter)",
    "Number.NEGATIVE_INFINITY",
  ],
  [
    "not before a time",
    `${DAY}constraint.ts`,
    "clockAt(rule.day, rule.notBefore) - own",
    "Number.NEGATIVE_INFINITY",
  ],
  [
    "the day before is the venue's",
    `${DAY}constraint.ts`,
    "T00:00:00.000Z`) + days *",
    "T00:00:00.000Z`) + 0 *",
  ],
  [
    "the latest that all allow",
    `${DAY}times.ts`,
    "if (back > (before[earlier] as number)) {",
    "if (before[earlier] === Number.NEGATIVE_INFINITY) {",
  ],
  [
    "also where the start has no part",
    `${DAY}times.ts`,
    "if (growsAside(constraints, many)) return null;",
    "",
  ],
  [
    "the smallest is named",
    `${DAY}contradiction.ts`,
    "found.constraints.length < best.constraints.length",
    "found.constraints.length > best.constraints.length",
  ],
  [
    "only what grows is a fault",
    `${DAY}contradiction.ts`,
    "if ((at[from] as number) <= 0) continue;",
    "if ((at[from] as number) < 0) continue;",
  ],
  [
    "after the start as soon as may be",
    `${DAY}day.ts`,
    "isAfter ? (earliest ?? latest) :",
    "isAfter ? (latest ?? earliest) :",
  ],
  ["slack is all there is", `${DAY}day.ts`, "latest - earliest,", "0,"],
  [
    "the clock leads no chain",
    `${DAY}day.ts`,
    "if (!binding || isClock(binding)) return null;",
    "if (!binding) return null;",
  ],
  ["nor what goes on beside", `${DAY}day.ts`, "step.beside || i > start ? null :", "i > start ? null :"],
  ["there in time", `${DAY}usualParts.ts`, "arrive: 90,", "arrive: 30,"],
  ["they get up when they have slept", `${DAY}usualDay.ts`, '{ kind: "straight-before", of: "wake" },', ""],
  [
    "nobody drinks in the night",
    `${DAY}usualDay.ts`,
    '{ kind: "clock", edge: "begin", day: evening, notAfter: DRINKING },',
    "",
  ],
  [
    "a snack where there is no time for a meal",
    `${DAY}usualDay.ts`,
    "if (!whole.plan.holds) return",
    "if (false) return",
  ],
  ["whoever has come settles in", `${DAY}usualDay.ts`, '{ kind: "straight-before", of: "settle" },', ""],
  ["breakfast where the main meal is late", `${DAY}usualDay.ts`, "gap >= USUAL.breakfast.from", "false"],
  ["something at midday where it is later still", `${DAY}usualDay.ts`, "gap >= USUAL.midday.from", "false"],
  ["not before one is dry", `${DAY}betweenStarts.ts`, "+ minutes * 60_000", ""],
  ["a meal only where there is time", `${DAY}betweenStarts.ts`, "minutes >= between.meal", "true"],
  ["nothing between warm-up and start", `${DAY}editing.ts`, "chosen < 0 || chosen === warmUp", "chosen < 0"],
  ["past what goes on beside", `${DAY}editing.ts`, "while (steps[to]?.beside) to += by;", ""],
  ["without rules that name nothing", `${DAY}editing.ts`, 'r.kind === "clock" || r.of !== id', "true"],
  ["shorter only where that helps", `${DAY}waysOut.ts`, "if (holds(steps)) offer(", "offer("],
  ["what leaves nothing missing first", `${DAY}waysOut.ts`, "a.missingSeconds - b.missingSeconds", "0"],
  ["one start a day", `${DAY}daySteps.ts`, "if (many > 1)", "if (false)"],
  ["the later tick counts", TICK, "return at > other;", "return at < other;"],
  ["of two at once the same everywhere", TICK, "a.by > b.by", "true"],
  [
    "an event of no length has a beginning alone",
    CALENDAR,
    "stand.endSeconds > stand.beginSeconds ?",
    "false ?",
  ],
  ["ids that stay", CALENDAR, "`${step.id}.${of.id}@tonodrome`", "`${Math.random()}`"],
  ["numbers that rise", CALENDAR, "sequence: Math.min(of.sequence, MOST_SEQUENCE),", ""],
  ["a late warm-up is called once", `${DAY}alarms.ts`, "`${id} ${zero}`", "`${id} ${begins}`"],
  ["a start that moved is called anew", `${DAY}alarms.ts`, "`${id} ${zero}`", "id"],
  ["what cannot hold is the same call", `${DAY}alarms.ts`, 'step.kind === "warm-up")?.id', "false)?.id + 1"],
  ["no night between is one day", `${DAY}betweenStarts.ts`, "< NO_NIGHT ||", "< 0 ||"],
  ["six hours are a night", `${DAY}betweenStarts.ts`, "< NO_NIGHT ||", "<= NO_NIGHT ||"],
  ["the calendar of the venue", `${DAY}betweenStarts.ts`, "wallClock(one, zone).date", "one.slice(0, 10)"],
  ["told in passing only what is the best", GLANCE, "return isBest ? {", "return true ? {"],
  ["and what takes no time", GLANCE, "plan.items.length > PASSING.drills ||", "false ||"],
  ["no longer than in passing", GLANCE, "seconds > PASSING.seconds", "false"],
  ["what never fits needs nothing", GLANCE, "Number.isFinite(seconds) ? seconds", "true ? seconds"],
  ["calls go by the clock", `${DAY}alarms.ts`, "a.at - b.at", "0"],
  ["a list of the usual day is cut", `${DAY}usualDay.ts`, ".slice(0, MOST_LINES)", ""],
];

/** The tests of a room stand under its name. */
const testsOf = (file) =>
  file === GLANCE
    ? "core/test/glance/"
    : file === TICK
      ? "core/test/lists.test.ts"
      : file === CALENDAR
        ? "core/test/formats/"
        : "core/test/day/";

export default {
  project: "core",
  tests: "core/test/(day|glance|formats|lists)",
  runs: 60,
  mutants: mutants.map(([what, file, from, to]) => [what, file, from, to, testsOf(file)]),
};
