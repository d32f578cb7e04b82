import type { LadderDose } from "@tonodrome/core";
import type { Drill } from "@tonodrome/core/api";
import { lazy, Suspense, useState } from "react";
import { View } from "react-native";
import { useDrills } from "~/data/resources/drills";
import { Button } from "~/ui/Button";
import { useKeptScroll } from "~/ui/hooks/useKeptScroll";
import { Loaded, Loading } from "~/ui/layout/Loading";
import { DrillList } from "./DrillList";
import { NewDrill } from "./NewDrill";

// Loaded when it is first asked for.
const LadderMaker = lazy(() => import("~/features/dose/ladder/LadderMaker"));

interface ShelfPickerProps {
  /** Ids of shelf drills that the plan already has. */
  added: ReadonlySet<string>;
  onAdd: (drill: Drill) => void;
  /** Left out where no ladder can be made. */
  onLadder?: (dose: LadderDose, name: string) => void;
}

/** The shelf beside the plan: a press adds a drill, and the shelf stays open, where it was, for the next. */
export function ShelfPicker({ added, onAdd, onLadder }: ShelfPickerProps) {
  const drills = useDrills();
  const [making, setMaking] = useState<"drill" | "ladder" | null>(null);
  const list = useKeptScroll(making === null);
  return (
    <>
      {making === "drill" ? (
        <NewDrill
          onMade={(drill) => {
            onAdd(drill);
            setMaking(null);
          }}
          onCancel={() => setMaking(null)}
        />
      ) : null}
      {making === "ladder" && onLadder ? (
        <Suspense fallback={<Loading />}>
          <LadderMaker onUse={onLadder} onCancel={() => setMaking(null)} />
        </Suspense>
      ) : null}
      {/* Only hidden meanwhile: what was looked for, and where one was, are there again. */}
      <View ref={list} className="gap-3" style={making ? { display: "none" } : null}>
        <Loaded query={drills}>{(all) => <DrillList drills={all} onAdd={onAdd} added={added} />}</Loaded>
        <View className="flex-row gap-2">
          <Button label="Make a new drill" icon="add" className="flex-1" onPress={() => setMaking("drill")} />
          {onLadder ? (
            <Button
              label="Make a ladder"
              icon="settings"
              className="flex-1"
              onPress={() => setMaking("ladder")}
            />
          ) : null}
        </View>
      </View>
    </>
  );
}
