import { cutText, drillContent, LONGEST_NAME } from "@tonodrome/core";
import type { DrillInput, ShelfDrill } from "@tonodrome/core/api";
import { useState } from "react";
import { View } from "react-native";
import { useMay } from "~/data/account/account";
import { useDrills } from "~/data/resources/drills";
import { Button } from "~/ui/Button";
import { Loaded } from "~/ui/layout/Loading";
import { Screen } from "~/ui/layout/Screen";
import { Sheet } from "~/ui/layout/Sheet";
import { DrillList } from "./DrillList";
import { EditDrill } from "./EditDrill";
import { NewDrill } from "./NewDrill";
import { ReadDrill } from "./ReadDrill";
import { Starters } from "./Starters";

/** What is being made or changed: a drill of the shelf by its id, or a new one, blank or from a copy. */
type Open = { id: string } | { first?: DrillInput };

/** The club's drills. */
export function ShelfScreen() {
  const drills = useDrills();
  const mayBuild = useMay("build");
  const [open, setOpen] = useState<Open | null>(null);
  const [starters, setStarters] = useState(false);
  const close = () => setOpen(null);
  const edited = open && "id" in open ? (drills.data?.find((d) => d.id === open.id) ?? null) : null;
  const copy = (drill: ShelfDrill) =>
    setOpen({ first: { ...drillContent(drill), name: `${cutText(drill.name, LONGEST_NAME - 6)}, copy` } });
  return (
    <Screen
      title="Shelf"
      action={
        mayBuild ? (
          <View className="flex-row flex-wrap justify-end gap-2">
            <Button label="Starter shelves" short="Starters" onPress={() => setStarters(true)} />
            <Button label="New drill" icon="add" onPress={() => setOpen({})} />
          </View>
        ) : undefined
      }
    >
      <Loaded query={drills}>
        {(list) => <DrillList drills={list} onOpen={(drill) => setOpen({ id: drill.id })} />}
      </Loaded>
      {starters ? (
        <Sheet title="Starter shelves" onClose={() => setStarters(false)}>
          <Starters />
        </Sheet>
      ) : null}
      {edited ? (
        <Sheet title={edited.name} onClose={close}>
          {mayBuild ? (
            <EditDrill drill={edited} onCopy={() => copy(edited)} onDone={close} />
          ) : (
            <ReadDrill drill={edited} />
          )}
        </Sheet>
      ) : null}
      {open && !("id" in open) ? (
        <Sheet title="New drill" onClose={close}>
          <NewDrill key={open.first?.name ?? ""} {...open} onMade={close} onCancel={close} />
        </Sheet>
      ) : null}
    </Screen>
  );
}
