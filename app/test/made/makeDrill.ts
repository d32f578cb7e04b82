import { noDetails, type PlanItem } from "@tonodrome/core";
import type { ShelfDrill } from "@tonodrome/core/api";
import { item } from "./makePlan";

const { dose }: PlanItem = item(1);

/** A drill of a made shelf, by its number. */
export const drill = (n: number, more: Partial<ShelfDrill> = {}) =>
  ({
    ...{ id: `88888888-8888-4888-8888-88888888888${n}`, version: 1, name: `Shelf ${n}`, phase: "raise" },
    ...{ intensity: 25, priority: "useful", dose, focus: "", place: "", archived: false },
    ...{ details: noDetails() },
    ...more,
  }) as unknown as ShelfDrill;
