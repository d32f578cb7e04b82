import { check } from "../terms/check";

/** Wet out of doors. */
export const wet = check({
  code: "wet",
  name: "Wet",
  severity: "warn",
  when: "It is wet out of doors and nothing dry and warm is there.",
  rests: "Wet clothes cool half as fast again (heat transfer; an assumption), and floors are slippery.",
  figures: {},
  find: ({ setting, doings }) => {
    if (setting.indoors || !setting.wet || setting.layers === true || doings.length === 0) return [];
    return [
      {
        where: ["setting", "wet"],
        words: "Wet out of doors: dry layers for the wait, a dry floor for anything fast.",
        mends: [{ words: "Dry layers are there", edits: [{ kind: "setting", change: { layers: true } }] }],
      },
    ];
  },
});
