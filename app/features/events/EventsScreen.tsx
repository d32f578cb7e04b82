import { plainEvent, spokenLength } from "@tonodrome/core";
import type { ClubEvent, EventInput } from "@tonodrome/core/api";
import { useState } from "react";
import { View } from "react-native";
import { useMay } from "~/data/account/useAccount";
import { useDrills } from "~/data/resources/drills";
import { useCreateEvent, useEvents, useSaveEvent } from "~/data/resources/events";
import { Button } from "~/ui/Button";
import { Loaded } from "~/ui/layout/Loading";
import { Notice } from "~/ui/layout/Notice";
import { Row } from "~/ui/layout/Row";
import { Screen } from "~/ui/layout/Screen";
import { Sheet } from "~/ui/layout/Sheet";
import { words } from "~/ui/words";
import { EventForm } from "./EventForm";
import { effortProfileWords } from "./effortProfileWords";

/** The club's events, each to be used for any number of starts. */
export function EventsScreen() {
  const events = useEvents();
  const mayBuild = useMay("build");
  const [openId, setOpenId] = useState<string | null>(null);
  const [making, setMaking] = useState(false);
  const opened = events.data?.find((e) => e.id === openId) ?? null;
  return (
    <Screen
      title={words.events}
      back="/club"
      action={mayBuild ? <Button label="New event" icon="add" onPress={() => setMaking(true)} /> : undefined}
    >
      <Loaded query={events}>
        {(list) =>
          list.length === 0 ? (
            <Notice
              text="No events yet. An event says what a start asks for: its effort, its actions, what happens before it. Every sport's starter shelf has one."
              actions={mayBuild ? [{ label: "Make the first event", onPress: () => setMaking(true) }] : []}
            />
          ) : (
            <View role="list" aria-label={words.events}>
              {list.map((event) => (
                <Row
                  key={event.id}
                  title={event.name}
                  detail={describe(event)}
                  action={
                    mayBuild ? (
                      <Button
                        label={`Open ${event.name}`}
                        icon="onward"
                        iconOnly
                        look="plain"
                        onPress={() => setOpenId(event.id)}
                      />
                    ) : null
                  }
                />
              ))}
            </View>
          )
        }
      </Loaded>
      {making ? <NewEvent onDone={() => setMaking(false)} /> : null}
      {opened ? <EditEvent key={opened.id} event={opened} onDone={() => setOpenId(null)} /> : null}
    </Screen>
  );
}

function describe({ effort, lengthSeconds, targetLevel, actions, archived }: ClubEvent): string {
  return [
    archived ? "not offered any more" : "",
    effortProfileWords(effort).toLocaleLowerCase(),
    spokenLength(lengthSeconds),
    `peaks at ${targetLevel} %`,
    actions.join(", "),
  ]
    .filter(Boolean)
    .join(", ");
}

function NewEvent({ onDone }: { onDone: () => void }) {
  const create = useCreateEvent();
  const shelf = useDrills().data ?? [];
  return (
    <Sheet title="New event" onClose={onDone}>
      <EventForm
        first={plainEvent("")}
        shelf={shelf}
        action="Make it"
        pending={create.isPending}
        failure={create.error?.message ?? null}
        onSubmit={(input) => create.mutate(input, { onSuccess: onDone })}
      />
    </Sheet>
  );
}

function EditEvent({ event, onDone }: { event: ClubEvent; onDone: () => void }) {
  const save = useSaveEvent();
  const shelf = useDrills().data ?? [];
  const { id, version, archived, ...first } = event;
  const send = (input: EventInput, isArchived: boolean) =>
    save.mutate({ id, write: { version, archived: isArchived, ...input } }, { onSuccess: onDone });
  return (
    <Sheet title={event.name} onClose={onDone}>
      <Button
        label={archived ? "Offer it again" : "Offer it no more"}
        disabled={save.isPending}
        onPress={() => send(first, !archived)}
      />
      <EventForm
        first={first}
        shelf={shelf}
        action="Save"
        pending={save.isPending}
        failure={save.error ? `${save.error.message} What you changed is still here.` : null}
        onSubmit={(input) => send(input, archived)}
      />
    </Sheet>
  );
}
