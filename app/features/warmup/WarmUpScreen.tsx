import { givenUp, mainRange, moveEnd, type PlanItem, runPlanOf, steepSteps } from "@tonodrome/core";
import { type Drill, LONGEST_AVAILABLE, type Start } from "@tonodrome/core/api";
import { useRouter } from "expo-router";
import { useCallback, useState } from "react";
import { ScrollView, View } from "react-native";
import { usePlanDraft } from "~/data/planDraft";
import { useSaveStart, useStart } from "~/data/queries";
import { createRun, useOpenRun } from "~/data/runStore";
import { KeysHelp } from "~/ui/KeysHelp";
import { Loaded } from "~/ui/Loading";
import { BackButton, Heading, useTitle } from "~/ui/Screen";
import { Sheet } from "~/ui/Sheet";
import { useKeys } from "~/ui/useKeys";
import { useNow } from "~/ui/useNow";
import { useWide } from "~/ui/useWide";
import { Actions } from "./Actions";
import { Dock } from "./Dock";
import { DrillEditor } from "./DrillEditor";
import { DrillMoves } from "./DrillMoves";
import { EarlierVersions } from "./EarlierVersions";
import { addDrill, changeItem, moveItem, removeItem, withMainRange } from "./editPlan";
import { GivenUp } from "./GivenUp";
import { PlanNotices } from "./PlanNotices";
import { PlanSettings } from "./PlanSettings";
import { ShelfPicker } from "./ShelfPicker";
import { Stair } from "./Stair";
import { StartBand } from "./StartBand";
import { SLIDER_MINUTES, useFit, useFitTable } from "./useFit";

/** The warm-up of one start: the stair, the time available under the thumb, and the start across the foot. */
export function WarmUpScreen({ id }: { id: string }) {
  const start = useStart(id);
  return (
    <View className="min-h-0 flex-1" role="main">
      <Loaded query={start}>{(data) => <WarmUp start={data} />}</Loaded>
    </View>
  );
}

type OpenSheet = "drill" | "shelf" | "given-up" | "settings" | "versions" | "keys" | null;

const KEYS = [
  ["↑ ↓", "Choose a drill"],
  ["+ −", "More or less of it"],
  ["Alt ↑ ↓", "Move it earlier or later"],
  ["Delete", "Take it out"],
  ["a", "Add from the shelf"],
  ["u", "Undo"],
  ["s", "Save"],
  ["Space", "Run"],
  ["?", "These keys"],
] as const;

function WarmUp({ start }: { start: Start }) {
  const router = useRouter();
  const wide = useWide();
  const now = useNow();
  const draft = usePlanDraft(start);
  const saveStart = useSaveStart();
  const openRun = useOpenRun(start.id);
  const [selectedId, setSelectedId] = useState<string | null>(null);
  const [sheet, setSheet] = useState<OpenSheet>(null);
  const [chosen, setChosen] = useState<number | null>(null);
  useTitle(`${start.athlete.name}, ${start.title}`);

  const { body, edit } = draft;
  const startsAt = Date.parse(start.startsAt);
  const saved = Math.round((startsAt - Date.parse(start.readyAt)) / 60_000);
  const minutes = chosen ?? saved;
  const mostMinutes = Math.max(SLIDER_MINUTES, saved);
  const untilStart = Math.floor((startsAt - now) / 1000);
  const isCapped = untilStart > 0 && untilStart < minutes * 60;
  const table = useFitTable(body, mostMinutes * 60 + 300);
  const fit = useFit(table, isCapped ? untilStart : minutes * 60);

  const index = body.items.findIndex((i) => i.id === selectedId);
  const placement = fit.placements[index] ?? null;
  const dirty = draft.dirty || (chosen !== null && chosen !== saved);

  const select = useCallback(
    (itemId: string) => {
      setSelectedId(itemId);
      setSheet(wide ? null : "drill");
    },
    [wide],
  );
  const move = useCallback((itemId: string, to: number) => edit((b) => moveItem(b, itemId, to)), [edit]);
  const change = (more: Partial<PlanItem>) => edit((b) => changeItem(b, selectedId ?? "", more));
  const remove = () => {
    edit((b) => removeItem(b, selectedId ?? ""));
    setSelectedId(body.items[index + 1]?.id ?? body.items[index - 1]?.id ?? null);
    setSheet(null);
  };
  const add = (drill: Drill) => {
    edit((b) => addDrill(b, drill).body);
  };
  const dose = (steps: 1 | -1) => {
    const item = body.items[index];
    if (!item) return;
    const step = item.dose.kind === "time" ? item.dose.step : 1;
    const range = moveEnd(mainRange(item.dose), "ideal", steps, { step, least: step, most: step * 40 });
    change({ dose: withMainRange(item.dose, range) });
  };

  async function save() {
    const planSaved = await draft.save();
    if (!planSaved || chosen === null || chosen === saved) return;
    const readyAt = new Date(startsAt - Math.min(chosen * 60, LONGEST_AVAILABLE) * 1000).toISOString();
    saveStart.mutate({ start, changes: { readyAt } }, { onSuccess: () => setChosen(null) });
  }

  function run() {
    if (openRun) return router.push(`/run/${openRun}`);
    if (fit.workSeconds === 0) return setSheet(body.items.length === 0 ? "shelf" : "given-up");
    router.push(`/run/${createRun(start, runPlanOf(fit, start.startsAt))}`);
  }

  useKeys({
    arrowdown: () => setSelectedId(body.items[Math.min(index + 1, body.items.length - 1)]?.id ?? null),
    arrowup: () => setSelectedId(body.items[Math.max(index - 1, 0)]?.id ?? null),
    "alt+arrowdown": () => placement && move(placement.item.id, index + 1),
    "alt+arrowup": () => placement && move(placement.item.id, index - 1),
    "+": () => dose(1),
    "=": () => dose(1),
    "-": () => dose(-1),
    delete: () => placement && remove(),
    a: () => setSheet("shelf"),
    u: () => draft.undo?.(),
    s: () => void save(),
    " ": run,
    "?": () => setSheet("keys"),
  });

  const editor = placement ? (
    <DrillEditor
      key={placement.item.id}
      placement={placement}
      steep={steepSteps(body.items, body.stepPoints).find((s) => s.toId === placement.item.id) ?? null}
      reason={givenUp(fit).find((g) => g.itemId === placement.item.id)?.reason ?? null}
      onChange={change}
    />
  ) : null;
  const moves = placement ? (
    <DrillMoves
      first={index === 0}
      last={index === body.items.length - 1}
      onMove={(by) => move(placement.item.id, index + by)}
      onRemove={remove}
    />
  ) : null;
  const inPlan = new Set(body.items.flatMap((i) => (i.drillId ? [i.drillId] : [])));
  const close = () => setSheet(null);

  const stair = (
    <View className="min-h-0 flex-1">
      <View className="flex-row items-center gap-1 px-2 pt-1">
        <BackButton to="/" />
        <Heading
          small
          title={start.title}
          over={[start.athlete.name, start.venue].filter(Boolean).join(", ")}
        />
      </View>
      <ScrollView className="flex-1" contentContainerClassName="px-4 py-2" testID="stair">
        <PlanNotices
          draft={draft}
          failure={saveStart.error?.message ?? null}
          empty={body.items.length === 0}
          over={untilStart <= 0}
          onAdd={() => setSheet("shelf")}
        />
        <Stair fit={fit} body={body} selectedId={selectedId} onSelect={select} onMove={move} />
      </ScrollView>
      <View className="border-t-2 border-line px-4 pt-2">
        <Dock
          minutes={minutes}
          mostMinutes={mostMinutes}
          fit={fit}
          cappedBy={isCapped ? untilStart : null}
          onMinutes={setChosen}
          onExplain={() => setSheet("given-up")}
        />
        <Actions
          dirty={dirty}
          saving={draft.saving || saveStart.isPending}
          running={openRun !== null}
          onRun={run}
          onAdd={() => setSheet("shelf")}
          onSave={() => void save()}
          onUndo={draft.undo}
          onSettings={() => setSheet("settings")}
        />
      </View>
      <StartBand
        start={start}
        untilStart={untilStart}
        beginsAt={startsAt + fit.beginSeconds * 1000}
        now={now}
      />
    </View>
  );

  return (
    <View className="min-h-0 flex-1 flex-row">
      <View className={wide ? "w-[600px]" : "flex-1"}>{stair}</View>
      {wide ? (
        <ScrollView
          className="flex-1 border-l-2 border-line"
          contentContainerClassName="max-w-[640px] gap-4 p-6"
        >
          <Heading title={placement?.item.name ?? "What this time gives"} />
          {moves}
          {editor ?? <GivenUp fit={fit} table={table} />}
        </ScrollView>
      ) : null}
      {sheet === "drill" && placement && !wide ? (
        <Sheet title={placement.item.name} onClose={close} foot={moves}>
          {editor}
        </Sheet>
      ) : null}
      {sheet === "shelf" ? (
        <Sheet title="Add from the shelf" onClose={close}>
          <ShelfPicker added={inPlan} onAdd={add} />
        </Sheet>
      ) : null}
      {sheet === "given-up" ? (
        <Sheet title={`${minutes} min available`} onClose={close}>
          <GivenUp fit={fit} table={table} />
        </Sheet>
      ) : null}
      {sheet === "settings" ? (
        <Sheet title="Wait and steps" onClose={close}>
          <PlanSettings
            body={body}
            onChange={(more) => edit((b) => ({ ...b, ...more }))}
            onVersions={() => setSheet("versions")}
          />
        </Sheet>
      ) : null}
      {sheet === "versions" ? (
        <Sheet title="Earlier versions" onClose={close}>
          <EarlierVersions
            planId={start.plan.id}
            onOpen={(earlier) => {
              edit(() => earlier);
              close();
            }}
          />
        </Sheet>
      ) : null}
      {sheet === "keys" ? (
        <Sheet title="Keys" onClose={close}>
          <KeysHelp keys={KEYS} />
        </Sheet>
      ) : null}
    </View>
  );
}
