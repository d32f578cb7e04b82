import { useQuery } from "@tanstack/react-query";
import type { Tick } from "@tonodrome/core/lists";
import { useStore } from "zustand";
import { useMembership } from "~/data/account/useAccount";
import { ask } from "~/data/client/api";
import { answeredTicks, shownTicks, tick, tickBox } from "./ticks";

const NONE: readonly Tick[] = [];

/** What is ticked off in the lists of a start, and the press that does it. */
export interface Ticks {
  ticks: readonly Tick[];
  /** Why this device's ticks are not on the server, in a sentence; null when they are, or on their way. */
  failure: string | null;
  press: (line: Pick<Tick, "step" | "line">, isOn: boolean) => void;
}

/** Of a start of the club. */
export function useTicks(startId: string): Ticks {
  const { id: clubId } = useMembership();
  return useTicksAt({
    path: `/clubs/${clubId}/starts/${startId}/ticks`,
    queryKey: ["day", startId, "ticks"],
  });
}

/** Of the start that a link shows, without an account. */
export const useSharedTicks = (token: string): Ticks =>
  useTicksAt({
    path: `/shared/${token}/ticks`,
    queryKey: ["shared", token, "ticks"],
  });

interface TicksAt {
  /** Where they are asked for and sent. */
  path: string;
  queryKey: string[];
}

function useTicksAt({ path, queryKey }: TicksAt): Ticks {
  const { data } = useQuery({
    queryKey,
    queryFn: () => ask("ticks", "GET", path),
    refetchInterval: 15_000,
  });
  const own = useStore(tickBox.store, () => tickBox.get(path)) ?? NONE;
  const failure = useStore(tickBox.store, ({ failures }) => failures.get(path)?.sentence ?? null);
  useStore(answeredTicks, (all) => all.get(path));
  const all = shownTicks(path, data?.ticks ?? NONE);
  return {
    ticks: all,
    failure: own.length > 0 ? failure : null,
    press: (line, isOn) => tick(path, line, isOn, all),
  };
}
