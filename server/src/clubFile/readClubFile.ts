import {
  type ClubHead,
  type ClubRecord,
  clubHeadSchema,
  clubRecordSchema,
  LONGEST_LINE,
} from "@tonodrome/core/api";
import { Refusal } from "../errors/refusal";
import { readValue, refusalOf } from "../validation/validate";

/** A record of a file and where it stands in it. */
export interface Placed {
  record: ClubRecord;
  /** For a path: "lines.12". */
  place: string;
  /** Characters of it in the file. */
  size: number;
}

/** A club's file as it is being read. */
export interface ClubReading {
  name: string;
  records: AsyncIterable<Placed>;
}

/**
 * Reads a club's file as it comes: its head at once, its records one after the other, each checked by its schema.
 * @param chunks the file's bytes
 * @throws Refusal `invalid_input` with the line and field at fault, here or while the records are read
 */
export async function readClubFile(chunks: AsyncIterable<Uint8Array>): Promise<ClubReading> {
  const lines = linesOf(chunks);
  const first = await lines.next();
  if (first.done) throw new Refusal("invalid_input", "There is nothing in the file.", { path: "" });
  const { text, number } = first.value;
  const head = parsed(text);
  if (head === undefined)
    throw new Refusal("invalid_input", "This is not JSON.", { path: `lines.${number}` });
  return { name: headOf(head, number).name, records: recordsIn(lines) };
}

function headOf(value: unknown, number: number): ClubHead {
  const read = readValue(clubHeadSchema, value);
  if ("problems" in read) throw refusalOf(read.problems, `lines.${number}`);
  return read.value;
}

async function* recordsIn(lines: AsyncGenerator<Line>): AsyncGenerator<Placed> {
  let count = 0;
  for await (const { text, number } of lines) {
    const place = `lines.${number}`;
    const value = parsed(text);
    if (value === undefined) throw new Refusal("invalid_input", "This line is not JSON.", { path: place });
    const read = readValue(clubRecordSchema, value);
    if ("problems" in read) throw refusalOf(read.problems, place);
    const record = read.value;
    if (record.record !== "end") {
      count++;
      yield { record, place, size: text.length };
      continue;
    }
    if (record.records !== count) {
      throw new Refusal(
        "invalid_input",
        `The file should have ${record.records} records and has ${count}: something is missing, or was put in.`,
        { path: place },
      );
    }
    const more = await lines.next();
    if (!more.done) {
      throw new Refusal("invalid_input", "There is more after the end.", {
        path: `lines.${more.value.number}`,
      });
    }
    return;
  }
  throw new Refusal("invalid_input", "The file was cut short: its end is missing.", { path: "" });
}

interface Line {
  text: string;
  /** From 1. */
  number: number;
}

/** Lines of a file that have something in them, as they come. @throws Refusal for what is not UTF-8, or too long */
async function* linesOf(chunks: AsyncIterable<Uint8Array>): AsyncGenerator<Line> {
  const decoder = new TextDecoder("utf-8", { fatal: true });
  let rest = "";
  let number = 0;
  const decode = (chunk?: Uint8Array) => {
    try {
      return chunk ? decoder.decode(chunk, { stream: true }) : decoder.decode();
    } catch {
      throw new Refusal("invalid_input", "This is not a text file in UTF-8.", { path: "" });
    }
  };
  for await (const chunk of chunks) {
    const parts = (rest + decode(chunk)).split("\n");
    rest = parts.pop() ?? "";
    for (const text of parts) {
      number++;
      if (text.trim() !== "") yield { text, number };
    }
    if (rest.length > LONGEST_LINE) throw tooLong(LONGEST_LINE);
  }
  rest += decode();
  if (rest.trim() !== "") yield { text: rest, number: number + 1 };
}

function tooLong(most: number): Refusal {
  return new Refusal(
    "too_large",
    `A line of the file is longer than ${most} characters. Nothing was imported.`,
  );
}

function parsed(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return undefined;
  }
}
