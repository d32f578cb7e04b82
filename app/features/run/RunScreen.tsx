import { runState } from "@tonodrome/core";
import { useEffect } from "react";
import { View } from "react-native";
import { useRun, useStart } from "~/data/queries";
import { adoptRun, type KeptRun, pressRun, useKeptRun, useReachable } from "~/data/runStore";
import { Loaded } from "~/ui/Loading";
import { useTitle } from "~/ui/Screen";
import { RunLive } from "./RunLive";

/** A run: the one kept on this device, or else the server's, taken up here. */
export function RunScreen({ id }: { id: string }) {
  const kept = useKeptRun(id);
  const run = useRun(id, kept === null);
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
  const start = useStart(run.startId ?? "", { every: 5_000 });
  const state = runState(run.plan, events);
  const reachable = useReachable();
  const movedTo = start.data?.startsAt;

  // The start is moved elsewhere (Today, another phone); the run notes when it learned of it.
  useEffect(() => {
    if (movedTo && Date.parse(movedTo) !== state.startsAt && state.status !== "ended") {
      pressRun(run.id, { kind: "start-moved", startsAt: movedTo });
    }
  }, [movedTo, state.startsAt, state.status, run.id]);

  return (
    <RunLive
      run={run}
      state={state}
      trouble={
        kept.refused
          ? `Not in the log: ${kept.refused} It is kept on this device.`
          : reachable
            ? null
            : "No connection. Every press is kept here and sent later."
      }
    />
  );
}
