import { idealLevel, levelsOf } from "../../dose/levelsOf";
import { sameValue } from "../../maths/sameValue";
import { formatLength } from "../../time/clock";
import { phaseName } from "../../words/phase";
import { isRight } from "../../words/tolerant";
import { withoutBrokenPairs } from "../order";
import { type PlanBody, type PlanItem, planBodySchema } from "../plan";

/** Whose word counts where two people changed the same thing. */
export type Side = "mine" | "theirs";

/** One thing that two people changed in different ways. */
export interface Meeting {
  /** What it is: "Walking lunges: how much". */
  what: string;
  mine: string;
  theirs: string;
}

/** A plan with what both changed, and where they truly met. */
export interface MergedPlan {
  body: PlanBody;
  meetings: Meeting[];
}

/**
 * Puts together what two people made of one plan. Each field of each drill, the drills themselves and their order are as
 * whoever changed them has them; where both changed one thing in different ways, the side decides.
 * @param base what both began from
 * @returns the plan, and the things in which they met; where both cannot stand together at all, one side's plan as it is
 */
export function mergePlans(base: PlanBody, mine: PlanBody, theirs: PlanBody, side: Side): MergedPlan {
  const meetings: Meeting[] = [];
  const kept = mergeItems({ base: byId(base), mine: byId(mine), theirs: byId(theirs), side, meetings });
  const order = mergeOrder(base, mine, theirs, side, meetings);
  const items = order.flatMap((id) => kept.get(id) ?? []);
  const { items: _, ...rest } = mergeFields(base, mine, theirs, side, (field, a, b) => {
    const what = PLAN_WORDS[field];
    if (what) meetings.push({ what, mine: plainWords(a), theirs: plainWords(b) });
  });
  const body = { ...rest, items: withoutBrokenPairs(items) };
  if (isRight(planBodySchema, body)) return { body, meetings };
  const count = ({ items: all }: PlanBody) => `${all.length} drills`;
  const whole = { what: "The warm-up as a whole", mine: count(mine), theirs: count(theirs) };
  return { body: side === "mine" ? mine : theirs, meetings: [whole] };
}

/** What of a plan is said where it was changed by both; what is not named is not worth a question. */
const PLAN_WORDS: Partial<Record<keyof PlanBody, string>> = {
  wait: "The wait before the start",
  stepPoints: "The largest step",
  limits: "The limits",
  coolDown: "The cool-down",
};

const ITEM_WORDS: Partial<Record<keyof PlanItem, string>> = {
  name: "name",
  phase: "part",
  priority: "priority",
  intensity: "intensity",
  dose: "how much",
  focus: "what to attend to",
  place: "where",
  restAfter: "rest after it",
  free: "its place in the order",
  after: "what it follows",
};

const byId = ({ items }: PlanBody) => new Map(items.map((item) => [item.id, item]));

interface Sides {
  base: ReadonlyMap<string, PlanItem>;
  mine: ReadonlyMap<string, PlanItem>;
  theirs: ReadonlyMap<string, PlanItem>;
  side: Side;
  meetings: Meeting[];
}

/** Every drill that is left, as it comes out. */
function mergeItems({ base, mine, theirs, side, meetings }: Sides): Map<string, PlanItem> {
  const kept = new Map<string, PlanItem>();
  for (const id of new Set([...base.keys(), ...mine.keys(), ...theirs.keys()])) {
    const [was, m, t] = [base.get(id), mine.get(id), theirs.get(id)];
    if (m && t) {
      const merged = mergeFields(was ?? {}, m, t, side, (field, a, b) => {
        const what = ITEM_WORDS[field] ?? "what holds for it";
        meetings.push({
          what: `${m.name}: ${what}`,
          mine: itemWords(field, a),
          theirs: itemWords(field, b),
        });
      });
      kept.set(id, merged);
      continue;
    }
    const left = m ?? t;
    if (!left) continue;
    if (!was) kept.set(id, left);
    // Taken out by one: the other's changes of it, if there are any, are what they meet in.
    else if (!sameValue(was, left)) {
      const words = (own: PlanItem | undefined) => (own ? "changed" : "taken out");
      meetings.push({ what: left.name, mine: words(m), theirs: words(t) });
      if ((side === "mine") === (m !== undefined)) kept.set(id, left);
    }
  }
  return kept;
}

/** Each field as whoever changed it has it. */
function mergeFields<T extends object>(
  base: Partial<T>,
  mine: T,
  theirs: T,
  side: Side,
  onMeeting: (field: keyof T, mine: unknown, theirs: unknown) => void,
): T {
  const merged: Partial<T> = {};
  for (const field of new Set([...Object.keys(mine), ...Object.keys(theirs)]) as Set<keyof T>) {
    const [was, m, t] = [base[field], mine[field], theirs[field]];
    const meet = !sameValue(m, t) && !sameValue(m, was) && !sameValue(t, was);
    // The list of drills is put together drill by drill.
    if (meet && field !== "items") onMeeting(field, m, t);
    const value = meet ? (side === "mine" ? m : t) : sameValue(m, was) ? t : m;
    if (value !== undefined) merged[field] = value;
  }
  return merged as T;
}

/** The ids of all drills in the order of whoever moved them, what one of them added after what it followed there. */
function mergeOrder(
  base: PlanBody,
  mine: PlanBody,
  theirs: PlanBody,
  side: Side,
  meetings: Meeting[],
): string[] {
  const ids = ({ items }: PlanBody) => items.map((i) => i.id);
  const common = (list: string[]) =>
    list.filter((id) => [base, mine, theirs].every((p) => ids(p).includes(id)));
  const [was, m, t] = [common(ids(base)), common(ids(mine)), common(ids(theirs))];
  const isMoved = { mine: !sameValue(m, was), theirs: !sameValue(t, was) };
  const meet = isMoved.mine && isMoved.theirs && !sameValue(m, t);
  if (meet) {
    const words = (list: string[]) => list.map((id) => base.items.find((i) => i.id === id)?.name).join(", ");
    meetings.push({ what: "The order", mine: words(m), theirs: words(t) });
  }
  const lead: Side = meet ? side : isMoved.theirs ? "theirs" : "mine";
  const [first, second] = lead === "mine" ? [ids(mine), ids(theirs)] : [ids(theirs), ids(mine)];
  const order = [...first];
  second.forEach((id, i) => {
    if (order.includes(id)) return;
    const before = second.slice(0, i).findLast((earlier) => order.includes(earlier));
    order.splice(before === undefined ? 0 : order.indexOf(before) + 1, 0, id);
  });
  return order;
}

function itemWords(field: keyof PlanItem, value: unknown): string {
  if (field === "dose" && value) {
    const dose = value as PlanItem["dose"];
    const level = levelsOf(dose)[idealLevel(dose)];
    return level ? `${level.words}, ${formatLength(level.seconds)}` : "changed";
  }
  if (field === "phase") return phaseName(value as PlanItem["phase"]);
  if (field === "intensity") return `${value} %`;
  return plainWords(value);
}

function plainWords(value: unknown): string {
  if (value === undefined || value === "") return "none";
  return typeof value === "string" || typeof value === "number" ? String(value) : "changed";
}
