import { listOf } from "../../words/listOf";
import { wordKey } from "../../words/sameWord";
import { check } from "../terms/check";

/** A window that is too small for what is planned in it. */
export const windowTooSmall = check({
  code: "window-too-small",
  name: "Window too small",
  severity: "warn",
  when: "A place is open for too short a time for the drills planned there.",
  rests: "The exact fit, with the windows as they are.",
  figures: {},
  find: ({ fit, context }) =>
    context.places.flatMap((place, i) => {
      if (place.windows.length === 0) return [];
      const open = place.windows.reduce(
        (sum, w) => sum + Math.min(0, w.toSeconds) - Math.min(0, w.fromSeconds),
        0,
      );
      const here = fit.placements.filter((p) => wordKey(p.item.place) === wordKey(place.name));
      const out = here.filter((p) => p.verdict === "left-out" && p.item.priority !== "extra");
      const wanted = here.reduce((sum, p) => sum + p.ideal.seconds, 0);
      if (out.length === 0 || wanted <= open) return [];
      const names = out.map((p) => p.item.name);
      return [
        {
          where: ["context", "places", i, "windows"],
          itemId: out[0]?.item.id,
          words: `${place.name} is not open long enough for ${listOf(names.slice(0, 3))}${names.length > 3 ? ` and ${names.length - 3} more` : ""}: say what matters most there, or do it elsewhere.`,
          mends: out.slice(0, 1).map(({ item }) => ({
            words: `${item.name} anywhere`,
            edits: [{ kind: "change" as const, itemId: item.id, change: { place: "" } }],
          })),
        },
      ];
    }),
});
