import { useClubList, useMake, useRemove } from "~/data/resources/resource";

/** Addresses to which calendars subscribe. */
export const useCalendars = () => useClubList("calendarList", "/calendars", "calendars");

/** Makes one, of an athlete's days or of all. */
export const useMakeCalendar = () =>
  useMake<{ athleteId: string | null }, "newCalendar">(
    "newCalendar",
    "calendarInput",
    "/calendars",
    "calendars",
  );

/** Withdraws one: it answers nothing from then on. */
export const useWithdrawCalendar = () => useRemove("/calendars", "calendars");
