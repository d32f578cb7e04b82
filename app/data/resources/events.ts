import { type EventInput, type EventWrite, eventListSchema, eventSchema } from "@tonodrome/core/api";
import { useClubList, useMake, useRewrite } from "~/data/queries/resource";

/** The club's events. */
export const useEvents = () => useClubList(eventListSchema, "/events", "events");

/** Adds a type of event. */
export const useCreateEvent = () => useMake<EventInput, typeof eventSchema>(eventSchema, "/events", "events");

/** Writes an event over. */
export const useSaveEvent = () =>
  useRewrite<EventWrite, typeof eventSchema>(eventSchema, "/events", "events");
