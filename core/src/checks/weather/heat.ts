import { heatBandOf, USUAL_HUMIDITY, wetBulbGlobe } from "../../conditions/heat";
import { atFloor } from "../../dose/atFloor";
import type { Mend } from "../../plan/finding";
import { check } from "../terms/check";
import type { Situation } from "../terms/situation";

/** Hot enough that something has to change. */
export const heat = check({
  code: "heat",
  name: "Heat",
  severity: "warn",
  when: "By air temperature and humidity it is hot: shade, drink, shorten, watch; in the top band the shortest version.",
  rests:
    "Wet-bulb globe temperature in the shade, simplified formula of the Australian Bureau of Meteorology; sun adds to it.",
  figures: {
    minutes: {
      value: 5,
      unit: "min",
      least: 0,
      most: 30,
      words: "Easy movement that is enough when it is hot",
    },
  },
  find: (situation, { minutes }) => {
    const { setting, doings } = situation;
    const band = heatBandOf(setting);
    if (band === "none" || setting.temperature === null || doings.length === 0) return [];
    const globe = Math.round(wetBulbGlobe(setting.temperature, setting.humidity ?? USUAL_HUMIDITY));
    const inSun = !setting.indoors && setting.sun !== "shade";
    const raise = doings.filter((d) => d.item.phase === "raise").reduce((sum, d) => sum + d.workSeconds, 0);
    const isLong = raise > minutes * 60;
    const lead = `Wet-bulb globe about ${globe} °C in the shade${inSun ? ", more in the sun" : ""}.`;
    const where = ["setting", "temperature"];
    if (band === "very-hot")
      return [
        {
          severity: "stop" as const,
          where,
          words: `${lead} The shortest version, in the shade, with cooling; ask the organiser and follow the venue's rule. Confusion or faintness: stop and get help.`,
          mends: [],
        },
      ];
    if (band === "warm" ? !inSun : !inSun && !isLong) return [];
    const words =
      band === "hot"
        ? `${lead} Shorten it, keep to the shade, cool and drink; watch for confusion.`
        : `${lead} Keep to the shade, and drink.`;
    return [{ where, words, mends: mendsOf(situation, band === "hot" && isLong, inSun) }];
  },
});

function mendsOf({ plan }: Situation, shorten: boolean, inSun: boolean): Mend[] {
  const shorter = plan.items
    .filter((i) => i.phase === "raise")
    .map((i) => ({ kind: "change" as const, itemId: i.id, change: { dose: atFloor(i.dose) } }));
  const shade = { kind: "setting" as const, change: { sun: "shade" as const } };
  const edits = [...(inSun ? [shade] : []), ...(shorten ? shorter : [])];
  const words = [inSun ? "in the shade" : "", shorten ? "easy movement at its shortest" : ""]
    .filter(Boolean)
    .join(", ");
  return edits.length > 0 ? [{ words: words.charAt(0).toUpperCase() + words.slice(1), edits }] : [];
}
