// Calendars of days, with the library that writes them: loaded when one is asked for.

export { type DayCalendarOf, dayCalendar } from "./formats/dayCalendar";
