import { LINKS, linkFaultIn } from "../drill/links";
import { sameValue } from "../maths/sameValue";
import { wordKey } from "../words/sameWord";
import type { DrillInTable } from "./shelfTable";

/** A drill that a club has. */
export interface KnownDrill {
  id: string;
  archived: boolean;
  content: DrillInTable;
}

/** What of a drill a table changes. */
export type DrillChange = keyof DrillInTable | "archived";

/** What becomes of a drill of a table, and how many alternatives it names that are not on the shelf: those are left out. */
export type DrillNews = { name: string; unlinked: number } & (
  | { state: "new"; drill: DrillInTable }
  | { state: "changed"; id: string; drill: DrillInTable; changed: DrillChange[] }
  | { state: "same"; id: string }
  | { state: "fault"; message: string }
);

/** Compares a table of drills with a club's shelf: a drill is known by its name. What the table does not have stays as it is. */
export function compareShelf(drills: readonly DrillInTable[], shelf: readonly KnownDrill[]): DrillNews[] {
  const byName = new Map<string, KnownDrill[]>();
  for (const known of shelf) {
    const key = wordKey(known.content.name);
    const namesakes = byName.get(key);
    if (namesakes) namesakes.push(known);
    else byName.set(key, [known]);
  }
  const ids = new Set(shelf.map((k) => k.id));
  const news = drills.map((given): DrillNews => {
    const { drill, unlinked } = linkedTo(ids, given);
    const told = { name: drill.name, unlinked };
    const namesakes = byName.get(wordKey(drill.name)) ?? [];
    const inUse = namesakes.filter((k) => !k.archived);
    const [known] = inUse.length > 0 ? inUse : namesakes;
    if (inUse.length > 1)
      return {
        ...told,
        state: "fault",
        message: `There are ${inUse.length} drills called ${drill.name} on the shelf: give them different names first.`,
      };
    if (!known) return { ...told, state: "new", drill };
    const { id } = known;
    const changed: DrillChange[] = [
      ...FIELDS.filter((field) => !sameValue(drill[field], known.content[field])),
      ...(known.archived ? (["archived"] as const) : []),
    ];
    return changed.length > 0
      ? { ...told, state: "changed", id, drill, changed }
      : { ...told, state: "same", id };
  });
  return withLinkFaults(news, shelf);
}

/** An id that no drill of a shelf has, nor a link that is none, for one that is not on it yet. */
const NOT_YET = "not yet";

/** Alternatives that lead round in a circle, or to the drill itself, once all of it were taken. */
function withLinkFaults(news: readonly DrillNews[], shelf: readonly KnownDrill[]): DrillNews[] {
  const given = new Map(news.flatMap((n) => (n.state === "changed" ? [[n.id, n.drill] as const] : [])));
  const after = new Map(
    shelf.map(({ id, content }) => {
      const { name, details } = given.get(id) ?? content;
      return [id, { id, name, details }];
    }),
  );
  return news.map((row) => {
    if (row.state !== "changed" && row.state !== "new") return row;
    const { name, details } = row.drill;
    if (!details || LINKS.every((link) => details[link] === null)) return row;
    const fault = linkFaultIn({ id: row.state === "changed" ? row.id : NOT_YET, name, details }, after);
    return fault ? { name, unlinked: row.unlinked, state: "fault", message: fault.message } : row;
  });
}

const FIELDS = ["name", "phase", "priority", "intensity", "dose", "focus", "place", "details"] as const;

/** Without the alternatives that are not on this shelf: a table may come from another one. */
function linkedTo(ids: ReadonlySet<string>, drill: DrillInTable) {
  const { details } = drill;
  if (!details) return { drill, unlinked: 0 };
  const gone = LINKS.filter((link) => {
    const id = details[link];
    return id !== null && !ids.has(id);
  });
  if (gone.length === 0) return { drill, unlinked: 0 };
  const none = Object.fromEntries(gone.map((link) => [link, null]));
  return { drill: { ...drill, details: { ...details, ...none } }, unlinked: gone.length };
}
