import { obstacleTo } from "../../plan/usable";
import { insteadOf } from "../mends/instead";
import { check } from "../terms/check";

/** A drill that needs room or equipment which is not there. */
export const notThere = check({
  code: "not-there",
  name: "No room, no equipment",
  severity: "warn",
  when: "A drill needs a kind of space or equipment that is not there on the day.",
  rests: "The start says what is there; where nothing is said, nothing is missing.",
  figures: {},
  find: (situation) =>
    situation.plan.items.flatMap((item) => {
      const nobody = { ...situation.circumstances, people: 99, age: null, protectedAreas: [] };
      const obstacle = obstacleTo(item, nobody);
      if (obstacle !== "space" && obstacle !== "equipment") return [];
      const needs = obstacle === "space" ? item.details?.space : item.details?.equipment.join(", ");
      return [
        {
          itemId: item.id,
          words: `${item.name} needs ${needs}, which is not there on this start.`,
          mends: insteadOf(situation, item),
        },
      ];
    }),
});
