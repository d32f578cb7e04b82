import type { Drill } from "@tonodrome/core/api";
import { useState } from "react";
import { View } from "react-native";
import { useDrills } from "~/data/resources/drills";
import { Button } from "~/ui/Button";
import { Loaded } from "~/ui/layout/Loading";
import { DrillList } from "./DrillList";
import { NewDrill } from "./NewDrill";

/** The shelf beside the plan: a press adds a drill, and the shelf stays open for the next. */
export function ShelfPicker({ added, onAdd }: { added: ReadonlySet<string>; onAdd: (drill: Drill) => void }) {
  const drills = useDrills();
  const [making, setMaking] = useState(false);
  if (making) {
    return (
      <NewDrill
        onMade={(drill) => {
          onAdd(drill);
          setMaking(false);
        }}
        onCancel={() => setMaking(false)}
      />
    );
  }
  return (
    <View className="gap-3">
      <Button label="Make a new drill" icon="add" onPress={() => setMaking(true)} />
      <Loaded query={drills}>{(list) => <DrillList drills={list} onAdd={onAdd} added={added} />}</Loaded>
    </View>
  );
}
