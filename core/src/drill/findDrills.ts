import type { BodyArea } from "../words/bodyArea";
import type { Phase } from "../words/phase";
import type { Purpose } from "../words/purpose";
import { wordKey } from "../words/sameWord";
import type { Distance, DrillDetails, DrillFlag, Realism } from "./details";

/** What is looked for. Within one list any of its words does; between fields all have to hold. */
export interface DrillFilter {
  words: string;
  phase: Phase | null;
  archived: boolean;
  purposes: readonly Purpose[];
  areas: readonly BodyArea[];
  /** Drills that load none of these. */
  spares: readonly BodyArea[];
  spaces: readonly string[];
  equipment: readonly string[];
  actions: readonly string[];
  /** Most people it may take; null for any number. */
  people: number | null;
  /** Efforts it has to make sense at, per cent. */
  intensityFrom: number;
  intensityTo: number;
  realism: Realism | null;
  distance: Distance | null;
  flags: readonly DrillFlag[];
  /** Age of whom it is for, years; null for any. */
  age: number | null;
}

/** Everything on the shelf. */
export function noFilter(): DrillFilter {
  return {
    words: "",
    phase: null,
    archived: false,
    purposes: [],
    areas: [],
    spares: [],
    spaces: [],
    equipment: [],
    actions: [],
    people: null,
    intensityFrom: 0,
    intensityTo: 100,
    realism: null,
    distance: null,
    flags: [],
    age: null,
  };
}

interface Findable {
  name: string;
  focus: string;
  place: string;
  phase: Phase;
  intensity: number;
  archived: boolean;
  details?: DrillDetails | undefined;
}

/** What is written of a drill, in one lower-case text. A drill is never changed in place, so it is put together once. */
const texts = new WeakMap<Findable, string>();

function textOf(drill: Findable): string {
  const before = texts.get(drill);
  if (before !== undefined) return before;
  const { name, focus, place, details } = drill;
  const more = details
    ? [
        ...details.actions,
        ...details.equipment,
        details.space,
        ...Object.values(details.cues),
        ...details.faults,
      ]
    : [];
  const text = wordKey([name, focus, place, ...more].join(" "));
  texts.set(drill, text);
  return text;
}

/** The drills that everything asked for holds of, in the order given. Of what is not known of a drill nothing holds. */
export function findDrills<D extends Findable>(drills: readonly D[], filter: DrillFilter): D[] {
  const words = wordKey(filter.words).split(" ").filter(Boolean);
  const asks = askedOf(filter);
  return drills.filter((drill) => {
    if (drill.archived !== filter.archived) return false;
    if (filter.phase && drill.phase !== filter.phase) return false;
    if (asks.length > 0 && !(drill.details && asks.every((ask) => ask(drill.details as DrillDetails))))
      return false;
    if (words.length === 0) return true;
    const text = textOf(drill);
    return words.every((word) => text.includes(word));
  });
}

/** How many of the fields, apart from the words, narrow it down. */
export function filterCount(filter: DrillFilter): number {
  return askedOf(filter).length + (filter.phase ? 1 : 0) + (filter.archived ? 1 : 0);
}

type Ask = (details: DrillDetails) => boolean;

function askedOf(filter: DrillFilter): Ask[] {
  const { people, age, realism, distance, intensityFrom, intensityTo } = filter;
  const anyOf = (wanted: readonly string[], of: (d: DrillDetails) => readonly string[]): Ask[] =>
    wanted.length === 0 ? [] : [(d) => of(d).some((word) => wanted.includes(word))];
  return [
    ...anyOf(filter.purposes, (d) => d.purposes),
    ...anyOf(filter.areas, (d) => d.areas),
    ...(filter.spares.length === 0
      ? []
      : [(d: DrillDetails) => !filter.spares.some((a) => d.loads.includes(a))]),
    ...anyOf(filter.spaces, (d) => [d.space]),
    ...anyOf(filter.equipment, (d) => d.equipment),
    ...anyOf(filter.actions, (d) => d.actions),
    ...anyOf(filter.flags, (d) => d.flags),
    ...(people === null ? [] : [(d: DrillDetails) => d.people <= people]),
    ...(age === null ? [] : [(d: DrillDetails) => d.leastAge <= age]),
    ...(realism ? [(d: DrillDetails) => d.realism === realism] : []),
    ...(distance ? [(d: DrillDetails) => d.distance === distance] : []),
    ...(intensityFrom > 0 || intensityTo < 100
      ? [(d: DrillDetails) => d.intensityFrom <= intensityTo && d.intensityTo >= intensityFrom]
      : []),
  ];
}

/** Every word that the shelf uses for something, sorted, each once. */
export function wordsOf(
  drills: readonly Pick<Findable, "details">[],
  of: (details: DrillDetails) => readonly string[],
): string[] {
  const all = drills.flatMap((d) => (d.details ? of(d.details) : [])).filter(Boolean);
  return [...new Set(all)].toSorted((a, b) => a.localeCompare(b));
}
