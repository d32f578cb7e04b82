import { unbroken } from "~/ui/unbroken";

const seen = (text: string) => unbroken(text).replaceAll("\u00a0", "_");

it.each([
  ["Everything fits, 7:16 min to spare", "Everything fits, 7:16_min to spare"],
  ["from 25 to 40 %, 3 sets of 5 reps", "from 25 to 40_%, 3_sets of 5_reps"],
  ["14:22, 12 °C, indoors", "14:22, 12_°C, indoors"],
  ["version 7 of this", "version 7 of this"],
  ["2 minutes before", "2 minutes before"],
])("%s", (text, as) => {
  expect(seen(text)).toBe(as);
});
