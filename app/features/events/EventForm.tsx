import { type EventType, formatLength, nameSchema, tolerant, wordsOf } from "@tonodrome/core";
import { eventInputSchema, type ShelfDrill } from "@tonodrome/core/api";
import { useState } from "react";
import { View } from "react-native";
import { Amount, Percent } from "~/features/fields/fields";
import { AREA_OPTIONS } from "~/features/shelf/detailWords";
import { FixedPoints } from "~/features/venue/FixedPoints";
import { Button } from "~/ui/Button";
import { Choice } from "~/ui/fields/Choice";
import { MultiChoice } from "~/ui/fields/MultiChoice";
import { TextEdit } from "~/ui/fields/TextEdit";
import { WordsField } from "~/ui/fields/WordsField";
import { Notice } from "~/ui/layout/Notice";
import { words } from "~/ui/words";
import { EFFORT_PROFILE_OPTIONS } from "./effortProfileWords";

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
    const checked = tolerant(eventInputSchema).safeParse(event);
    setFault(checked.error?.issues[0]?.message ?? null);
    if (checked.success) onSubmit(checked.data);
  };
  const step = event.lengthSeconds >= 600 ? 60 : event.lengthSeconds >= 60 ? 15 : 5;
  return (
    <View className="gap-4">
      <TextEdit
        label={words.name}
        value={event.name}
        check={nameSchema}
        onChange={(name) => change({ name })}
      />
      <Choice
        named
        label="Kind of effort"
        options={EFFORT_PROFILE_OPTIONS}
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
        label="Peak intensity"
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
      <FixedPoints points={event.fixedPoints} most={8} onChange={(fixedPoints) => change({ fixedPoints })} />
      <WordsField label="Kit that has to be ready" words={event.kit} onChange={(kit) => change({ kit })} />
      <WordsField label="Places" words={event.places} most={8} onChange={(places) => change({ places })} />
      {fault || failure ? <Notice warn text={fault ?? failure ?? ""} /> : null}
      <Button label={action} look="full" disabled={pending} onPress={submit} />
    </View>
  );
}
