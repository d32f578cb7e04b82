import type { BodyArea } from "../../words/bodyArea";
import { listOf } from "../../words/listOf";
import type { Choice } from "./choice";

/** How the reason of a drill that prepares an action of the event begins. */
export const PREPARES = "Prepares ";

/** Why a drill was chosen: it prepares actions of the event. */
export const prepares = (actions: readonly string[]): string => `${PREPARES}${listOf(actions)}.`;

/** It warms parts that are used, or only fills the time of its part. */
export const warms = (areas: readonly BodyArea[]): string =>
  areas.length > 0
    ? `Warms ${listOf(areas)}, which ${areas.length === 1 ? "is" : "are"} used.`
    : "Fills the time of this part with something of its purpose.";

/** It is easy movement. @param first whether it is a circuit that the approach begins with */
export const raisesWarmth = ({ drill }: Choice, first = false): string =>
  first && drill.dose.kind === "circuit"
    ? "A circuit straight away: it gives more a minute than jogging."
    : `Raises warmth at ${drill.intensity} %, slow enough to talk.`;

/** It stands between what is easy and the top. */
export const onTheWay = ({ to }: Choice, top: number): string => `At ${to} %, on the way to ${top} %.`;
