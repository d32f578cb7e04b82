import type { Start } from "@tonodrome/core/api";
import { KIT_STEP, kitThere } from "@tonodrome/core/lists";
import { useTicks } from "~/data/day/useTicks";
import { useSame } from "~/ui/hooks/useSame";

/** The event's kit on arrival: which pieces are there, and the press that says so, with or without a network. */
export interface KitThere {
  there: readonly string[];
  press: (piece: string, isThere: boolean) => void;
}

/** The kit of a start. @param kit the event's pieces */
export function useKitThere(
  { id, setting }: Pick<Start, "id" | "setting">,
  kit: readonly string[],
): KitThere {
  const { ticks, press } = useTicks(id);
  const found = kitThere(kit, setting.kitReady, ticks);
  const there = useSame(found, found.join("\n"));
  return { there, press: (line, isOn) => press({ step: KIT_STEP, line }, isOn) };
}
