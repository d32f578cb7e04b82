import { runState } from "@tonodrome/core";
import { useEffect, useMemo, useRef } from "react";
import { View } from "react-native";
import { useMay } from "~/data/account";
import { clockWords, useClockAhead } from "~/data/clock";
import { useRun, useSaveStart, useStart } from "~/data/queries";
import { adoptRun, type KeptRun, pressRun, useKeeps, useKeptRun, useLink } from "~/data/runStore";
import { movedStart } from "~/features/today/movedStart";
import { Loaded } from "~/ui/Loading";
import { useTitle } from "~/ui/Screen";
import { RunLive } from "./RunLive";

/** A run: the one kept on this device, with what other phones have pressed; or else the server's, taken up here. */
export function RunScreen({ id }: { id: string }) {
  const kept = useKeptRun(id);
  const run = useRun(id, kept === null || kept.created);
  useTitle("Run");
  useEffect(() => {
    if (run.data) adoptRun(run.data);
  }, [run.data]);
  return (
    <View className="min-h-0 flex-1" role="main">
      {kept ? <Live kept={kept} /> : <Loaded query={run}>{() => null}</Loaded>}
    </View>
  );
}

function Live({ kept }: { kept: KeptRun }) {
  const { run, events } = kept;
  const state = useMemo(() => runState(run.plan, events), [run.plan, events]);
  const mayRun = useMay("run");
  useFollowedStart(run, state.startsAt, mayRun ? state.status : "ended");
  const ahead = useClockAhead();
  useNotedClock(run.id, mayRun ? ahead : state.clockAhead, state.clockAhead);
  return <RunLive run={run} state={state} trouble={useTrouble(kept, ahead)} />;
}

/** What is wrong, in one line: what matters most. */
function useTrouble({ refused }: KeptRun, ahead: number): string | null {
  const link = useLink();
  const keeps = useKeeps();
  if (refused) return `Not in the log: ${refused} It is kept on this device.`;
  if (!keeps)
    return link === "reached"
      ? "This device has no room to keep the log. Every press still goes to the server."
      : "This device has no room to keep the log, and there is no connection. Do not close this page.";
  if (link === "unreachable") return "No connection. Every press is kept here and sent later.";
  if (link === "troubled") return "The server has trouble. Every press is kept here and sent later.";
  return clockWords(ahead);
}

/**
 * The start is moved elsewhere (Today, another phone) and the run notes when it learned of it; it is moved here and the
 * start itself follows, as soon as the server can be reached.
 */
function useFollowedStart(run: KeptRun["run"], startsAt: number, status: string): void {
  const start = useStart(run.startId ?? "", { every: 5_000 });
  const save = useSaveStart();
  const mayMove = useMay("build");
  const theirs = start.data ? Date.parse(start.data.startsAt) : null;
  const heard = useRef<number | null>(null);
  useEffect(() => {
    if (theirs === null || status === "ended" || run.plan.kind === "cool-down") return;
    const before = heard.current ?? Date.parse(run.plan.startsAt);
    if (theirs !== before && theirs !== startsAt)
      pressRun(run.id, { kind: "start-moved", startsAt: new Date(theirs).toISOString() });
    heard.current = theirs;
  }, [theirs, startsAt, status, run]);
  const { data } = start;
  // biome-ignore lint/correctness/useExhaustiveDependencies: saved once for each time it is moved here
  useEffect(() => {
    if (!mayMove || !data || status === "ended" || run.plan.kind === "cool-down" || save.isPending) return;
    if (theirs === startsAt || heard.current !== theirs) return;
    save.mutate({ start: data, changes: movedStart(data, startsAt) });
  }, [startsAt, theirs, start.dataUpdatedAt]);
}

/** A clock that was found wrong is noted in the log, once for each time it is found so. */
function useNotedClock(id: string, ahead: number, noted: number): void {
  useEffect(() => {
    if (Math.abs(ahead - noted) > 5) pressRun(id, { kind: "clock", aheadSeconds: ahead });
  }, [id, ahead, noted]);
}
