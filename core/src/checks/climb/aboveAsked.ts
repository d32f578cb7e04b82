import { check } from "../terms/check";
import { isWork } from "../terms/doing";

/** Harder than the event and the approach ask for. */
export const aboveAsked = check({
  code: "above-asked",
  name: "Above what is asked",
  severity: "warn",
  when: "A drill is harder than the event's level and what the approach adds to it.",
  rests: "How far a school goes above the event's level: the approach's own peak.",
  figures: {
    over: { value: 0, unit: "points", least: 0, most: 40, words: "So much more is let pass" },
  },
  find: ({ plan, event, approach, doings }, { over }) => {
    if (!event) return [];
    const most = Math.min(100, event.targetLevel + Math.max(0, approach?.peakPoints ?? 0) + over);
    const hard = plan.items.filter((item) =>
      doings.some((d) => isWork(d) && d.item === item && d.effort > most),
    );
    return hard.map((item) => {
      const { dose } = item;
      const change =
        dose.kind === "ladder"
          ? {
              intensity: Math.min(item.intensity, most),
              dose: {
                ...dose,
                rungs: dose.rungs.map((r) => ({ ...r, intensity: Math.min(r.intensity, most) })),
              },
            }
          : { intensity: most };
      return {
        itemId: item.id,
        words: `${item.name} goes above ${most} %, which is all that this event asks for.`,
        mends: [{ words: `Lower it to ${most} %`, edits: [{ kind: "change", itemId: item.id, change }] }],
      };
    });
  },
});
