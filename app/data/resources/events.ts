import type { EventInput, EventWrite } from "@tonodrome/core/api";
import { useClubList, useMake, useRewrite } from "~/data/resources/resource";

/** The club's events. */
export const useEvents = (enabled = true) =>
  useClubList("eventList", "/events", "events", { atSight: true, enabled });

/** Adds a type of event. */
export const useCreateEvent = () => useMake<EventInput, "event">("event", "eventInput", "/events", "events");

/** Writes an event over. */
export const useSaveEvent = () => useRewrite<EventWrite, "event">("event", "/events", "events");
