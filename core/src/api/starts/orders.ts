import { z } from "zod";
import { MOST_NUMBER } from "../../order/runningOrder";
import { zoneSchema } from "../../time/zoneName";
import { nameSchema, noteSchema } from "../../words/text";
import { athleteRefSchema } from "../club/athletes";
import { fileVersionSchema, instantSchema, newIdSchema, versionSchema } from "../common/common";
import { MOST } from "../common/most";

/** A number in a running order. */
export const orderNumberSchema = z
  .number({ error: "Give a number." })
  .int({ error: "Give a whole number." })
  .min(1, { error: "Numbers begin at 1." })
  .max(MOST_NUMBER, { error: `Numbers end at ${MOST_NUMBER}.` });

const numbered = z.strictObject({ number: orderNumberSchema, at: instantSchema });

/** Numbers with their times, each number once and in order. */
const risingSchema = (least: number) =>
  z
    .array(numbered)
    .min(least)
    .max(MOST.slots)
    .refine((list) => list.every((slot, i) => i === 0 || slot.number > (list[i - 1]?.number ?? 0)), {
      error: "Give each number once, from the lowest to the highest.",
    });

const orderShape = {
  title: nameSchema,
  venue: noteSchema,
  zone: zoneSchema,
  /** The list: who is on when. */
  slots: risingSchema(1),
};

/** The club's starts that stand in an order, each with its number. */
const memberSchema = z.strictObject({ startId: z.uuid(), number: orderNumberSchema });

/** What making a running order sends, or writing it as a whole, against the version that was read. */
export const orderInputSchema = z.strictObject({
  id: newIdSchema,
  ...orderShape,
  starts: z.array(memberSchema).max(MOST.slots),
});
export const orderWriteSchema = z.strictObject({
  version: versionSchema,
  ...orderShape,
  starts: z.array(memberSchema).max(MOST.slots),
});

/** A running order as it stands: its list, who has been on when, and the club's own in it. */
export const orderSchema = z.strictObject({
  id: z.uuid(),
  version: versionSchema,
  ...orderShape,
  calls: risingSchema(0),
  starts: z
    .array(
      z.strictObject({
        id: z.uuid(),
        number: orderNumberSchema,
        athlete: athleteRefSchema,
        title: z.string(),
        startsAt: z.iso.datetime(),
        listedAt: z.iso.datetime(),
      }),
    )
    .max(MOST.slots),
});

/** What saying who is on now sends. The press counts from when it was made. */
export const orderNowSchema = z.strictObject({ number: orderNumberSchema, at: instantSchema });

/** A running order in a club's file: its starts name it. */
export const orderInFileSchema = z.strictObject({
  id: z.uuid(),
  version: fileVersionSchema,
  ...orderShape,
  calls: risingSchema(0),
});

export type Order = z.infer<typeof orderSchema>;
export type OrderInput = z.infer<typeof orderInputSchema>;
