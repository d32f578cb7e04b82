import type { Start } from "@tonodrome/core/api";
import { dayAxisOf, isOnAxis } from "~/features/starts/dayAxis";

const at = (time: string) => `2026-11-28T${time}:00.000Z`;
const NOW = Date.parse(at("08:00"));
const start = (startsAt: string, readyAt: string, zone = "UTC") =>
  ({ startsAt: at(startsAt), readyAt: at(readyAt), zone }) as Start;

it("goes from the first who is ready to the last start, with round marks", () => {
  const axis = dayAxisOf([start("10:00", "09:20"), start("11:30", "10:10")], NOW);
  expect(axis?.from).toBe(Date.parse(at("09:20")));
  expect(axis?.to).toBe(Date.parse(at("11:30")));
  expect(axis?.marks.map((m) => new Date(m).toISOString().slice(11, 16))).toEqual([
    "09:30",
    "09:45",
    "10:00",
    "10:15",
    "10:30",
    "10:45",
    "11:00",
    "11:15",
    "11:30",
  ]);
  expect(axis && isOnAxis(start("10:00", "09:20"), axis)).toBe(true);
  expect(axis && isOnAxis(start("12:00", "11:20"), axis)).toBe(false);
});

it("is none for one start, or for starts far apart; other zones are left out", () => {
  expect(dayAxisOf([start("10:00", "09:20")], NOW)).toBeNull();
  expect(dayAxisOf([start("09:00", "08:20"), start("22:30", "22:00")], NOW)).toBeNull();
  expect(dayAxisOf([start("10:00", "09:20"), start("11:00", "10:20", "Asia/Tokyo")], NOW)).toBeNull();
});
