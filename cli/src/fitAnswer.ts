import { formatLength, formatMinus, pathText, spokenLength } from "@tonodrome/core";
import {
  type Explanation,
  explanationOf,
  type Fit,
  type FitFile,
  fitAt,
  fitTimeline,
  idleLine,
  profileAt,
  whyNot,
} from "@tonodrome/core/fitting";
import { tableText } from "./tableText";

/** A fitted plan as it is printed. All times in seconds; begins are from the start, negative. */
export interface FitAnswer {
  /** Whether every essential drill is in. */
  fits: boolean;
  state: Fit["state"];
  availableSeconds: number;
  beginSeconds: number;
  waitSeconds: number;
  /** How far that is over the longest wait tolerated; 0 when it is not. */
  waitOverSeconds: number;
  spareSeconds: number;
  missingSeconds: number;
  /** What keeps the essentials apart, where time alone does not; null when only time is missing, or nothing. */
  culprit: string | null;
  /** How long before the start it has to begin at the latest; null when it never fits. */
  lastMoments: { essentialsSeconds: number | null; fullSeconds: number | null };
  drills: {
    id: string;
    name: string;
    beginSeconds: number | null;
    seconds: number;
    verdict: string;
    dose: string;
    change: string | null;
    reason: string | null;
  }[];
  idle: { fromSeconds: number; toSeconds: number; why: string }[];
  /** What cannot be as the file asks for it: places that the day does not know, limits that cannot be kept. */
  remarks: { code: string; path: string; words: string }[];
}

/** Fits a file's plan. */
export function fitOf({ plan, context, availableSeconds }: FitFile): { fit: Fit; explanation: Explanation } {
  return {
    fit: fitAt(profileAt(plan, context, availableSeconds), availableSeconds),
    explanation: explanationOf(plan, context, availableSeconds),
  };
}

/** Fits a file's plan and says what became of it. */
export function fitAnswer(file: FitFile): FitAnswer {
  const { fit, explanation } = fitOf(file);
  const { given, culprit, needs, remarks } = explanation;
  const reasons = new Map(given.map((g) => [g.itemId, g]));
  return {
    fits: fit.state !== "short",
    state: fit.state,
    availableSeconds: fit.availableSeconds,
    beginSeconds: fit.beginSeconds,
    waitSeconds: fit.waitSeconds,
    waitOverSeconds: fit.waitOverSeconds,
    spareSeconds: fit.spareSeconds,
    missingSeconds: fit.missingSeconds,
    culprit: culprit?.line ?? null,
    lastMoments: momentsOf(needs),
    drills: fit.placements.map((p) => ({
      id: p.item.id,
      name: p.item.name,
      beginSeconds: p.level ? p.beginSeconds : null,
      seconds: p.spanSeconds,
      verdict: p.verdict,
      dose: p.level?.words ?? "",
      change: reasons.get(p.item.id)?.change ?? null,
      reason: reasons.get(p.item.id)?.reason ?? null,
    })),
    idle: idleOf(fit),
    remarks: remarks.map(({ code, where, words }) => ({ code, path: pathText(where), words })),
  };
}

/** Time between drills and before the start; none where there is no drill. */
function idleOf(fit: Fit): FitAnswer["idle"] {
  return fitTimeline(fit)
    .filter((s) => s.kind === "idle" && s.itemId !== "")
    .map((s) => ({ fromSeconds: s.fromSeconds, toSeconds: s.toSeconds, why: idleLine(s) }));
}

function momentsOf(needs: Explanation["needs"]): FitAnswer["lastMoments"] {
  const orNull = (seconds: number) => (Number.isFinite(seconds) ? seconds : null);
  return { essentialsSeconds: orNull(needs.essentials), fullSeconds: orNull(needs.full) };
}

/** The same as a table to be read. */
export function fitTableText(answer: FitAnswer): string {
  const rows = [
    ...answer.drills.map((d) => ({
      at: d.beginSeconds,
      cells: [
        d.beginSeconds === null ? "" : formatMinus(d.beginSeconds),
        d.beginSeconds === null ? "" : formatLength(d.seconds),
        d.name,
        d.beginSeconds === null ? "left out" : [d.dose, d.change].filter(Boolean).join(", "),
        d.reason ?? "",
      ],
    })),
  ];
  answer.idle.forEach((idle) => {
    const after = rows.findLastIndex((r) => r.at !== null && r.at < idle.fromSeconds + 1);
    const length = formatLength(idle.toSeconds - idle.fromSeconds);
    rows.splice(after + 1, 0, {
      at: idle.fromSeconds,
      cells: [formatMinus(idle.fromSeconds), length, `(${idle.why})`, "", ""],
    });
  });
  const head = ["begin", "takes", "drill", "dose", "why"];
  const lines = tableText([head, ...rows.map((r) => r.cells)], 2);
  const over =
    answer.waitOverSeconds > 0
      ? `, the wait ${spokenLength(answer.waitOverSeconds)} longer than tolerated`
      : "";
  const last = answer.fits
    ? `${answer.state}, ${formatLength(answer.spareSeconds)} spare${over}`
    : `does not fit: ${whyNot(answer, answer.culprit)}`;
  return [...lines, "", last, ...answer.remarks.map((r) => `${r.path}: ${r.words}`)].join("\n");
}
