import {
  flooredLength,
  formatLength,
  formatMinus,
  groupWords,
  type RunDrill,
  spokenLength,
  waitPrompt,
} from "@tonodrome/core";
import { memo } from "react";
import { Text, View } from "react-native";
import { type Ground, Press, WORDS } from "~/features/run/presses/Press";
import type { Presses } from "~/features/run/presses/usePresses";
import { useLies } from "~/ui/hooks/useLies";
import { DrillFace } from "./DrillFace";
import type { FaceModel } from "./faceModel";
import { GateFace } from "./GateFace";
import { PulseStrip } from "./PulseStrip";
import { ReadyFace } from "./ReadyFace";
import { RefitBar } from "./RefitBar";
import { type FootActions, footOf, RunFoot } from "./RunFoot";
import { WaitFace } from "./WaitFace";

export interface RunFaceProps {
  model: FaceModel;
  presses: Presses;
  actions: FootActions & { leave: () => void; leaveOffer: () => void };
  ground: Ground;
}

/** Less than this ahead or behind is on time, seconds. */
const ON_TIME = 15;

/** Everything on the running screen, in the colours of one ground. */
export const RunFace = memo(function RunFace({ model, presses, actions, ground }: RunFaceProps) {
  const { run, state, clock, trouble, settings, pulse, order } = model;
  const lies = useLies();
  const { text, now } = WORDS[ground];
  return (
    <div className={`run-face flex min-h-0 flex-1 p-4 ${lies ? "gap-4" : "flex-col"}`}>
      <div className="flex min-h-0 min-w-0 flex-1 flex-col">
        <div className="flex flex-wrap items-center gap-x-3">
          <Press label="Leave" sign="←" ground={ground} onPress={actions.leave} narrow />
          <span className={`line-clamp-2 min-w-[4rem] flex-1 break-words font-strong text-body ${text}`}>
            {run.athleteName}
            {model.group ? ` and ${model.group.members.length - 1} more` : ""}
          </span>
          <span className={`whitespace-nowrap font-figures text-figure tabular-nums ${now}`}>
            <span className="run-start-word text-lead">start </span>
            {formatMinus(-clock.untilStart)}
          </span>
        </div>
        <div
          className={`mt-1 line-clamp-2 min-h-[1lh] shrink-0 font-text text-body ${text}`}
          role={ground === "paper" ? "status" : undefined}
        >
          {trouble ?? [paceWords(model), orderWords(order)].filter(Boolean).join(", ")}
        </div>
        {pulse ? <PulseStrip pulse={pulse} text={text} /> : null}
        <div data-whole className="run-room flex min-h-0 flex-1 flex-col overflow-y-auto overflow-x-hidden">
          <Middle model={model} text={text} />
        </div>
        {model.group && state.status !== "ended" ? (
          <div className="run-foot flex py-2">
            <Press
              label={groupWords(model.group, state.splits[state.index]?.drill)}
              ground={ground}
              onPress={actions.group}
            />
          </div>
        ) : null}
        {settings.bigType || lies || model.offer ? null : (
          <div
            className={`run-next mb-2 line-clamp-2 min-h-[1lh] shrink-0 break-words font-text text-lead ${text}`}
          >
            {nextWords(model)}
          </div>
        )}
      </div>
      <div className={`flex shrink-0 flex-col ${lies ? "w-[46%] justify-end" : ""}`}>
        <RefitBar model={model} presses={presses} ground={ground} onLeave={actions.leaveOffer} />
        <RunFoot {...footOf(model)} presses={presses} actions={actions} ground={ground} />
      </div>
    </div>
  );
});

function Middle({ model, text }: { model: FaceModel; text: string }) {
  const { state, plan, now } = model;
  switch (state.status) {
    case "ready":
      return <ReadyFace model={model} text={text} />;
    case "under-way":
      return state.splits[state.index]?.drill.gate ? (
        <GateFace model={model} text={text} />
      ) : (
        <DrillFace model={model} text={text} />
      );
    case "waiting":
      return <WaitFace model={model} prompt={waitPrompt(plan, state, now)} text={text} />;
    case "ended":
      return (
        <View>
          <Text className={`font-strong text-title ${text}`}>Ended</Text>
          <Text className={`font-text text-title ${text}`}>It is in the log.</Text>
        </View>
      );
  }
}

/** Before it begins: when that is due. */
function readyWords(ahead: number): string {
  if (ahead >= 60) return `Begins in ${flooredLength(ahead)}`;
  if (ahead >= ON_TIME) return `Begins in ${Math.ceil(ahead)} s`;
  return ahead > -ON_TIME ? "Begin now" : `${formatLength(-ahead)} late: begin now`;
}

/** How much of a wait for a fixed point is waiting, and how much the point itself; nothing where it is not for one. */
function waitingWords({ source }: FaceModel["plan"], { name, wait, plannedSeconds }: RunDrill): string {
  const point = wait ? source?.context.points.find((p) => p.name === name) : undefined;
  const waiting = point ? plannedSeconds - (point.toSeconds - point.fromSeconds) : 0;
  return waiting > 0 ? `${formatLength(waiting)} of it waiting` : "";
}

function nextWords({ state, plan }: FaceModel): string {
  if (state.status !== "under-way") return "";
  const next = state.splits.find((s, i) => i > state.index && s.outcome === "pending");
  if (!next)
    return plan.kind === "cool-down" ? "Next: the end" : `Next: the wait, ${spokenLength(state.waitSeconds)}`;
  const { drill, plannedSeconds } = next;
  return [
    `Next: ${drill.name}`,
    formatLength(plannedSeconds),
    drill.wait ? waitingWords(plan, drill) : `${drill.intensity} %`,
  ]
    .filter(Boolean)
    .join(", ");
}

function orderWords(order: FaceModel["order"]): string {
  if (!order) return "";
  const late = order.lateSeconds < 30 ? "on time" : `${Math.round(order.lateSeconds / 60)} min late`;
  return `order${order.simulated ? " (simulated)" : ""}: ${order.before} before, ${late}`;
}

function paceWords({ state, clock, plan }: FaceModel): string {
  if (state.status === "waiting" || state.status === "ended" || plan.kind === "cool-down") return "";
  const { ahead } = clock;
  if (state.status === "ready") return readyWords(ahead);
  // Waiting for a time is neither: only what comes after it may be late.
  if (state.splits[state.index]?.drill.wait && ahead > -ON_TIME) return "Waiting";
  if (Math.abs(ahead) < ON_TIME) return "On time";
  return ahead > 0 ? `${formatLength(ahead)} ahead` : `${formatLength(-ahead)} behind`;
}
