import { listOf } from "../../words/listOf";
import { wordKey } from "../../words/sameWord";
import { check } from "../terms/check";

/** Kit that nobody has checked, and the start is near. */
export const kitNotChecked = check({
  code: "kit-not-checked",
  name: "Kit not checked",
  severity: "warn",
  when: "Kit of the event is not ticked and the start is near.",
  rests:
    "Checked on arrival: fastenings, tape, grips, spare items, everything in its place before the clock starts.",
  figures: {
    minutes: { value: 60, unit: "min", least: 5, most: 300, words: "Before the start" },
  },
  find: ({ event, setting, untilStart }, { minutes }) => {
    if (!event || untilStart === null || untilStart > minutes * 60 || untilStart <= 0) return [];
    const ready = new Set(setting.kitReady.map(wordKey));
    const open = event.kit.filter((k) => !ready.has(wordKey(k)));
    if (open.length === 0) return [];
    return [
      {
        where: ["setting", "kitReady"],
        words: `Not checked yet: ${listOf(open.slice(0, 4))}${open.length > 4 ? ` and ${open.length - 4} more` : ""}.`,
        mends: [
          { words: "All of it is there", edits: [{ kind: "setting", change: { kitReady: [...event.kit] } }] },
        ],
      },
    ];
  },
});
