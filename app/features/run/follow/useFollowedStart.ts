import { type RunState, whoMoved } from "@tonodrome/core";
import { useEffect, useRef } from "react";
import { useMay } from "~/data/account/account";
import { useMoveStart, useStart } from "~/data/resources/starts";
import type { KeptRun } from "~/data/runs/keptRun";
import { pressRun } from "~/data/runs/press";

/** How often it is asked where the start is, milliseconds: a change is told at once, unless that was missed. */
const EVERY = 5_000;

/**
 * Keeps a run and its start together: the start is moved elsewhere (Today, another phone) and the run notes when it learned
 * of it; it is moved in the run and the start itself follows, as soon as the server can be reached.
 */
export function useFollowedStart({ run, events }: KeptRun, { startsAt: here, status }: RunState): void {
  const start = useStart(run.startId ?? "", { every: EVERY });
  const move = useMoveStart();
  const mayRun = useMay("run");
  const heard = useRef<number | null>(null);
  const told = useRef<number | null>(null);
  const follows = mayRun && status !== "ended" && run.plan.kind !== "cool-down";
  const { data, dataUpdatedAt } = start;
  // What could not be told is told again when the server is heard from, not at once.
  // biome-ignore lint/correctness/useExhaustiveDependencies: whenever it moves here, or the server is heard from
  useEffect(() => {
    if (!follows || !data || move.isPending) return;
    const theirs = Date.parse(data.startsAt);
    const had = [Date.parse(run.plan.startsAt)];
    for (const e of events) if (e.kind === "start-moved") had.push(Date.parse(e.startsAt));
    const who = whoMoved({ theirs, here, heard: heard.current, told: told.current, had });
    heard.current = theirs;
    if (theirs === told.current) told.current = null;
    if (who === "there") pressRun(run.id, { kind: "start-moved", startsAt: data.startsAt });
    if (who === "here") {
      told.current = here;
      move.mutate({ start: data, startsAt: new Date(here).toISOString() });
    }
  }, [follows, here, dataUpdatedAt, move.isSuccess]);
}
