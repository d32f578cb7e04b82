import { cutText } from "../../words/cutText";
import { LONGEST_NOTE } from "../../words/text";
import { check } from "../terms/check";

/** Technical work without one thing to attend to. */
export const nothingToAttend = check({
  code: "nothing-to-attend-to",
  name: "No focus",
  severity: "hint",
  when: "A technical drill or rung has no focus.",
  rests: "Coaches give each step one thing to attend to: a position, a rhythm, a sound, a point of contact.",
  figures: {},
  find: ({ plan, doings }) =>
    plan.items.flatMap((item) => {
      const bare = doings.some((d) => d.item === item && item.phase === "technical" && d.focus.trim() === "");
      if (!bare) return [];
      const { feel = "", listen = "", see = "" } = item.details?.cues ?? {};
      const cue = feel || listen || see;
      return [
        {
          itemId: item.id,
          words: `${item.name} has no focus.`,
          mends: cue
            ? [
                {
                  words: `“${cutText(cue, 40)}”`,
                  edits: [{ kind: "change", itemId: item.id, change: { focus: cutText(cue, LONGEST_NOTE) } }],
                },
              ]
            : [],
        },
      ];
    }),
});
