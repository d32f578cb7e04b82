import { GENERAL, SPORTS } from "./starters";

const all = [...GENERAL, ...SPORTS.flatMap((s) => s.own)].filter((d) => d.phase !== "kit");
const loadsOf = (d: (typeof all)[number]) => d.details?.loads ?? [];
const named = (words: RegExp) => all.filter((d) => words.test(d.name)).map((d) => [d.name, d] as const);

/** Said of drills that only act it out. */
const WITHOUT_FLIGHT = /^(Walk through|Hard entries without)/;

describe("what loads a part says so, so that a protected part is not loaded", () => {
  it.each(
    named(
      /\b(jumps?|hops?|landings?|somersaults?|bounces?|skips|skipping|snap-downs|hurdle|one and a half|routine)\b/i,
    ).filter(([name]) => !WITHOUT_FLIGHT.test(name)),
  )("flight and landing load knee and ankle: %s", (_, drill) => {
    expect(loadsOf(drill)).toEqual(expect.arrayContaining(["knee", "ankle"]));
  });

  it.each(named(/\b(lunges?|running attack|bouts?)\b/i))("a lunge loads the knee: %s", (_, drill) => {
    expect(loadsOf(drill)).toContain("knee");
  });

  it.each(named(/\b(handstands?|handspring|cartwheels?|round-off|walkover|front support|tuck supports)\b/i))(
    "weight on the hands loads the wrist: %s",
    (_, drill) => {
      expect(loadsOf(drill)).toContain("wrist");
    },
  );

  it.each(named(/\b(flop|take-off pops|scissors|rebounds?|leaps)\b/i))(
    "who springs off one foot or two lands: %s",
    (_, drill) => {
      expect(loadsOf(drill)).toEqual(expect.arrayContaining(["knee", "ankle"]));
    },
  );

  const struck = SPORTS.filter((s) => s.key === "golf" || s.key === "table-tennis").flatMap((s) => s.own);
  it.each(
    struck
      .filter((d) => d.phase === "technical" && d.intensity >= 28)
      .filter((d) => !/\bshadow\b/i.test(d.name))
      .map((d) => [d.name, d] as const),
  )("a ball struck harder than a putt loads shoulder and elbow: %s", (_, drill) => {
    expect(loadsOf(drill)).toEqual(expect.arrayContaining(["shoulder", "elbow"]));
  });

  const forms = SPORTS.find((s) => s.key === "karate-forms")?.own ?? [];
  it.each(
    forms
      .filter((d) => d.phase === "technical" && /\b(kick|stances?|section)\b/i.test(d.name))
      .map((d) => [d.name, d] as const),
  )("a kick and a deep stance load the knee: %s", (_, drill) => {
    expect(loadsOf(drill)).toContain("knee");
  });

  const aiming = SPORTS.filter((s) => s.key === "archery" || s.key === "fencing").flatMap((s) => s.own);
  it.each(
    aiming
      .filter((d) => d.phase === "technical" || d.phase === "prime")
      .filter((d) =>
        /\b(draws?|boss|clicker|hits?|parries|parry|riposte|gold|face|tape line|rings|sight)\b/i.test(d.name),
      )
      .map((d) => [d.name, d] as const),
  )("a draw, a hit or a parry loads shoulder and elbow: %s", (_, drill) => {
    expect(loadsOf(drill)).toEqual(expect.arrayContaining(["shoulder", "elbow"]));
  });
});

describe.each(SPORTS.map((s) => [s.key, s] as const))("%s", (_, { own, event }) => {
  it("has an event whose actions its drills prepare, whose parts are warmed, and whose places its drills are done at", () => {
    const prepared = new Set(own.flatMap((d) => d.details?.actions ?? []));
    expect(event.actions.filter((a) => !prepared.has(a))).toEqual([]);
    const warmed = new Set([...GENERAL, ...own].flatMap((d) => d.details?.areas ?? []));
    expect(event.areas.filter((a) => !warmed.has(a))).toEqual([]);
    const places = new Set(own.map((d) => d.place));
    expect(event.places.filter((p) => !places.has(p))).toEqual([]);
  });

  it("has something easy of its own to begin with, and kit that says what it takes", () => {
    expect(own.some((d) => d.phase === "technical" && d.intensity <= 25)).toBe(true);
    expect(own.some((d) => d.phase === "kit" && d.priority === "essential")).toBe(true);
  });
});
