import { useInfiniteQuery, useMutation, useQueryClient } from "@tanstack/react-query";
import { refreshMe } from "~/data/account/account";
import { useMembership } from "~/data/account/useAccount";
import { sendFile } from "~/data/client/api";
import { useClubAsk } from "~/data/queries/useClubAsk";

/** Longest wait for a whole club to be taken in, milliseconds. */
const IMPORT_PATIENCE = 600_000;

/** Who changed what, a page at a time, newest first. */
export function useAudit() {
  const ask = useClubAsk();
  return useInfiniteQuery({
    queryKey: ["audit"],
    queryFn: ({ pageParam }) => ask("auditList", "GET", pageParam ? `/audit?before=${pageParam}` : "/audit"),
    initialPageParam: "",
    getNextPageParam: (page) => page.next,
    staleTime: 0,
  });
}

/** Gives the club another name. */
export function useRenameClub() {
  const ask = useClubAsk();
  return useMutation({
    mutationFn: (name: string) => ask("club", "PUT", "", { name }),
    onSuccess: refreshMe,
  });
}

/** Where the browser fetches the whole club as a file, with or without earlier versions of warm-ups. */
export const useExportAddress = (withEdits: boolean): string =>
  `/api/clubs/${useMembership().id}/export${withEdits ? "" : "?edits=no"}`;

/** Where a table for a spreadsheet is. */
export function useTableAddress(): (table: "shelf" | "starts" | "log") => string {
  const { id } = useMembership();
  return (table) => `/api/clubs/${id}/tables/${table}`;
}

/** Fills this empty club with an exported one. */
export function useImportClub() {
  const { id } = useMembership();
  const client = useQueryClient();
  return useMutation({
    mutationFn: ({ file, name }: { file: Blob; name: "keep" | "take" }) =>
      sendFile("done", `/clubs/${id}/import?name=${name}`, file, IMPORT_PATIENCE),
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
    mutationFn: (name: string) => ask("done", "DELETE", "", { name }),
    onSuccess: refreshMe,
  });
}

/** Leaves the club one acts in. */
export function useLeaveClub() {
  const ask = useClubAsk();
  return useMutation({ mutationFn: () => ask("done", "POST", "/leave"), onSuccess: refreshMe });
}
