import { formatLength, listOf, passedPoints, type RunState, type Split, stepOfDrill } from "@tonodrome/core";
import { lazy, Suspense, useEffect, useState } from "react";
import { Text, View } from "react-native";
import { v4 as uuid } from "uuid";
import { useMay } from "~/data/account/useAccount";
import { Button } from "~/ui/Button";
import { clockTime } from "~/ui/dates";
import { Loading } from "~/ui/layout/Loading";
import { Notice } from "~/ui/layout/Notice";
import { Section } from "~/ui/layout/Section";
import { Sheet } from "~/ui/layout/Sheet";
import { words } from "~/ui/words";
import { pressWords } from "./presses/pressWords";
import type { Presses } from "./presses/usePresses";
import { RunSettingsFields } from "./RunSettingsFields";

const ShelfPicker = lazy(() =>
  import("~/features/shelf/ShelfPicker").then((m) => ({ default: m.ShelfPicker })),
);

interface RunMenuProps {
  state: RunState;
  zone: string;
  /** Names of the day's fixed points. */
  points: readonly string[];
  presses: Presses;
  /** Where it is opened. */
  at: MenuPlace | null;
  onClose: () => void;
  onEnd: () => void;
}

/** What a key opens it at. */
export type MenuPlace = "start" | "jump" | "insert";

const NOTHING: ReadonlySet<string> = new Set();
const SHIFTS = [-5, -1, 1, 5];

/** What is seldom pressed: moving the start, another drill, taking back, sound, and the end. */
export function RunMenu({ state, zone, points, presses, at, onClose, onEnd }: RunMenuProps) {
  const [inserting, setInserting] = useState(at === "insert");
  useEffect(() => {
    if (at) document.querySelector<HTMLElement>(`#run-${at} [role=button]`)?.focus();
  }, [at]);
  const [asked, setAsked] = useState<Split | null>(null);
  const mayRead = useMay("read");
  const jump = ({ key }: Split) => {
    presses.jump(key);
    onClose();
  };
  if (inserting) {
    return (
      <Sheet key="insert" title="Insert a drill" onClose={() => setInserting(false)}>
        <Suspense fallback={<Loading />}>
          <ShelfPicker
            added={NOTHING}
            onAdd={(drill) => {
              presses.insert(stepOfDrill(drill, uuid()));
              onClose();
            }}
          />
        </Suspense>
      </Sheet>
    );
  }
  return (
    <Sheet
      key="more"
      title={words.more}
      onClose={onClose}
      foot={
        state.status === "ready" || state.status === "ended" ? null : (
          <Button label={words.endTheRun} onPress={onEnd} />
        )
      }
    >
      {state.status === "ended" ? null : (
        <Section title="The start moves">
          <Text role="status" className="font-text text-body text-ink">
            Start at {clockTime(new Date(state.startsAt).toISOString(), zone)}.
          </Text>
          <View className="flex-row gap-2" id="run-start">
            {SHIFTS.map((minutes) => (
              <Button
                key={minutes}
                label={`${minutes > 0 ? "+" : "−"}${Math.abs(minutes)} min`}
                short={`${minutes > 0 ? "+" : "−"}${Math.abs(minutes)}`}
                className="flex-1"
                onPress={() => presses.moveStart(minutes)}
              />
            ))}
          </View>
        </Section>
      )}
      {state.status === "ended" ? null : (
        <Section title="Jump to">
          {mayRead ? <Button label="Insert a drill" icon="add" onPress={() => setInserting(true)} /> : null}
          {asked ? (
            <Notice
              warn
              text={`${asked.drill.name} comes after ${listOf(passedPoints(state, asked, points))}, which would be passed by.`}
              actions={[
                { label: "Jump all the same", onPress: () => jump(asked) },
                { label: "Stay here", onPress: () => setAsked(null) },
              ]}
            />
          ) : null}
          <View role="list" id="run-jump">
            {state.splits.map((split, i) => (
              <View
                key={split.key}
                role="listitem"
                className="flex-row items-center gap-2 border-t border-line py-1"
              >
                <Text className="flex-1 font-text text-body text-ink" numberOfLines={2}>
                  {split.drill.name}, {formatLength(split.plannedSeconds)}
                  {split.outcome === "pending" ? "" : `, ${OUTCOMES[split.outcome]}`}
                </Text>
                {i === state.index || state.status === "ready" || split.drill.wait ? null : (
                  <Button
                    label={`Jump to ${split.drill.name}`}
                    short="Jump"
                    onPress={() =>
                      passedPoints(state, split, points).length > 0 ? setAsked(split) : jump(split)
                    }
                  />
                )}
              </View>
            ))}
          </View>
        </Section>
      )}
      {state.undoable.length > 0 ? (
        <Section title={words.undo}>
          {state.undoable.toReversed().map((event) => (
            <Button
              key={event.id}
              label={`Undo: ${pressWords(event)}`}
              icon="undo"
              onPress={() => presses.takeBack(event.id)}
            />
          ))}
        </Section>
      ) : null}
      <RunSettingsFields />
    </Sheet>
  );
}

const OUTCOMES = { done: "done", skipped: "skipped", "under-way": "under way", pending: "" };
