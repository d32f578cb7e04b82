import { fitPlan } from "../../src/fit/fit";
import { fitTimeline } from "../../src/timeline/fitTimeline";
import { riseWords } from "../../src/timeline/riseWords";
import { drill, planOf } from "../made/generate";

const WAIT = { leastSeconds: 300, longestSeconds: 900 };

const words = (...items: Parameters<typeof planOf>[0]) =>
  riseWords(fitTimeline(fitPlan({ ...planOf(items), wait: WAIT }, 3600)));

describe("a rise in words", () => {
  it("says how much in how long, from where to where, and the wait", () => {
    const said = words(
      drill("Jog", { intensity: 20, phase: "raise" }),
      drill("Boots", { intensity: 0, phase: "kit" }),
      drill("Jumps", { intensity: 40, phase: "technical" }),
    );
    expect(said).toMatch(/^2 drills in [\d:]+ min, from 20 up to 40 %, then 5 min of wait$/);
  });

  it("says one effort once, one drill as one, and nothing as nothing", () => {
    expect(words(drill("Jog", { intensity: 20, phase: "raise" }))).toMatch(
      /^1 drill in [\d:]+ (min|s), at 20 %, then/,
    );
    expect(riseWords([])).toBe("Nothing is done");
    expect(words(drill("Boots", { intensity: 0, phase: "kit" }))).toBe("Nothing is done");
  });
});
