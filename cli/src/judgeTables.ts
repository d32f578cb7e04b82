import { formatMinus, MINUTE_SECONDS } from "@tonodrome/core";
import { type FindingAnswer, type ForecastAnswer, LANES } from "@tonodrome/core/judge-answers";
import { tableText } from "./tableText";

/** The forecast as a table to be read. */
export function forecastTableText({
  sentence,
  atStart,
  delays,
  bestWait,
  unknown,
  note,
}: ForecastAnswer): string {
  const rows = [
    ["start", ...LANES],
    ["on time", ...LANES.map((lane) => atStart[lane].word)],
    ...delays.map((d) => [formatMinus(d.delaySeconds), ...LANES.map((lane) => d[lane].word)]),
  ];
  const lines = tableText(rows);
  const wait = bestWait
    ? `The wait that suits it best: ${Math.round(bestWait.fromSeconds / MINUTE_SECONDS)} to ${Math.round(bestWait.toSeconds / MINUTE_SECONDS)} min.`
    : "";
  const topUps = delays.flatMap((d) =>
    d.topUp ? [`Late by ${d.delaySeconds / MINUTE_SECONDS} min: ${d.topUp.words}`] : [],
  );
  return [sentence, "", ...lines, "", wait, ...topUps, ...unknown, note]
    .filter((l, i) => l !== "" || i < 9)
    .join("\n");
}

/** The same as lines to be read. */
export function checkTableText(findings: readonly FindingAnswer[]): string {
  if (findings.length === 0) return "Nothing to say against it.";
  return findings
    .map(({ severity, code, path, words, mends }) =>
      [`${severity}: ${path}: ${words} (${code})`, ...mends.map((m) => `    ${m}`)].join("\n"),
    )
    .join("\n");
}
