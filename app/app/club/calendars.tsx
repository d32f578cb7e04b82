export { CalendarsScreen as default } from "~/features/club/CalendarsScreen";
