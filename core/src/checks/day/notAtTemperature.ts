import { formatMinus } from "../../time/clock";
import { check } from "../terms/check";
import { isOwn } from "../terms/doing";

/** Equipment that must come to the venue's temperature and is there too shortly before it is used. */
export const notAtTemperature = check({
  code: "not-at-the-venues-temperature",
  name: "Not at the venue's temperature",
  severity: "hint",
  when: "Equipment that must come to the venue's temperature is laid out too shortly before it is used.",
  rests: "Bows, strings, blades and balls behave as they are warm: they are laid out on arrival.",
  figures: {
    minutes: { value: 30, unit: "min", least: 5, most: 180, words: "At the venue before it is used" },
  },
  find: ({ plan, doings, fit }, { minutes }) => {
    const first = doings.find(isOwn);
    if (!first) return [];
    return plan.items.flatMap((item) => {
      if (item.phase !== "kit" || item.alreadyOn || !item.details?.flags.includes("venue-temperature"))
        return [];
      const placement = fit.placements.find((p) => p.item === item);
      const there = placement?.level ? first.fromSeconds - placement.beginSeconds : 0;
      if (there >= minutes * 60) return [];
      return [
        {
          itemId: item.id,
          words: `${item.name} is used at ${formatMinus(first.fromSeconds)} and must have been at the venue for ${minutes} min: lay it out on arrival.`,
          mends: [
            {
              words: "It is laid out",
              edits: [{ kind: "change", itemId: item.id, change: { alreadyOn: true } }],
            },
          ],
        },
      ];
    });
  },
});
