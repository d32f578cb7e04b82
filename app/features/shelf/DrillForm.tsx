import { zodResolver } from "@hookform/resolvers/zod";
import { noDetails, PHASES, type Phase, PRIORITIES, phaseName, topOf } from "@tonodrome/core";
import { type DrillInput, drillInputSchema } from "@tonodrome/core/api";
import { Controller, useForm } from "react-hook-form";
import { Text, View } from "react-native";
import { useDrills } from "~/data/resources/drills";
import { DoseEditor } from "~/features/dose/DoseEditor";
import { Intensity } from "~/features/fields/fields";
import { Button } from "~/ui/Button";
import { Choice } from "~/ui/fields/Choice";
import { Field } from "~/ui/fields/Field";
import { Fold } from "~/ui/layout/Fold";
import { Notice } from "~/ui/layout/Notice";
import { words } from "~/ui/words";
import { DetailsFields } from "./DetailsFields";

/** Where a drill of a phase begins before its intensity is set. */
export const USUAL_INTENSITY: Record<Phase, number> = {
  kit: 0,
  raise: 20,
  mobilise: 35,
  technical: 50,
  prime: 90,
};

interface DrillFormProps {
  first: DrillInput;
  /** The drill that is changed; null for a new one. */
  drillId?: string | null;
  /** What the button says. */
  action: string;
  pending: boolean;
  failure: string | null;
  onSubmit: (drill: DrillInput) => void;
  onCancel: () => void;
}

/** Everything that a drill is. */
export function DrillForm({
  first,
  drillId = null,
  action,
  pending,
  failure,
  onSubmit,
  onCancel,
}: DrillFormProps) {
  const form = useForm<DrillInput>({ resolver: zodResolver(drillInputSchema), defaultValues: first });
  const { errors } = form.formState;
  const shelf = useDrills().data ?? [];
  const [phase, dose] = form.watch(["phase", "dose"]);
  const submit = form.handleSubmit((input) => onSubmit(input));
  return (
    <View className="gap-4">
      <Field label={words.name} autoComplete="off" error={errors.name?.message} {...form.register("name")} />
      <Controller
        control={form.control}
        name="phase"
        render={({ field }) => (
          <Choice
            label={words.phase}
            options={PHASES.map((value) => ({ value, label: phaseName(value) }))}
            value={field.value}
            onChange={(phase) => {
              field.onChange(phase);
              form.setValue("intensity", USUAL_INTENSITY[phase]);
            }}
          />
        )}
      />
      {dose.kind === "ladder" ? null : (
        <Controller
          control={form.control}
          name="intensity"
          render={({ field }) => <Intensity value={field.value} onChange={field.onChange} />}
        />
      )}
      <Controller
        control={form.control}
        name="dose"
        render={({ field }) => (
          <DoseEditor
            dose={field.value}
            onChange={(next) => {
              field.onChange(next);
              if (next.kind === "ladder") form.setValue("intensity", topOf(next));
            }}
          />
        )}
      />
      <View className="gap-1">
        <Text className="font-text text-body text-ink">{words.whenTimeIsShort}</Text>
        <Controller
          control={form.control}
          name="priority"
          render={({ field }) => (
            <Choice
              label={words.priority}
              options={PRIORITIES.map((value) => ({
                value,
                label: `${value[0]?.toUpperCase() ?? ""}${value.slice(1)}`,
              }))}
              value={field.value}
              onChange={field.onChange}
            />
          )}
        />
      </View>
      <Field label={words.focus} error={errors.focus?.message} {...form.register("focus")} />
      <Field label={words.place} error={errors.place?.message} {...form.register("place")} />
      <Fold title="What else is known of it" open={errors.details !== undefined}>
        <Controller
          control={form.control}
          name="details"
          render={({ field }) => (
            <DetailsFields
              details={field.value ?? noDetails()}
              onChange={field.onChange}
              phase={phase}
              shelf={shelf}
              drillId={drillId}
            />
          )}
        />
      </Fold>
      {errors.details ? <Notice warn text={firstMessage(errors.details)} /> : null}
      {failure ? <Notice warn text={failure} /> : null}
      <View className="flex-row gap-2">
        <Button
          label={action}
          look="full"
          className="flex-1"
          disabled={pending}
          onPress={() => void submit()}
        />
        <Button label="Cancel" onPress={onCancel} />
      </View>
    </View>
  );
}

/** The first thing that is said in a tree of faults. */
function firstMessage(fault: object): string {
  if ("message" in fault && typeof fault.message === "string") return fault.message;
  for (const inner of Object.values(fault)) {
    const said = typeof inner === "object" && inner !== null ? firstMessage(inner) : "";
    if (said) return said;
  }
  return "";
}
