import { MINUTE_SECONDS } from "@tonodrome/core";
import type { Start } from "@tonodrome/core/api";
import { useRouter } from "expo-router";
import { lazy, memo, Suspense, useMemo } from "react";
import { ScrollView, Text, View } from "react-native";
import { useStore } from "zustand";
import type { PlanDraft } from "~/data/plan/usePlanDraft";
import { useStart } from "~/data/resources/starts";
import { startEdits } from "~/data/starts/startEdits";
import { StartBand } from "~/features/stair/StartBand";
import { showStrip } from "~/features/stair/showStrip";
import { Button } from "~/ui/Button";
import { useKeys } from "~/ui/hooks/useKeys";
import { useLies } from "~/ui/hooks/useLies";
import { useSame } from "~/ui/hooks/useSame";
import { useStable } from "~/ui/hooks/useStable";
import { useWide } from "~/ui/hooks/useWide";
import { Loaded } from "~/ui/layout/Loading";
import { BackButton, Heading, useTitle } from "~/ui/layout/Screen";
import { words } from "~/ui/words";
import { Beside } from "./Beside";
import { Climb } from "./Climb";
import { Dock } from "./dock/Dock";
import { Actions } from "./editing/Actions";
import { ChosenActions } from "./editing/ChosenActions";
import { useOpenedDrill } from "./editing/OpenedDrill";
import { useFocusedStep } from "./model/useFocusedStep";
import { type ShownFit, useFitAfter } from "./model/useHeldFit";
import { type OpenSheet, useWarmUp, type WarmUpModel } from "./model/useWarmUp";
import { WarmUpSheets } from "./WarmUpSheets";

/** Now moves on the line so often, seconds. */

// Once in a club's life.
const FirstFill = lazy(() => import("~/features/first/FirstFill"));

interface WarmUpScreenProps {
  id: string;
  /** What lies over it to begin with. */
  sheet?: OpenSheet;
  /** Whether it is filled by itself, with other ways offered. */
  fillsFirst?: boolean;
}

/** The warm-up of one start: the stair, the time available under the thumb, and the start across the foot. */
export function WarmUpScreen({ id, sheet = null, fillsFirst = false }: WarmUpScreenProps) {
  const start = useStart(id);
  return (
    <View className="min-h-0 flex-1" role="main">
      <Loaded query={start}>{(data) => <WarmUp start={data} sheet={sheet} fillsFirst={fillsFirst} />}</Loaded>
    </View>
  );
}

function WarmUp({ start, sheet, fillsFirst }: { start: Start; sheet: OpenSheet; fillsFirst: boolean }) {
  const router = useRouter();
  const wide = useWide();
  const lies = useLies() && !wide;
  const model = useWarmUp(start, sheet);
  const { draft, fit, open, mayBuild } = model;
  useTitle(`${start.athlete.name}, ${start.title}`);
  const stepBy = useFocusedStep(model);
  const opened = useOpenedDrill(model, wide);
  useKeys({
    arrowdown: () => stepBy(1),
    arrowup: () => stepBy(-1),
    "alt+arrowdown": () => model.selected && model.move(model.selected.item.id, model.index + 1),
    "alt+arrowup": () => model.selected && model.move(model.selected.item.id, model.index - 1),
    "+": () => model.dose(1),
    "=": () => model.dose(1),
    "-": () => model.dose(-1),
    delete: model.remove,
    a: () => mayBuild && open("shelf"),
    u: () => draft.undo?.(),
    r: () => draft.redo?.(),
    d: () => model.deed("copy"),
    f: () => mayBuild && open("fill"),
    x: () => mayBuild && model.choose(model.chosen === null),
    s: model.save,
    " ": model.run,
    "?": () => open("keys"),
  });
  const openShelf = useStable(() => open("shelf"));
  const openGivenUp = useStable(() => open("given-up"));
  const openMore = useStable(() => open("more"));
  const openFill = useStable(() => open("fill"));
  const openCoverage = useStable(() => open("coverage"));
  const openForecast = useStable(() => open("forecast"));
  const openFindings = useStable(() => open("findings"));
  const openShare = useStable(() => open("share"));
  const ofStart = useStore(startEdits.store, () => editedWord(start.id));
  const undo = useStable(() => {
    model.forgetNews();
    draft.undo?.();
  });
  const redo = useStable(() => draft.redo?.());
  const pick = useStable((id: string) => {
    model.put(id);
    showStrip(id);
  });
  const line = model.judgement?.line ?? null;
  const isJudged = model.judgement !== null;
  const judged = useMemo(
    () => (isJudged ? { line, open: model.toLookAt } : null),
    [isJudged, line, model.toLookAt],
  );
  const { places } = model.context;
  const windows = useMemo(() => places.flatMap((p) => p.windows), [places]);
  const saveDraft = useStable(() => void draft.save());
  const openConflict = useStable(() => open("conflict"));
  const forgetMerged = useStable(draft.forgetMerged);
  const drop = useStable(draft.drop);
  const explained = model.explanation?.culprit ?? null;
  const culprit = useSame(explained, explained?.line);
  const { minutes } = model;
  const settled = useMemo(() => ({ minutes, fit }), [minutes, fit]);

  return (
    <View className="min-h-0 flex-1 flex-row">
      <View
        className={`min-h-0 overflow-y-auto overflow-x-hidden ${wide ? "w-[600px]" : "flex-1"} ${lies ? "flex-row" : ""}`}
      >
        <View className="min-h-[200px] shrink-0 grow basis-0">
          <Head
            start={start}
            saved={mayBuild ? savedWords(draft, ofStart) : null}
            onShare={mayBuild ? openShare : null}
          />
          {fillsFirst && mayBuild ? (
            <Suspense>
              <FirstFill
                from={model.fillFrom}
                isReady={model.isFillReady}
                isEmpty={draft.body.items.length === 0}
                onFill={(body) => model.fill(body, null)}
                onGood={() => router.setParams({ fill: undefined })}
              />
            </Suspense>
          ) : null}
          <Climb
            body={draft.body}
            conflict={draft.conflict}
            merged={draft.merged}
            unsaved={draft.failure}
            restored={draft.restored}
            held={model.held}
            settled={settled}
            context={model.context}
            explained={culprit}
            failure={model.failure}
            selectedId={model.selected?.item.id ?? null}
            opened={opened}
            over={model.untilStart <= 0}
            coverage={model.coverage}
            toLookAt={model.toLookAt}
            news={model.news}
            chosen={model.chosen}
            onAdd={mayBuild ? openShelf : null}
            onFill={openFill}
            onCoverage={openCoverage}
            onNews={model.forgetNews}
            onSave={saveDraft}
            onDecide={openConflict}
            onMerged={forgetMerged}
            onDrop={drop}
            onSelect={model.select}
            onMove={mayBuild ? model.move : undefined}
          />
        </View>
        <View className={lies ? "w-[46%] justify-end overflow-y-auto border-l-2 border-line" : ""}>
          <View className="border-t-2 border-line px-4 pt-2">
            <Dock
              held={model.held}
              settled={settled}
              mostMinutes={model.mostMinutes}
              stepPoints={draft.body.stepPoints}
              isBest={model.isBest}
              progress={model.progress}
              failed={model.fitFailure !== null}
              cappedBy={model.isCapped ? model.untilStart : null}
              nowSeconds={-MINUTE_SECONDS * Math.round(model.untilStart / MINUTE_SECONDS)}
              windows={windows}
              onExplain={openGivenUp}
              selectedId={model.selected?.item.id ?? null}
              onPick={pick}
              judgement={judged}
              judgeInput={model.judgeInput}
              onForecast={openForecast}
              onFindings={openFindings}
            />
            {model.said ? (
              <Text role="status" className="pb-2 font-text text-body text-ink" testID="said">
                {model.said}
              </Text>
            ) : null}
            {model.chosen ? (
              <ChosenActions model={model} />
            ) : (
              <Actions
                newMinutes={model.newMinutes ? model.minutes : null}
                saving={model.saving}
                running={model.running}
                empty={draft.body.items.length === 0}
                onRun={model.run}
                mayBuild={mayBuild}
                mayRun={model.mayRun}
                onAdd={openShelf}
                onSave={model.save}
                onUndo={draft.undo ? undo : null}
                onRedo={draft.redo ? redo : null}
                onMore={openMore}
              />
            )}
          </View>
          <HeldStart start={start} held={model.held} settled={settled} />
        </View>
      </View>
      {wide ? (
        <ScrollView
          className="flex-1 border-l-2 border-line"
          contentContainerClassName="max-w-[640px] gap-4 p-6"
          tabIndex={0}
        >
          <Beside model={model} />
        </ScrollView>
      ) : null}
      <WarmUpSheets model={model} wide={wide} />
    </View>
  );
}

/** How an edit of the start itself stands; null where there is none. */
function editedWord(startId: string): "Not saved" | "Edited" | null {
  if (!startEdits.get(startId)) return null;
  return startEdits.failureOf(startId)?.isFinal ? "Not saved" : "Edited";
}

/** Whether what is seen is what the server has. */
function savedWords({ dirty, saving, conflict }: PlanDraft, ofStart: "Not saved" | "Edited" | null): string {
  if (conflict || ofStart === "Not saved") return "Not saved";
  return saving ? "Saving …" : dirty ? "Edited" : (ofStart ?? "Saved");
}

interface HeadProps {
  start: Start;
  /** Null for somebody who changes nothing. */
  saved: string | null;
  onShare: (() => void) | null;
}

const Head = memo(function Head({ start, saved, onShare }: HeadProps) {
  const router = useRouter();
  return (
    <View className="flex-row flex-wrap items-center gap-1 px-2">
      <BackButton to="/" />
      <Heading line title={`${start.athlete.name}, ${start.title}`} />
      {saved ? (
        <Text className="font-text text-small text-muted" role="status" testID="saved">
          {saved}
        </Text>
      ) : null}
      <Button
        label={words.day}
        icon="day"
        iconOnly
        look="plain"
        onPress={() => router.push(`/day/${start.id}`)}
      />
      {onShare ? <Button label="Share" icon="share" iconOnly look="plain" onPress={onShare} /> : null}
    </View>
  );
});

/** The start, and when to begin for the time under the finger. */
const HeldStart = memo(function HeldStart({
  start,
  held,
  settled,
}: Pick<WarmUpModel, "start" | "held"> & { settled: ShownFit }) {
  return <StartBand start={start} beginSeconds={useFitAfter(held, settled).beginSeconds} />;
});
