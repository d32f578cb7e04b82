import type { Start } from "@tonodrome/core/api";
import { moveStart } from "~/data/starts/moves";
import { clockTime } from "~/ui/dates";

/** Puts a start back to where it was, and its athlete ready when they were. @param before as it was before it was moved here */
export const undoMove = (clubId: string, start: Start, before: Start): void =>
  moveStart(clubId, start, before.startsAt, { readyAt: before.readyAt });

/** What taking a move back is called: by the time that it goes back to. */
export const undoWords = ({ startsAt, zone }: Start): string => `Undo: ${clockTime(startsAt, zone)}`;
