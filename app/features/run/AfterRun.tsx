import { coolDownOf, type RunState } from "@tonodrome/core";
import { useRouter } from "expo-router";
import { useState } from "react";
import { Text, View } from "react-native";
import { v4 as uuid } from "uuid";
import { useMay } from "~/data/account/account";
import { useDrills } from "~/data/resources/drills";
import { useStart } from "~/data/resources/starts";
import type { KeptRun } from "~/data/runs/keptRun";
import { createRun, pressRun } from "~/data/runs/press";
import { Button } from "~/ui/Button";
import { Choice } from "~/ui/fields/Choice";
import { Field } from "~/ui/fields/Field";
import { Sheet } from "~/ui/layout/Sheet";
import { words } from "~/ui/words";

const READY = ["1", "2", "3", "4", "5"].map((value) => ({ value, label: value }));

/** After the start: a cool-down as a run of its own, three quick questions, and the log. */
export function AfterRun({
  run,
  state,
  onClose,
}: {
  run: KeptRun["run"];
  state: RunState;
  onClose: () => void;
}) {
  const router = useRouter();
  const mayRead = useMay("read");
  const shelf = useDrills(mayRead);
  const start = useStart(run.startId ?? "");
  const [ready, setReady] = useState<string | null>(state.rating?.ready ? String(state.rating.ready) : null);
  const [first, setFirst] = useState(state.rating?.first ?? "");
  const [note, setNote] = useState(state.rating?.note ?? "");
  const isWarmUp = run.plan.kind !== "cool-down";

  function keep() {
    if (ready !== null || first.trim() || note.trim())
      pressRun(run.id, {
        kind: "rating",
        ready: ready ? Number(ready) : null,
        first: first.trim(),
        note: note.trim(),
      });
  }

  function coolDown() {
    keep();
    if (!start.data) return;
    const own = shelf.data?.filter((d) => d.details?.purposes.includes("cool-down")) ?? [];
    router.replace(`/run/${createRun(start.data, coolDownOf(own, run.plan.startsAt, uuid))}`);
  }

  return (
    <Sheet
      title={words.howDidItGo}
      onClose={onClose}
      foot={
        <View className="gap-2">
          <Button
            label="Keep it and see the log"
            look="full"
            onPress={() => {
              keep();
              router.replace(`/log/${run.id}`);
            }}
          />
          {isWarmUp && start.data ? <Button label="Cool down" icon="run" onPress={coolDown} /> : null}
        </View>
      }
    >
      <Text className="font-text text-body text-ink">Three quick questions; leave out what you like.</Text>
      <Choice
        label="How ready, from 1 (not at all) to 5 (fully)?"
        named
        options={READY}
        value={ready}
        onChange={setReady}
      />
      <Field
        label="What happened first?"
        value={first}
        maxLength={200}
        onChange={(e) => setFirst(e.currentTarget.value)}
      />
      <Field label="A note" value={note} maxLength={500} onChange={(e) => setNote(e.currentTarget.value)} />
    </Sheet>
  );
}
