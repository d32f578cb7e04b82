import { heldAt } from "../../dose/atFloor";
import { sideCount } from "../../dose/terms/sides";
import type { Mend } from "../../plan/finding";
import { formatLength, formatMinus } from "../../time/clock";
import { check } from "../terms/check";
import type { Doing } from "../terms/doing";
import type { Situation } from "../terms/situation";

/** A long static hold so late that it still costs at the start. */
export const longHoldLate = check({
  code: "long-hold-late",
  name: "Long hold late",
  severity: "warn",
  when: "A long static hold ends shortly before the start.",
  rests:
    "Held stretches of a minute and more cost some 5 % of explosive work for about a quarter of an hour (reviews of static stretching).",
  figures: {
    seconds: { value: 60, unit: "s", least: 10, most: 300, words: "Held for so long on a side" },
    minutes: { value: 15, unit: "min", least: 1, most: 60, words: "Before the start" },
    shorter: { value: 20, unit: "s", least: 5, most: 60, words: "Shortened to" },
  },
  find: (situation, { seconds, minutes, shorter }) =>
    situation.doings.flatMap((doing) => {
      if (!doing.item.details?.flags.includes("static-hold") || doing.toSeconds < -minutes * 60) return [];
      const sides = "sides" in doing.item.dose ? sideCount(doing.item.dose.sides) : 1;
      const held = doing.workSeconds / sides;
      if (held < seconds) return [];
      return [
        {
          itemId: doing.item.id,
          words: `${doing.name} is held for ${formatLength(held)} on a side until ${formatMinus(doing.toSeconds)}: so late it still costs at the start.`,
          mends: mendsOf(situation, doing, shorter),
        },
      ];
    }),
});

function mendsOf({ plan }: Situation, { item }: Doing, shorter: number): Mend[] {
  const { dose } = item;
  const first = plan.items.find((i) => i.id !== item.id && i.phase !== "kit" && i.phase !== "raise");
  return [
    ...(dose.kind === "time"
      ? [
          {
            words: `Hold it for ${shorter} s`,
            edits: [
              {
                kind: "change" as const,
                itemId: item.id,
                change: { dose: { ...dose, seconds: heldAt(shorter) } },
              },
            ],
          },
        ]
      : []),
    ...(first
      ? [
          {
            words: "To the early part",
            edits: [
              { kind: "move" as const, itemId: item.id, before: first.id },
              { kind: "change" as const, itemId: item.id, change: { phase: "mobilise" as const } },
            ],
          },
        ]
      : []),
    { words: "Leave it out", edits: [{ kind: "remove", itemId: item.id }] },
  ];
}
