// Calendars of days, with the library that writes them: loaded when one is asked for.

export { type CalendarDay, type DayCalendarOf, dayCalendar, daysCalendar } from "../formats/dayCalendar";
