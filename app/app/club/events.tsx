export { EventsScreen as default } from "~/features/events/EventsScreen";
