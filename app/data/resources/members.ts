import { useMutation } from "@tanstack/react-query";
import type { Member, MemberWrite } from "@tonodrome/core/api";
import { refreshMe } from "~/data/account/account";
import { useClubAsk } from "~/data/queries/useClubAsk";
import { useClubList, useReread } from "~/data/resources/resource";

/** Who belongs to the club. */
export const useMembers = () => useClubList("memberList", "/members", "members");

/** Changes what a member is. */
export function useSaveMember() {
  const ask = useClubAsk();
  const reread = useReread("members");
  return useMutation({
    mutationFn: ({ member, write }: { member: Member; write: MemberWrite }) =>
      ask("member", "PUT", `/members/${member.userId}`, write),
    onSettled: async () => {
      await reread();
      await refreshMe();
    },
  });
}

/** Takes a member out. */
export function useRemoveMember() {
  const ask = useClubAsk();
  const reread = useReread("members");
  return useMutation({
    mutationFn: (member: Member) => ask("done", "DELETE", `/members/${member.userId}`),
    onSettled: async () => {
      await reread();
      await refreshMe();
    },
  });
}
