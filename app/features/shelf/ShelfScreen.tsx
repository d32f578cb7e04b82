import { cutText, drillContent, LONGEST_NAME } from "@tonodrome/core";
import type { DrillInput, ShelfDrill } from "@tonodrome/core/api";
import { useState } from "react";
import { ScrollView, Text, View } from "react-native";
import { useMay } from "~/data/account/useAccount";
import { useDrills } from "~/data/resources/drills";
import { Button } from "~/ui/Button";
import { useWide } from "~/ui/hooks/useWide";
import { Loaded } from "~/ui/layout/Loading";
import { Screen } from "~/ui/layout/Screen";
import { Sheet } from "~/ui/layout/Sheet";
import { words } from "~/ui/words";
import { DrillList } from "./DrillList";
import { inOrder } from "./drillOrder";
import { EditDrill } from "./EditDrill";
import { NewDrill } from "./NewDrill";
import { ReadDrill } from "./ReadDrill";
import { Starters } from "./Starters";

/** What is being made or changed: a drill of the shelf by its id, or a new one, blank or from a copy. */
type Open = { id: string } | { first?: DrillInput };

/** The club's drills; where there is room, with the one that is chosen beside them. */
export function ShelfScreen() {
  const wide = useWide();
  const [shownId, show] = useState<string | null>(null);
  const drills = useDrills();
  const mayBuild = useMay("build");
  const [open, setOpen] = useState<Open | null>(null);
  const [starters, setStarters] = useState(false);
  const close = () => setOpen(null);
  const edited = open && "id" in open ? (drills.data?.find((d) => d.id === open.id) ?? null) : null;
  const copy = (drill: ShelfDrill) =>
    setOpen({ first: { ...drillContent(drill), name: `${cutText(drill.name, LONGEST_NAME - 6)}, copy` } });
  const onShelf = drills.data?.filter((d) => !d.archived) ?? [];
  const shown = drills.data?.find((d) => d.id === shownId) ?? inOrder(onShelf, "phase")[0] ?? null;
  const screen = (
    <Screen
      title={words.shelf}
      action={
        mayBuild ? (
          <View className="flex-row flex-wrap justify-end gap-2">
            <Button label={words.starterShelves} short="Starters" onPress={() => setStarters(true)} />
            <Button label="New drill" icon="add" onPress={() => setOpen({})} />
          </View>
        ) : undefined
      }
    >
      <Loaded query={drills}>
        {(list) => (
          <DrillList
            drills={list}
            onOpen={({ id }) => (wide ? show(id) : setOpen({ id }))}
            shownId={wide ? (shown?.id ?? null) : null}
          />
        )}
      </Loaded>
      {starters ? (
        <Sheet title={words.starterShelves} onClose={() => setStarters(false)}>
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
  if (!wide) return screen;
  return (
    <View className="min-h-0 flex-1 flex-row">
      <View className="w-[560px] min-w-0">{screen}</View>
      <ScrollView
        className="flex-1 border-l-2 border-line"
        contentContainerClassName="max-w-[640px] gap-4 p-6"
        tabIndex={0}
        role="region"
        aria-label="The chosen drill"
      >
        {shown ? (
          <>
            <View className="flex-row items-start gap-3">
              <Text role="heading" aria-level={2} className="min-w-0 flex-1 font-strong text-title text-ink">
                {shown.name}
              </Text>
              {mayBuild ? (
                <Button
                  label={`Change ${shown.name}`}
                  short="Change"
                  onPress={() => setOpen({ id: shown.id })}
                />
              ) : null}
            </View>
            <ReadDrill drill={shown} />
          </>
        ) : null}
      </ScrollView>
    </View>
  );
}
