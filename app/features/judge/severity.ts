import type { Finding } from "@tonodrome/core";

/** How grave a finding is, in the one word that stands beside it. */
export const SEVERITY_WORDS: Record<Finding["severity"], string> = {
  stop: "Stop",
  warn: "Look at",
  hint: "A thought",
};

/** "1 stop, 3 to look at", or that there is nothing. @param open findings that nobody has set aside */
export function toLookAt(open: readonly Pick<Finding, "severity">[]): string {
  const stops = open.filter((f) => f.severity === "stop").length;
  const others = open.length - stops;
  const parts = [
    stops > 0 ? `${stops} ${stops === 1 ? "stop" : "stops"}` : "",
    others > 0 ? `${others} to look at` : "",
  ];
  return parts.filter(Boolean).join(", ") || "nothing to look at";
}
