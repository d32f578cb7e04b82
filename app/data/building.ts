import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import {
  doneSchema,
  type EventInput,
  type EventWrite,
  eventListSchema,
  eventSchema,
  type StarterInstall,
  starterInstalledSchema,
  starterListSchema,
  type TemplateInput,
  templateListSchema,
  templateSchema,
} from "@tonodrome/core/api";
import { useClubAsk } from "./queries";
import { useSendOnce } from "./useSendOnce";

/** Longest wait for a whole starter shelf to be put up, milliseconds. */
const INSTALL_PATIENCE = 30_000;

/** The club's events. */
export function useEvents() {
  const ask = useClubAsk();
  return useQuery({
    queryKey: ["events"],
    queryFn: async () => (await ask(eventListSchema, "GET", "/events")).events,
  });
}

export function useCreateEvent() {
  const once = useSendOnce<EventInput>();
  const client = useQueryClient();
  const ask = useClubAsk();
  return useMutation({
    mutationFn: (input: EventInput) => ask(eventSchema, "POST", "/events", once.withId(input)),
    onSuccess: () => {
      once.made();
      return client.invalidateQueries({ queryKey: ["events"] });
    },
  });
}

/** Writes an event over, as long as it is the version that was read. */
export function useSaveEvent() {
  const client = useQueryClient();
  const ask = useClubAsk();
  return useMutation({
    mutationFn: ({ id, write }: { id: string; write: EventWrite }) =>
      ask(eventSchema, "PUT", `/events/${id}`, write),
    // Refused or not: what the server has now is what the next edit is made against.
    onSettled: () => void client.invalidateQueries({ queryKey: ["events"] }),
  });
}

/** Warm-ups that the club begins others from. */
export function useTemplates() {
  const ask = useClubAsk();
  return useQuery({
    queryKey: ["templates"],
    queryFn: async () => (await ask(templateListSchema, "GET", "/templates")).templates,
  });
}

export function useCreateTemplate() {
  const once = useSendOnce<TemplateInput>();
  const client = useQueryClient();
  const ask = useClubAsk();
  return useMutation({
    mutationFn: (input: TemplateInput) => ask(templateSchema, "POST", "/templates", once.withId(input)),
    onSuccess: () => {
      once.made();
      return client.invalidateQueries({ queryKey: ["templates"] });
    },
  });
}

export function useDeleteTemplate() {
  const client = useQueryClient();
  const ask = useClubAsk();
  return useMutation({
    mutationFn: (id: string) => ask(doneSchema, "DELETE", `/templates/${id}`),
    onSettled: () => void client.invalidateQueries({ queryKey: ["templates"] }),
  });
}

/** Starter shelves, and how much of each the club's shelf has. */
export function useStarters() {
  const ask = useClubAsk();
  return useQuery({
    queryKey: ["starters"],
    queryFn: async () => (await ask(starterListSchema, "GET", "/starters")).starters,
  });
}

/** Puts a starter shelf's drills onto the club's shelf, leaving alone what is there. */
export function useInstallStarter() {
  const client = useQueryClient();
  const ask = useClubAsk();
  return useMutation({
    mutationFn: (wanted: StarterInstall) =>
      ask(starterInstalledSchema, "POST", "/starters", wanted, INSTALL_PATIENCE),
    onSuccess: async () => {
      for (const key of ["drills", "starters"]) await client.invalidateQueries({ queryKey: [key] });
    },
  });
}
