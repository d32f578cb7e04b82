import { type RunState, runClock } from "@tonodrome/core";
import { useRouter } from "expo-router";
import { useState } from "react";
import { View } from "react-native";
import { type KeptRun, pressRun } from "~/data/runStore";
import { Button } from "~/ui/Button";
import { KeysHelp } from "~/ui/KeysHelp";
import { Sheet } from "~/ui/Sheet";
import { useKeys } from "~/ui/useKeys";
import { useNow } from "~/ui/useNow";
import { type Presses, RunFace } from "./RunFace";

interface RunLiveProps {
  run: KeptRun["run"];
  state: RunState;
  /** What is wrong with keeping the log, if anything. */
  trouble: string | null;
}

const MORE = 30;

const KEYS = [
  ["Enter", "Begin, then done"],
  ["Space", "Hold, and go on"],
  ["+", "30 s more"],
  ["x", "Skip"],
  ["u", "Undo"],
  ["e", "End the run"],
  ["?", "These keys"],
] as const;

/** The running screen: it fills with ink as the drill elapses, and every word is cut at the ink's edge. */
export function RunLive({ run, state, trouble }: RunLiveProps) {
  const router = useRouter();
  const now = useNow();
  const [sheet, setSheet] = useState<"end" | "keys" | null>(null);
  const clock = runClock(run.plan, state, now);
  const { id } = run;
  const isHeld = state.heldSince !== null;

  const presses: Presses = {
    begin: () => pressRun(id, { kind: "begin" }),
    done: () => pressRun(id, { kind: "done" }),
    skip: () => pressRun(id, { kind: "skip" }),
    more: () => pressRun(id, { kind: "extend", seconds: MORE }),
    hold: () => pressRun(id, { kind: isHeld ? "release" : "hold" }),
    undo: state.undoable ? () => pressRun(id, { kind: "undo", undoes: state.undoable?.id ?? "" }) : null,
    end: () => setSheet("end"),
    log: () => router.replace(`/log/${id}`),
    leave: () => (router.canGoBack() ? router.back() : router.replace("/")),
  };
  const running = state.status === "under-way";
  useKeys({
    enter: state.status === "ready" ? presses.begin : running ? presses.done : () => {},
    " ": running ? presses.hold : () => {},
    "+": running ? presses.more : () => {},
    x: running ? presses.skip : () => {},
    u: presses.undo ?? (() => {}),
    e: presses.end,
    "?": () => setSheet("keys"),
  });

  const face = { run, state, clock, trouble };
  const risen = `${(running ? clock.filled : state.status === "ready" ? 0 : 1) * 100}%` as const;
  return (
    <View className="min-h-0 flex-1 overflow-hidden">
      <RunFace {...face} presses={presses} ground="paper" />
      <View
        className="rise absolute inset-x-0 bottom-0 overflow-hidden bg-fill"
        style={{ height: risen, pointerEvents: "none" }}
        aria-hidden
        testID="ink"
      >
        <View className="absolute inset-x-0 bottom-0 h-dvh">
          <RunFace {...face} presses={presses} ground="ink" />
        </View>
      </View>
      {sheet === "end" ? (
        <Sheet title="End this run?" onClose={() => setSheet(null)}>
          <Button
            label="End and keep it in the log"
            look="full"
            onPress={() => {
              pressRun(id, { kind: "end" });
              router.replace(`/log/${id}`);
            }}
          />
          <Button label="Go on" onPress={() => setSheet(null)} />
        </Sheet>
      ) : null}
      {sheet === "keys" ? (
        <Sheet title="Keys" onClose={() => setSheet(null)}>
          <KeysHelp keys={KEYS} />
        </Sheet>
      ) : null}
    </View>
  );
}
