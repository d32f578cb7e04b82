import { View } from "react-native";
import type { FaceModel } from "./faceModel";
import { capLeft, GatePresses } from "./GateFace";
import { type Ground, Press } from "./Press";
import { changeRunSettings } from "./runSettings";
import type { Presses } from "./usePresses";

/** What is opened from the running screen. */
export interface FootActions {
  menu: () => void;
  end: () => void;
  after: () => void;
}

interface RunFootProps {
  model: FaceModel;
  presses: Presses;
  actions: FootActions;
  ground: Ground;
}

const showPresses = () => changeRunSettings({ mirror: false });

/** The presses of the moment, in the thumb's reach. */
export function RunFoot({ model, presses, actions, ground }: RunFootProps) {
  const { state, plan, clock } = model;
  if (model.presses === "none") return null;
  if (model.presses === "hidden") {
    return (
      <View className="flex-row gap-2 pt-2">
        <Press label="Show the presses" ground={ground} onPress={showPresses} />
      </View>
    );
  }
  const { status } = state;
  const undoable = state.undoable.length > 0;
  if (status === "ready") {
    return (
      <View className="flex-row gap-2 pt-2">
        <View className="flex-[3]">
          <Press label="Begin" ground={ground} onPress={presses.begin} full tall />
        </View>
        <Press label="More" ground={ground} onPress={actions.menu} tall />
      </View>
    );
  }
  if (status === "ended") {
    return (
      <View className="flex-row gap-2 pt-2">
        <Press label="How it was" ground={ground} onPress={actions.after} full tall />
      </View>
    );
  }
  if (status === "waiting") {
    const over = plan.kind === "cool-down" || clock.untilStart <= 0;
    return (
      <View className="flex-row gap-2 pt-2">
        <View className="flex-[2]">
          <Press label="End the run" ground={ground} onPress={actions.end} full={over} tall />
        </View>
        {undoable ? <Press label="Undo" ground={ground} onPress={presses.undo} tall /> : null}
        <Press label="More" ground={ground} onPress={actions.menu} tall />
      </View>
    );
  }
  const split = state.splits[state.index];
  const gate = split?.drill.gate !== undefined;
  const isHeld = state.heldSince !== null;
  const timeUp = gate && capLeft(model) <= 0;
  return (
    <View>
      {gate && !timeUp ? <GatePresses presses={presses} ground={ground} /> : null}
      <View className="flex-row gap-2 pt-2">
        <View className="flex-[2]">
          <Press
            label={split?.drill.wait ? "Go" : timeUp ? "Move on" : "Done"}
            ground={ground}
            onPress={presses.done}
            full={!gate || timeUp}
            tall={!gate || timeUp}
          />
        </View>
        <Press label="+30 s" ground={ground} onPress={presses.more} tall={!gate || timeUp} />
      </View>
      <View className="flex-row gap-2 pt-2">
        <Press label={isHeld ? "Go on" : "Hold"} ground={ground} onPress={presses.hold} full={isHeld} />
        <Press label="Skip" ground={ground} onPress={presses.skip} />
        <Press label="Back" ground={ground} onPress={presses.back} />
        <Press label="Undo" ground={ground} onPress={presses.undo} disabled={!undoable} />
        <Press label="More" ground={ground} onPress={actions.menu} />
      </View>
    </View>
  );
}
