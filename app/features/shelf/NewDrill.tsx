import { firstDose } from "@tonodrome/core";
import type { Drill, DrillInput } from "@tonodrome/core/api";
import { useCreateDrill } from "~/data/resources/drills";
import { DrillForm, USUAL_INTENSITY } from "./DrillForm";

const blank: DrillInput = {
  name: "",
  phase: "raise",
  priority: "useful",
  intensity: USUAL_INTENSITY.raise,
  dose: firstDose("time"),
  focus: "",
  place: "",
};

interface NewDrillProps {
  /** What it begins as: a copy of another one, or blank. */
  first?: DrillInput;
  onMade: (drill: Drill) => void;
  onCancel: () => void;
}

/** Makes a drill and puts it on the shelf. */
export function NewDrill({ first = blank, onMade, onCancel }: NewDrillProps) {
  const create = useCreateDrill();
  return (
    <DrillForm
      first={first}
      action="Put on the shelf"
      pending={create.isPending}
      failure={create.error?.message ?? null}
      onSubmit={(drill) => create.mutate(drill, { onSuccess: onMade })}
      onCancel={onCancel}
    />
  );
}
