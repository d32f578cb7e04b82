const GROUP = "core/src/group/group.ts";
const PROFILE = "core/src/group/groupProfile.ts";
const STAND = "core/src/run/live/groupStand.ts";
const STATE = "core/src/run/log/runState.ts";
const APPLY = "core/src/run/log/applyEvent.ts";
const CALLS = "core/src/run/live/calls.ts";
const CUES = "core/src/run/live/cues.ts";
const USUAL = "core/src/coolDown/usualCoolDown.ts";
const USABLE = "core/src/plan/usable.ts";
const SHELF = "core/src/formats/compareShelf.ts";

/** Groups, what is called, cool-downs, and the shelf's table. */
const mutants = [
  ["who left the club is out", GROUP, "setting.group?.includes(a.id)", "true"],
  ["whose start it is is there once", GROUP, "a.id !== athlete.id && ", ""],
  ["whose start it is counts", GROUP, "group.length + 1", "group.length"],
  ["the youngest", PROFILE, "Math.min(...ages)", "Math.max(...ages)"],
  ["what any of them spares", PROFILE, "all.flatMap((p) => p.protectedAreas)", "own.protectedAreas"],
  ["for as long as the longest", PROFILE, "one.until > known.until", "one.until < known.until"],
  ["for good is longest", PROFILE, "one.until === null ||", "false ||"],
  ["what each of them has", PROFILE, "others.every((p)", "others.some((p)"],
  ["partners for each other", USABLE, "Math.max(people, group.length)", "people"],
  ["technical work is each their own", STAND, 'new Set(["technical", "prime"])', 'new Set(["prime"])'],
  ["a wait is nobody's own", STAND, "wait === undefined", "true"],
  [
    "who is missing is not counted as done",
    STAND,
    'there.filter((m) => m.mark === "done")',
    'members.filter((m) => m.mark === "done")',
  ],
  ["there again", APPLY, "...(event.isThere ? [] : [event.who])", "event.who"],
  ["a mark is taken away", APPLY, ": others;", ": (state.marks[event.who] ?? {});"],
  ["a mark is not what Undo takes back", STATE, '  "there",\n  "mark",\n]);', "]);"],
  ["never twice running", CALLS, "movements.length === 1 || i !== last", "true"],
  ["over in time", CALLS, "at + movement.counts * COUNT_SECONDS > seconds", "at > seconds"],
  ["uneven", CALLS, "Math.floor(chance() * (gapTo - gapFrom + 1))", "0"],
  ["from the end of the one before", CALLS, "end = at + movement.counts * COUNT_SECONDS", "end = at"],
  ["a call ends", CALLS, "elapsed >= call.at + call.counts * COUNT_SECONDS", "false"],
  ["said once", CUES, "now.call !== null && now.call !== before.call", "now.call !== null"],
  [
    "brisk after what is short and hard alone",
    USUAL,
    '"repeated-bouts": { ...HARD, brisk: 0,',
    '"repeated-bouts": { ...HARD,',
  ],
  ["nothing brisk in the heat", USUAL, "const brisk = hot ? 0 :", "const brisk = false ? 0 :"],
  ["what is for it alone", USUAL, 'details?.purposes.includes("cool-down") ?? false', "true"],
  ["the harder first", USUAL, "b.intensity - a.intensity", "a.intensity - b.intensity"],
  ["no longer than there is time", USUAL, "step.seconds > left ||", ""],
  ["known by its name, however written", SHELF, "byName.get(wordKey(drill.name))", "byName.get(drill.name)"],
  ["two of one name", SHELF, "if (inUse.length > 1)", "if (false)"],
  [
    "back on the shelf",
    SHELF,
    'known.archived ? (["archived"] as const) : []',
    "false ? ([] as never[]) : []",
  ],
  ["the one that is in use", SHELF, "inUse.length > 0 ? inUse : namesakes", "namesakes"],
  ["alternatives of another shelf", SHELF, "id !== null && !ids.has(id)", "false"],
  ["no circle", SHELF, "return fault ? {", "return false ? {"],
  [
    "breath is a part of a cool-down",
    USUAL,
    "Math.min(BREATH.seconds, rounded(whole * BREATH.share))",
    "BREATH.seconds",
  ],
];

/** The tests of a room stand under its name. */
const testsOf = (file) => {
  if (file === SHELF) return "core/test/formats/compareShelf";
  if (file === USUAL) return "core/test/coolDown/";
  return file === CALLS || file === CUES ? "core/test/run/(calls|cues)" : "core/test/group/";
};

export default {
  project: "core",
  tests: "core/test/(group|coolDown|run/calls|run/cues|formats/compareShelf)",
  runs: 60,
  mutants: mutants.map(([what, file, from, to]) => [what, file, from, to, testsOf(file)]),
};
