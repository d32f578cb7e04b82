import {
  type EventType,
  type FixedPoint,
  formatLength,
  nameSchema,
  tagSchema,
  wordsOf,
} from "@tonodrome/core";
import { eventInputSchema, type ShelfDrill } from "@tonodrome/core/api";
import { useState } from "react";
import { Text, View } from "react-native";
import { Amount, Percent } from "~/features/dose/fields";
import { AREA_OPTIONS } from "~/features/shelf/detailWords";
import { Button } from "~/ui/Button";
import { Choice } from "~/ui/Choice";
import { MultiChoice } from "~/ui/MultiChoice";
import { Notice } from "~/ui/Notice";
import { TextEdit } from "~/ui/TextEdit";
import { WordsField } from "~/ui/WordsField";
import { EFFORT_OPTIONS } from "./effortWords";

interface EventFormProps {
  first: EventType;
  shelf: readonly ShelfDrill[];
  action: string;
  pending: boolean;
  failure: string | null;
  onSubmit: (event: EventType) => void;
}

/** What an event asks of whoever starts in it. */
export function EventForm({ first, shelf, action, pending, failure, onSubmit }: EventFormProps) {
  const [event, setEvent] = useState(first);
  const [fault, setFault] = useState<string | null>(null);
  const change = (more: Partial<EventType>) => setEvent({ ...event, ...more });
  const submit = () => {
    const checked = eventInputSchema.safeParse(event);
    setFault(checked.error?.issues[0]?.message ?? null);
    if (checked.success) onSubmit(checked.data);
  };
  const step = event.lengthSeconds >= 600 ? 60 : event.lengthSeconds >= 60 ? 15 : 5;
  return (
    <View className="gap-4">
      <TextEdit label="Name" value={event.name} check={nameSchema} onChange={(name) => change({ name })} />
      <Choice
        named
        label="Kind of effort"
        options={EFFORT_OPTIONS}
        value={event.effort}
        onChange={(effort) => change({ effort })}
      />
      <Amount
        label="It lasts"
        value={event.lengthSeconds}
        least={5}
        most={86_400}
        step={step}
        show={formatLength}
        onChange={(lengthSeconds) => change({ lengthSeconds })}
      />
      <Percent
        label="It peaks at"
        value={event.targetLevel}
        least={0}
        most={100}
        onChange={(targetLevel) => change({ targetLevel })}
      />
      <WordsField
        label="Actions it uses"
        words={event.actions}
        known={wordsOf(shelf, (d) => d.actions)}
        most={16}
        onChange={(actions) => change({ actions })}
      />
      <MultiChoice
        label="Parts of the body it uses"
        options={AREA_OPTIONS}
        values={event.areas}
        onChange={(areas) => change({ areas })}
      />
      <FixedPoints points={event.fixedPoints} onChange={(fixedPoints) => change({ fixedPoints })} />
      <WordsField label="Kit that has to be ready" words={event.kit} onChange={(kit) => change({ kit })} />
      <WordsField label="Places" words={event.places} most={8} onChange={(places) => change({ places })} />
      {fault || failure ? <Notice warn text={fault ?? failure ?? ""} /> : null}
      <Button label={action} look="full" disabled={pending} onPress={submit} />
    </View>
  );
}

/** Check-in, call and the like, each at its minutes before the start. */
function FixedPoints({
  points,
  onChange,
}: {
  points: readonly FixedPoint[];
  onChange: (points: FixedPoint[]) => void;
}) {
  const put = (i: number, more: Partial<FixedPoint>) =>
    onChange(points.map((p, k) => (k === i ? { ...p, ...more } : p)));
  const add = () =>
    onChange([
      ...points,
      {
        name: points.length === 0 ? "Check-in" : "Call",
        minutesBefore: points.length === 0 ? 60 : 10,
        minutesLong: 5,
        closesPractice: false,
      },
    ]);
  return (
    <View className="gap-3">
      <Text className="font-strong text-body text-ink">Fixed points before the start</Text>
      {points.map((point, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: a point has nothing else that stays the same while it is edited
        <View key={i} className="gap-2 border-l-4 border-line pl-3">
          <TextEdit
            label={`Fixed point ${i + 1}`}
            value={point.name}
            check={tagSchema}
            onChange={(name) => put(i, { name })}
          />
          <Amount
            label="Minutes before"
            value={point.minutesBefore}
            least={0}
            most={1440}
            step={5}
            onChange={(minutesBefore) =>
              put(i, { minutesBefore, minutesLong: Math.min(point.minutesLong, minutesBefore) })
            }
          />
          <Amount
            label="It takes, minutes"
            value={point.minutesLong}
            least={0}
            most={Math.min(240, point.minutesBefore)}
            onChange={(minutesLong) => put(i, { minutesLong })}
          />
          <Choice
            named
            label="After it"
            options={[
              { value: "open", label: "Practice goes on" },
              { value: "closed", label: "No practice after it" },
            ]}
            value={point.closesPractice ? "closed" : "open"}
            onChange={(after) => put(i, { closesPractice: after === "closed" })}
          />
          <Button
            label={`Take out ${point.name}`}
            icon="remove"
            onPress={() => onChange(points.filter((_, k) => k !== i))}
          />
        </View>
      ))}
      <Button label="Add a fixed point" icon="add" disabled={points.length >= 8} onPress={add} />
    </View>
  );
}
