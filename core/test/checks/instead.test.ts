import { insteadOf } from "../../src/checks/mends/instead";
import { usualSetting } from "../../src/conditions/setting";
import { noDetails } from "../../src/drill/details";
import type { ShelfContent } from "../../src/plan/drillContent";
import { emptyPlan, type PlanItem } from "../../src/plan/plan";
import { circumstancesOn } from "../../src/plan/usable";
import { reps } from "../made/situations";

const id = (n: number) => `00000000-0000-4000-8000-${String(n).padStart(12, "0")}`;
const drill = (n: number, name: string, intensity: number): ShelfContent & { id: string } => ({
  ...{
    id: id(n),
    name,
    phase: "technical",
    priority: "useful",
    intensity,
    dose: reps(5),
    focus: "",
    place: "",
  },
  details: { ...noDetails(), purposes: ["technical"] },
});
const item = ({ id: drillId, ...content }: ReturnType<typeof drill>, k: number): PlanItem => ({
  ...content,
  id: id(100 + k),
  drillId,
});

/** A climb of 30, 48 and 66 % in steps of 20 points, whose middle cannot stay. */
const climb = [drill(1, "Roll", 30), drill(2, "Hop", 48), drill(3, "Leap", 66)].map(item);
const plan = { ...emptyPlan(), items: climb, stepPoints: 20 };
const wordsFor = (shelf: readonly ShelfContent[], of = climb[1] as PlanItem) =>
  insteadOf(
    {
      shelf,
      plan: { ...plan, items: plan.items.map((i) => (i.id === of.id ? of : i)) },
      circumstances: circumstancesOn(usualSetting(), null, null),
    },
    of,
  ).map((m) => m.words);

describe("what is done instead of a drill", () => {
  test("is as easy or easier, and leaves no step steeper", () => {
    // A little easier stands in the climb; much easier leaves too steep a step to the leap; harder is none.
    expect(wordsFor([drill(4, "Skip", 46), drill(5, "Sit", 20), drill(6, "Bound", 60)])[0]).toBe(
      "Skip instead",
    );
    expect(wordsFor([drill(5, "Sit", 20), drill(6, "Bound", 60)])).toEqual(["Leave out Hop"]);
  });

  test("is passed over by its links too where it would break the climb", () => {
    const hop = climb[1] as PlanItem;
    const linked = { ...hop, details: { ...noDetails(), purposes: ["technical" as const], easier: id(5) } };
    expect(wordsFor([drill(5, "Sit", 20), drill(4, "Skip", 46)], linked)[0]).toBe("Skip instead");
    expect(
      wordsFor([drill(7, "Step", 47), drill(4, "Skip", 46)], {
        ...linked,
        details: { ...linked.details, easier: id(4) },
      })[0],
    ).toBe("Skip instead");
  });
});
