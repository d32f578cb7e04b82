/** What the device keeps that is read before the application is there, by the names it is kept under. */

/** The club that was chosen. */
export const CLUB = "club";
/** The look that was chosen. */
export const THEME = "theme";
/** What Today looked like when it was seen last. */
export const SIGHT = "sight";
/** Starts whose day calls on this device. */
export const ALARMS = "alarms";
/** Ticks of lists that the server does not have: before where they are sent. */
export const TICKS = "ticks:";
