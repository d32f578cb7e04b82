const CHECKS = "core/src/checks/";
const MODEL = "core/src/forecast/model/";
const ANSWERS = "core/src/forecast/answers/";
const climb = (file) => `${CHECKS}climb/${file}.ts`;
const amount = (file) => `${CHECKS}amount/${file}.ts`;
const start = (file) => `${CHECKS}start/${file}.ts`;
const day = (file) => `${CHECKS}day/${file}.ts`;
const who = (file) => `${CHECKS}who/${file}.ts`;

/**
 * The forecast and the checks. Every figure of a check is moved by one in the tests themselves; here are their conditions,
 * the model's forms, and what is offered.
 */
const mutants = [
  ["the youngest have a figure of their own", "core/src/age/ageRules.ts", ": under10", ": under13"],
  ["nobody is brought beyond their age", climb("neverAtLevel"), "hardestAt(age, topsOf(club))", "100"],
  ["the young do fewer of their own drills alone", who("tooMuchForAge"), "!isOwn || ", ""],
  [
    "rungs are counted by themselves",
    who("tooMuchForAge"),
    "level?.rungs ?? (level ? [level] : [])",
    "level ? [level] : []",
  ],
  ["what is done instead keeps the climb", `${CHECKS}mends/instead.ts`, "keepsClimb(plan, item, d)", "true"],
  [
    "a floor in minutes means no seconds",
    amount("tooShort"),
    "Math.round(seconds / 60)",
    "Math.floor(seconds / 60)",
  ],
  [
    "a top-up counts what is not timed",
    `${ANSWERS}topUp.ts`,
    "return [...held].flatMap",
    "return [].flatMap",
  ],
  ["warmth goes to what the effort settles at", `${MODEL}warmth.ts`, "** person.pow", "** 1"],
  [
    "cold air takes warmth",
    `${MODEL}warmth.ts`,
    "NEUTRAL_AIR - around.temperature",
    "around.temperature - NEUTRAL_AIR",
  ],
  ["layers keep some of it", `${MODEL}warmth.ts`, "around.layers ? LAYERS_KEEP : 1", "around.layers ? 1 : 1"],
  [
    "warming is not cooling",
    `${MODEL}warmth.ts`,
    "target > from ? person.warming : cooling",
    "person.warming",
  ],
  ["layers slow cooling", `${MODEL}warmth.ts`, "(around.layers ? person.wear : 1)", "1"],
  ["wind hastens it", `${MODEL}warmth.ts`, "around.wind * (1 - person.wind)", "0"],
  ["wet hastens it", `${MODEL}warmth.ts`, "(around.wet ? person.wet : 1)", "1"],
  ["rests do not count as work", `${MODEL}piece.ts`, "(1 - duty) * share", "(1 - duty)"],
  ["stretches of one kind are one", `${MODEL}piece.ts`, "last && isSameKind(last, piece)", "false"],
  [
    "sharpness is spread over the effort",
    `${MODEL}sharpness.ts`,
    "upTo(since) - upTo(since - length)",
    "upTo(since)",
  ],
  ["short efforts count for less", `${MODEL}sharpness.ts`, "Math.min(1, SHARP_PER_MINUTE * worked)", "1"],
  ["so do lesser ones", `${MODEL}sharpness.ts`, "Math.min(1, (effort - SHARP_FROM) / SHARP_SPAN)", "1"],
  [
    "responses combine",
    `${MODEL}sharpness.ts`,
    "left * (1 - sharpWeight(piece) * Math.min(1, response))",
    "left - sharpWeight(piece) * response",
  ],
  [
    "the slow pool is forgotten slowly",
    `${MODEL}tiredness.ts`,
    "pool(pieces, person.slow",
    "pool(pieces, person.fast",
  ],
  [
    "little training costs more",
    `${MODEL}surroundings.ts`,
    '=== "little" ? LITTLE_TRAINED_COST',
    '=== "little" ? 1',
  ],
  ["indoors there is no wind", `${MODEL}surroundings.ts`, "indoors ? 0 : WIND[wind]", "WIND[wind]"],
  [
    "a long hold costs more",
    `${MODEL}heldStretches.ts`,
    ">= LONG_HOLD ? LONG_HOLD_COST",
    ">= LONG_HOLD ? SHORT_HOLD_COST",
  ],
  ["a hold is forgotten by moving", `${MODEL}heldStretches.ts`, "1 - minutes(moved) / HOLD_FORGOTTEN", "1"],
  [
    "more warmth than full gives no more",
    `${MODEL}model.ts`,
    "Math.min(warmth, full) - full",
    "warmth - full",
  ],
  ["both words are said", `${ANSWERS}laneWords.ts`, "spans === 0", "spans <= 1"],
  ["the band is the 10th to the 90th", `${ANSWERS}band.ts`, "quantile(sorted, 0.1)", "quantile(sorted, 0.3)"],
  [
    "a top-up is the shortest",
    `${ANSWERS}topUp.ts`,
    "a.length - b.length || a.strain - b.strain",
    "b.length - a.length",
  ],
  [
    "back is within a point",
    `${ANSWERS}topUp.ts`,
    "if (ready >= planned - BACK_WITHIN)",
    "if (ready >= planned)",
  ],
  [
    "what is not needed is not offered",
    `${ANSWERS}topUp.ts`,
    "without >= planned - BACK_WITHIN",
    "without >= planned + 99",
  ],
  [
    "what gives too little is not worth it",
    `${ANSWERS}topUp.ts`,
    "!isBack && best.ready < without + LEAST_GAIN",
    "false",
  ],
  [
    "the wait that suits",
    `${ANSWERS}bestWait.ts`,
    "planned >= wait.fromSeconds && planned <= wait.toSeconds",
    "planned >= wait.fromSeconds",
  ],
  [
    "a step is steep within a ladder too",
    climb("stepTooSteep"),
    "step.fromId === step.toId",
    "step.fromId !== step.toId",
  ],
  ["easy work on another action is not for this one", climb("straightToHard"), "isLike(d, doing)", "true"],
  ["delicate parts stop", climb("straightToHard"), "doing.effort > stop ? delicateOf(doing) : []", "[]"],
  ["what was moved before counts", climb("noStair"), "isFirst || areas.some((a) => moved.has(a))", "isFirst"],
  [
    "only coordination asks for the head",
    climb("brainBeforeWarm"),
    '!doing.item.details?.purposes.includes("coordinate")',
    "false",
  ],
  ["a middle that is there", climb("stageSkipped"), "&& !has(isMiddle)", ""],
  ["a realism between", climb("stageSkipped"), "&& !has(isBetween)", ""],
  ["approaches that stay below", climb("neverAtLevel"), 'approach.sides.peak === "below" ||', ""],
  ["what the approach adds", climb("aboveAsked"), "Math.max(0, approach?.peakPoints ?? 0)", "0"],
  [
    "schools that go down and up",
    climb("downAndUp"),
    'approach && approach.sides.order !== "easy-to-hard"',
    "false",
  ],
  ["it has to rise again", climb("downAndUp"), "|| !rises ||", "||"],
  ["only technical work is attended to", climb("nothingToAttend"), 'item.phase === "technical" &&', ""],
  ["easy is up to its border", amount("tooLittleEasy"), "d.effort <= EASY_EFFORT", "d.effort < EASY_EFFORT"],
  [
    "a breather ends general work",
    amount("tooLong"),
    '&& !doing.item.details?.flags.includes("breather")',
    "",
  ],
  ["short, hard events", amount("tooShort"), 'event.effort.startsWith("short")', "true"],
  ["only easy events need none", amount("notNeeded"), "event.targetLevel > EASY_TARGET", "false"],
  [
    "only held stretches",
    amount("longHoldLate"),
    '!doing.item.details?.flags.includes("static-hold") ||',
    "",
  ],
  ["ages have their own most", "core/src/age/ageRules.ts", "age >= THIRTEEN ? under16 :", ""],
  ["rounds of one drill", amount("tooExplosive"), "sets <= rounds", "true"],
  [
    "little trained, less volume",
    amount("tooMuchVolume"),
    '=== "little" ? little : usual',
    '=== "little" ? usual : usual',
  ],
  [
    "both are hard",
    amount("noBreather"),
    "doing.effort < effort || next.effort < effort",
    "doing.effort < effort",
  ],
  ["schools that rest fully", amount("nearLimitSoon"), 'approach?.sides.rest !== "full"', "false"],
  ["in heat no more warmth is sought", start("coldAtStart"), '|| heatBandOf(setting) !== "none"', ""],
  ["only hard work is owed rest", start("notRested"), "d.effort >= HARD_EFFORT &&", ""],
  ["the last hard effort counts", start("peakTooEarly"), ".at(-1);\n    if", "[0];\n    if"],
  ["lying still is for the head", start("nothingForHead"), '|| i.calm === "quiet"', ""],
  ["a change at the end is timed", start("noTimeToChange"), "lastWork < 0 || changes ||", "lastWork < 0 ||"],
  ["extras may be left out of a window", day("windowTooSmall"), '&& p.item.priority !== "extra"', ""],
  ["what is over before they come is not theirs", day("lateForPoint"), "&& point.toSeconds > -ready", ""],
  ["a way that is timed", day("changeNotTimed"), "isTimed || told.has(pair)", "told.has(pair)"],
  ["kit is checked near the start", day("kitNotChecked"), "untilStart > minutes * 60 ||", ""],
  [
    "what is on already is there",
    day("notAtTemperature"),
    '|| !item.details?.flags.includes("venue-temperature")',
    "",
  ],
  [
    "equipment of one's own",
    who("notThere"),
    'obstacle !== "space" && obstacle !== "equipment"',
    'obstacle !== "space"',
  ],
  ["a child is not lifted", who("tooYoung"), "return isShared &&", "return !isShared &&"],
  ["a sore part loaded hard is a stop", who("soreLoaded"), "item.intensity > stop", "false"],
  ["a surface that is named is safe", who("partnerUnmatched"), '(details?.space ?? "") !== ""', "false"],
  [
    "shade is enough when it is only warm",
    `${CHECKS}weather/heat.ts`,
    'band === "warm" ? !inSun',
    'band === "warm" ? false',
  ],
  ["hard frost stops", `${CHECKS}weather/coldOutdoors.ts`, 'if (band === "hard-frost")', "if (false)"],
  ["wet indoors is dry", `${CHECKS}weather/wet.ts`, "setting.indoors || !setting.wet", "!setting.wet"],
  [
    "variety is asked for",
    `${CHECKS}routine/tooMuchSame.ts`,
    "!wantsVariety(setting, approach?.sides.variety) || ",
    "",
  ],
  ["the days running were the same", `${CHECKS}routine/dullDay.ts`, "|| same.length < day - 1", ""],
  ["what was run is known", `${CHECKS}routine/newOnTheDay.ts`, "|| known.has(item.drillId)", ""],
  [
    "a mend that does not remove it is not offered",
    `${CHECKS}provenMends.ts`,
    "return isGone && after.every",
    "return after.every",
  ],
  [
    "a mend that brings a stop is not offered",
    `${CHECKS}provenMends.ts`,
    'f.severity !== "stop" || stops.has(nameOf(f))',
    "true",
  ],
  [
    "a mend makes a plan that can be kept",
    `${CHECKS}provenMends.ts`,
    "if (!isRight(planBodySchema, plan)) return null;",
    "",
  ],
  ["set aside as long as it is the same", `${CHECKS}setAside.ts`, "&& k.mark === markOf(finding, plan)", ""],
  [
    "the gravest first",
    `${CHECKS}checkPlan.ts`,
    "GRAVEST.indexOf(a.severity) - GRAVEST.indexOf(b.severity)",
    "0",
  ],
  ["rest forgets no held stretch", `${MODEL}heldStretches.ts`, "effort > 0 && !hold", "!hold"],
  ["nor does another one", `${MODEL}heldStretches.ts`, "effort > 0 && !hold", "effort > 0"],
];

/** The tests of what a file does. */
function testsOf(file) {
  if (file.startsWith("core/src/forecast")) return "core/test/forecast/";
  return /checks\/(?!mends)[a-z]+\//.test(file) ? "core/test/checks/checks" : "core/test/checks/";
}

export default {
  project: "core",
  tests: "core/test/(checks|forecast)/",
  runs: 60,
  mutants: mutants.map(([what, file, from, to]) => [what, file, from, to, testsOf(file)]),
};
