import { doseSchema } from "../../src/dose/dose";
import { noDetails } from "../../src/drill/details";
import { peopleFindings } from "../../src/plan/people";
import { drill } from "../made/generate";

const partner = { mode: "alternating" as const, changeoverSeconds: 0 };
const inTurn = drill("Throws in turn");
inTurn.dose = doseSchema.parse({ ...inTurn.dose, partner });
const inThree = drill("Three-man weave", { details: { ...noDetails(), people: 3 } });
const plan = [drill("Laps"), inTurn, inThree];

it("points out what needs somebody who is not there, and how it can be done alone", () => {
  const found = peopleFindings(plan, 0);
  expect(found.map((f) => [f.itemId, f.where[2]])).toEqual([
    [inTurn.id, 1],
    [inThree.id, 2],
  ]);
  expect(found[0]?.words).toBe("It takes somebody besides the athlete, and nobody is at hand on this start.");
  expect(found[0]?.mends).toEqual([
    {
      words: "Do it alone",
      edits: [
        expect.objectContaining({
          change: { dose: expect.not.objectContaining({ partner: expect.anything() }) },
        }),
      ],
    },
  ]);
  // Where the drill itself is for two, doing it alone is no way out.
  const both = { ...inTurn, details: { ...noDetails(), people: 2 } };
  expect(peopleFindings([both], 0)[0]?.mends).toEqual([]);
  expect(found[1]?.words).toContain("2 people besides the athlete");
  expect(found[1]?.mends).toEqual([]);
});

it("says nothing where enough are there, the rungs of a ladder among them", () => {
  expect(peopleFindings(plan, 2)).toEqual([]);
  expect(peopleFindings(plan, 1).map((f) => f.itemId)).toEqual([inThree.id]);
  const rung = {
    id: inTurn.id,
    label: "",
    intensity: 40,
    focus: "",
    restSeconds: 0,
    dose: inTurn.dose as never,
  };
  const ladder = drill("Ladder", { dose: { kind: "ladder", rungs: [rung], leastRungs: 1 } });
  const [finding] = peopleFindings([ladder], 0);
  expect(finding?.mends[0]?.edits[0]).toMatchObject({
    change: {
      dose: {
        kind: "ladder",
        rungs: [{ dose: expect.not.objectContaining({ partner: expect.anything() }) }],
      },
    },
  });
});
