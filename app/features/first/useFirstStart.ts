import { useMutation } from "@tanstack/react-query";
import { GENERAL_STARTER, type Start, type Starter } from "@tonodrome/core/api";
import { useRef } from "react";
import { useClubAsk } from "~/data/queries/useClubAsk";
import { useCreateAthlete } from "~/data/resources/athletes";
import { useInstallStarter } from "~/data/resources/starters";
import { useCreateStart } from "~/data/resources/starts";
import { deviceZone } from "~/ui/dates";
import { type FirstForm, firstStartOf } from "./firstForm";

/**
 * Sets up a club's first start: shelves of what is coached, the athlete, the start. Pressed again after a failure it goes on
 * where it stopped; nothing is made twice.
 */
export function useFirstStart(starters: readonly Starter[]) {
  const ask = useClubAsk();
  const install = useInstallStarter();
  const createAthlete = useCreateAthlete();
  const createStart = useCreateStart();
  const made = useRef<{ name: string; id: string } | null>(null);

  /** The club's event of that id, or the one of its own of the same name. */
  async function eventOf({ events: [first] }: Starter) {
    if (!first) return null;
    const { events } = await ask("eventList", "GET", "/events");
    return events.find((e) => e.id === first.id) ?? events.find((e) => e.name === first.name) ?? null;
  }

  async function athleteIdOf(name: string): Promise<string> {
    if (made.current?.name !== name)
      made.current = { name, id: (await createAthlete.mutateAsync({ name })).id };
    return made.current.id;
  }

  return useMutation({
    mutationFn: async (form: FirstForm): Promise<Start> => {
      const chosen = starters.filter((s) => form.sports.includes(s.key));
      for (const key of chosen.length > 0 ? chosen.map((s) => s.key) : [GENERAL_STARTER])
        await install.mutateAsync({ key });
      const [sport] = chosen;
      const event = sport ? await eventOf(sport) : null;
      const athleteId = await athleteIdOf(form.athlete);
      return createStart.mutateAsync(
        firstStartOf(form, { athleteId, event, zone: deviceZone(), now: Date.now() }),
      );
    },
  });
}
