import { useMutation, useQuery } from "@tanstack/react-query";
import { ApiFailure, ask } from "~/data/client/api";
import { useSendOnce } from "~/data/client/useSendOnce";
import { useClubAsk } from "~/data/queries/useClubAsk";
import { useClubList, useRemove, useReread } from "~/data/resources/resource";

/** Links that show a start's warm-up. */
export const useShares = (startId: string) =>
  useClubList("shareList", `/starts/${startId}/shares`, "shares", { key: ["shares", startId] });

/** Makes such a link, until the end of the start's day or until an instant. */
export function useShare(startId: string) {
  const once = useSendOnce<{ until: string }>();
  const ask = useClubAsk();
  const reread = useReread("shares");
  return useMutation({
    mutationFn: (until: string) =>
      ask("newShare", "POST", `/starts/${startId}/shares`, once.withId({ until })),
    onSuccess: () => {
      once.made();
      return reread();
    },
  });
}

/** Every link of the club that works, for its owners. */
export const useClubShares = () => useClubList("clubShareList", "/shares", "shares");

/** Withdraws a link: it shows nothing from then on. */
export const useWithdrawShare = () => useRemove("/shares", "shares");

/** What a shared link shows. */
export const useShared = (token: string) =>
  useQuery({
    queryKey: ["shared", token],
    queryFn: () => ask("shared", "GET", `/shared/${token}`),
    refetchInterval: 60_000,
  });

/** Whether a link's answer is final: what it showed is no longer to be shown. */
export function isLinkOver(error: Error): boolean {
  return error instanceof ApiFailure && (error.code === "link_over" || error.code === "not_found");
}
