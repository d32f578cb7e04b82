import { levelsOf } from "../../src/dose/levelsOf";
import type { PlanBody, PlanItem } from "../../src/plan/plan";
import type { FitContext } from "../../src/venue/context";
import { playDrill, type Stretch } from "./play/playDose";

/*
 * Reads a schedule against docs/fit.md, sentence by sentence, by going through the day from its beginning to the start and
 * seeing what happens. Written from the document alone: of the core it takes only which instruction a level is.
 */

/** What is done when: one entry per drill that is kept. */
export interface Done {
  id: string;
  levelIndex: number;
  beginSeconds: number;
  /** Seconds from its beginning to its end, turns included. */
  spanSeconds: number;
}

interface Event {
  item: PlanItem;
  /** Where the plan has it. */
  line: number;
  begin: number;
  end: number;
  /** Seconds by the instruction, turns not counted. */
  length: number;
  stretches: Stretch[];
}

const HARD = 85;
const EASY = 40;

const isKit = ({ phase }: PlanItem) => phase === "kit";
const isCalm = (i: PlanItem) => i.calm === "quiet" || i.calm === "keep-warm";
const isWork = (i: PlanItem) => !isKit(i) && !isCalm(i);
const marked = (i: PlanItem, flag: string) =>
  (i.details?.flags as string[] | undefined)?.includes(flag) ?? false;

/** One spelling for one word. */
export function spelled(name: string): string {
  return name
    .normalize("NFD")
    .split(/\s/)
    .filter((s) => s !== "")
    .join(" ")
    .toLowerCase();
}

/** Names every rule of the document that a schedule breaks: "rule: what". */
export function checkSchedule(
  plan: PlanBody,
  day: FitContext,
  done: readonly Done[],
  availableSeconds: number,
): string[] {
  const found: string[] = [];
  const wrong = (rule: string, what: string) => found.push(`${rule}: ${what}`);
  const events = done.map((d) => eventOf(plan, d, wrong)).sort((a, b) => a.begin - b.begin || a.end - b.end);
  const venue = new Venue(day);

  let clock = -availableSeconds;
  for (const { item, begin, end } of events) {
    if (begin < -availableSeconds) wrong("horizon", item.name);
    else if (begin < clock) wrong("overlap", item.name);
    if (end > 0) wrong("start", item.name);
    clock = Math.max(clock, end);
  }
  checkOrder(plan, events, wrong);
  checkKit(plan, events, wrong);
  checkPlaces(venue, events, wrong);
  checkRests(plan, events, wrong);
  checkClimb(plan, day, events, wrong);
  checkTotals(plan, day, events, wrong);
  return found;
}

type Wrong = (rule: string, what: string) => void;

function eventOf(plan: PlanBody, d: Done, wrong: Wrong): Event {
  const line = plan.items.findIndex((i) => i.id === d.id);
  const item = plan.items[line] as PlanItem;
  const at = { item, line, begin: d.beginSeconds, end: d.beginSeconds + d.spanSeconds };
  if (item.alreadyOn) wrong("on", item.name);
  const level = levelsOf(item.dose)[d.levelIndex];
  if (!level) {
    wrong("level", item.name);
    return { ...at, length: d.spanSeconds, stretches: [] };
  }
  const stretches =
    item.dose.kind === "gate"
      ? [
          {
            clock: level.seconds,
            work: level.workSeconds,
            actions: level.actions,
            effort: item.intensity,
            rest: 0,
          },
        ]
      : played(item, d.levelIndex);
  return { ...at, length: stretches.reduce((sum, s) => sum + s.clock + s.rest, 0), stretches };
}

/** Drills are read again and again, and none is ever changed in place. */
const known = new WeakMap<PlanItem, Map<number, Stretch[]>>();

function played(item: PlanItem, levelIndex: number): Stretch[] {
  const levels = known.get(item) ?? new Map<number, Stretch[]>();
  known.set(item, levels);
  const level = levelsOf(item.dose)[levelIndex];
  const stretches = levels.get(levelIndex) ?? (level ? playDrill(item.dose, item.intensity, level) : []);
  levels.set(levelIndex, stretches);
  return stretches;
}

/** Order and pairs. */
function checkOrder(plan: PlanBody, events: readonly Event[], wrong: Wrong): void {
  const partOf: number[] = [];
  plan.items.forEach((item, i) => {
    const before = plan.items[i - 1];
    partOf.push(before === undefined ? 0 : (partOf[i - 1] as number) + Number(before.phase !== item.phase));
  });
  events.forEach((late, n) => {
    for (const early of events.slice(0, n)) {
      if (early.line < late.line) continue;
      const mayMove = early.item.free === true || late.item.free === true;
      if (!(mayMove && partOf[early.line] === partOf[late.line]))
        wrong("order", `${early.item.name} before ${late.item.name}`);
    }
    const { after } = late.item;
    const isOn = plan.items.some((i) => i.id === after && i.alreadyOn);
    if (after !== undefined && !isOn && !events.slice(0, n).some((e) => e.item.id === after))
      wrong("pair", late.item.name);
  });
}

/** Goes down the plan with what has to be on at each line. */
function checkKit(plan: PlanBody, events: readonly Event[], wrong: Wrong): void {
  const kept = new Set(events.map((e) => e.item.id));
  let on: PlanItem[] = [];
  const pieces = (i: PlanItem) => (i.details?.equipment ?? []).map(spelled);
  const sameKit = (a: PlanItem, b: PlanItem) =>
    pieces(a).length > 0 && pieces(b).length > 0
      ? pieces(a).some((p) => pieces(b).includes(p))
      : spelled(a.name) === spelled(b.name);
  for (const item of plan.items) {
    if (isKit(item)) {
      on = on.filter((k) => !sameKit(k, item));
      if (!isCalm(item) && !item.alreadyOn && !marked(item, "no-condition")) on.push(item);
    } else if (isWork(item) && kept.has(item.id)) {
      for (const k of on) if (!kept.has(k.id)) wrong("kit", `${item.name} without ${k.name}`);
    }
  }
}

/** The places of a day under one spelling, and the ways between them. */
class Venue {
  private readonly byName = new Map<string, FitContext["places"][number]>();
  private readonly distances = new Map<string, number>();

  constructor(readonly day: FitContext) {
    for (const p of day.places) this.byName.set(spelled(p.name), p);
    for (const from of this.byName.keys()) this.walkFrom(from);
  }

  /** The spelling of a place that the day knows; null for any other. */
  known(name: string | null): string | null {
    const key = name === null ? "" : spelled(name);
    return this.byName.has(key) ? key : null;
  }

  windows(key: string | null) {
    return (key !== null && this.byName.get(key)?.windows) || [];
  }

  way(a: string | null, b: string | null): number {
    return a === null || b === null ? 0 : (this.distances.get(`${a}\n${b}`) ?? 0);
  }

  /** Walks on from the nearest place reached so far, until there is none. */
  private walkFrom(start: string): void {
    const open = new Map([[start, 0]]);
    const reached = new Map<string, number>();
    while (open.size > 0) {
      const [here, seconds] = [...open].reduce((near, next) => (next[1] < near[1] ? next : near));
      open.delete(here);
      reached.set(here, seconds);
      for (const t of this.day.travel) {
        const ends = [spelled(t.from), spelled(t.to)];
        const there = ends[0] === here ? ends[1] : ends[1] === here ? ends[0] : undefined;
        if (there === undefined || reached.has(there)) continue;
        open.set(there, Math.min(open.get(there) ?? Infinity, seconds + t.seconds));
      }
    }
    for (const [to, seconds] of reached) this.distances.set(`${start}\n${to}`, seconds);
  }
}

/** Windows, turns, fixed points, ways, closing. */
function checkPlaces(venue: Venue, events: readonly Event[], wrong: Wrong): void {
  const { day } = venue;
  // Backwards: where the athlete has to be next.
  let next = venue.known(day.startPlace);
  let until = 0;
  for (const { item, begin, end, length } of [...events].reverse()) {
    const own = venue.known(item.place);
    const way = venue.way(own, next);
    if (way > 0 && freeSeconds(day, end, until) < way) wrong("travel", item.name);
    next = own ?? next;
    until = begin;

    const windows = venue.windows(own);
    const inside = windows.filter((w) => begin >= w.fromSeconds && end <= w.toSeconds);
    const turns = windows.length > 0 ? inside.map((w) => w.turns) : [1];
    if (windows.length > 0 && inside.length === 0) wrong("window", item.name);
    else if (!turns.some((n) => n * length === end - begin)) wrong("span", item.name);
    if (item.wholePlace && inside.length > 0 && inside.every((w) => w.room === "half"))
      wrong("half", item.name);

    for (const p of day.points) {
      const there = venue.way(next, venue.known(p.place));
      const gone = p.fromSeconds - there;
      const back = p.toSeconds + there;
      if (gone < back && begin < back && gone < end) wrong("point", `${item.name}, ${p.name}`);
      if (p.closesPractice && !isCalm(item) && end > p.fromSeconds) wrong("closed", item.name);
    }
  }
}

/** Rests inside, the least wait, and what is owed at the start. */
function checkRests(plan: PlanBody, events: readonly Event[], wrong: Wrong): void {
  /** Moments before which no work may begin. */
  const resting: { until: number; after: string }[] = [];
  let owed = 0;
  let paidUntil = Number.NEGATIVE_INFINITY;
  for (const { item, begin, end, stretches } of events) {
    const calm = isCalm(item);
    if (isWork(item)) for (const r of resting.splice(0)) if (begin < r.until) wrong("rest", r.after);
    const work = stretches.reduce((sum, s) => sum + s.work, 0);
    const hard = calm ? 0 : stretches.reduce((sum, s) => sum + (s.effort >= HARD ? s.work : 0), 0);
    const rest = item.restAfter;
    if (rest && !calm)
      resting.push({
        until: end + (rest.kind === "seconds" ? rest.seconds : rest.times * work),
        after: item.name,
      });
    if (!calm && end > -plan.wait.leastSeconds) wrong("wait", item.name);
    if (hard > 0 && plan.wait.times) {
      owed = Math.max(0, owed - Math.max(0, begin - paidUntil)) + plan.wait.times * hard;
      paidUntil = end;
    }
  }
  for (const r of resting) if (r.until > 0) wrong("rest", r.after);
  if (owed > 0 && owed > -paidUntil) wrong("owed", `${owed} s`);
}

/** Seconds between two moments in which no fixed point keeps the athlete busy, counted one by one. */
function freeSeconds({ points }: FitContext, from: number, to: number): number {
  let free = 0;
  for (let s = from; s < to; s++) if (!points.some((p) => p.fromSeconds <= s && s < p.toSeconds)) free++;
  return free;
}

function checkClimb(plan: PlanBody, day: FitContext, events: readonly Event[], wrong: Wrong): void {
  let reached = day.reached ?? null;
  for (const { item, stretches } of events) {
    const forTheHead = item.details !== undefined && new Set(["mental", ...item.details.purposes]).size === 1;
    if (!isWork(item) || marked(item, "breather") || (forTheHead && item.details?.purposes.length)) continue;
    const climbs = item.phase === "technical" || item.phase === "prime";
    if (item.phase === "prime") reached ??= EASY;
    for (const { effort } of stretches) {
      if (climbs && reached !== null && effort > reached + plan.stepPoints)
        wrong("step", `${reached} to ${effort}`);
      reached = effort;
    }
  }
}

function checkTotals(plan: PlanBody, day: FitContext, events: readonly Event[], wrong: Wrong): void {
  const { generalMinutes, volumePercent, explosiveReps, easyPercent } = plan.limits ?? {};
  let onEnd = 0;
  let own = 0;
  let explosive = 0;
  let easy = 0;
  let all = 0;
  for (const { item, stretches, length } of events) {
    const general =
      (item.phase === "raise" || item.phase === "mobilise") && !isCalm(item) && !marked(item, "breather");
    onEnd = general ? onEnd + length : 0;
    if (generalMinutes !== undefined && onEnd > generalMinutes * 60) wrong("general", item.name);
    const actions = stretches.reduce((sum, s) => sum + s.actions, 0);
    if (item.phase === "technical" || item.phase === "prime") own += actions;
    if (marked(item, "explosive")) explosive += actions;
    if (!isWork(item)) continue;
    all += length;
    for (const s of stretches) if (s.effort <= EASY) easy += s.clock + s.rest;
  }
  // What is used up beforehand cannot be given back: only more of it is wrong.
  const over = (now: number, before: number, allowed: number) => now > 0 && before + now > allowed;
  const used = day.spent ?? { volume: 0, explosive: 0 };
  if (volumePercent !== undefined && day.usualReps > 0)
    if (over(own, used.volume, (day.usualReps * volumePercent) / 100)) wrong("volume", `${own}`);
  if (explosiveReps !== undefined && over(explosive, used.explosive, explosiveReps))
    wrong("explosive", `${explosive}`);
  if (easyPercent !== undefined && easy < (all * easyPercent) / 100) wrong("easy", `${easy} of ${all}`);
}

/** Whether the wait, from the last that is work or keeps warm to the start, is longer than tolerated; true with none. */
export function waitsTooLong(plan: PlanBody, done: readonly Done[]): boolean {
  let last: number | null = null;
  for (const d of done) {
    const item = plan.items.find((i) => i.id === d.id) as PlanItem;
    if (!isWork(item) && item.calm !== "keep-warm") continue;
    last = Math.max(last ?? Number.NEGATIVE_INFINITY, d.beginSeconds + d.spanSeconds);
  }
  return last === null || -last > plan.wait.longestSeconds;
}
