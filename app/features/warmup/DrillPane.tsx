import { givenUp, steepSteps } from "@tonodrome/core";
import { DrillEditor } from "./DrillEditor";
import { DrillFacts } from "./DrillFacts";
import { DrillMoves } from "./DrillMoves";
import type { WarmUpModel } from "./useWarmUp";

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
  const { selected, fit, draft } = model;
  if (!selected) return null;
  const { id } = selected.item;
  const reason = givenUp(fit).find((g) => g.itemId === id)?.reason ?? null;
  if (!model.mayBuild) return <DrillFacts placement={selected} reason={reason} />;
  return (
    <DrillEditor
      key={id}
      placement={selected}
      steep={steepSteps(draft.body.items, draft.body.stepPoints).find((s) => s.toId === id) ?? null}
      reason={reason}
      onChange={model.change}
    />
  );
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
      onRemove={model.remove}
    />
  );
}
