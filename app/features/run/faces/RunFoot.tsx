import { memo } from "react";
import { changeRunSettings } from "~/features/run/device/runSettings";
import { type Ground, Press } from "~/features/run/presses/Press";
import type { Presses } from "~/features/run/presses/usePresses";
import { words } from "~/ui/words";
import type { FaceModel } from "./faceModel";
import { capLeft, GatePresses } from "./GateFace";

/** What is opened from the running screen. */
export interface FootActions {
  menu: () => void;
  end: () => void;
  after: () => void;
  group: () => void;
}

/** What the foot depends on, and nothing that the clock moves: it is drawn anew only when one of these changes. */
interface Foot {
  allowed: FaceModel["presses"];
  status: FaceModel["state"]["status"];
  canUndo: boolean;
  isHeld: boolean;
  /** What is under way: a gate whose time is not up, one whose time is, a wait, or a drill. */
  step: "gate" | "time-up" | "wait" | "drill";
  /** Nothing is to come any more but the end. */
  isOver: boolean;
}

/** What the foot of a run shows now. */
export function footOf(model: FaceModel): Foot {
  const { state, plan, clock } = model;
  const drill = state.splits[state.index]?.drill;
  return {
    allowed: model.presses,
    status: state.status,
    canUndo: state.undoable.length > 0,
    isHeld: state.heldSince !== null,
    step: drill?.gate ? (capLeft(model) > 0 ? "gate" : "time-up") : drill?.wait ? "wait" : "drill",
    isOver: plan.kind === "cool-down" || clock.untilStart <= 0,
  };
}

interface RunFootProps extends Foot {
  presses: Presses;
  actions: FootActions;
  ground: Ground;
}

const DONE = { gate: "Done", "time-up": "Move on", wait: "Go", drill: "Done" };

const showPresses = () => changeRunSettings({ mirror: false });

/** The presses of the moment, in the thumb's reach. */
export const RunFoot = memo(function RunFoot(props: RunFootProps) {
  const { allowed, status, canUndo, isHeld, step, isOver, presses, actions, ground } = props;
  if (allowed === "none") return null;
  if (allowed === "hidden") {
    return (
      <div className="run-foot flex flex-wrap gap-2 pt-2">
        <Press label="Show the presses" ground={ground} onPress={showPresses} />
      </div>
    );
  }
  switch (status) {
    case "ready":
      return (
        <div className="run-foot flex flex-wrap gap-2 pt-2">
          <div className="flex grow-[3]">
            <Press label="Begin" ground={ground} onPress={presses.begin} full tall />
          </div>
          <Press label={words.more} ground={ground} onPress={actions.menu} tall />
        </div>
      );
    case "ended":
      return (
        <div className="run-foot flex flex-wrap gap-2 pt-2">
          <Press label={words.howDidItGo} ground={ground} onPress={actions.after} full tall />
        </div>
      );
    case "waiting":
      return (
        <div className="run-foot flex flex-wrap gap-2 pt-2">
          <div className="flex grow-[2]">
            <Press label={words.endTheRun} ground={ground} onPress={actions.end} full={isOver} tall />
          </div>
          {canUndo ? <Press label={words.undo} ground={ground} onPress={presses.undo} tall /> : null}
          <Press label={words.more} ground={ground} onPress={actions.menu} tall />
        </div>
      );
    case "under-way": {
      const main = step !== "gate";
      return (
        <div>
          {main ? null : <GatePresses presses={presses} ground={ground} />}
          <div className="run-foot flex flex-wrap gap-2 pt-2">
            <div className="flex grow-[2]">
              <Press label={DONE[step]} ground={ground} onPress={presses.done} full={main} tall={main} />
            </div>
            <Press label="+30 s" ground={ground} onPress={presses.more} tall={main} />
          </div>
          {/* So close that holding, whose other word is longer, moves nothing under the thumb. */}
          <div className="run-foot flex flex-wrap gap-1 pt-2">
            <Press label={isHeld ? "Resume" : "Hold"} ground={ground} onPress={presses.hold} full={isHeld} />
            <Press label="Skip" ground={ground} onPress={presses.skip} />
            <Press label="Back" ground={ground} onPress={presses.back} />
            <Press label={words.undo} ground={ground} onPress={presses.undo} disabled={!canUndo} />
            <Press label={words.more} ground={ground} onPress={actions.menu} />
          </div>
        </div>
      );
    }
  }
});
