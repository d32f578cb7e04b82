import { EASY_SESSION, sessionKindOf } from "../../conditions/sessionKind";
import { spokenLength } from "../../time/clock";
import { check } from "../terms/check";
import { isWork } from "../terms/doing";
import { EASY_TARGET } from "../terms/event";

/** A formal warm-up before something that is easy itself. */
export const notNeeded = check({
  code: "not-needed",
  name: "Not needed",
  severity: "hint",
  when: "A formal warm-up goes before an easy session.",
  rests: "Coaches just begin gently where the session is easy.",
  figures: {
    minutes: { value: 10, unit: "min", least: 3, most: 40, words: "Work beyond which it is a formal one" },
  },
  find: ({ plan, doings, event, setting }, { minutes }) => {
    const isEasy = sessionKindOf(setting) === "easy";
    if (!isEasy && (!event || event.targetLevel > EASY_TARGET)) return [];
    const seconds = doings.filter(isWork).reduce((sum, d) => sum + d.toSeconds - d.fromSeconds, 0);
    if (seconds <= minutes * 60) return [];
    const formal = plan.items.filter((i) => i.phase === "mobilise" || i.phase === "prime");
    return [
      {
        words: isEasy
          ? `${spokenLength(seconds)} before an easy session. ${EASY_SESSION}`
          : `${spokenLength(seconds)} before something easy (${event?.targetLevel} %): beginning it gently is enough.`,
        mends:
          formal.length > 0
            ? [{ words: "Begin gently", edits: formal.map((i) => ({ kind: "remove", itemId: i.id })) }]
            : [],
      },
    ];
  },
});
