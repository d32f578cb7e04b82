import { useEffect } from "react";
import { View } from "react-native";
import { useMay } from "~/data/account/useAccount";
import { clockWords } from "~/data/client/clock";
import { useClockAhead } from "~/data/client/useClock";
import { checkKeptRuns } from "~/data/runs/checkKeptRuns";
import { isFollowed, type KeptRun } from "~/data/runs/keptRun";
import { pressRun } from "~/data/runs/press";
import { stateOf } from "~/data/runs/stateOf";
import { useFollowedRun } from "~/data/runs/useFollowedRun";
import { useKeeps, useKeptAbout, useKeptRun, useLink, useOtherRuns } from "~/data/runs/useRuns";
import { Loaded } from "~/ui/layout/Loading";
import { useTitle } from "~/ui/layout/Screen";
import { useRunSettings } from "./device/runSettings";
import { FollowedStart } from "./follow/FollowedStart";
import { simulatedOrderOf } from "./follow/simulatedOrder";
import { useRunningOrder } from "./follow/useRunningOrder";
import { RunLive, type RunLiveProps } from "./RunLive";
import { useTopUpShelf } from "./refit/useTopUpShelf";

/**
 * So many runs beside the one shown follow their starts, the next ones. A browser opens six connections to a server, and
 * each running order that is followed holds one.
 */
const BESIDE = 3;

checkKeptRuns();

/** A run: the one kept on this device, with what other phones have pressed; or else the server's, taken up here. */
export function RunScreen({ id }: { id: string }) {
  const here = useKeptAbout(id);
  const theirs = useFollowedRun(id, here === null || here.isCreated);
  useTitle("Run");
  const others = useOtherRuns(id).slice(0, BESIDE);
  return (
    <View className="min-h-0 flex-1" role="main">
      {others.map((other) => (
        <Beside key={other.run.id} kept={other} />
      ))}
      {here ? <Here run={here.run} /> : <Loaded query={theirs}>{() => null}</Loaded>}
    </View>
  );
}

/** What is read for a run besides its presses stays as it is while it is pressed. */
function Here({ run }: Pick<KeptRun, "run">) {
  return <Live id={run.id} shelf={useTopUpShelf(run)} />;
}

function Live({ id, shelf }: { id: string } & Pick<RunLiveProps, "shelf">) {
  const kept = useKeptRun(id);
  return kept ? <LiveRun kept={kept} shelf={shelf} /> : null;
}

function LiveRun({ kept, shelf }: { kept: KeptRun } & Pick<RunLiveProps, "shelf">) {
  const { run } = kept;
  const state = stateOf(kept);
  const mayRun = useMay("run");
  const follows = isFollowed(kept);
  const ahead = useClockAhead();
  useNotedClock(run.id, mayRun && !follows ? ahead : state.clockAhead, state.clockAhead);
  const trouble = useTrouble(kept, ahead);
  return (
    <>
      <FollowedStart kept={kept} state={state} />
      <RunLive run={run} state={state} shelf={shelf} follows={follows} trouble={trouble} />
    </>
  );
}

/** Another run under way on this device, which is not shown: it goes on following its start. */
function Beside({ kept }: { kept: KeptRun }) {
  const state = stateOf(kept);
  const mayRun = useMay("run");
  const { followsOrder } = useRunSettings();
  useRunningOrder(simulatedOrderOf, kept.run, state, followsOrder && mayRun && !isFollowed(kept));
  return <FollowedStart kept={kept} state={state} />;
}

/** What is wrong, in one line: what matters most. */
function useTrouble({ refused, setAside }: KeptRun, ahead: number): string | null {
  const link = useLink();
  const keeps = useKeeps();
  if (refused) return `Not in the log: ${refused} It is kept on this device.`;
  if (setAside.length > 0)
    return `${setAside.length === 1 ? "One press" : `${setAside.length} presses`} could not be recorded and ${setAside.length === 1 ? "does" : "do"} not count. The run goes on.`;
  if (!keeps)
    return link === "reached"
      ? "This device has no room to keep the log. Every press still goes to the server."
      : "This device has no room to keep the log, and there is no connection. Do not close this page.";
  if (link === "unreachable") return "No connection. Every press is kept here and sent later.";
  if (link === "troubled") return "The server has trouble. Every press is kept here and sent later.";
  return clockWords(ahead);
}

/** A clock that was found wrong is noted in the log, once for each time it is found so. */
function useNotedClock(id: string, ahead: number, noted: number): void {
  useEffect(() => {
    if (Math.abs(ahead - noted) > 5) pressRun(id, { kind: "clock", aheadSeconds: ahead });
  }, [id, ahead, noted]);
}
