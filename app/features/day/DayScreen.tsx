import type { Day, Start } from "@tonodrome/core/api";
import { type DayStep, withStep } from "@tonodrome/core/day";
import { Link } from "expo-router";
import { useState } from "react";
import { ScrollView, Text, View } from "react-native";
import { useTicks } from "~/data/day/useTicks";
import { useStartDay } from "~/data/resources/days";
import { useStart } from "~/data/resources/starts";
import { Button } from "~/ui/Button";
import { clockTime, foreignZone } from "~/ui/dates";
import { useKeys } from "~/ui/hooks/useKeys";
import { useWide } from "~/ui/hooks/useWide";
import { Loaded } from "~/ui/layout/Loading";
import { BackButton, Heading, useTitle } from "~/ui/layout/Screen";
import { Sheet } from "~/ui/layout/Sheet";
import { words } from "~/ui/words";
import { AlarmButton } from "./AlarmButton";
import { DayList } from "./DayList";
import { DayNotices, dayBegins } from "./DayNotices";
import { FillDay } from "./FillDay";
import { KIND_WORDS } from "./kindWords";
import { Lists } from "./Lists";
import { SameDay } from "./SameDay";
import { StepForm, StepMoves } from "./StepForm";
import { TakeAlong } from "./TakeAlong";
import { type DayModel, useDay } from "./useDay";

type OpenSheet = "step" | "add" | "more" | "lists" | null;

/** The day of a start: everything counted back from it, from the evening before to after the cool-down. */
export function DayScreen({ id }: { id: string }) {
  const start = useStart(id);
  const day = useStartDay(id);
  return (
    <View className="min-h-0 flex-1" role="main">
      <Loaded query={start}>
        {(of) => <Loaded query={day}>{(read) => <WholeDay start={of} read={read} />}</Loaded>}
      </Loaded>
    </View>
  );
}

function WholeDay({ start, read }: { start: Start; read: Day }) {
  const model = useDay(start, read);
  const wide = useWide();
  const [sheet, setSheet] = useState<OpenSheet>(null);
  const [selectedId, setSelectedId] = useState<string | null>(null);
  const { draft, frame, mayBuild } = model;
  const step = frame.steps.find((s) => s.id === selectedId) ?? null;
  useTitle(`Day, ${start.athlete.name}, ${start.title}`);
  useKeys({
    u: () => draft.undo?.(),
    r: () => draft.redo?.(),
    a: () => mayBuild && setSheet("add"),
    f: () => setSheet("more"),
    l: () => setSheet("lists"),
    s: () => void draft.save(),
  });
  const select = (id: string) => {
    if (!mayBuild) return;
    setSelectedId(id);
    setSheet("step");
  };
  const add = (kind: Exclude<DayStep["kind"], "start">) => {
    const added = withStep(frame.steps, kind, selectedId);
    model.edit(added.steps);
    setSelectedId(added.id);
    setSheet("step");
  };
  const close = () => {
    setSheet(null);
    if (!wide) setSelectedId(null);
  };
  const zone = foreignZone(start.zone);
  return (
    <View className="min-h-0 flex-1 flex-row">
      <View className={`min-h-0 ${wide ? "w-[600px]" : "flex-1"}`}>
        <View className="flex-row flex-wrap items-center gap-1 px-2">
          <BackButton to="/" />
          <Heading line title={`${start.athlete.name}, ${start.title}`} over={words.day} />
          {mayBuild ? (
            <Text className="font-text text-small text-muted" role="status" testID="saved">
              {draft.conflict ? "Not saved" : draft.saving ? "Saving …" : draft.dirty ? "Edited" : "Saved"}
            </Text>
          ) : null}
        </View>
        <ScrollView className="flex-1" contentContainerClassName="gap-3 px-4 pb-4" tabIndex={0} testID="day">
          <SameDay model={model} />
          <DayNotices model={model} />
          <DayList model={model} selectedId={wide ? selectedId : null} onSelect={select} />
          <Text className="font-text text-small text-muted">
            Bold with a dark line: the chain that leaves no room. Whatever of it takes longer, the day begins
            earlier. What to eat and drink is a matter for those who know the athlete; offer, and leave
            amounts to them.
          </Text>
        </ScrollView>
        <View className="border-t-2 border-line px-4 pt-2">
          <View className="flex-row flex-wrap gap-1 pb-2">
            <Button label={words.lists} icon="shelf" look="full" onPress={() => setSheet("lists")} />
            {mayBuild ? (
              <>
                <Button
                  label={words.addAStep}
                  short="Add"
                  icon="add"
                  iconOnly={!wide}
                  onPress={() => setSheet("add")}
                />
                <Button
                  label={words.undo}
                  icon="undo"
                  iconOnly
                  look="plain"
                  disabled={!draft.undo}
                  onPress={() => draft.undo?.()}
                />
                {wide ? (
                  <Button
                    label={words.redo}
                    icon="redo"
                    iconOnly
                    look="plain"
                    disabled={!draft.redo}
                    onPress={() => draft.redo?.()}
                  />
                ) : null}
              </>
            ) : null}
            <AlarmButton start={start} />
            <Button label={words.more} onPress={() => setSheet("more")} />
          </View>
        </View>
        <Link href={`/start/${start.id}`} className="flex flex-row items-center gap-3 bg-signal px-4 py-2">
          <View className="flex-1">
            <Text className="font-strong text-body text-on-signal" testID="day-begins">
              {dayBegins(model)}
            </Text>
            <Text className="font-text text-small text-on-signal" numberOfLines={1}>
              {["to the warm-up", zone ? `${zone} time` : null].filter(Boolean).join(", ")}
            </Text>
          </View>
          <Text className="font-figures text-figure text-on-signal">
            {clockTime(start.startsAt, start.zone)}
          </Text>
        </Link>
      </View>
      {wide ? (
        <ScrollView
          className="flex-1 border-l-2 border-line"
          contentContainerClassName="max-w-[640px] gap-4 p-6"
          tabIndex={0}
        >
          {step && mayBuild ? (
            <>
              <Heading title={step.name} small />
              <StepForm key={step.id} model={model} step={step} />
              <StepMoves model={model} step={step} onGone={() => setSelectedId(null)} />
            </>
          ) : (
            <Text className="font-text text-body text-muted">Choose a step to see all of it.</Text>
          )}
        </ScrollView>
      ) : null}
      <DaySheets {...{ model, step, sheet, wide, close, add }} />
    </View>
  );
}

/** The lists of the start's day, ticked off here. */
function StartLists({ model: { start, frame } }: { model: DayModel }) {
  return <Lists steps={frame.steps} ticked={useTicks(start.id)} />;
}

interface DaySheetsProps {
  model: DayModel;
  step: DayStep | null;
  sheet: OpenSheet;
  wide: boolean;
  close: () => void;
  add: (kind: Exclude<DayStep["kind"], "start">) => void;
}

function DaySheets({ model, step, sheet, wide, close, add }: DaySheetsProps) {
  if (sheet === "step" && step && !wide)
    return (
      <Sheet
        title={step.name}
        onClose={close}
        onUndo={model.draft.undo}
        foot={<StepMoves model={model} step={step} onGone={close} />}
      >
        <StepForm model={model} step={step} />
      </Sheet>
    );
  if (sheet === "add") {
    const hasWarmUp = model.frame.steps.some((s) => s.kind === "warm-up");
    const kinds = Object.entries(KIND_WORDS).filter(
      ([kind]) => kind !== "start" && !(kind === "warm-up" && hasWarmUp),
    );
    return (
      <Sheet title={words.addAStep} onClose={close}>
        <View className="flex-row flex-wrap gap-2">
          {kinds.map(([kind, label]) => (
            <Button key={kind} label={label} onPress={() => add(kind as Exclude<DayStep["kind"], "start">)} />
          ))}
        </View>
      </Sheet>
    );
  }
  if (sheet === "lists")
    return (
      <Sheet title={words.lists} onClose={close}>
        <StartLists model={model} />
      </Sheet>
    );
  if (sheet === "more")
    return (
      <Sheet title={words.more} onClose={close}>
        <View className="gap-6">
          {model.mayBuild ? <FillDay model={model} onDone={close} /> : null}
          <TakeAlong model={model} />
        </View>
      </Sheet>
    );
  return null;
}
