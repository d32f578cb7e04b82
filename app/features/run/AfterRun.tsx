import { formatLength, type RunState, spokenLength } from "@tonodrome/core";
import { coolDownRun, coolDownSeconds, type Went } from "@tonodrome/core/cool-down";
import { useRouter } from "expo-router";
import { useState } from "react";
import { Text, View } from "react-native";
import { useStart } from "~/data/resources/starts";
import type { KeptRun } from "~/data/runs/keptRun";
import { createRun, pressRun } from "~/data/runs/press";
import { useUsualCoolDown } from "~/features/coolDown/useUsualCoolDown";
import { Button } from "~/ui/Button";
import { Choice } from "~/ui/fields/Choice";
import { Field } from "~/ui/fields/Field";
import { Sheet } from "~/ui/layout/Sheet";
import { words } from "~/ui/words";

const READY = ["1", "2", "3", "4", "5"].map((value) => ({ value, label: value }));

const WENT: { value: Went; label: string }[] = [
  { value: "little", label: "Little" },
  { value: "usual", label: words.asUsual },
  { value: "spent", label: "Everything" },
];

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
  const start = useStart(run.startId ?? "");
  const [ready, setReady] = useState<string | null>(state.rating?.ready ? String(state.rating.ready) : null);
  const [first, setFirst] = useState(state.rating?.first ?? "");
  const [note, setNote] = useState(state.rating?.note ?? "");
  const [went, setWent] = useState<Went>("usual");
  const usual = useUsualCoolDown(start.data, went);
  const own = start.data?.plan.body.coolDown;
  const steps = own ?? usual;
  const cools = run.plan.kind !== "cool-down" && start.data !== undefined;

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
    router.replace(`/run/${createRun(start.data, coolDownRun(steps, run.plan.startsAt))}`);
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
          {cools ? (
            <Button
              label={`Cool down, ${spokenLength(coolDownSeconds(steps))}`}
              icon="run"
              onPress={coolDown}
            />
          ) : null}
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
      {cools ? (
        <View className="gap-2 border-t-2 border-line pt-4">
          {own ? null : (
            <Choice
              label="How much did it take out of them?"
              named
              options={WENT}
              value={went}
              onChange={setWent}
            />
          )}
          <Text className="font-text text-body text-ink" testID="cool-down">
            {`${words.coolDown}${own ? ", as you set it" : ""}: ${steps.map((s) => `${s.name} ${formatLength(s.seconds)}`).join(", ")}.`}
          </Text>
        </View>
      ) : null}
    </Sheet>
  );
}
