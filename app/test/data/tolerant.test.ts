import { planBodySchema } from "@tonodrome/core";
import { leavingOut, runEventSchema, startSchema, startWriteSchema, tolerant } from "@tonodrome/core/api";
import { z } from "zod";
import { makeStart } from "~/test/made/makeStart";
import { withMore } from "../../../core/test/made/withMore";

it("takes an answer that says more, at any depth, and keeps what it says", () => {
  const more = withMore(makeStart());
  expect(startSchema.safeParse(more).success).toBe(false);
  expect(tolerant(startSchema).parse(more)).toEqual(more);
});

it("still refuses what is wrong or missing", () => {
  const start = makeStart();
  for (const wrong of [{ ...start, title: 5 }, { ...start, startsAt: undefined }, null])
    expect(tolerant(startSchema).safeParse(wrong).success).toBe(false);
});

it("lets through a press of a kind that it does not know, and none of a known kind that is wrong", () => {
  const press = { id: "88888888-8888-4888-8888-888888888888", at: "2026-06-01T12:00:00.000Z" };
  const read = tolerant(runEventSchema);
  expect(read.safeParse({ ...press, kind: "begin" }).success).toBe(true);
  expect(read.safeParse({ ...press, kind: "whistle", loud: true }).success).toBe(true);
  expect(read.safeParse({ ...press, kind: "jump" }).success).toBe(false);
  expect(read.safeParse({ ...press, kind: 5 }).success).toBe(false);
});

it("reads every form of schema", () => {
  const inner = z.strictObject({ a: z.number() });
  const schema = z.strictObject({
    list: z.array(inner),
    pair: z.tuple([inner, inner]),
    map: z.record(z.string(), inner),
    maybe: inner.optional(),
    none: inner.nullable(),
    given: inner.default({ a: 1 }),
    either: z.union([inner, z.string()]),
    both: z.looseObject({ b: z.number() }).and(z.looseObject({ c: z.number() })),
    turned: z.string().transform(Number).pipe(z.number()),
  });
  const a = { a: 1, later: 2 };
  const said = { list: [a], pair: [a, a], map: { x: a }, maybe: a, none: null, given: a };
  const answer = { ...said, either: a, both: { b: 1, c: 2 }, turned: "7", later: 3 };
  expect(tolerant(schema).parse(answer)).toEqual({ ...answer, turned: 7 });
});

describe("what was read is sent without what a later server said more", () => {
  it("at any depth, and is what it was otherwise", () => {
    const { id, athlete, stamp, order, facts, plan, ...start } = makeStart();
    const sent = { ...start, athleteId: athlete.id };
    const write = leavingOut(startWriteSchema);
    expect(write.parse(withMore(sent))).toEqual(startWriteSchema.parse(sent));
    expect(write.safeParse({ ...sent, startsAt: 5 }).success).toBe(false);
    const body = leavingOut(planBodySchema).parse(withMore(plan.body));
    expect(body).toEqual(plan.body);
    expect(planBodySchema.safeParse(body).success).toBe(true);
  });

  it("of two forms it is the one that it is to the letter", () => {
    const either = leavingOut(
      z.union([z.strictObject({ a: z.number() }), z.strictObject({ a: z.number(), b: z.number() })]),
    );
    expect(either.parse({ a: 1, b: 2 })).toEqual({ a: 1, b: 2 });
    expect(either.parse({ a: 1, c: 2 })).toEqual({ a: 1 });
    const loose = leavingOut(z.looseObject({ a: z.number() }));
    expect(loose.parse({ a: 1, b: 2 })).toEqual({ a: 1, b: 2 });
  });
});
