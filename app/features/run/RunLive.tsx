import { breathAt, groupStand, type RunState, runClock, waitPrompt } from "@tonodrome/core";
import { useRouter } from "expo-router";
import { useEffect, useMemo, useRef, useState } from "react";
import { useMay } from "~/data/account/account";
import { timeNow } from "~/data/client/clock";
import { useNow } from "~/data/client/useNow";
import { useOpenRuns } from "~/data/runs/hooks";
import { isFollowed, type KeptRun } from "~/data/runs/keptRun";
import { takeRun } from "~/data/runs/press";
import { Button } from "~/ui/Button";
import { useKeys } from "~/ui/hooks/useKeys";
import { useStable } from "~/ui/hooks/useStable";
import { useWide } from "~/ui/hooks/useWide";
import { KeysHelp } from "~/ui/layout/KeysHelp";
import { Sheet } from "~/ui/layout/Sheet";
import { words } from "~/ui/words";
import { AfterRun } from "./AfterRun";
import { useRunSettings } from "./device/runSettings";
import { useWakeLock } from "./device/useWakeLock";
import { type FaceModel, inkOf, isBreathing } from "./faces/faceModel";
import { RunFace, type RunFaceProps } from "./faces/RunFace";
import { FollowBar } from "./follow/FollowBar";
import { simulatedOrderOf } from "./follow/simulatedOrder";
import { simulatedPulse } from "./follow/simulatedPulse";
import { usePulse } from "./follow/usePulse";
import { useRunningOrder } from "./follow/useRunningOrder";
import { GroupSheet } from "./group/GroupSheet";
import { useRunForecast } from "./judge/useRunForecast";
import { useAutomatics } from "./presses/useAutomatics";
import { usePresses } from "./presses/usePresses";
import { type MenuPlace, RunMenu } from "./RunMenu";
import { RunStrip } from "./RunStrip";
import { useRefit } from "./refit/useRefit";
import { useTopUpShelf } from "./refit/useTopUpShelf";
import { StepList } from "./StepList";
import { useCues } from "./sound/useCues";

interface RunLiveProps {
  run: KeptRun["run"];
  state: RunState;
  /** Whether another device runs it. */
  follows: boolean;
  /** What is wrong with keeping the log or with the clock, if anything. */
  trouble: string | null;
}

const KEYS = [
  ["Enter", "Begin, then done; a hit at a gate"],
  ["Space", "Hold, and go on"],
  ["m", "A miss at a gate"],
  ["+", "30 s more"],
  ["x", "Skip"],
  ["b", "Back"],
  ["r", "Adjust plan"],
  ["j", "Jump to a drill"],
  ["i", "Insert a drill"],
  ["t", "Move the start"],
  ["g", "The group"],
  ["o", "More"],
  ["u", "Undo"],
  ["e", "End the run"],
  ["?", "These keys"],
] as const;

const NO_RUNS: readonly KeptRun[] = [];

/** How often the screen is drawn anew, milliseconds: finely only where tempo or breath are counted. */
const FINE = 250;
const COARSE = 1000;

function isFine(plan: KeptRun["run"]["plan"], state: RunState): boolean {
  const drill = state.splits[state.index]?.drill;
  if (state.status === "waiting")
    return isBreathing({ state }, waitPrompt(plan, state, timeNow())?.kind ?? null);
  return (
    drill?.breath === true ||
    drill?.parts?.some((p) => p.tempo !== undefined || (p.repSeconds ?? 9) < 1) === true
  );
}

/** The running screen: it fills with ink as the drill elapses, and every word is cut at the ink's edge. */
export function RunLive({ run, state, follows, trouble }: RunLiveProps) {
  const { plan } = run;
  const router = useRouter();
  const tick = useNow(isFine(plan, state) ? FINE : COARSE);
  // What was pressed since the last tick is not in the future.
  const now = Math.max(tick, state.drillBeganAt ?? 0, state.heldSince ?? 0, state.waitingSince ?? 0);
  const wide = useWide();
  const settings = useRunSettings();
  const mayRun = useMay("run");
  const drives = mayRun && !follows;
  const runs = useOpenRuns();
  const [sheet, setSheet] = useState<"menu" | "end" | "keys" | "after" | "group" | null>(null);
  const clock = runClock(state, now);
  const shelf = useTopUpShelf(run);
  const presses = usePresses(run.id, state);
  const { offer, failure, leave } = useRefit(plan, state, clock.ahead, settings, shelf);
  const forecast = useRunForecast(plan, state, now);
  useCues(run.id, state, clock, settings);
  const own = useMemo(() => (mayRun ? runs.filter((kept) => !isFollowed(kept)) : NO_RUNS), [mayRun, runs]);
  useWakeLock(state.status !== "ended");
  const pulse = usePulse(simulatedPulse, run.id, state, settings.strap && drives);
  const order = useRunningOrder(simulatedOrderOf, run, state, settings.followsOrder && drives);
  useAutomatics(own, now, settings.beginsItself);

  // At once, but not again what has been taken back: then it is an offer like any other.
  const appliedAtOnce = useRef(new Set<string>());
  const applies = offer !== null && settings.appliesAtOnce && drives && !appliedAtOnce.current.has(offer.key);
  useEffect(() => {
    if (!applies || !offer) return;
    appliedAtOnce.current.add(offer.key);
    presses.refit(offer.refit);
  }, [applies, offer, presses]);

  const [menuAt, setMenuAt] = useState<MenuPlace | null>(null);
  const openMenu = useStable((at: MenuPlace | null) => {
    setMenuAt(at);
    setSheet("menu");
  });
  const running = state.status === "under-way";
  const gate = running && state.splits[state.index]?.drill.gate !== undefined;
  const none = () => {};
  useKeys(
    settings.mirror || !drives
      ? {}
      : {
          enter:
            state.status === "ready" ? presses.begin : gate ? presses.hit : running ? presses.done : none,
          " ": running ? presses.hold : none,
          m: gate ? presses.miss : none,
          "+": running ? presses.more : none,
          x: running ? presses.skip : none,
          b: presses.back,
          r: offer ? () => presses.refit(offer.refit) : none,
          u: () => presses.undo(),
          e: () => setSheet("end"),
          j: () => openMenu("jump"),
          i: () => openMenu("insert"),
          t: () => openMenu("start"),
          g: plan.group ? () => setSheet("group") : none,
          o: () => openMenu(null),
          "?": () => setSheet("keys"),
        },
  );

  const lastRefit = state.refits.at(-1);
  const model: FaceModel = {
    run,
    plan,
    state,
    clock,
    now,
    trouble: trouble ?? failure,
    offer: applies ? null : offer,
    applied: lastRefit && state.undoable.at(-1) === lastRefit ? lastRefit.line : null,
    settings,
    presses: !drives ? "none" : settings.mirror ? "hidden" : "all",
    pulse,
    order,
    forecast,
    group: groupStand(plan, state),
  };
  const prompt = waitPrompt(plan, state, now);
  const breathing = isBreathing(model, prompt?.kind ?? null);
  const breathedFrom = (running ? state.drillBeganAt : state.waitingSince) ?? now;
  const ink = breathing ? breathAt((now - breathedFrom) / 1000).fill : inkOf(model);
  const leaveOffer = useStable(leave);
  const actions = useMemo(
    () => ({
      menu: () => openMenu(null),
      end: () => setSheet("end"),
      after: () => setSheet("after"),
      group: () => setSheet("group"),
      leave: () => (router.canGoBack() ? router.back() : router.replace("/")),
      leaveOffer,
    }),
    [router, leaveOffer, openMenu],
  );
  const face: Pick<RunFaceProps, "model" | "presses" | "actions"> = {
    model,
    presses,
    actions,
  };
  const close = () => setSheet(null);
  return (
    <div className="flex min-h-0 flex-1 flex-col">
      <RunStrip runs={runs} here={run.id} now={now} />
      <div className="flex min-h-0 flex-1">
        <div className="relative flex min-h-0 flex-1 flex-col overflow-hidden">
          <RunFace {...face} ground="paper" />
          <div
            className="rise pointer-events-none absolute inset-0 flex bg-fill"
            style={{
              clipPath: `inset(${(1 - ink) * 100}% 0 0 0)`,
              transitionDuration: `${breathing ? FINE : COARSE}ms`,
            }}
            aria-hidden
            data-testid="ink"
          >
            <RunFace {...face} ground="ink" />
          </div>
        </div>
        {wide && !settings.bigType ? <StepList state={state} /> : null}
      </div>
      {follows && state.status !== "ended" ? (
        <FollowBar runId={run.id} onTake={mayRun ? () => takeRun(run.id) : null} />
      ) : null}
      {sheet === "menu" ? (
        <RunMenu
          state={state}
          zone={run.zone}
          points={plan.source?.context.points.map((p) => p.name) ?? []}
          presses={presses}
          at={menuAt}
          onClose={close}
          onEnd={() => setSheet("end")}
        />
      ) : null}
      {sheet === "end" ? (
        <Sheet title="End this run?" onClose={close}>
          <Button
            label="End and keep it in the log"
            look="full"
            onPress={() => {
              presses.end();
              setSheet("after");
            }}
          />
          <Button label="Keep running" onPress={close} />
        </Sheet>
      ) : null}
      {sheet === "group" && model.group ? (
        <GroupSheet group={model.group} state={state} presses={drives ? presses : null} onClose={close} />
      ) : null}
      {sheet === "after" ? <AfterRun run={run} state={state} onClose={close} /> : null}
      {sheet === "keys" ? (
        <Sheet title={words.keys} onClose={close}>
          <KeysHelp keys={KEYS} />
        </Sheet>
      ) : null}
    </div>
  );
}
