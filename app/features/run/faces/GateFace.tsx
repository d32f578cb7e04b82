import { formatLength, gateTally } from "@tonodrome/core";
import { type Ground, Press } from "~/features/run/presses/Press";
import type { Presses } from "~/features/run/presses/usePresses";
import type { FaceModel } from "./faceModel";
import { Timer } from "./Timer";

const SIDES = ["left", "right"];

/** A gate under way: how near it is, the cap counting down, and what to attend to. */
export function GateFace({ model, text }: { model: FaceModel; text: string }) {
  const { state, clock, settings } = model;
  const split = state.splits[state.index];
  const gate = split?.drill.gate;
  if (!split || !gate) return null;
  const tally = gateTally(gate, split.tries);
  const left = capLeft(model);
  return (
    <div className="break-words">
      <div className={`run-name line-clamp-2 font-strong text-title ${text}`}>
        {split.drill.name}
        {tally.sides > 1 ? `, ${SIDES[tally.side] ?? ""}` : ""}
      </div>
      {settings.bigType || model.offer ? null : (
        <div className={`run-aside line-clamp-2 font-text text-lead ${text}`}>{split.drill.words}</div>
      )}
      <Timer text={text} big={settings.bigType}>
        {`${tally.counting}/${tally.wanted}`}
      </Timer>
      <div className={`font-strong text-title ${text}`} data-testid="tally" role="status">
        {tally.hits + tally.misses === 0 ? "First try" : `Try ${tally.hits + tally.misses + 1}`}
        {left > 0 ? `, ${formatLength(left)} left` : ". Time is up: move on"}
      </div>
      <div
        className={`run-focus font-strong text-title ${model.offer ? "line-clamp-1" : "line-clamp-2"} ${text}`}
      >
        {state.heldSince === null ? split.drill.focus : "Paused. Start time unchanged."}
      </div>
      <span className="sr-only">{formatLength(Math.max(0, clock.elapsed))}</span>
    </div>
  );
}

/** Seconds left under the cap of every side together. */
export function capLeft({ state, clock }: Pick<FaceModel, "state" | "clock">): number {
  const split = state.splits[state.index];
  const gate = split?.drill.gate;
  // More time at a gate is time under its cap.
  return gate ? Math.ceil(gate.capSeconds * gate.sides + split.extendedSeconds - clock.elapsed) : 0;
}

/** Hit and miss: the two largest areas there are. */
export function GatePresses({ presses, ground }: { presses: Presses; ground: Ground }) {
  return (
    <div className="run-gate flex gap-2 pt-2">
      <Press label="Miss" ground={ground} onPress={presses.miss} fills />
      <Press label="Hit" ground={ground} onPress={presses.hit} fills full />
    </div>
  );
}
