import { lazy, Suspense } from "react";
import { NO_SCALES, ScalesContext } from "~/features/dose/ladder/scales";
import { KeepTemplate } from "~/features/fill/KeepTemplate";
import { ShareWarmUp } from "~/features/share/ShareWarmUp";
import { ShelfPicker } from "~/features/shelf/ShelfPicker";
import { showStrip } from "~/features/stair/showStrip";
import { StartDetails } from "~/features/starts/form/StartDetails";
import { CoverageList } from "~/features/warmup/dock/CoverageStrip";
import { Button } from "~/ui/Button";
import { KeysHelp } from "~/ui/layout/KeysHelp";
import { Loading } from "~/ui/layout/Loading";
import { Notice } from "~/ui/layout/Notice";
import { Sheet } from "~/ui/layout/Sheet";
import { words } from "~/ui/words";
import { GivenUp } from "./dock/GivenUp";
import { ConflictSheet } from "./editing/ConflictSheet";
import { SelectedDrill, SelectedMoves } from "./editing/DrillPane";
import { EarlierVersions } from "./editing/EarlierVersions";
import { PlanSettings } from "./editing/PlanSettings";
import { More } from "./More";
import type { WarmUpModel } from "./model/useWarmUp";

// Loaded when it is first asked for.
const FillSheet = lazy(() => import("~/features/fill/FillSheet"));
const ForecastSheet = lazy(() => import("./judged/ForecastSheet"));
const CoolDownEditor = lazy(() => import("~/features/coolDown/CoolDownEditor"));
const FindingsSheet = lazy(() => import("./judged/FindingsSheet"));
const DaySheet = lazy(() => import("~/features/venue/VenueSheet"));

const KEYS = [
  ["↑ ↓", "Choose a drill"],
  ["+ −", "More or less of it"],
  ["Alt ↑ ↓", "Move it earlier or later"],
  ["Delete", "Remove it"],
  ["a", "Add from the shelf"],
  ["d", "Copy it"],
  ["x", "Choose several"],
  ["f", "Fill from an approach"],
  ["u r", "Undo, redo"],
  ["s", "Save at once"],
  ["Space", "Run"],
  ["?", "These keys"],
] as const;

/** Whichever sheet is open over the warm-up. */
export function WarmUpSheets({ model, wide }: { model: WarmUpModel; wide: boolean }) {
  const { draft, selected, sheet, open } = model;
  const { body, edit } = draft;
  const close = () => open(null);
  switch (sheet) {
    case "drill":
      return selected && !wide ? (
        <Sheet
          title={selected.item.name}
          onClose={close}
          onUndo={model.mayBuild ? draft.undo : undefined}
          foot={model.mayBuild ? <SelectedMoves model={model} /> : null}
        >
          <SelectedDrill model={model} />
        </Sheet>
      ) : null;
    case "shelf":
      return (
        <Sheet title="Add from the shelf" onClose={close} onUndo={draft.undo}>
          <ScalesContext value={model.athlete?.profile.scales ?? NO_SCALES}>
            <ShelfPicker
              added={new Set(body.items.flatMap((i) => (i.drillId ? [i.drillId] : [])))}
              onAdd={model.add}
              onLadder={model.addLadder}
            />
          </ScalesContext>
        </Sheet>
      );
    case "given-up":
      return (
        <Sheet title={`${model.minutes} min available`} onClose={close}>
          <GivenUp model={model} />
        </Sheet>
      );
    case "more":
      return (
        <Sheet title={words.thisWarmUp} onClose={close}>
          <More model={model} />
        </Sheet>
      );
    case "fill":
      return (
        <Sheet title="Fill the warm-up" onClose={close}>
          <Suspense fallback={<Loading />}>
            <FillSheet
              from={model.fillFrom}
              body={body}
              onFill={model.fill}
              onKeep={() => open("template")}
            />
          </Suspense>
        </Sheet>
      );
    case "template":
      return (
        <Sheet title={words.keepAsATemplate} onClose={close}>
          <KeepTemplate body={body} name={model.start.title} />
        </Sheet>
      );
    case "start":
      return (
        <Sheet title="The start" onClose={close}>
          <StartDetails start={model.start} />
        </Sheet>
      );
    case "day":
      return (
        <Sheet title={words.placesWindowsFixedPoints} onClose={close}>
          <Suspense fallback={<Loading />}>
            <DaySheet start={model.start} />
          </Suspense>
        </Sheet>
      );
    case "coverage":
      return model.coverage ? (
        <Sheet title="What the warm-up covers" onClose={close}>
          <CoverageList coverage={model.coverage} />
        </Sheet>
      ) : null;
    case "forecast":
      return wide ? null : (
        <Sheet title="At the start" onClose={close}>
          <Suspense fallback={<Loading />}>
            <ForecastSheet model={model} />
          </Suspense>
        </Sheet>
      );
    case "stops":
      return (
        <Sheet title="Before you run" onClose={close}>
          {model.stops.map(({ code, itemId, words }) => (
            <Notice key={`${code} ${itemId}`} warn text={words} />
          ))}
          <Button label="See how to fix it" look="full" onPress={() => open("findings")} />
          <Button label="Run anyway" icon="run" onPress={model.run} />
        </Sheet>
      );
    case "findings":
      return wide ? null : (
        <Sheet title={words.toLookAt} onClose={close} onUndo={model.mayBuild ? draft.undo : undefined}>
          <Suspense fallback={<Loading />}>
            <FindingsSheet
              model={model}
              onShow={(itemId) => {
                close();
                showStrip(itemId);
              }}
            />
          </Suspense>
        </Sheet>
      );
    case "conflict":
      return draft.conflict ? (
        <Sheet title="Two of you changed this warm-up" onClose={close}>
          <ConflictSheet
            conflict={draft.conflict}
            onDecide={(side) => {
              close();
              void (side === "mine" ? draft.keepMine() : draft.takeTheirs());
            }}
          />
        </Sheet>
      ) : null;
    case "settings":
      return (
        <Sheet title={words.waitStepsAndLimits} onClose={close} onUndo={draft.undo}>
          <PlanSettings body={body} onChange={(more) => edit((b) => ({ ...b, ...more }))} />
        </Sheet>
      );
    case "cool-down":
      return (
        <Sheet title={words.coolDown} onClose={close} onUndo={draft.undo}>
          <Suspense fallback={<Loading />}>
            <CoolDownEditor
              start={model.start}
              steps={body.coolDown ?? null}
              onChange={model.mayBuild ? (coolDown) => edit((b) => ({ ...b, coolDown })) : null}
            />
          </Suspense>
        </Sheet>
      );
    case "versions":
      return (
        <Sheet title={words.earlierVersions} onClose={close}>
          <EarlierVersions
            planId={model.start.plan.id}
            onOpen={(earlier) => {
              edit(() => earlier);
              close();
            }}
          />
        </Sheet>
      );
    case "share":
      return (
        <Sheet title="Share this warm-up" onClose={close}>
          <ShareWarmUp start={model.start} />
        </Sheet>
      );
    case "keys":
      return (
        <Sheet title={words.keys} onClose={close}>
          <KeysHelp keys={KEYS} />
        </Sheet>
      );
    default:
      return null;
  }
}
