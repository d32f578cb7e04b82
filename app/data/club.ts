import { useInfiniteQuery, useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import {
  auditListSchema,
  clubSchema,
  clubShareListSchema,
  doneSchema,
  type InviteInput,
  inviteListSchema,
  type Member,
  type MemberWrite,
  memberListSchema,
  memberSchema,
  newInviteSchema,
  newShareSchema,
  shareListSchema,
} from "@tonodrome/core/api";
import { refreshMe, useMembership } from "./account";
import { sendFile } from "./api";
import { useClubAsk } from "./queries";
import { useSendOnce } from "./useSendOnce";

/** Longest wait for a whole club to be taken in, milliseconds. */
const IMPORT_PATIENCE = 600_000;

/** Reads these again after a write. */
function useReread(...keys: string[]): () => Promise<unknown> {
  const client = useQueryClient();
  return () => Promise.all(keys.map((key) => client.invalidateQueries({ queryKey: [key] })));
}

export function useMembers() {
  const ask = useClubAsk();
  return useQuery({
    queryKey: ["members"],
    queryFn: async () => (await ask(memberListSchema, "GET", "/members")).members,
  });
}

export function useSaveMember() {
  const ask = useClubAsk();
  const reread = useReread("members");
  return useMutation({
    mutationFn: ({ member, write }: { member: Member; write: MemberWrite }) =>
      ask(memberSchema, "PUT", `/members/${member.userId}`, write),
    onSettled: async () => {
      await reread();
      await refreshMe();
    },
  });
}

export function useRemoveMember() {
  const ask = useClubAsk();
  const reread = useReread("members");
  return useMutation({
    mutationFn: (member: Member) => ask(doneSchema, "DELETE", `/members/${member.userId}`),
    onSettled: async () => {
      await reread();
      await refreshMe();
    },
  });
}

export function useInvites() {
  const ask = useClubAsk();
  return useQuery({
    queryKey: ["invites"],
    queryFn: async () => (await ask(inviteListSchema, "GET", "/invites")).invites,
  });
}

export function useInvite() {
  const once = useSendOnce<InviteInput>();
  const ask = useClubAsk();
  const reread = useReread("invites");
  return useMutation({
    mutationFn: (input: InviteInput) => ask(newInviteSchema, "POST", "/invites", once.withId(input)),
    onSuccess: () => {
      once.made();
      return reread();
    },
  });
}

export function useWithdrawInvite() {
  const ask = useClubAsk();
  const reread = useReread("invites");
  return useMutation({
    mutationFn: (id: string) => ask(doneSchema, "DELETE", `/invites/${id}`),
    onSettled: reread,
  });
}

/** Links that show a start's warm-up. */
export function useShares(startId: string) {
  const ask = useClubAsk();
  return useQuery({
    queryKey: ["shares", startId],
    queryFn: async () => (await ask(shareListSchema, "GET", `/starts/${startId}/shares`)).shares,
  });
}

/** Makes such a link, until the end of the start's day or until an instant. */
export function useShare(startId: string) {
  const once = useSendOnce<{ until: string }>();
  const ask = useClubAsk();
  const reread = useReread("shares");
  return useMutation({
    mutationFn: (until: string) =>
      ask(newShareSchema, "POST", `/starts/${startId}/shares`, once.withId({ until })),
    onSuccess: () => {
      once.made();
      return reread();
    },
  });
}

/** Every link of the club that works, for its owners. */
export function useClubShares() {
  const ask = useClubAsk();
  return useQuery({
    queryKey: ["shares"],
    queryFn: async () => (await ask(clubShareListSchema, "GET", "/shares")).shares,
  });
}

export function useWithdrawShare() {
  const ask = useClubAsk();
  const reread = useReread("shares");
  return useMutation({
    mutationFn: (id: string) => ask(doneSchema, "DELETE", `/shares/${id}`),
    onSettled: reread,
  });
}

/** Who changed what, a page at a time, newest first. */
export function useAudit() {
  const ask = useClubAsk();
  return useInfiniteQuery({
    queryKey: ["audit"],
    queryFn: ({ pageParam }) =>
      ask(auditListSchema, "GET", pageParam ? `/audit?before=${pageParam}` : "/audit"),
    initialPageParam: "",
    getNextPageParam: (page) => page.next,
    staleTime: 0,
  });
}

export function useRenameClub() {
  const ask = useClubAsk();
  return useMutation({
    mutationFn: (name: string) => ask(clubSchema, "PUT", "", { name }),
    onSuccess: refreshMe,
  });
}

/** Where the browser fetches the whole club as a file, with or without earlier versions of warm-ups. */
export const useExportAddress = (withEdits: boolean): string =>
  `/api/clubs/${useMembership().id}/export${withEdits ? "" : "?edits=no"}`;

/** Fills this empty club with an exported one. */
export function useImportClub() {
  const { id } = useMembership();
  const client = useQueryClient();
  return useMutation({
    mutationFn: (file: Blob) => sendFile(doneSchema, `/clubs/${id}/import`, file, IMPORT_PATIENCE),
    onSuccess: async () => {
      await client.invalidateQueries();
      await refreshMe();
    },
  });
}

/** Deletes the club with everything in it; its name has to be given. */
export function useDeleteClub() {
  const ask = useClubAsk();
  return useMutation({
    mutationFn: (name: string) => ask(doneSchema, "DELETE", "", { name }),
    onSuccess: refreshMe,
  });
}

/** Leaves the club one acts in. */
export function useLeaveClub() {
  const ask = useClubAsk();
  return useMutation({ mutationFn: () => ask(doneSchema, "POST", "/leave"), onSuccess: refreshMe });
}
