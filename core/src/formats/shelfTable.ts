import { z } from "zod";
import { idealLevel, levelsOf } from "../dose/levelsOf";
import { drillShape } from "../plan/plan";
import type { ListFault } from "../startList/listTable";
import { formatLength } from "../time/clock";
import { pathText } from "../words/fault";
import { phaseName } from "../words/phase";
import { prioritySchema } from "../words/priority";
import { wordKey } from "../words/sameWord";
import { csvTable } from "./csvTable";
import { csvText } from "./csvText";

/** A drill as a row has it. */
export const drillInTableSchema = z.strictObject({ ...drillShape, priority: prioritySchema });

export type DrillInTable = z.infer<typeof drillInTableSchema>;

/** What is read back, and what is written besides for whoever looks at it. */
const SHELF_HEADS = ["Name", "Phase", "Priority", "Intensity", "Focus", "Place", "Dose", "Details"] as const;
const SHOWN_HEADS = ["In words", "Takes"];

/** The shelf, a drill a row. Doses and details are many things each, and stand there as JSON. */
export function shelfCsv(drills: readonly DrillInTable[]): string {
  return csvText(
    [...SHELF_HEADS, ...SHOWN_HEADS],
    drills.map(({ name, phase, priority, intensity, focus, place, dose, details }) => {
      const level = levelsOf(dose)[idealLevel(dose)];
      return [
        name,
        phaseName(phase),
        priority,
        intensity,
        focus,
        place,
        JSON.stringify(dose),
        details ? JSON.stringify(details) : "",
        level?.words ?? "",
        level ? formatLength(level.seconds) : "",
      ];
    }),
  );
}

/** Reads a shelf as it was written, or changed in a spreadsheet: all of it, or every fault with line and column. */
export function readShelfCsv(text: string): { drills: DrillInTable[] } | { faults: ListFault[] } {
  const read = csvTable(text);
  if ("faults" in read) return read;
  const { heads, rows } = read.table;
  const at = new Map(SHELF_HEADS.map((head) => [head, heads.findIndex((h) => wordKey(h) === wordKey(head))]));
  const missing = [...at].filter(([, column]) => column < 0).map(([head]) => head);
  if (missing.length > 0)
    return { faults: missing.map((head) => ({ line: 1, column: head, message: "This column is missing." })) };
  const drills: DrillInTable[] = [];
  const faults: ListFault[] = [];
  const names = new Map<string, number>();
  for (const { line, cells } of rows) {
    const cell = (head: (typeof SHELF_HEADS)[number]) => cells[at.get(head) ?? -1] ?? "";
    const fault = (column: string, message: string) => faults.push({ line, column, message });
    const twice = names.get(wordKey(cell("Name")));
    if (twice) fault("Name", `This drill stands on line ${twice} already.`);
    names.set(wordKey(cell("Name")), line);
    const [dose, details] = [inJson(cell("Dose")), cell("Details") ? inJson(cell("Details")) : undefined];
    if (dose === NO_JSON) fault("Dose", "This is not JSON.");
    if (details === NO_JSON) fault("Details", "This is not JSON.");
    if (dose === NO_JSON || details === NO_JSON) continue;
    const drill = drillInTableSchema.safeParse({
      name: cell("Name"),
      phase: phaseOf(cell("Phase")),
      priority: cell("Priority"),
      intensity: /^\d+$/.test(cell("Intensity")) ? Number(cell("Intensity")) : cell("Intensity"),
      focus: cell("Focus"),
      place: cell("Place"),
      dose,
      ...(details === undefined ? {} : { details }),
    });
    if (drill.success) drills.push(drill.data);
    else for (const { path, message } of drill.error.issues) fault(columnOf(path), wordsOf(path, message));
  }
  return faults.length > 0 ? { faults } : { drills };
}

const NO_JSON = Symbol("not JSON");

function inJson(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return NO_JSON;
  }
}

/** A phase by the name that it is shown with, or the one that data has. */
const phaseOf = (text: string) =>
  drillShape.phase.options.find((phase) => wordKey(phaseName(phase)) === wordKey(text)) ?? text;

const columnOf = ([field]: readonly PropertyKey[]) =>
  SHELF_HEADS.find((head) => head.toLowerCase() === field) ?? "Name";

const wordsOf = ([, ...rest]: readonly PropertyKey[], message: string) =>
  rest.length > 0 ? `${pathText(rest)}: ${message}` : message;
