import { heldAt } from "../dose/atFloor";
import { noDetails } from "../drill/details";
import type { PlanItem } from "./plan";

/** Taking warm layers off at the end of the wait: a drill of no shelf. @param seconds that it takes */
export function layersOff(seconds: number): Omit<PlanItem, "id" | "drillId"> {
  return {
    name: "Warm layers off",
    phase: "kit",
    priority: "useful",
    intensity: 0,
    place: "",
    focus: "",
    calm: "quiet",
    dose: { kind: "time", seconds: heldAt(seconds), step: 5, sides: "one", changeoverSeconds: 0 },
    details: { ...noDetails(), purposes: ["kit"], flags: ["no-condition"] },
  };
}
