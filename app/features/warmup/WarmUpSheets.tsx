import { ShareWarmUp } from "~/features/share/ShareWarmUp";
import { KeysHelp } from "~/ui/KeysHelp";
import { Sheet } from "~/ui/Sheet";
import { SelectedDrill, SelectedMoves } from "./DrillPane";
import { EarlierVersions } from "./EarlierVersions";
import { GivenUp } from "./GivenUp";
import { PlanSettings } from "./PlanSettings";
import { ShelfPicker } from "./ShelfPicker";
import type { WarmUpModel } from "./useWarmUp";

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

/** Whichever sheet is open over the warm-up. */
export function WarmUpSheets({ model, wide }: { model: WarmUpModel; wide: boolean }) {
  const { draft, fit, selected, sheet, open } = model;
  const { body, edit } = draft;
  const close = () => open(null);
  switch (sheet) {
    case "drill":
      return selected && !wide ? (
        <Sheet
          title={selected.item.name}
          onClose={close}
          foot={model.mayBuild ? <SelectedMoves model={model} /> : null}
        >
          <SelectedDrill model={model} />
        </Sheet>
      ) : null;
    case "shelf":
      return (
        <Sheet title="Add from the shelf" onClose={close}>
          <ShelfPicker
            added={new Set(body.items.flatMap((i) => (i.drillId ? [i.drillId] : [])))}
            onAdd={model.add}
          />
        </Sheet>
      );
    case "given-up":
      return (
        <Sheet title={`${model.minutes} min available`} onClose={close}>
          <GivenUp fit={fit} table={model.table} />
        </Sheet>
      );
    case "settings":
      return (
        <Sheet title="Wait and steps" onClose={close}>
          <PlanSettings
            body={body}
            onChange={(more) => edit((b) => ({ ...b, ...more }))}
            onVersions={() => open("versions")}
          />
        </Sheet>
      );
    case "versions":
      return (
        <Sheet title="Earlier versions" onClose={close}>
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
        <Sheet title="Keys" onClose={close}>
          <KeysHelp keys={KEYS} />
        </Sheet>
      );
    default:
      return null;
  }
}
