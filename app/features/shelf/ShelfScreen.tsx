import { useState } from "react";
import { useMay } from "~/data/account";
import { useDrills } from "~/data/queries";
import { Button } from "~/ui/Button";
import { Loaded } from "~/ui/Loading";
import { Screen } from "~/ui/Screen";
import { Sheet } from "~/ui/Sheet";
import { DrillList } from "./DrillList";
import { NewDrill } from "./NewDrill";

/** The club's drills. */
export function ShelfScreen() {
  const drills = useDrills();
  const mayBuild = useMay("build");
  const [making, setMaking] = useState(false);
  return (
    <Screen
      title="Shelf"
      action={mayBuild ? <Button label="New drill" icon="add" onPress={() => setMaking(true)} /> : undefined}
    >
      <Loaded query={drills}>{(list) => <DrillList drills={list} />}</Loaded>
      {making ? (
        <Sheet title="New drill" onClose={() => setMaking(false)}>
          <NewDrill onMade={() => setMaking(false)} onCancel={() => setMaking(false)} />
        </Sheet>
      ) : null}
    </Screen>
  );
}
