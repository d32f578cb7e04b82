/** What became of a step of a run so far. */
export type DrillOutcome = "pending" | "under-way" | "done" | "skipped";
