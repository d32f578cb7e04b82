const dose = "core/src/dose/";
const plan = "core/src/plan/";
const words = "core/src/words/";

/** The ground, doses, plans and their editing, checks, the venue. */
const mutants = [
  [
    "a text is never cut through an emoji",
    `${words}cutText.ts`,
    "cut.length + segment.length > most",
    "cut.length >= most",
  ],
  ["one word in two cases", `${words}sameWord.ts`, '.toLocaleLowerCase("en")', ""],
  ["nothing invisible", `${words}plainText.ts`, "return !FORBIDDEN.test(text);", "return true;"],
  [
    "a name has something to see",
    `${words}plainText.ts`,
    "return /[\\p{L}\\p{N}\\p{P}\\p{S}]/u.test(",
    "return /./u.test(",
  ],
  ["m:ss", "core/src/time/clock.ts", "padStart(2", "padStart(1"],
  ["a rise is limited", `${plan}stepRule.ts`, "to - from <= points", "to - from < points"],
  ["stepping down is allowed", `${plan}stepRule.ts`, "to - from <= points", "Math.abs(to - from) <= points"],
  ["a ladder's own step", `${plan}stepRule.ts`, "to.rise > points ?", "false ?"],
  ["a steep step stops", `${plan}stepRule.ts`, 'severity: "stop"', 'severity: "hint"'],
  [
    "gravest first",
    "core/src/checks/checkPlan.ts",
    "GRAVEST.indexOf(a.severity) - GRAVEST.indexOf(b.severity)",
    "GRAVEST.indexOf(b.severity) - GRAVEST.indexOf(a.severity)",
  ],
  ["short of time is said", "core/src/checks/checkPlan.ts", 'fit.state === "short" ? [short] : []', "[]"],
  ["too long a wait is said", "core/src/checks/checkPlan.ts", "fit.waitOverSeconds > 0 ? [late] : []", "[]"],
  [
    "kit that nothing depends on",
    `${plan}kit.ts`,
    'flags.includes("no-condition") ? "loose"',
    'flags.includes("no-condition") ? "needed"',
  ],
  ["kit that is on", `${plan}kit.ts`, 'if (alreadyOn) return "on";', ""],
  ["so many may be free", `${plan}order.ts`, "free > MOST_FREE", "free > MOST_FREE + 1"],
  ["a pair in a circle", `${plan}order.ts`, "if (seen.has(i)) return", "if (false) return"],
  ["a leader that comes later", `${plan}order.ts`, "if (leader < index) return null;", "return null;"],
  [
    "broken pairs are taken apart",
    `${plan}order.ts`,
    "const { [field]: _gone, ...rest } = item;",
    "const { ...rest } = item;",
  ],
  ["a rest of so many times the work", `${plan}rest.ts`, "rest.times * workSeconds", "rest.times"],
  ["technical work counts", `${plan}counted.ts`, 'phase === "technical" ||', "false ||"],
  ["primes count", `${plan}counted.ts`, '|| phase === "prime"', ""],
  [
    "kit goes before the sport's own work",
    `${plan}edit/addDrill.ts`,
    "return own < 0 ? items.length : own;",
    "return items.length;",
  ],
  [
    "a technical drill keeps the climb even",
    `${plan}edit/addDrill.ts`,
    "if (harder >= 0) return harder;",
    "",
  ],
  ["no two rungs of one id", `${plan}edit/addDrill.ts`, "rungIds(copy).some((id) => taken.has(id))", "false"],
  [
    "several move together, and stop at the ends",
    `${plan}edit/moveItems.ts`,
    'if (ids.includes(items[edge]?.id ?? "")) return body;',
    "",
  ],
  [
    "dragged between two of one part it becomes part of it",
    `${plan}edit/moveItems.ts`,
    "above && below && above === below ? above : phase",
    "phase",
  ],
  [
    "no more drills than a plan holds",
    `${plan}edit/duplicateItems.ts`,
    "body.items.length + ids.length > MOST_DRILLS",
    "false",
  ],
  ["a circuit of two or more", `${plan}edit/circuit.ts`, "if (items.length < 2)", "if (items.length < 1)"],
  ["kit is part of no circuit", `${plan}edit/circuit.ts`, 'items.some((i) => i.phase === "kit")', "false"],
  [
    "a circuit is as hard as its hardest",
    `${plan}edit/circuit.ts`,
    "Math.max(...chosen.map((i) => i.intensity))",
    "Math.min(...chosen.map((i) => i.intensity))",
  ],
  ["a circuit's names can be saved", `${plan}edit/circuit.ts`, "cutText(i.name, 60)", "i.name.slice(0, 60)"],
  ["a replaced drill keeps its priority", `${plan}edit/changeItems.ts`, "    priority,\n", ""],
  [
    "split keeps the time of every round",
    `${plan}edit/split.ts`,
    "movement.seconds * dose.rounds.ideal",
    "movement.seconds",
  ],
  ["a copied rung is a step up", `${dose}ladder/editRungs.ts`, "rung.intensity + 10", "rung.intensity"],
  ["the last rung stays", `${dose}ladder/editRungs.ts`, "if (dose.rungs.length <= 1) return dose;", ""],
  [
    "no more rungs asked for than there are",
    `${dose}ladder/editRungs.ts`,
    "Math.min(dose.leastRungs, rungs.length)",
    "dose.leastRungs",
  ],
  [
    "a nudge that cannot be leaves the dose",
    `${dose}nudgeDose.ts`,
    "doseSchema.safeParse(next).success ? next : dose",
    "next",
  ],
  [
    "ends push each other along",
    `${dose}moveEnd.ts`,
    "ideal: Math.max(value, range.ideal)",
    "ideal: range.ideal",
  ],
  ["rests lie between bouts", `${dose}terms/bouts.ts`, "(bouts - 1)", "bouts"],
  [
    "a round's turns",
    `${dose}kinds/lengthsDose.ts`,
    "dose.turnSeconds * (ways - 1)",
    "dose.turnSeconds * ways",
  ],
  ["there and back", `${dose}kinds/lengthsDose.ts`, 'back === "same" ? 2 : 1', "1"],
  [
    "no walk after the last length",
    `${dose}kinds/lengthsDose.ts`,
    "dose.walkSeconds * (lengths - 1)",
    "dose.walkSeconds * lengths",
  ],
  [
    "half seconds round up",
    `${dose}kinds/repsDose.ts`,
    "Math.ceil(reps * secondsPerRep)",
    "Math.floor(reps * secondsPerRep)",
  ],
  [
    "a beat's seconds round up",
    `${dose}kinds/countsDose.ts`,
    "const side = Math.ceil(",
    "const side = Math.floor(",
  ],
  [
    "a multiple of the attempt",
    `${dose}kinds/attemptsDose.ts`,
    "Math.ceil(dose.rest.times * dose.secondsEach)",
    "dose.rest.times",
  ],
  [
    "a gate that will not open takes its cap",
    `${dose}kinds/gateDose.ts`,
    "tries === null ? cap : played(tries)",
    "played(tries ?? 1)",
  ],
  [
    "in turn the cap is for each",
    `${dose}kinds/gateDose.ts`,
    "inTurn ? 2 * capSeconds : capSeconds",
    "capSeconds",
  ],
  [
    "a movement there and back",
    `${dose}kinds/circuitDose.ts`,
    "return back ? 2 * seconds : seconds;",
    "return seconds;",
  ],
  [
    "actions in the time of a side",
    `${dose}kinds/timeDose.ts`,
    "Math.floor(seconds / dose.secondsPerAction) * sides",
    "Math.floor((seconds * sides) / dose.secondsPerAction)",
  ],
  [
    "whole bouts go first",
    `${dose}terms/chain.ts`,
    "ceiling: amount.ideal }, 1)",
    "ceiling: amount.floor }, 1)",
  ],
  ["of equal lengths one is kept", `${dose}terms/rising.ts`, "if (!there || !isIdeal(there))", "if (!there)"],
  [
    "swapped roles are all of it again",
    `${dose}doseParts.ts`,
    "return [...parts, swap, ...parts];",
    "return parts;",
  ],
  ["the partner's turn is a rest", `${dose}doseParts.ts`, "...(inTurn ? [turn] : []),", ""],
  ["two windows may not overlap", "core/src/venue/context.ts", "w.fromSeconds < before.toSeconds", "false"],
  ["a place is named once", "core/src/venue/context.ts", "if (known.has(wordKey(name)))", "if (false)"],
  [
    "a place that is not there",
    "core/src/venue/context.ts",
    "if (name && !known.has(wordKey(name)))",
    "if (false)",
  ],
  [
    "a place closed on this day is not open all day",
    "core/src/venue/contextOf.ts",
    "windows.length > 0 && near.length === 0 ? [ANOTHER_DAY] : near",
    "near",
  ],
  ["links may not go round", "core/src/drill/links.ts", "if (circle) {", "if (false) {"],
  ["a drill is not its own alternative", "core/src/drill/links.ts", "if (to === drill.id)", "if (false)"],
  [
    "what is tight",
    "core/src/fit/fit.ts",
    'return lost || waitOverSeconds > 0 ? "tight" : "fits";',
    'return lost ? "tight" : "fits";',
  ],
  [
    "unknown places are said",
    "core/src/fit/explain/remarks.ts",
    "return [...unknownPlaces(plan, context), ...unkeptLimits(plan, context)];",
    "return [...unkeptLimits(plan, context)];",
  ],
  [
    "limits nobody can keep are said",
    "core/src/fit/explain/remarks.ts",
    "volumePercent !== undefined && usualReps === 0",
    "false",
  ],
  [
    "what five minutes buy",
    "core/src/fit/explain/explain.ts",
    "return [`${was.item.name} comes back`];",
    "return [];",
  ],
  [
    "a start moved far keeps the most before it",
    "core/src/api/movedStart.ts",
    "startsAt - LONGEST_AVAILABLE * 1000",
    "0",
  ],
  [
    "ready is never after the start",
    "core/src/api/movedStart.ts",
    "Math.min(\n    startsAt,",
    "Math.max(\n    startsAt,",
  ],
  ["a copy's pairs are its own", `${plan}edit/copyPlan.ts`, "{ ...item, after: leader }", "item"],
];

/** The tests of a room stand under its name; what others rest on is noticed there as well. */
const testsOf = (file) => {
  const [room, part] = file.replace("core/src/", "").split("/");
  const more = {
    words: "|plan/edit|fit/remarks",
    fit: "/(explain|remarks|fit)",
    drill: "|plan/protect",
    dose: "|ladder",
  };
  if (room === "fit") return `core/test/fit${more.fit}`;
  return `core/test/(${room}${more[room] ?? ""}${part === "edit" ? "/edit" : ""})`;
};

export default {
  project: "core",
  tests: "core/test/(words|plan)",
  mutants: mutants.map(([what, file, from, to]) => [what, file, from, to, testsOf(file)]),
};
