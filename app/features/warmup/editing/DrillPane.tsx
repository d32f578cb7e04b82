import { hashKey } from "@tanstack/react-query";
import { canSplit, type DrillContent, drillContent, type PlanItem, shelfOrigin } from "@tonodrome/core";
import type { ShelfDrill } from "@tonodrome/core/api";
import { NO_SCALES, ScalesContext } from "~/features/dose/ladder/scales";
import type { WarmUpModel } from "~/features/warmup/model/useWarmUp";
import { DrillEditor } from "./DrillEditor";
import { DrillFacts } from "./DrillFacts";
import { DrillMoves } from "./DrillMoves";

/** The selected drill beside the stair: where it stands and what it is. */
export function DrillPane({ model }: { model: WarmUpModel }) {
  return (
    <>
      <SelectedMoves model={model} />
      <SelectedDrill model={model} />
    </>
  );
}

/** The editor of the selected drill. */
export function SelectedDrill({ model }: { model: WarmUpModel }) {
  const { selected, draft, findings, reason } = model;
  if (!selected) return null;
  const { id } = selected.item;
  const onShelf = newerOnShelf(selected.item, model.drills);
  if (!model.mayBuild) return <DrillFacts placement={selected} reason={reason} />;
  return (
    <ScalesContext value={model.athlete?.profile.scales ?? NO_SCALES}>
      <DrillEditor
        key={id}
        placement={selected}
        findings={findings}
        onFindings={() => model.open("findings")}
        reason={reason}
        onShelf={onShelf}
        drills={model.drills}
        others={draft.body.items}
        places={model.context.places.map((p) => p.name)}
        onSwap={model.swap}
        onChange={model.change}
      />
    </ScalesContext>
  );
}

/**
 * What the shelf has of a drill of the plan since it was copied; null where it has nothing newer, or the same. What was
 * changed here, in the plan, needs no message.
 */
function newerOnShelf(item: PlanItem, drills: readonly ShelfDrill[]): Partial<PlanItem> | null {
  const found = drills.find((d) => d.id === item.drillId);
  if (!found || found.version <= (item.drillVersion ?? Infinity)) return null;
  const theirs = drillContent(found);
  if (hashKey([comparable(drillContent(item))]) === hashKey([comparable(theirs)])) return null;
  return { ...theirs, ...shelfOrigin(found) };
}

/** Without the ids of rungs, which say nothing about the drill. */
function comparable({ dose, ...content }: DrillContent) {
  if (dose.kind !== "ladder") return { ...content, dose };
  return { ...content, dose: { ...dose, rungs: dose.rungs.map(({ id: _, ...rung }) => rung) } };
}

/** Earlier, later and out, for the selected drill. */
export function SelectedMoves({ model }: { model: WarmUpModel }) {
  const { selected, index, draft } = model;
  if (!selected || !model.mayBuild) return null;
  return (
    <DrillMoves
      first={index === 0}
      last={index === draft.body.items.length - 1}
      onMove={(by) => model.move(selected.item.id, index + by)}
      onCopy={() => model.deed("copy")}
      onSplit={canSplit(selected.item) ? () => model.deed("split") : null}
      onRemove={model.remove}
    />
  );
}
