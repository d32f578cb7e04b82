import type { z } from "zod";
import type { Fault } from "../words/fault";
import { withoutMark } from "./byteOrderMark";

/** Most characters a file may have: far more than the largest that is taken. */
export const LONGEST_FILE = 4_000_000;

/** Reads a file of JSON strictly: all of it, or what is wrong with it. */
export function readJson<S extends z.ZodType>(
  text: string,
  schema: S,
): { file: z.infer<S> } | { faults: Fault[] } {
  if (text.length > LONGEST_FILE)
    return { faults: [{ path: [], message: `The file is too long: at most ${LONGEST_FILE} characters.` }] };
  let data: unknown;
  try {
    data = JSON.parse(withoutMark(text));
  } catch (error) {
    return { faults: [{ path: [], message: `This is not JSON: ${(error as Error).message}` }] };
  }
  const read = schema.safeParse(data);
  if (read.success) return { file: read.data };
  return { faults: read.error.issues.map((i) => ({ path: i.path as Fault["path"], message: i.message })) };
}
