import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import type { AnswerName, AnswerOf } from "~/data/client/answers";
import { bodyOf } from "~/data/client/api";
import { useSendOnce } from "~/data/client/useSendOnce";
import { useClubAsk } from "~/data/queries/useClubAsk";

/** Reads these again after a write. */
export function useReread(...keys: string[]): () => Promise<unknown> {
  const client = useQueryClient();
  return () => Promise.all(keys.map((key) => client.invalidateQueries({ queryKey: [key] })));
}

interface ListReading {
  /** What it is kept under, unless that is the field. */
  key?: string[];
  enabled?: boolean;
  /** Whether Today opens with it. */
  atSight?: boolean;
}

/**
 * A list of the club's.
 * @param field where the answer has it
 */
export function useClubList<Name extends AnswerName, Field extends keyof AnswerOf<Name> & string>(
  name: Name,
  path: string,
  field: Field,
  { key = [field], enabled = true, atSight = false }: ListReading = {},
) {
  const ask = useClubAsk();
  return useQuery({
    queryKey: key,
    queryFn: async (): Promise<AnswerOf<Name>[Field]> => {
      const answer: AnswerOf<Name> = await ask(name, "GET", path, undefined, { atSight });
      return (answer as { [F in Field]: AnswerOf<Name>[F] })[field];
    },
    enabled,
  });
}

/**
 * Makes one of a list; sent again because no answer came, it is made once.
 * @param sent what is sent, as its schema is called
 */
export function useMake<Input extends object, Name extends AnswerName>(
  name: Name,
  sent: AnswerName,
  path: string,
  ...keys: string[]
) {
  const once = useSendOnce<Input>();
  const ask = useClubAsk();
  const reread = useReread(...keys);
  return useMutation({
    mutationFn: async (input: Input) => ask(name, "POST", path, await bodyOf(sent, once.withId(input))),
    onSuccess: () => {
      once.made();
      return reread();
    },
  });
}

/** What is written over whole: its write has a schema by its name. */
type Rewritten = "athlete" | "drill" | "event";

/**
 * Writes one over, as long as it is the version that was read. Refused or not: what the server has now is what the next edit
 * is made against.
 */
export function useRewrite<Write extends object, Name extends Rewritten>(
  name: Name,
  path: string,
  ...keys: string[]
) {
  const ask = useClubAsk();
  const reread = useReread(...keys);
  return useMutation({
    mutationFn: async ({ id, write }: { id: string; write: Write }) =>
      ask(name, "PUT", `${path}/${id}`, await bodyOf(`${name}Write`, write)),
    onSettled: () => void reread(),
  });
}

/** Takes one out. */
export function useRemove(path: string, ...keys: string[]) {
  const ask = useClubAsk();
  const reread = useReread(...keys);
  return useMutation({
    mutationFn: (id: string) => ask("done", "DELETE", `${path}/${id}`),
    onSettled: reread,
  });
}
