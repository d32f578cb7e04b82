import {
  type ListFault,
  type ListReading,
  type ListTable,
  LONGEST_LIST,
  readListTable,
  recognise,
} from "@tonodrome/core/start-list";
import { useState } from "react";
import { deviceZone } from "~/ui/dates";

/** A file that was chosen, or a text that was pasted, and how it is read. */
export interface ListFile {
  name: string;
  table: ListTable | null;
  /** What keeps it from being a list at all. */
  faults: readonly ListFault[];
  reading: ListReading | null;
}

/** Reads a list from a file or a text. */
export function useListFile() {
  const [file, setFile] = useState<ListFile | null>(null);
  const refuse = (name: string, faults: readonly ListFault[]) =>
    setFile({ name, table: null, faults, reading: null });
  const whole = (message: string): ListFault[] => [{ line: 1, column: null, message }];
  const takeText = (name: string, text: string) => {
    const read = readListTable(text);
    if ("faults" in read) return refuse(name, read.faults);
    const reading = recognise(read.table, { title: "", venue: "", date: "", zone: deviceZone() });
    setFile({ name, table: read.table, faults: [], reading });
  };
  const takeFile = async (picked: File) => {
    // Four bytes are the most that a character has: what is larger is too long without being read.
    if (picked.size > 4 * LONGEST_LIST)
      return refuse(picked.name, whole("The file is too large for a start list."));
    try {
      takeText(picked.name, new TextDecoder("utf-8", { fatal: true }).decode(await picked.arrayBuffer()));
    } catch {
      refuse(picked.name, whole("This is not text in UTF-8: save it in that encoding."));
    }
  };
  const read = (reading: ListReading) => setFile((now) => (now ? { ...now, reading } : now));
  return { file, takeText, takeFile, read, drop: () => setFile(null) };
}
