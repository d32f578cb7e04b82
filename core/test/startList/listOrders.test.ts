import { type KnownOrder, listOrders } from "../../src/startList/listOrders";

const row = (line: number, number: number | null, more: object = {}) => ({
  ...{ line, number, title: "Final", venue: "Lakeside", zone: "Europe/Vienna" },
  ...{ startsAt: `2026-12-05T13:${String(line).padStart(2, "0")}:00.000Z` },
  ...more,
});
const known: KnownOrder = {
  ...{ id: "order", title: "final ", venue: "lakeside", zone: "Europe/Vienna" },
  slots: [{ number: 1, at: "2026-12-05T09:00:00.000Z" }],
};

describe("running orders of a start list", () => {
  it("one for each event, place and day, with every number once and the club's own in it", () => {
    const rows = [
      row(2, 7),
      row(3, 4),
      row(4, 4, { startsAt: "2026-12-05T14:00:00.000Z" }),
      row(5, 1, { title: "Heat" }),
      row(6, 1, { venue: "Hillside" }),
      row(7, 1, { startsAt: "2026-12-06T13:00:00.000Z" }),
    ];
    const starts = new Map([2, 5, 6, 7].map((line) => [line, `start ${line}`]));
    const orders = listOrders(rows, starts, [known]);
    expect(orders.map(({ id, title, venue, slots }) => [id, title, venue, slots.length])).toEqual([
      ["order", "Final", "Lakeside", 2],
      [null, "Heat", "Lakeside", 1],
      [null, "Final", "Hillside", 1],
      [null, "Final", "Lakeside", 1],
    ]);
    expect(orders[0]).toMatchObject({
      slots: [
        { number: 4, at: rows[1]?.startsAt },
        { number: 7, at: rows[0]?.startsAt },
      ],
      members: [{ startId: "start 2", number: 7 }],
    });
  });

  it("none where no row has a number, or nobody of the club is in it", () => {
    expect(listOrders([row(2, null)], new Map([[2, "start"]]), [])).toEqual([]);
    expect(listOrders([row(2, 1)], new Map(), [known])).toEqual([]);
  });

  it("a day is the venue's: just before and after its midnight are two", () => {
    const late = row(2, 1, { startsAt: "2026-12-05T22:59:00.000Z" });
    const early = row(3, 2, { startsAt: "2026-12-05T23:00:00.000Z" });
    const starts = new Map([
      [2, "a"],
      [3, "b"],
    ]);
    expect(listOrders([late, early], starts, [])).toHaveLength(2);
  });
});
