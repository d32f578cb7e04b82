import fc from "fast-check";
import type { z } from "zod";

/** What a Zod schema says of itself, as far as it is used here. */
interface Def {
  type: string;
  format?: string;
  shape?: Record<string, z.ZodType>;
  element?: z.ZodType;
  options?: z.ZodType[];
  entries?: Record<string, string>;
  values?: unknown[];
  innerType?: z.ZodType;
  in?: z.ZodType;
  checks?: {
    _zod: { def: { minimum?: number; maximum?: number; value?: number; check?: string; format?: string } };
  }[];
}

/** The least and the most that a schema's checks allow, in number or in length, and the format they ask for. */
function boundsOf(def: Def): { least?: number; most?: number; format?: string } {
  const bounds: { least?: number; most?: number; format?: string } = {};
  if (def.format) bounds.format = def.format;
  for (const { _zod } of def.checks ?? []) {
    const { check, minimum, maximum, value, format } = _zod.def;
    if (check === "min_length") bounds.least = minimum as number;
    if (check === "max_length") bounds.most = maximum as number;
    if (check === "greater_than") bounds.least = value as number;
    if (check === "less_than") bounds.most = value as number;
    if (format) bounds.format = format;
  }
  return bounds;
}

/** Most elements of an array: enough to be several, few enough to be quick. */
const MOST = 3;
const FROM = Date.parse("2000-01-02T00:00:00.000Z");
const TO = Date.parse("2099-12-30T00:00:00.000Z");

/** Letters of many scripts, and what looks like letters. */
const words = fc.oneof(
  fc.stringMatching(/^[A-Za-z0-9 '-]{1,12}$/),
  fc.constantFrom(
    "Łucja Żak",
    "王小明",
    "محمد",
    "נועה",
    "O'Brien-Ünal",
    "🤸🏽‍♀️",
    "ǅ",
    "a\u0301",
    "null",
    "%27",
  ),
);

export type Known = Record<string, fc.Arbitrary<unknown>>;

const hour = (n: number) => new Date(Date.parse("2098-06-01T00:00:00.000Z") + n * 3_600_000).toISOString();

/** Fields whose values have to be of a kind that no schema can say. */
const KINDS: Known = {
  zone: fc.constantFrom("Europe/Vienna", "UTC", "Asia/Kathmandu"),
  email: fc.uuid().map((id) => `${id}@example.org`),
  startsAt: fc.integer({ min: 0, max: 11 }).map(hour),
  readyAt: fc.integer({ min: 0, max: 11 }).map(hour),
  opens: fc.integer({ min: 0, max: 11 }).map(hour),
  closes: fc.integer({ min: 0, max: 11 }).map(hour),
  // Ways, points and the start name places of the same day, which chance seldom does.
  travel: fc.constant([]),
  points: fc.constant([]),
  startPlace: fc.constant(undefined),
};

/** Numbers that are asked to be in order, smallest first, wherever they stand together. */
const ASCENDING = [
  ["floor", "ideal", "ceiling"],
  ["leastSeconds", "longestSeconds"],
  ["readyAt", "startsAt"],
  ["opens", "closes"],
  ["minutesLong", "minutesBefore"],
  ["intensityFrom", "intensityTo"],
];

/**
 * Values that a schema takes, made from the schema itself. Its refinements are met where they ask for an order, and
 * otherwise now and then: what they refuse is input worth sending too.
 * @param known values for fields by their name, such as ids that exist; other values come up now and then all the same
 */
export function fromSchema(schema: z.ZodType, known: Known = {}): fc.Arbitrary<unknown> {
  const make = (inner: z.ZodType | undefined) => fromSchema(inner as z.ZodType, known);
  const def = schema._zod.def as unknown as Def;
  const { least, most, format } = boundsOf(def);
  const named = (name: string, any: fc.Arbitrary<unknown>) => {
    const fitting = known[name] ?? KINDS[name];
    return fitting ? fc.oneof({ weight: 12, arbitrary: fitting }, { weight: 1, arbitrary: any }) : any;
  };
  switch (def.type) {
    case "string":
      return text(format, least, most);
    case "number":
      return format === undefined
        ? fc.double({ min: least ?? -1e6, max: most ?? 1e6, noNaN: true })
        : integer(Math.max(least ?? 0, -(2 ** 31)), Math.min(most ?? 1e6, 2 ** 31));
    case "boolean":
      return fc.boolean();
    case "enum":
      return fc.constantFrom(...Object.values(def.entries ?? {}));
    case "literal":
      return fc.constantFrom(...(def.values ?? []));
    case "union":
      return fc.oneof(...(def.options ?? []).map(make));
    case "array":
      return arrayOf(make(def.element), least);
    case "nullable":
      return fc.option(make(def.innerType), { nil: null });
    case "default":
    case "optional":
      return fc.option(make(def.innerType), { nil: undefined });
    case "pipe":
      return make(def.in);
    case "object":
      return fc
        .record(Object.fromEntries(Object.entries(def.shape ?? {}).map(([k, s]) => [k, named(k, make(s))])))
        .map(inOrder);
    default:
      throw new Error(`No values are made for a schema of the type ${def.type} yet: add it here.`);
  }
}

/** No word twice, and what can be harder or easier from easy to hard: most lists are asked to be like that. */
function arrayOf(element: fc.Arbitrary<unknown>, least = 0): fc.Arbitrary<unknown[]> {
  const name = (v: unknown) => (typeof v === "string" ? v.trim().toLocaleLowerCase() : {});
  const effort = (v: unknown) => (v as { intensity?: number } | null)?.intensity ?? 0;
  return fc
    .uniqueArray(element, { minLength: least, maxLength: MOST, selector: name, comparator: "SameValue" })
    .map((list) => list.toSorted((a, b) => effort(a) - effort(b)));
}

/** Small ones mostly: wide ranges are refused for being wide. */
function integer(min: number, max: number): fc.Arbitrary<number> {
  return fc.oneof(
    { weight: 15, arbitrary: fc.integer({ min, max: Math.min(max, min + 10) }) },
    { weight: 1, arbitrary: fc.integer({ min, max }) },
  );
}

function text(format: string | undefined, least = 0, most = 40): fc.Arbitrary<string> {
  if (format === "uuid") return fc.uuid();
  if (format === "email") return fc.uuid().map((id) => `${id}@example.org`);
  if (format === "date")
    return fc.integer({ min: FROM, max: TO }).map((t) => new Date(t).toISOString().slice(0, 10));
  if (format === "datetime") return fc.integer({ min: FROM, max: TO }).map((t) => new Date(t).toISOString());
  if (format === "regex") return fc.integer({ min: 1, max: 999_999 }).map(String);
  return fc.oneof(words, fc.constantFrom("Europe/Vienna", "UTC", "")).map((word) => {
    const long = word.length >= least ? word : word.padEnd(least, "x");
    return long.slice(0, most);
  });
}

function inOrder<T extends Record<string, unknown>>(value: T): T {
  const copy: Record<string, unknown> = { ...value };
  for (const names of ASCENDING) {
    if (!names.every((name) => name in copy)) continue;
    const sorted = names.map((name) => copy[name] as number).sort((a, b) => (a < b ? -1 : a > b ? 1 : 0));
    names.forEach((name, i) => {
      copy[name] = sorted[i];
    });
  }
  return copy as T;
}

/** Values that have broken something somewhere before. */
export const nasty = fc.oneof(
  fc.constantFrom<unknown>(
    null,
    "",
    " ",
    "\u0000",
    "\ud800",
    "\u202ename",
    "'; DROP TABLE starts; --",
    "<script>alert(1)</script>",
    "名前 اسم नाम 🤸🏽‍♀️",
    "x".repeat(5000),
    -1,
    0,
    2.4,
    1e308,
    2 ** 53,
    true,
    [],
    {},
    [[[[[]]]]],
    { __proto__: null, constructor: 1 },
    "2026-02-30T00:00:00.000Z",
    "275760-09-13T00:00:00.000Z",
    // Of another century, the last that is taken, and some minutes ahead.
    "9999-01-01T00:00:00.000Z",
    "0001-01-01T00:00:00.000Z",
    "2099-12-31T23:59:59.999Z",
    new Date(Date.now() + 600_000).toISOString(),
    // Long lists, of nothing, of the wrong thing, of one thing over and over.
    Array(20_000).fill(0),
    Array(20_000).fill({}),
    Array(5_000).fill("the same"),
    Array(600).fill({
      id: "11111111-1111-4111-8111-111111111111",
      kind: "begin",
      at: "2026-06-01T12:00:00.000Z",
    }),
    Object.fromEntries(Array.from({ length: 3_000 }, (_, i) => [`field ${i}`, i])),
    "\u200b",
    "\u3164",
    "\u2028",
    "\ufeff",
  ),
  fc.jsonValue({ maxDepth: 3 }),
);

/** A value with one thing in it, at any depth, replaced by something nasty, or with something added. */
export function broken(values: fc.Arbitrary<unknown>): fc.Arbitrary<unknown> {
  return values.chain((value) =>
    fc
      .tuple(fc.constantFrom(...pathsOf(value)), nasty, fc.boolean())
      .map(([path, put, adds]) => withAt(value, adds ? [...path.slice(0, -1), "surprise"] : path, put)),
  );
}

function pathsOf(value: unknown, at: string[] = []): string[][] {
  if (typeof value !== "object" || value === null) return [at];
  return [at, ...Object.entries(value).flatMap(([key, inner]) => pathsOf(inner, [...at, key]))];
}

function withAt(value: unknown, [key, ...rest]: string[], put: unknown): unknown {
  if (key === undefined) return put;
  const copy = Array.isArray(value) ? [...value] : { ...(value as object) };
  (copy as Record<string, unknown>)[key] = withAt((value as Record<string, unknown>)?.[key], rest, put);
  return copy;
}
