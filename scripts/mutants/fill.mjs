const FILL = "core/src/fill/";
const shape = `${FILL}shape/shape.ts`;
const dosed = `${FILL}shape/dosed.ts`;
const assemble = `${FILL}assemble/assemble.ts`;
const affordable = `${FILL}assemble/affordable.ts`;
const weather = `${FILL}assemble/weather.ts`;
const parts = `${FILL}assemble/parts.ts`;
const raise = `${FILL}choose/chooseRaise.ts`;
const mobilise = `${FILL}choose/chooseMobilise.ts`;
const prime = `${FILL}choose/choosePrime.ts`;
const choice = `${FILL}choose/choice.ts`;
const easing = `${FILL}choose/easing.ts`;
const rules = `${FILL}input/rules.ts`;
const improve = `${FILL}seek/improve.ts`;
const cost = `${FILL}seek/cost.ts`;

/** Filling: the shape of the time, what is chosen, how it is put together, and what seeking may do. */
const mutants = [
  [
    "what is for older athletes is left aside",
    choice,
    'rules.allows(drill) ? obstacleTo(drill, circumstances) : "age"',
    "null",
  ],
  ["what is left aside is counted", choice, "aside.set(obstacle, (aside.get(obstacle) ?? 0) + 1);", ""],
  ["what is for another sport is none", choice, "if (!ofSport(drill)) continue;", ""],
  ["last time's drills are kept", choice, "const isKept = kept.has(drill.id);", "const isKept = false;"],
  ["the version before is avoided", choice, "(avoided.has(drill.id) ? AVOID : 0)", "0"],
  ["the young do fewer of one drill", choice, "isOwn && rules.ofOne < Infinity ?", "false ?"],
  ["a child's warm-up is short", rules, "isChild ? CHILD_LONGEST_SECONDS : Infinity", "Infinity"],
  [
    "a child does nothing explosive",
    rules,
    "isChild ? 0 : mostExplosive(age, mosts)",
    "mostExplosive(age, mosts)",
  ],
  ["masters raise for longer", rules, "warmsSlowly ? MASTERS.raiseTimes : 1", "1"],
  ["masters take smaller steps", rules, "warmsSlowly ? MASTERS.stepPoints : Infinity", "Infinity"],
  ["kit that takes too long is on", shape, '(kit !== "to-do" && isTooLong)', "false"],
  ["kit that is said to be on is on", shape, 'kit === "on" ||', ""],
  [
    "a short time has a short wait",
    shape,
    "WAITS.find(([upTo]) => left < upTo)?.[1] ?? leastSeconds",
    "leastSeconds",
  ],
  [
    "no longer than the approach has it",
    shape,
    "Math.min(Math.max(0, left - least), usual)",
    "Math.max(0, left - least)",
  ],
  ["a longer raise in the cold", shape, '=== "none" ? 1 : COLD_RAISE', '=== "none" ? 1 : 1'],
  ["a shorter one in heat", shape, "if (isHot(setting)) return HOT_RAISE * byDay;", ""],
  ["a shorter one from the third day", shape, "setting.day >= THIRD_DAY ? THIRD_DAY_RAISE : 1", "1"],
  ["tops of an age", shape, "Math.min(rules.hardest, formTop,", "Math.min(formTop,"],
  ["one prime in heat", shape, "isAiming || isHot(setting) ?", "isAiming ?"],
  ["priming before aiming stays low", shape, "isAiming ? AIMING_MOST : 100", "100"],
  [
    "a raise is a minute at least",
    dosed,
    "LEAST_RAISE_SECONDS / sideCount(dose.sides), seconds",
    "0, seconds",
  ],
  ["full rest before what is hard", dosed, 'sides.rest === "full" && effort >= 80', "false"],
  ["the first that raises is essential", raise, 'i === 0 ? "essential" : "useful"', '"useful"'],
  ["what raises no warmth does not raise", raise, "c.mental || c.explosive", "false"],
  [
    "an approach that begins with a circuit does",
    raise,
    'dose.kind === "circuit" ? 25 : 0',
    'dose.kind === "circuit" ? 0 : 0',
  ],
  ["a raise that cannot be short is passed over", raise, "short.length > 0 ? short : all", "all"],
  ["what warms most of what is cold", mobilise, "stillCold(c).length * 12 +", ""],
  ["a drill on both sides", mobilise, "isSided() || !c.sided ? 0 : 20", "0"],
  ["nothing hard mobilises", mobilise, "|| c.drill.intensity > most", ""],
  [
    "held stretches where the approach has them",
    mobilise,
    'approach.sides.stretching !== "short-holds"',
    "false",
  ],
  ["no hops before aiming", mobilise, "c.explosive && (isAiming ||", "c.explosive && ("],
  ["one that mobilises is essential", mobilise, '(p === first ? { ...p, priority: "essential" } : p)', "p"],
  [
    "what leads up to the climb stands last",
    mobilise,
    "if (!last || last.choice.to >= entry) return",
    "if (true) return",
  ],
  ["never above the target", prime, "c.to <= shape.primeTop &&", ""],
  ["within a step of what is before", prime, "c.from <= reached + shape.step &&", ""],
  ["nothing explosive before aiming", prime, "!(isAiming && c.explosive) &&", ""],
  [
    "explosive repetitions of an age",
    prime,
    "explosive + (c.level?.actions ?? 0) <= rules.explosive",
    "true",
  ],
  ["hard work comes after easy", easing, "return reps >= wanted;", "return true;"],
  ["two hard ones are parted", assemble, "isHard && !item.restAfter ?", "false ?"],
  [
    "rested out where the approach does so",
    assemble,
    'approach.sides.wait === "rest-out" && !shape.isShort',
    "false",
  ],
  ["the easy share of the approach", assemble, "easyPercent: approach.easyPercent", "easyPercent: 0"],
  ["kit that is on takes no time", assemble, "shape.kitOn ? { alreadyOn: true } : {}", "{}"],
  [
    "no more essentials than there is time for",
    affordable,
    "(now) => floors(now) > forDrills",
    "() => false",
  ],
  [
    "the raise gives way last",
    affordable,
    '"prime", "technical", "mobilise", "raise"',
    '"raise", "prime", "technical", "mobilise"',
  ],
  ["general work goes under a roof", weather, "if (shelter) return { ...item, place: shelter.name };", ""],
  ["shade and a drink in heat", weather, "if (isHot(setting)) return [", "if (false) return ["],
  ["layers come off", weather, "setting.layers !== true ||", "true ||"],
  ["time that is left is easy movement", parts, "more < NOTHING_LEFT ? parts :", "true ? parts :"],
  ["a better plan costs less", improve, "if (now.cost >= than.cost) return false;", ""],
  [
    "and gives up nothing that is kept",
    improve,
    "[...than.kept].every((what) => now.kept.has(what))",
    "true",
  ],
  ["something raises", cost, '["raise", raise >= Math.min(LEAST_RAISE_SECONDS, all)]', '["raise", true]'],
  ["a plan that is tried is known", improve, "if (known.has(name)) continue;", ""],
];

export default {
  project: "core",
  tests: "core/test/fill/",
  runs: 60,
  mutants,
};
