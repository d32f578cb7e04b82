import { useMutation, useQueryClient } from "@tanstack/react-query";
import {
  type AthleteInput,
  athleteSchema,
  eventListSchema,
  GENERAL_STARTER,
  type Start,
  type Starter,
  type StartInput,
  starterInstalledSchema,
  startSchema,
} from "@tonodrome/core/api";
import { useRef } from "react";
import { useSendOnce } from "~/data/client/useSendOnce";
import { useClubAsk } from "~/data/queries/clubAsk";
import { putStart } from "~/data/resources/starts";
import { deviceZone } from "~/ui/dates";
import { type FirstForm, firstStartOf } from "./firstForm";

/** Longest wait for a starter shelf to be put up, milliseconds. */
const INSTALL_PATIENCE = 30_000;

/** The time that was given has passed, or does not exist. */
export class NoSuchTime extends Error {}

/**
 * Sets up a club's first start: shelves of what is coached, the athlete, the start. Pressed again after a failure it goes on
 * where it stopped; nothing is made twice.
 */
export function useFirstStart() {
  const ask = useClubAsk();
  const client = useQueryClient();
  const athleteOnce = useSendOnce<AthleteInput>();
  const startOnce = useSendOnce<StartInput>();
  const athlete = useRef<{ name: string; id: string } | null>(null);

  /** The club's event of that id, or the one of its own of the same name. */
  async function eventOf({ events: [first] }: Pick<Starter, "events">) {
    if (!first) return null;
    const { events } = await ask(eventListSchema, "GET", "/events");
    return events.find((e) => e.id === first.id) ?? events.find((e) => e.name === first.name) ?? null;
  }

  async function athleteId(name: string): Promise<string> {
    if (athlete.current?.name !== name) {
      const { id } = await ask(athleteSchema, "POST", "/athletes", athleteOnce.withId({ name }));
      athlete.current = { name, id };
    }
    return athlete.current.id;
  }

  return useMutation({
    mutationFn: async ({
      form,
      starters,
    }: {
      form: FirstForm;
      starters: readonly Starter[];
    }): Promise<Start> => {
      const zone = deviceZone();
      const asked = { zone, athleteId: "", event: null };
      if (!firstStartOf(form, { ...asked, now: Date.now() })) throw new NoSuchTime();
      const chosen = starters.filter((s) => form.sports.includes(s.key));
      for (const key of chosen.length > 0 ? chosen.map((s) => s.key) : [GENERAL_STARTER])
        await ask(starterInstalledSchema, "POST", "/starters", { key }, INSTALL_PATIENCE);
      const [sport] = chosen;
      const event = sport ? await eventOf(sport) : null;
      const id = await athleteId(form.athlete);
      const input = firstStartOf(form, { zone, athleteId: id, event, now: Date.now() });
      if (!input) throw new NoSuchTime();
      return ask(startSchema, "POST", "/starts", startOnce.withId(input));
    },
    onSuccess: async (start) => {
      startOnce.made();
      putStart(client, start);
      await client.invalidateQueries({
        predicate: ({ queryKey: [of] }) => of !== "start" && of !== "starts",
      });
    },
  });
}
