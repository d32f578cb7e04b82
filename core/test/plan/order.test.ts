import { MOST_FREE, orderFault, withoutBrokenPairs } from "../../src/plan/order";
import { planBodySchema } from "../../src/plan/plan";
import { drill } from "../made/generate";

const [a, b, c] = ["a", "b", "c"].map((n) => drill(n)) as [
  ReturnType<typeof drill>,
  ReturnType<typeof drill>,
  ReturnType<typeof drill>,
];

it("takes a pair whose leader stands before, or may", () => {
  expect(orderFault([a, { ...b, after: a.id }])).toBeNull();
  expect(orderFault([{ ...a, after: b.id, free: true }, b])).toBeNull();
});

it.each([
  ["a leader that comes later", [{ ...a, after: b.id }, b], 0, "comes later"],
  [
    "a leader in another part",
    [{ ...a, after: c.id, free: true as const }, b, { ...c, phase: "prime" as const }],
    0,
    "comes later",
  ],
  ["a leader that is not there", [{ ...a, after: c.id }, b], 0, "not in the plan"],
  ["itself", [{ ...a, after: a.id }], 0, "cannot follow itself"],
  [
    "each other",
    [
      { ...a, after: b.id, free: true as const },
      { ...b, after: a.id },
    ],
    0,
    "each follow the other",
  ],
])("refuses %s", (_, items, index, words) => {
  expect(orderFault(items)).toMatchObject({
    path: [index, "after"],
    message: expect.stringContaining(words),
  });
});

it("refuses more free drills in one part than can be tried in every order", () => {
  const many = Array.from({ length: MOST_FREE + 1 }, (_, i) => drill(`n${i}`, { free: true }));
  expect(orderFault(many)).toMatchObject({ path: [MOST_FREE, "free"] });
  expect(orderFault(many.map((d, i) => (i === 3 ? { ...d, phase: "kit" as const } : d)))).toBeNull();
});

it("takes out what no longer holds, and leaves the list alone where all does", () => {
  const kept = [a, { ...b, after: a.id }];
  expect(withoutBrokenPairs(kept)).toBe(kept);
  expect(withoutBrokenPairs([{ ...b, after: a.id }, a])).toEqual([b, a]);
});

it("is said of a plan with the path of the drill", () => {
  const plan = {
    items: [a, { ...b, after: c.id }],
    wait: { leastSeconds: 0, longestSeconds: 60 },
    stepPoints: 20,
  };
  expect(planBodySchema.safeParse(plan).error?.issues[0]?.path).toEqual(["items", 1, "after"]);
});
