import { breathAt, groupStand, type RunState, runClock, waitPrompt } from "@tonodrome/core";
import type { ShelfContent } from "@tonodrome/core/judge";
import { useRouter } from "expo-router";
import { memo, useEffect, useMemo, useRef, useState } from "react";
import { useMay } from "~/data/account/useAccount";
import { timeNow } from "~/data/client/clock";
import { useNow } from "~/data/client/useNow";
import type { KeptRun } from "~/data/runs/keptRun";
import { takeRun } from "~/data/runs/press";
import { Button } from "~/ui/Button";
import { useFrameLater } from "~/ui/hooks/useFrameLater";
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
import { OpenRuns } from "./OpenRuns";
import { usePresses } from "./presses/usePresses";
import { type MenuPlace, RunMenu } from "./RunMenu";
import { useRefit } from "./refit/useRefit";
import { StepList } from "./StepList";
import { useCues } from "./sound/useCues";

export interface RunLiveProps {
  run: KeptRun["run"];
  state: RunState;
  /** Drills of the shelf that a re-fit may be topped up with. */
  shelf: readonly ShelfContent[];
  /** Whether another device runs it. */
  follows: boolean;
  /** What is wrong with keeping the log or with the clock, if anything. */
  trouble: string | null;
}

const KEYS = [
  ["Enter", "Begin, then done; a hit at a gate"],
  ["Space", "Hold, and resume"],
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
export const RunLive = memo(function RunLive(props: RunLiveProps) {
  const { run, state, shelf, follows, trouble } = props;
  const { plan } = run;
  const router = useRouter();
  const tick = useNow(isFine(plan, state) ? FINE : COARSE);
  // What was pressed since the last tick is not in the future.
  const now = Math.max(tick, state.drillBeganAt ?? 0, state.heldSince ?? 0, state.waitingSince ?? 0);
  const wide = useWide();
  const settings = useRunSettings();
  const mayRun = useMay("run");
  const drives = mayRun && !follows;
  const [sheet, setSheet] = useState<"menu" | "end" | "keys" | "after" | "group" | null>(null);
  const clock = runClock(state, now);
  const presses = usePresses(run.id, state);
  const { offer, failure, leave } = useRefit(plan, state, clock.ahead, settings, shelf);
  const forecast = useRunForecast(plan, state, now);
  useCues(run.id, state, clock, settings);
  useWakeLock(state.status !== "ended");
  const pulse = usePulse(simulatedPulse, run.id, state, settings.strap && drives);
  const order = useRunningOrder(simulatedOrderOf, run, state, settings.followsOrder && drives);

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
      <OpenRuns here={run.id} now={now} />
      <div className="flex min-h-0 flex-1">
        <div className="relative flex min-h-0 flex-1 flex-col overflow-hidden">
          <Face {...face} ground="paper" isFirst={ink < 0.5} />
          <div
            className="rise pointer-events-none absolute inset-0 flex bg-fill"
            style={{
              clipPath: `inset(${(1 - ink) * 100}% 0 0 0)`,
              transitionDuration: `${breathing ? FINE : COARSE}ms`,
            }}
            aria-hidden
            data-testid="ink"
          >
            <Face {...face} ground="ink" isFirst={ink >= 0.5} />
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
});

/** One of the two faces. The one that is seen most of is painted with a press, the other in the frame after it. */
function Face({ model, isFirst, ...rest }: RunFaceProps & { isFirst: boolean }) {
  const late = useFrameLater(model);
  return <RunFace {...rest} model={isFirst ? model : late} />;
}
