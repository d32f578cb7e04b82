import { PLAIN_KINDS } from "../../src/dose/kinds/list";
import { firstDose } from "../../src/dose/kinds/plainDose";
import { withLengths } from "../../src/dose/kinds/withLengths";
import { nudgeDose } from "../../src/dose/nudgeDose";
import { withKind } from "../../src/dose/withKind";
import { changeItem } from "../../src/plan/edit/changeItems";
import { mergePlans } from "../../src/plan/edit/mergePlans";
import { planBodySchema } from "../../src/plan/plan";
import { leavingOut } from "../../src/words/tolerant";
import { drill, planOf } from "../made/generate";
import { anyId } from "../made/ids";
import { withMore } from "../made/withMore";

/** What a press does to something that a later release says more of is what it does otherwise. */

const kinds = Object.keys(PLAIN_KINDS) as (keyof typeof PLAIN_KINDS)[];

it.each(kinds)("more of a dose, and another kind: %s", (kind) => {
  const dose = firstDose(kind);
  expect(nudgeDose(withMore(dose), 1)).toMatchObject(nudgeDose(dose, 1));
  const sided = { ...firstDose("time"), sides: "both" as const };
  expect(withKind(withMore(sided), kind)).toMatchObject(withKind(sided, kind));
  const lengths = { floor: 60, ideal: 120, ceiling: 180 };
  expect(withLengths(withMore(dose), lengths)).toMatchObject(withLengths(dose, lengths));
});

it("two edits of one plan are put together", () => {
  const base = planOf([drill("Laps", { id: anyId() }), drill("Axel", { id: anyId() })]);
  const [laps, axel] = base.items.map(({ id }) => id) as [string, string];
  const [mine, theirs] = [
    changeItem(base, laps, { focus: "Tall" }),
    changeItem(base, axel, { place: "Rink" }),
  ];
  const { body, meetings } = mergePlans(withMore(base), withMore(mine), withMore(theirs), "mine");
  expect(meetings).toEqual([]);
  expect(body).toMatchObject(mergePlans(base, mine, theirs, "mine").body);
  // What is sent is without it.
  expect(planBodySchema.safeParse(body).success).toBe(false);
  expect(planBodySchema.safeParse(leavingOut(planBodySchema).parse(body)).success).toBe(true);
});
