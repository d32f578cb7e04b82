import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { doneSchema } from "@tonodrome/core/api";
import type { z } from "zod";
import { useSendOnce } from "~/data/client/useSendOnce";
import { useClubAsk } from "./clubAsk";

/** Reads these again after a write. */
export function useReread(...keys: string[]): () => Promise<unknown> {
  const client = useQueryClient();
  return () => Promise.all(keys.map((key) => client.invalidateQueries({ queryKey: [key] })));
}

/**
 * A list of the club's.
 * @param field where the answer has it
 * @param key what it is kept under, unless that is the field
 */
export function useClubList<S extends z.ZodType, Field extends keyof z.infer<S> & string>(
  schema: S,
  path: string,
  field: Field,
  { key = [field], enabled = true }: { key?: string[]; enabled?: boolean } = {},
) {
  const ask = useClubAsk();
  return useQuery({
    queryKey: key,
    queryFn: async (): Promise<z.infer<S>[Field]> => (await ask(schema, "GET", path))[field],
    enabled,
  });
}

/** Makes one of a list; sent again because no answer came, it is made once. */
export function useMake<Input extends object, S extends z.ZodType>(
  schema: S,
  path: string,
  ...keys: string[]
) {
  const once = useSendOnce<Input>();
  const ask = useClubAsk();
  const reread = useReread(...keys);
  return useMutation({
    mutationFn: (input: Input) => ask(schema, "POST", path, once.withId(input)),
    onSuccess: () => {
      once.made();
      return reread();
    },
  });
}

/**
 * Writes one over, as long as it is the version that was read. Refused or not: what the server has now is what the next edit
 * is made against.
 */
export function useRewrite<Write extends object, S extends z.ZodType>(
  schema: S,
  path: string,
  ...keys: string[]
) {
  const ask = useClubAsk();
  const reread = useReread(...keys);
  return useMutation({
    mutationFn: ({ id, write }: { id: string; write: Write }) => ask(schema, "PUT", `${path}/${id}`, write),
    onSettled: () => void reread(),
  });
}

/** Takes one out. */
export function useRemove(path: string, ...keys: string[]) {
  const ask = useClubAsk();
  const reread = useReread(...keys);
  return useMutation({
    mutationFn: (id: string) => ask(doneSchema, "DELETE", `${path}/${id}`),
    onSettled: reread,
  });
}
